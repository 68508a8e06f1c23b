import type { GateOutcome } from '@soft-lark/core';
import { useTranslation } from 'react-i18next';
import type { VoiceLock } from '../../api/gate.queries.ts';

/** What a lock says: by its reason where this gate led to it, else by its level. */
export function useLockSentence(): (level: VoiceLock['level'], reason?: GateOutcome['reason']) => string {
  const { t } = useTranslation();
  return (level, reason) => {
    if (level === 'urgent') return t('gate.urgent');
    if (level === 'see-someone') return t('gate.seeSomeone');
    return t(`gate.notToday.${reason === 'pain' || reason === 'voice-gone' ? reason : 'other'}`);
  };
}
