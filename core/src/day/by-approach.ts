import { answerTo, type Exercise } from '../shelf/index.ts';
import type { DayContext } from './day.types.ts';

/**
 * Whether work that extends the range has its place: in practice at home, where the school lets a warm-up extend, and
 * where a goal on file asks for it.
 */
export function mayExtend(
  { goals }: Pick<Exercise, 'goals'>,
  { approach, occasion, voice, goals: wanted = voice.goals }: DayContext & { readonly goals?: readonly string[] },
): boolean {
  return (
    occasion === 'home' ||
    answerTo(approach, 'may-do') === 'restore-and-extend' ||
    goals.some((goal) => wanted.includes(goal))
  );
}

/** Source: the table of schools; the shares of a warm-up that breath work may take, with room for what a step costs. */
export const BREATH_SHARES: Readonly<Record<string, { readonly least: number; readonly most: number }>> = {
  some: { least: 0, most: 0.25 },
  brief: { least: 0, most: 0.08 },
  thorough: { least: 0.25, most: 1 },
};

/** Stages in which the sound itself is worked on. */
const LAST_STAGES: ReadonlySet<string> = new Set(['dynamics', 'tone', 'words', 'style']);

/** Whether the sound of a step is judged at all, or only its ease; work on pitch is judged wherever the last stage is. */
export function judgesSound(
  { stage, goals }: Pick<Exercise, 'stage' | 'goals'>,
  approach: DayContext['approach'],
): boolean {
  const answer = answerTo(approach, 'sound-judged');
  return answer === 'always' || (answer === 'last-stage' && (LAST_STAGES.has(stage) || goals.includes('pitch')));
}

/** What an exercise says itself where it lets the voice crack at first. */
const LETS_CRACK = 'cracks=early-then-smooth';

/** Whether a crack is something to answer, or welcome as it is. */
export function answersCracks({ cues }: Pick<Exercise, 'cues'>, approach: DayContext['approach']): boolean {
  const answer = answerTo(approach, 'cracks');
  return answer === 'always-smooth' || (answer !== 'invited' && !cues.some((cue) => cue.approach === LETS_CRACK));
}

/** Whether a ladder goes on to the very limit, landing on it with a last key if need be. */
export function goesToTheEnd(approach: DayContext['approach']): boolean {
  return answerTo(approach, 'ladder-top') === 'any-register';
}

/** Whether the first sign of effort is where a ladder turns; the other schools let it go on to its limit. */
export function turnsAtEffort(approach: DayContext['approach']): boolean {
  return answerTo(approach, 'ladder-top') === 'first-effort';
}

/** Whether keys follow one another by themselves at the piano, or each waits for the teacher. */
export function playsOn(approach: DayContext['approach']): boolean {
  return answerTo(approach, 'at-the-piano') === 'plays-on';
}
