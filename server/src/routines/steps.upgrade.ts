import { routineStepsSchema, type RoutineStep } from '@soft-lark/core';
import { demandStored, readStored, unreadable, type StoredKind, type UnreadableDto } from '../common/index.ts';
import type { Routine, StoredSteps } from './routine.entity.ts';

const ROUTINES: StoredKind<RoutineStep[]> = { what: 'routine', schema: routineStepsSchema };

/** Steps as the core reads them today; null where they cannot be read. */
export function readSteps({ schema, list }: StoredSteps): RoutineStep[] | null {
  return readStored(ROUTINES, { schema, value: list });
}

/** @throws Problem `UNREADABLE` */
export function demandSteps({ schema, list }: StoredSteps): RoutineStep[] {
  return demandStored(ROUTINES, { schema, value: list });
}

/** What is to be said of a routine whose steps cannot be read; null where they can. */
export function unreadableRoutine({ id, name, steps }: Pick<Routine, 'id' | 'name' | 'steps'>): UnreadableDto | null {
  return unreadable({ id, name }, ROUTINES, { schema: steps.schema, value: steps.list });
}
