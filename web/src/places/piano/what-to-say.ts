import {
  cueFor,
  currentKey,
  currentStep,
  remedyFor,
  sungSyllables,
  syllablesFor,
  type Approach,
  type Exercise,
  type RunState,
  type RunStep,
} from '@soft-lark/core';

/** What to say in the key that is on: a remedy for what was marked, what was written for the step, or the exercise’s own cue. */
export function whatToSay(
  state: RunState,
  exercise: Exercise | undefined,
  approach: Approach,
): { readonly text: string; readonly triedFor?: string } {
  const step = currentStep(state);
  const key = currentKey(state);
  const keys = step?.keys ?? [];
  const ofStep = state.sung.filter(({ stepId }) => stepId === step?.stepId);
  const offered = exercise ? remedyFor(exercise, ofStep, state.marks, approach) : null;
  if (offered) return { text: offered.text, triedFor: offered.seen };
  if (step?.cue !== undefined) return { text: step.cue };
  const place = {
    zone: key?.zone ?? ('low' as const),
    isTop: key !== undefined && key.high === Math.max(...keys.map(({ high }) => high)) && keys.length > 2,
    isLast: keys.length > 0 && state.keyIndex === keys.length - 1,
    index: state.keyIndex,
  };
  return { text: exercise ? cueFor(exercise, place, approach) : '' };
}

/** Syllables of a step as they are written for it, before any key has its own. */
export function writtenSyllables(exercise: Exercise | undefined, step: RunStep | undefined): string | undefined {
  if (step?.syllables !== undefined) return step.syllables;
  return exercise && 'syllables' in exercise.work ? exercise.work.syllables : undefined;
}

/** The syllables of the key that is on, note by note; what is written for the step where its notes have none. */
export function syllablesNow(state: RunState, exercise: Exercise | undefined): readonly string[] {
  const step = currentStep(state);
  const events = step?.ladder?.pattern.events ?? [];
  const zone = currentKey(state)?.zone;
  const work = exercise?.work;
  const isOwn =
    !step?.vowel &&
    step?.syllables === undefined &&
    work?.kind === 'pattern' &&
    zone !== undefined &&
    work.syllablesAt[zone] !== undefined;
  const sung = isOwn ? syllablesFor(work, zone) : step?.vowel ? [step.vowel] : sungSyllables({ events });
  if (sung.length > 0) return sung;
  const plain = writtenSyllables(exercise, step) ?? '';
  return plain === '' ? [] : [plain];
}
