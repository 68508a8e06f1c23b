import { CHANGING_STAGES, STYLES, VOICE_TYPES } from '@soft-lark/core';
import { useTranslation } from 'react-i18next';

interface Choice {
  readonly value: string;
  readonly label: string;
}

/** The choices of a voice file in the interface's words. */
export function useVoiceChoices(): { readonly types: Choice[]; readonly styles: Choice[]; readonly changes: Choice[] } {
  const { t } = useTranslation();
  return {
    types: VOICE_TYPES.map((value) => ({ value, label: t(`voices.${value}`) })),
    styles: STYLES.map((value) => ({ value, label: t(`styles.${value}`) })),
    changes: CHANGING_STAGES.map((value) => ({ value, label: t(`stagesOfChange.${value}`) })),
  };
}
