export { historyOf, type PastExercise, type PastRun, type StudentHistory } from './history.ts';
export { weightedMinutes } from './load.ts';
export { isMissed, KEY_OUTCOMES, MARKS, STOP_MARKS, type KeyOutcome, type Mark } from './marks.ts';
export { reachedIn, type ReachedSetting } from './reached.ts';
