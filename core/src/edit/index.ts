export {
  isAlike,
  mergeRoutines,
  takeTheirs,
  type MergeConflict,
  type Merged,
  type MergedFields,
} from './merge-routines.ts';
export { placeForStep } from './place-for-step.ts';
export { applyPatch, type Patched, type RoutinePatch } from './routine-patch.ts';
