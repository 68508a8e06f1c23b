import type { RoutineFieldsDto } from './dto/routines.dto.ts';
import type { StoredSteps } from './routine.entity.ts';

const CURRENT = 1;

/** Reads stored steps of any schema; so far there is one. */
export function readSteps({ schema, list }: StoredSteps): RoutineFieldsDto['steps'] {
  if (schema > CURRENT) throw new Error(`Routine schema ${String(schema)} is newer than this server.`);
  return [...list];
}
