import {
  conduct,
  layRoutine,
  occasionOf,
  startRun,
  type Condition,
  type Exercise,
  type Mark,
  type RunState,
  type VoiceFile,
} from '@soft-lark/core';
import type { RoutineDto } from '../routines/index.ts';
import type { SentRunDto } from '../runs/index.ts';
import type { Chance } from './chance.ts';
import { DEMO_NOTES } from './tern-lock.data.ts';

const MARKS_SEEN: readonly Mark[] = ['strain', 'crack', 'easy', 'easy', 'pitch', 'breath', 'tension'];

/** What one made-up run starts from. */
export interface DemoRunInput {
  readonly studentId: string;
  readonly voice: VoiceFile;
  readonly routine: RoutineDto;
  readonly exercises: ReadonlyMap<string, Exercise>;
  readonly startedAt: Date;
  readonly conditions: readonly Condition[];
  readonly chance: Chance;
}

/** A step without pitch: mostly to its end, now and then shorter, rarely passed over. */
function withoutPitch(run: RunState, chance: Chance, id: string): RunState {
  if (chance.happens(0.06)) return conduct(run, { type: 'next-step', id, heard: false });
  const course = run.steps[run.stepIndex]?.course;
  const share = chance.happens(0.2) ? chance.between(40, 90) / 100 : 1;
  const begun = conduct(run, { type: 'next', id });
  return conduct(begun, { type: 'next', id, elapsed: (course?.seconds ?? 0) * share });
}

/** Conducts a routine the way lessons go: mostly by the plan, now and then turning early, skipping, marking. */
function conducted(state: RunState, chance: Chance, at: Date): RunState {
  let run = state;
  while (run.phase !== 'finished') {
    const id = chance.id(at);
    const hasKeys = (run.steps[run.stepIndex]?.keys.length ?? 0) > 0;
    if (!hasKeys) {
      run = withoutPitch(run, chance, id);
      continue;
    }
    const mark = chance.happens(0.07) ? chance.pick(MARKS_SEEN) : undefined;
    if (mark) run = conduct(run, { type: 'mark', mark, id: chance.id(at) });
    const type =
      mark === 'strain' ? 'turn-back' : chance.happens(0.03) ? 'again' : chance.happens(0.03) ? 'skip' : 'next';
    const next = conduct(run, { type, id });
    run = next === run ? conduct(run, { type: 'next', id }) : next;
  }
  return run;
}

/** One step of advice for quick work, one count of a breath, and how often each was earned. Beats per minute, counts, days. */
const QUICKER = 4;
const LONGER = 1;
const FORTNIGHT = 14;
const LEAST_COUNTS = 6;

/** What a step was set to so many fortnights ago; nothing where it has not changed. */
function settingsThen(exercise: Exercise | undefined, fortnights: number): RoutineDto['steps'][number]['settings'] {
  const work = exercise?.work;
  if (exercise?.stage === 'agility' && work?.kind === 'pattern') {
    const { learn = work.tempo.usual, usual } = work.tempo;
    return { tempo: Math.max(learn, usual - QUICKER * fortnights) };
  }
  const outCounts = work?.kind === 'breath' ? work.counts?.outCounts : undefined;
  // Short ways out are for ease; only the long ones were worked on.
  if (outCounts === undefined || outCounts <= LEAST_COUNTS) return {};
  return { figures: { outCounts: Math.max(LEAST_COUNTS, outCounts - LONGER * fortnights) } };
}

/** A routine as it was so many days ago: quick work has become quicker since, long breaths longer, a little every fortnight. */
export function asItWas<R extends Pick<RoutineDto, 'steps'>>(
  routine: R,
  exercises: ReadonlyMap<string, Exercise>,
  daysAgo: number,
): R {
  const fortnights = Math.floor(daysAgo / FORTNIGHT);
  const steps = routine.steps.map((step) => {
    const then = settingsThen(exercises.get(step.exerciseId), fortnights);
    return { ...step, settings: { ...step.settings, ...then } };
  });
  return { ...routine, steps };
}

/** A finished run as the page would have sent it. */
export function demoRun({
  studentId,
  voice,
  routine,
  exercises,
  startedAt,
  conditions,
  chance,
}: DemoRunInput): SentRunDto {
  const now = startedAt.toISOString();
  const laid = layRoutine(routine.steps, {
    voice,
    conditions,
    occasion: occasionOf(routine.kind),
    exercises,
    known: new Set(exercises.keys()),
    now,
  });
  const plan = startRun(laid);
  const { sung, results = [] } = conducted(plan, chance, startedAt);
  const strained = sung.some(({ marks }) => marks.includes('strain'));
  return {
    studentId,
    routineId: routine.id,
    routineName: routine.name,
    startedAt: now,
    endedAt: new Date(startedAt.getTime() + laid.seconds * 1000 + chance.between(20, 150) * 1000).toISOString(),
    conditions: [...conditions],
    plan: plan.steps.map(({ stepId, exerciseId, name, kind, seconds, keys }) => ({
      stepId,
      exerciseId,
      name,
      kind,
      seconds,
      keys: keys.map(({ tonic, leg, low, high }) => ({ tonic, leg, low, high })),
    })),
    sung: sung.map((key) => ({ ...key, marks: [...key.marks] })),
    stops: [],
    results: [...results],
    ease: Math.max(1, chance.between(3, 5) - (strained ? 1 : 0) - (conditions.length > 0 ? 1 : 0)),
    note: chance.happens(0.4) ? (chance.pick(DEMO_NOTES) ?? '') : '',
    revision: 1,
  };
}
