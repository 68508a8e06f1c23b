import { runDigest, type SungKey } from '@soft-lark/core';
import type { QueryDeepPartialEntity } from 'typeorm/query-builder/QueryPartialEntity.js';
import type { RunKey } from './run-key.entity.ts';
import type { Run } from './run.entity.ts';

/** A stored key as pages and digests read it. */
export function keyView({ help, manner, ...key }: RunKey): SungKey {
  const { id, stepId, exerciseId, tonic, leg, low, high, tempo, outcome, marks } = key;
  const way = { ...(help && { help }), ...(manner !== null && { manner }) };
  return { id, stepId, exerciseId, tonic, leg, low, high, tempo, outcome, marks, ...way };
}

/** What lists need of a run, worked out anew from its keys. */
export function digestColumns(
  { plan, stops, results }: Pick<Run, 'plan' | 'stops' | 'results'>,
  keys: readonly SungKey[],
): QueryDeepPartialEntity<Run> {
  const digest = runDigest(plan.steps, keys, stops, results);
  const exercises = [...new Set(digest.workedOn.map(({ exerciseId }) => exerciseId))].sort();
  return { ...digest, marks: [...digest.marks], exercises };
}
