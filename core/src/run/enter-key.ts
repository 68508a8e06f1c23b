import { fellowKey, fellowNow, fellowsIn, LEADER, singersMeant } from './fellows.ts';
import { currentKey, currentStep } from './run-queries.ts';
import type { SungKey } from './run.schema.ts';
import type { Fellow, RunKey, RunState, RunStep } from './run.types.ts';

function sungKey(
  { stepId, exerciseId }: RunStep,
  { tonic, leg, low, high, tempo, help, manner }: RunKey,
  said: Pick<SungKey, 'id' | 'outcome' | 'marks'>,
): SungKey {
  const { id, outcome, marks } = said;
  return {
    id,
    stepId,
    exerciseId,
    tonic,
    leg,
    low,
    high,
    tempo,
    outcome,
    marks,
    ...(help && { help }),
    ...(manner !== undefined && { manner }),
  };
}

/** The key being sung, written down with its marks for each who sang it; once only, however often it is sent. */
export function enter(state: RunState, id: string, outcome: SungKey['outcome']): RunState {
  const step = currentStep(state);
  const key = currentKey(state);
  const { sung, fellowsSung = [] } = state;
  const isThere = sung.some((other) => other.id === id) || fellowsSung.some((other) => other.key.id === id);
  if (!step || !key || isThere) return { ...state, marks: [] };
  const now = fellowNow(state);
  const meant = new Set(step.fellows ? singersMeant(state) : [LEADER]);
  const entryOf = (singer: string, own: RunKey): SungKey => {
    return sungKey(step, own, { id, outcome, marks: meant.has(singer) ? state.marks : [] });
  };
  const of = (fellow: Fellow): NonNullable<RunState['fellowsSung']> => {
    const own = fellowKey(step, key, fellow);
    return own ? [{ singer: fellow.id, key: entryOf(fellow.id, own) }] : [];
  };
  const fellows = now ? [now] : step.isInTurn ? [] : fellowsIn(step, key);
  return {
    ...state,
    marks: [],
    sung: now ? sung : [...sung, entryOf(LEADER, key)],
    ...(fellows.length > 0 && { fellowsSung: [...fellowsSung, ...fellows.flatMap(of)] }),
  };
}
