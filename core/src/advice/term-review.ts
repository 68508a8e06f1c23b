import { STAGES, type Stage } from '../limits/index.ts';
import { LEAST_RUNS, type Progress, type RangePoint } from '../past/index.ts';
import { isForVoice, type Exercise } from '../shelf/index.ts';
import type { Statement } from '../statement.ts';
import { wordsOf } from '../statement.ts';
import { daysBetween, type PitchRange, type VoiceFile } from '../voice/index.ts';

export type TermCode =
  | 'term.runs'
  | 'term.stages'
  | 'term.top-up'
  | 'term.top-down'
  | 'term.top-same'
  | 'term.bottom-down'
  | 'term.bottom-up'
  | 'term.measured'
  | 'term.few-runs'
  | 'term.goal'
  | 'term.not-touched'
  | 'term.all-touched'
  | 'term.try'
  | 'term.stood-still'
  | 'term.check'
  | 'term.go-on';

/** What a term comes to, a list of statements a question. */
export interface TermReview {
  readonly trained: readonly Statement<TermCode>[];
  readonly moved: readonly Statement<TermCode>[];
  readonly untouched: readonly Statement<TermCode>[];
  readonly next: readonly Statement<TermCode>[];
}

/** What the log and the voice file have to say of a term. */
export interface Term {
  readonly progress: Progress;
  readonly voice: VoiceFile;
  /** Range checks of the term, oldest first. */
  readonly checks: readonly (PitchRange & { readonly date: string })[];
  /** Ids of the exercises that were worked on. */
  readonly sung: ReadonlySet<string>;
  readonly exercises: ReadonlyMap<string, Exercise>;
  /** ISO day. */
  readonly today: string;
}

/** House choice: more things to do next are a list nobody follows. */
const MOST_NEXT = 5;
/** House choice: stages named as the ones most time went to. */
const MOST_STAGES = 3;
/** Source: usual reference; a range check is good for ninety days. */
const CHECK_DAYS = 90;
/** Body and cool-down are no aim of their own. */
const NO_AIM: ReadonlySet<Stage> = new Set(['settle', 'cool', 'style']);

/** The note in the middle of some notes. */
function median(notes: readonly number[]): number {
  const sorted = [...notes].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}

function trained({ progress: { ranges, stages } }: Term): TermReview['trained'] {
  const most = stages.slice(0, MOST_STAGES).map(({ stage }) => stage);
  return [
    { code: 'term.runs', values: { count: ranges.length } },
    ...(most.length > 0 ? [{ code: 'term.stages', values: { stages: wordsOf('stage', most) } } as const] : []),
  ];
}

/** How far ordinary days went at the beginning of the term and at its end. */
function reach(ordinary: readonly RangePoint[]): TermReview['moved'] {
  const [first, last] = [ordinary.slice(0, LEAST_RUNS), ordinary.slice(-LEAST_RUNS)];
  const top = { from: median(first.map(({ highest }) => highest)), to: median(last.map(({ highest }) => highest)) };
  const bottom = { from: median(first.map(({ lowest }) => lowest)), to: median(last.map(({ lowest }) => lowest)) };
  const values = ({ from, to }: typeof top) => ({ from: { note: from }, to: { note: to } });
  const low: TermReview['moved'] =
    bottom.from === bottom.to
      ? []
      : [{ code: bottom.to < bottom.from ? 'term.bottom-down' : 'term.bottom-up', values: values(bottom) }];
  const high = top.to > top.from ? 'term.top-up' : top.to < top.from ? 'term.top-down' : 'term.top-same';
  return [{ code: high, values: values(top) }, ...low];
}

function moved({ progress: { ranges }, checks }: Term): TermReview['moved'] {
  const ordinary = ranges.filter(({ isOrdinary }) => isOrdinary);
  const [first, last] = [checks[0], checks.at(-1)];
  const interval = ({ low, high }: PitchRange) => ({ interval: { low, high } });
  const measured: TermReview['moved'] =
    first && last && first !== last
      ? [{ code: 'term.measured', values: { from: interval(first), to: interval(last), day: { day: last.date } } }]
      : [];
  // Where the first and the last runs are the same ones there is nothing to hold against each other.
  const sung: TermReview['moved'] = ordinary.length < 2 * LEAST_RUNS ? [{ code: 'term.few-runs' }] : reach(ordinary);
  return [...measured, ...sung];
}

/** Goals on file that nothing sung served. */
function goalsLeft({ voice, sung, exercises }: Term): readonly string[] {
  const served = new Set([...sung].flatMap((id) => exercises.get(id)?.goals ?? []));
  return voice.goals.filter((goal) => !served.has(goal));
}

function untouched(term: Term): TermReview['untouched'] {
  // Silent work weighs nothing, and is touched all the same.
  const touched = new Set([
    ...term.progress.stages.map(({ stage }) => stage),
    ...[...term.sung].flatMap((id) => term.exercises.get(id)?.stage ?? []),
  ]);
  const stages = STAGES.filter((stage) => !touched.has(stage) && !NO_AIM.has(stage));
  const said: TermReview['untouched'] = [
    ...goalsLeft(term).map((goal) => ({ code: 'term.goal', values: { goal: { word: goal, of: 'goal' } } }) as const),
    ...(stages.length > 0 ? [{ code: 'term.not-touched', values: { stages: wordsOf('stage', stages) } } as const] : []),
  ];
  return said.length > 0 ? said : [{ code: 'term.all-touched' }];
}

/** The gentlest exercise of the shelf that serves a goal and was not sung. */
function toTry(goal: string, { voice, sung, exercises }: Term): Exercise | undefined {
  return [...exercises.values()]
    .filter(
      (one) => one.goals.includes(goal) && !sung.has(one.id) && !one.optIn && !one.grit && isForVoice(one, voice.type),
    )
    .filter(({ styles }) => styles.length === 0 || styles.includes(voice.style))
    .sort((a, b) => a.load - b.load || (a.id < b.id ? -1 : 1))[0];
}

function next(term: Term): TermReview['next'] {
  const { progress, exercises, voice, today } = term;
  const still = progress.stoodStill.map(({ exerciseId, since }): Statement<TermCode> => {
    const exercise = exercises.get(exerciseId);
    const easier = exercise?.relatives
      .filter(({ as }) => as !== 'shorter')
      .flatMap(({ id }) => exercises.get(id)?.name ?? [])[0];
    return {
      code: 'term.stood-still',
      values: {
        name: exercise?.name ?? exerciseId,
        since: { day: since },
        ...(easier !== undefined && { other: easier, context: 'other' }),
      },
    };
  });
  const tries = goalsLeft(term).flatMap((goal): readonly Statement<TermCode>[] => {
    const found = toTry(goal, term);
    return found ? [{ code: 'term.try', values: { goal: { word: goal, of: 'goal' }, name: found.name } }] : [];
  });
  const days = voice.measured ? daysBetween(voice.measured.date, today) : null;
  const check: TermReview['next'] =
    days === null || days > CHECK_DAYS
      ? [{ code: 'term.check', values: days === null ? {} : { count: days, context: 'old' } }]
      : [];
  const all = [...check, ...tries, ...still].slice(0, MOST_NEXT);
  return all.length > 0 ? all : [{ code: 'term.go-on' }];
}

/**
 * What the last weeks say of a student at the end of a term: what was trained, what moved, what was never touched, and what
 * to do next. Performances and days of recovering are not held against ordinary ones; few runs say so.
 */
export function termReview(term: Term): TermReview {
  return { trained: trained(term), moved: moved(term), untouched: untouched(term), next: next(term) };
}
