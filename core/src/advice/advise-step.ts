import type { Mark } from '../past/index.ts';
import type { Condition, Occasion } from '../voice/index.ts';
import { ADVICE_STEPS, AFTER_DIZZINESS, EASE, GOOD_RUNS } from './advice.data.ts';

export type AdvisedSetting = keyof typeof ADVICE_STEPS;

/** One run of an exercise. */
export interface AdvisedRun {
  /** ISO day. */
  readonly date: string;
  /** How far it came in the unit of the setting: the highest note, the counts, the tempo … */
  readonly reached: number;
  readonly ease?: number;
  readonly marks: readonly Mark[];
  readonly conditions: readonly Condition[];
  readonly occasion: Occasion;
}

export interface AdviceInput {
  readonly setting: { readonly kind: AdvisedSetting; readonly value: number; readonly cap?: number };
  /** Oldest first; those of a day to come are not looked at. */
  readonly runs: readonly AdvisedRun[];
  readonly today: { readonly date: string; readonly conditions: readonly Condition[]; readonly occasion: Occasion };
  /** Lowest and highest note that was measured, MIDI. */
  readonly reach?: { readonly low: number; readonly high: number };
}

/** Why something is advised, as a word the catalogue knows. */
export const ADVICE_REASONS = [
  'good-runs',
  'strained',
  'hard',
  'blurred',
  'dizzy',
  'symptom',
  'past-reach',
  'at-reach',
  'at-cap',
  'not-today',
  'not-enough',
] as const;
type AdviceReason = (typeof ADVICE_REASONS)[number];

export interface Advice {
  readonly verdict: 'raise' | 'hold' | 'ease';
  readonly value: number;
  readonly reason: AdviceReason;
  /** Indexes into the runs it rests on. */
  readonly evidence: readonly number[];
}

interface Placed extends AdvisedRun {
  readonly index: number;
}

const PITCHES: ReadonlySet<AdvisedSetting> = new Set(['ceiling', 'floor']);
const BREATHS: ReadonlySet<AdvisedSetting> = new Set(['out-count', 'hold-seconds']);
const SYMPTOMS: ReadonlySet<Mark> = new Set(['pain', 'tickle', 'cough']);
/** What makes quick or counted work unclean. */
const BLURS: ReadonlySet<Mark> = new Set(['strain', 'crack', 'pitch', 'breath', 'tension']);

/** Whether a run came as far as the setting asks; a floor is reached downwards. */
function hasReached({ reached }: AdvisedRun, { kind, value }: AdviceInput['setting']): boolean {
  return kind === 'floor' ? reached <= value : reached >= value;
}

/** Why a run asks for less; nothing where it does not. */
function troubleIn({ marks, ease }: AdvisedRun, kind: AdvisedSetting): AdviceReason | undefined {
  if (BREATHS.has(kind)) return marks.includes('dizzy') ? 'dizzy' : undefined;
  if (!PITCHES.has(kind)) return marks.some((mark) => BLURS.has(mark)) ? 'blurred' : undefined;
  if (marks.includes('strain')) return 'strained';
  return ease !== undefined && ease <= EASE.hard ? 'hard' : undefined;
}

/** Whether a run speaks for more; heights also want ease, and no performance counts. */
function isGood(run: AdvisedRun, setting: AdviceInput['setting']): boolean {
  if (!hasReached(run, setting) || run.occasion === 'performance') return false;
  if (PITCHES.has(setting.kind)) return (run.ease ?? 0) >= EASE.easy && !run.marks.includes('strain');
  return !run.marks.some((mark) => BLURS.has(mark));
}

/** The latest good runs since the last trouble, two of them on different days; fewer where there are not so many. */
function goodRuns(runs: readonly Placed[], setting: AdviceInput['setting']): readonly Placed[] {
  const lastTrouble = runs.map((run) => troubleIn(run, setting.kind) !== undefined).lastIndexOf(true);
  const days = new Map<string, Placed>();
  for (const run of runs.slice(lastTrouble + 1)) if (isGood(run, setting)) days.set(run.date, run);
  return [...days.values()].slice(-GOOD_RUNS);
}

/** Why a setting that has earned more is not raised all the same. */
function barrier({ setting, today, reach }: AdviceInput, next: number): AdviceReason | undefined {
  const isWeak = today.conditions.some((condition) => condition === 'tired' || condition === 'recovering');
  if (isWeak || today.occasion === 'performance') return 'not-today';
  if (setting.kind === 'ceiling' && reach && next > reach.high) return 'at-reach';
  if (setting.kind === 'floor' && reach && next < reach.low) return 'at-reach';
  const { cap } = setting;
  if (cap === undefined) return undefined;
  return (setting.kind === 'floor' ? next < cap : next > cap) ? 'at-cap' : undefined;
}

/** What is outside the measured reach comes back into it, whatever the runs say. */
function broughtInside({ setting: { kind, value }, reach }: AdviceInput): number | undefined {
  if (!reach || !PITCHES.has(kind)) return undefined;
  const inside = kind === 'ceiling' ? Math.min(value, reach.high) : Math.max(value, reach.low);
  return inside === value ? undefined : inside;
}

/**
 * What the past runs of an exercise say of one of its settings. Ceiling and floor: a semitone after two easy runs on different
 * days, two back after strain or a hard one; breath: a count or two seconds after two good ones, a quarter less after
 * dizziness; tempo, keys and seconds after two clean ones, and back after a blurred one. Never past the measured reach or the
 * cap, never raised on a tired, recovering or performance day; a symptom in the last run freezes it until the teacher opens it.
 *
 * @example two easy runs on B4 a week apart, B4 set: `{ verdict: 'raise', value: 72, reason: 'good-runs', evidence: [0, 1] }`
 */
export function adviseStep(input: AdviceInput): Advice {
  const { setting, today } = input;
  const { kind, value } = setting;
  const hold = (reason: AdviceReason, evidence: readonly number[] = []): Advice => ({
    verdict: 'hold',
    value,
    reason,
    evidence,
  });
  const inside = broughtInside(input);
  if (inside !== undefined) return { verdict: 'ease', value: inside, reason: 'past-reach', evidence: [] };
  const runs = input.runs
    .map((run, index): Placed => ({ ...run, index }))
    .filter(({ date }) => date <= today.date)
    .sort((a, b) => a.date.localeCompare(b.date) || a.index - b.index);
  const last = runs.at(-1);
  if (!last) return hold('not-enough');
  if (last.marks.some((mark) => SYMPTOMS.has(mark))) return hold('symptom', [last.index]);
  const trouble = troubleIn(last, kind);
  if (trouble !== undefined) {
    const eased = trouble === 'dizzy' ? Math.floor(value * AFTER_DIZZINESS) : value + ADVICE_STEPS[kind].ease;
    return { verdict: 'ease', value: Math.max(0, eased), reason: trouble, evidence: [last.index] };
  }
  const good = goodRuns(runs, setting);
  const evidence = good.map(({ index }) => index);
  if (good.length < GOOD_RUNS) return hold('not-enough', evidence);
  const next = value + ADVICE_STEPS[kind].raise;
  const reason = barrier(input, next);
  return reason === undefined
    ? { verdict: 'raise', value: next, reason: 'good-runs', evidence }
    : hold(reason, evidence);
}
