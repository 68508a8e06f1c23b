import { servesGoals } from '../day/index.ts';
import type { Stage } from '../limits/index.ts';
import { isSungWork } from '../shelf/index.ts';
import { minutesOf } from '../review/index.ts';
import { layRoutine, type LaidRoutine, type RoutineStep } from '../routine/index.ts';
import type { DraftContext, Missing } from './draft.types.ts';

/** House choice: a draft that leaves more than this share of its minutes empty says so. */
const EMPTY_SHARE = 0.15;
/** Nobody sings longer than this at a go. Minutes. Source: usual time references. */
const LONGEST_GO = 45;

const VOICE_REMEDY = 'Look at range, zones and gaps on the voice file, or do a range check.';

/** A stage that is wanted and is not there: the shelf has nothing of it, or this voice no room for it today. */
function withoutStage(
  stage: Stage,
  name: string,
  { steps }: LaidRoutine,
  { exercises }: DraftContext,
): readonly Missing[] {
  if (steps.some(({ exercise }) => exercise.stage === stage && isSungWork(exercise))) return [];
  const isOnShelf = [...exercises.values()].some((exercise) => exercise.stage === stage && isSungWork(exercise));
  return [
    isOnShelf
      ? { message: `No ${name} that is sung finds room in this voice today.`, remedy: VOICE_REMEDY }
      : {
          message: `There is no ${name} on the shelf.`,
          remedy: 'Bring one back from the archive, or write one of your own.',
        },
  ];
}

function withoutKeys({ steps }: LaidRoutine): readonly Missing[] {
  if (steps.some(({ laid }) => laid?.kind === 'pattern')) return [];
  return [{ message: 'No tune finds room in this voice today, in any key.', remedy: VOICE_REMEDY }];
}

function emptyMinutes({ seconds }: LaidRoutine, { minutes }: DraftContext): readonly Missing[] {
  const left = minutes * 60 - seconds;
  if (left < 0)
    return [
      {
        message: `The least there is takes ${minutesOf(-left)} more than these minutes.`,
        remedy: 'Allow a minute more, or unpin a step.',
      },
    ];
  if (left <= minutes * 60 * EMPTY_SHARE) return [];
  return [
    {
      message: `${minutesOf(left)} of ${String(minutes)} minutes stay empty; more of the same would do this voice no good.`,
      remedy:
        minutes > LONGEST_GO
          ? 'Sing in two goes, with a pause between, or allow fewer minutes.'
          : 'Allow fewer minutes, or add a step by hand.',
    },
  ];
}

/**
 * What a teacher would miss in a draft, each with what to do about it.
 *
 * @returns nothing for a whole draft
 */
export function missingIn(steps: readonly RoutineStep[], context: DraftContext): readonly Missing[] {
  if (context.exercises.size === 0)
    return [{ message: 'The shelf is empty.', remedy: 'Bring exercises back from the archive, or write your own.' }];
  const laid = layRoutine(steps, context);
  if (steps.length === 0)
    return [
      {
        message: 'Nothing on the shelf can be done today.',
        remedy: 'What was left out says why; look at the day’s condition and at the voice file.',
      },
    ];
  // What is pinned fills the minutes: nothing else was looked for.
  if (laid.seconds > context.minutes * 60 + 1e-6) return emptyMinutes(laid, context);
  const isWhole = servesGoals(context.kind);
  return [
    ...(isWhole ? withoutStage('occluded', 'occluded work', laid, context) : []),
    ...(isWhole ? withoutKeys(laid) : []),
    ...withoutStage('cool', 'cool-down', laid, context),
    ...emptyMinutes(laid, context),
  ];
}
