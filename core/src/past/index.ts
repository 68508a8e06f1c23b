export { historyOf, type StudentHistory } from './history.ts';
export { LOAD_MARKS } from './load.data.ts';
export { loadAgainst, weightedMinutes, type LoadMark } from './load.ts';
export { RUN_PLACES, type RunPlace } from './run-places.data.ts';
export { isMissed, KEY_OUTCOMES, MARKS, OWN_MARKS, STOP_MARKS, type KeyOutcome, type Mark } from './marks.ts';
export { type PastExercise, type PastRun } from './past.types.ts';
export {
  COURSE_FIGURES,
  LEAST_RUNS,
  progressOf,
  type Progress,
  type ProgressRun,
  type RangePoint,
  type StoodStill,
  type WeekLoad,
} from './progress.ts';
export { reachedIn, type ReachedSetting } from './reached.ts';
