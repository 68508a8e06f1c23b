import type { ChangingStage, Style, VoiceType } from '@soft-lark/core';
import { useTranslation } from 'react-i18next';

const TYPES: readonly VoiceType[] = [
  'soprano',
  'mezzo-soprano',
  'contralto',
  'countertenor',
  'tenor',
  'baritone',
  'bass-baritone',
  'bass',
  'treble',
  'changing',
];
const STYLES: readonly Style[] = ['classical', 'theatre', 'pop', 'jazz', 'folk', 'choral', 'heavy'];
const CHANGES: readonly ChangingStage[] = [
  'first',
  'second',
  'third',
  'new',
  'settling',
  'early',
  'peak',
  'young-adult',
];

interface Choice {
  readonly value: string;
  readonly label: string;
}

/** The choices of a voice file in the interface's words. */
export function useVoiceChoices(): { readonly types: Choice[]; readonly styles: Choice[]; readonly changes: Choice[] } {
  const { t } = useTranslation();
  return {
    types: TYPES.map((value) => ({ value, label: t(`voices.${value}`) })),
    styles: STYLES.map((value) => ({ value, label: t(`styles.${value}`) })),
    changes: CHANGES.map((value) => ({ value, label: t(`stagesOfChange.${value}`) })),
  };
}
