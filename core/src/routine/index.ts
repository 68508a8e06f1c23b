export { keysOf, keyWays, type KeyWay } from './key-ways.ts';
export { groupSettings, layGroup, type GroupMember, type GroupStep } from './lay-group.ts';
export { layRoutine } from './lay-routine.ts';
export { isSingable, isSung, layStep, USUAL_SET_UP } from './lay-step.ts';
export { leastKeys } from './least-keys.data.ts';
export type {
  LaidLadder,
  LaidRoutine,
  LaidSiren,
  LaidStep,
  RoutineContext,
  RoutineStep,
  SetUpTimes,
  StepSettings,
} from './routine.types.ts';
export { coolDownSeconds, shapeFor, type RoutineShape } from './shape.ts';
