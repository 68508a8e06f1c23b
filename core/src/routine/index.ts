export { keysOf, keyWays, type KeyWay } from './key-ways.ts';
export { groupSettings, layGroup, type GroupMember, type GroupStep } from './lay-group.ts';
export { layRoutine } from './lay-routine.ts';
export { isSingable, isSung, layStep, sungBefore, USUAL_SET_UP } from './lay-step.ts';
export { leastKeys } from './least-keys.data.ts';
export type { LaidLadder, LaidRoutine, LaidSiren, LaidStep, RoutineContext, SetUpTimes } from './routine.types.ts';
export { coolDownSeconds, shapeFor, type RoutineShape } from './shape.ts';
export { routineStepSchema, routineStepsSchema, type RoutineStep, type StepSettings } from './step.schema.ts';
export { figuresOf, repeatsOf, type SettableFigure } from './step-figures.ts';
