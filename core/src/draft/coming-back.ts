import { isCloseToPerformance } from '../day/index.ts';
import { USUAL_RULES } from '../limits/index.ts';
import type { StepSettings } from '../routine/index.ts';
import type { Exercise } from '../shelf/index.ts';
import { isRested } from '../voice/index.ts';
import type { Eligible } from './draft-candidates.ts';
import type { DraftSlot } from './draft-plan.data.ts';
import { POOR_EASE, TURNED } from './draft-shape.data.ts';
import { shapeOf } from './draft-shape.ts';
import type { Statement } from '../statement.ts';
import type { DraftCode, DraftContext, TurnedCode } from './draft.types.ts';

/** What a step is set to after the way it went, and what of that is to be said. */
interface Turned {
  readonly settings: StepSettings;
  /** More keys are wanted, where nothing else goes on. */
  readonly wantsMore?: boolean;
  readonly because?: TurnedCode;
}

/** Nothing goes on from where it stands on a day that is not an ordinary one. */
function mayGoOn(context: DraftContext): boolean {
  return isRested(context.conditions) && !isCloseToPerformance(context);
}

/**
 * What a known exercise is set to: as the last run reached it, one step on where it was easy twice, one step back where
 * it was marked twice. Agility turns by its tempo, everything else by its keys.
 *
 * @example turned(a run of nine tones sung at 96 on two easy days, context).settings // { tempo: 100 }
 */
export function turned({ id, stage, work }: Exercise, context: DraftContext): Turned {
  const last = context.known.has(id) ? context.reached?.get(id) : undefined;
  if (work.kind !== 'pattern' || !last) return { settings: {} };
  const { learn = TURNED.slowest, usual, fast = TURNED.fastest } = work.tempo;
  const at = (tempo: number): StepSettings => (tempo === usual ? {} : { tempo });
  const isAgility = stage === 'agility';
  if (last.turn === 'back') {
    return isAgility
      ? { settings: at(Math.max(learn, last.tempo - TURNED.slower)), because: 'draft.slower' }
      : {
          settings: { ...at(last.tempo), ceiling: last.highest - TURNED.lower },
          because: 'draft.lower',
        };
  }
  if (last.turn !== 'on' || !mayGoOn(context)) return { settings: at(last.tempo) };
  const faster = Math.min(Math.max(last.tempo, fast), last.tempo + TURNED.faster);
  return isAgility && faster > last.tempo
    ? { settings: at(faster), because: 'draft.faster' }
    : { settings: at(last.tempo), wantsMore: true, because: 'draft.more-keys' };
}

/** The exercises of the shelf that name one as their easier relative. */
function harderThan(id: string, eligible: readonly Eligible[]): readonly Exercise[] {
  return eligible
    .map(({ exercise }) => exercise)
    .filter(({ relatives }) => relatives.some((relative) => relative.as === 'easier' && relative.id === id));
}

/** An exercise that has a place because of the last run. */
interface Back {
  readonly id: string;
  readonly because: readonly Statement<DraftCode>[];
}

/** What an exercise of the last run comes back as: itself, or its easier relative where it went poorly. */
function backAs(id: string, may: ReadonlyMap<string, Eligible>, context: DraftContext): Back | null {
  const exercise = context.exercises.get(id);
  if (!exercise) return null;
  const turn = context.reached?.get(id)?.turn;
  if ((context.ease?.get(id) ?? 5) <= POOR_EASE || turn === 'back') {
    const easier = exercise.relatives.find((relative) => relative.as === 'easier' && may.has(relative.id))?.id;
    if (easier !== undefined)
      return { id: easier, because: [{ code: 'draft.instead-of', values: { name: exercise.name } }] };
    // Without a relative it comes back one step easier, which it can only where its settings are known.
    if (turn !== 'back') return null;
  }
  const { because } = turned(exercise, context);
  return may.has(id)
    ? {
        id,
        because: [
          { code: 'draft.comes-back', values: because ? { turned: { code: because }, context: 'turned' } : {} },
        ],
      }
    : null;
}

/** One of those that were easy twice gives way to a harder relative that is not there yet. */
function withOneHarder(back: readonly Back[], eligible: readonly Eligible[], context: DraftContext): readonly Back[] {
  if (!mayGoOn(context)) return back;
  for (const one of back) {
    if (context.reached?.get(one.id)?.turn !== 'on') continue;
    const harder = harderThan(one.id, eligible).find(({ id }) => !back.some((other) => other.id === id));
    if (!harder) continue;
    const name = context.exercises.get(one.id)?.name ?? one.id;
    const next = { id: harder.id, because: [{ code: 'draft.goes-on', values: { name } }] } as const;
    return back.map((other) => (other === one ? next : other));
  }
  return back;
}

/**
 * Places for what comes back from the last run: about two thirds of it, chosen by the seed. What went poorly comes back
 * as its easier relative or one step easier; one of those that were easy twice goes on to a harder relative.
 */
export function comingBack(context: DraftContext, eligible: readonly Eligible[]): readonly DraftSlot[] {
  const [last = []] = context.recent ?? [];
  const may = new Map(eligible.map((one) => [one.exercise.id, one]));
  const { wanted } = shapeOf(context);
  const count = Math.round(Math.min(wanted, last.length) * (context.rules ?? USUAL_RULES).draft.comesBack);
  const chanceOf = (id: string): number => may.get(id)?.chance ?? 0;
  const back = last.flatMap((id) => backAs(id, may, context) ?? []);
  const once = back.filter(({ id }, index) => back.findIndex((other) => other.id === id) === index);
  const chosen = [...once].sort((a, b) => chanceOf(b.id) - chanceOf(a.id)).slice(0, count);
  return withOneHarder(chosen, eligible, context).flatMap(({ id, because }) => {
    const stage = may.get(id)?.exercise.stage;
    return stage ? [{ stage, only: id, because }] : [];
  });
}
