export { historyOf, type PastExercise, type PastRun, type StudentHistory } from './history.ts';
export { weightedMinutes } from './load.ts';
export { isMissed, MARKS, STOP_MARKS, type Mark } from './marks.ts';
export { reachedIn, type ReachedSetting } from './reached.ts';
