import { countdownOf, type RunState } from '@soft-lark/core';
import { useEffect, useEffectEvent } from 'react';
import { useTranslation } from 'react-i18next';

/** How many keys are left to the next landmark, as a teacher would say it. */
export function useCountWords(): (state: RunState) => { readonly to: string; readonly words: string } | null {
  const { t } = useTranslation();
  const numbers = t('piano.numbers', { returnObjects: true });
  return (state) => {
    const count = countdownOf(state);
    if (!count) return null;
    const to = { turn: t('piano.toTurn'), home: t('piano.toHome'), end: t('piano.toEnd') }[count.to];
    if (count.keys === 0) return { to, words: count.to === 'turn' ? t('piano.turnHere') : t('piano.here') };
    return {
      to,
      words:
        count.keys === 1 ? t('piano.lastOne') : t('piano.more', { number: numbers[count.keys] ?? String(count.keys) }),
    };
  };
}

/** Farther from the landmark nobody counts aloud. */
const SPOKEN_FROM = 2;

/** Whether this browser has a voice to speak with. */
export function canSpeak(): boolean {
  return 'speechSynthesis' in window && window.speechSynthesis.getVoices().length > 0;
}

/**
 * “Two more”, “last one”, “turn here”: spoken while the cue sounds, and never over the singing.
 *
 * @param moment what is on, by name; null while nothing is
 * @param cueSeconds the time there is for it
 */
export function useSpokenCount(isOn: boolean, state: RunState, moment: string | null, cueSeconds: number): void {
  const countWords = useCountWords();
  const { i18n } = useTranslation();
  const speak = useEffectEvent((): (() => void) | undefined => {
    const count = countdownOf(state);
    if (!count || count.keys > SPOKEN_FROM || !canSpeak()) return undefined;
    const utterance = new SpeechSynthesisUtterance(countWords(state)?.words ?? '');
    utterance.lang = i18n.language;
    window.speechSynthesis.speak(utterance);
    const hush = (): void => {
      window.speechSynthesis.cancel();
    };
    const timer = setTimeout(hush, cueSeconds * 1000);
    return () => {
      clearTimeout(timer);
      hush();
    };
  });
  useEffect(() => (isOn && moment !== null ? speak() : undefined), [isOn, moment]);
}
