import type { StepProblem } from '../day/index.ts';
import { commonKeys, type CommonKeys, type GroupSinger } from '../ladder/index.ts';
import { formatPattern, type Pattern } from '../pattern/index.ts';
import { patternOfWork, type Exercise } from '../shelf/index.ts';
import { neverSounded } from '../voice/index.ts';
import { layRoutine } from './lay-routine.ts';
import type { LaidStep, RoutineContext } from './routine.types.ts';
import type { RoutineStep, StepSettings } from './step.schema.ts';

/** One of a group, with all that the figures of a day rest on. */
export interface GroupMember {
  readonly id: string;
  readonly context: RoutineContext;
}

/** How one step goes for a group. */
export interface GroupStep {
  readonly stepId: string;
  readonly exercise: Exercise;
  /** Keys in common for those who can sing it; nothing where a step has no keys, or nobody can. */
  readonly common?: CommonKeys;
  readonly pattern?: Pattern;
  /** The text of the smaller shape, where one would give enough keys. */
  readonly smaller?: string;
  /** Who rests in this step, and why. */
  readonly resting: readonly { readonly id: string; readonly reason: StepProblem }[];
}

/** Why a singer rests in a step: the day or a caution leaves it out; a pattern that is too wide may still be cut. */
function restsBecause({ problem, limits }: LaidStep): StepProblem | null {
  return problem && (!limits || limits.conflict) ? problem : null;
}

function singerOf({ id, context }: GroupMember, { limits }: LaidStep): readonly GroupSinger[] {
  return limits && !limits.conflict
    ? [
        {
          id,
          floor: limits.floor,
          ceiling: limits.ceiling,
          avoid: [...neverSounded(context.voice), ...(context.voice.gaps ?? [])],
        },
      ]
    : [];
}

/**
 * A routine for several singers at once: for every step the keys they have in common today, each at an octave of the
 * written key, and two groups where there are under three.
 *
 * @param exercises the shelf; steps whose exercise is gone are left out
 */
export function layGroup(
  steps: readonly RoutineStep[],
  members: readonly GroupMember[],
  exercises: ReadonlyMap<string, Exercise>,
): readonly GroupStep[] {
  // What is set on the bench is set for one voice.
  const plain = steps.map((step) => ({ ...step, settings: {} }));
  const each = members.map((member) => ({ member, steps: layRoutine(plain, member.context).steps }));
  return steps.flatMap((step): readonly GroupStep[] => {
    const exercise = exercises.get(step.exerciseId);
    if (!exercise) return [];
    const laid = each.flatMap(({ member, steps: all }) => {
      const own = all.find(({ id }) => id === step.id);
      return own ? [{ member, own }] : [];
    });
    const resting = laid.flatMap(({ member, own }) => {
      const reason = restsBecause(own);
      return reason === null ? [] : [{ id: member.id, reason }];
    });
    const singers = laid.flatMap(({ member, own }) => singerOf(member, own));
    if (exercise.work.kind !== 'pattern' || singers.length === 0) return [{ stepId: step.id, exercise, resting }];
    const pattern = patternOfWork(exercise.work);
    const common = commonKeys(singers, pattern);
    const smaller = common.smaller && formatPattern(common.smaller);
    return [{ stepId: step.id, exercise, common, pattern, resting, ...(smaller !== undefined && { smaller }) }];
  });
}

/**
 * Settings that keep one singer of the group to the keys in common, at that singer's octave.
 *
 * @returns `null` where the group has no key in common
 */
export function groupSettings({ common, pattern }: GroupStep, singerId: string): StepSettings | null {
  if (!common || !pattern) return null;
  const octave = 12 * (common.octaveOf[singerId] ?? 0);
  const tonics = common.tonics.map((tonic) => tonic + octave);
  const [first] = tonics;
  const last = tonics.at(-1);
  if (first === undefined || last === undefined) return null;
  const inside = Array.from({ length: last - first + 1 }, (_, index) => first + index);
  const struck = inside.filter((tonic) => !tonics.includes(tonic));
  return {
    start: first,
    floor: first + pattern.low,
    ceiling: last + pattern.high,
    ...(struck.length > 0 && { struck }),
  };
}
