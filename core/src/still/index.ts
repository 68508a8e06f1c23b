export {
  courseOf,
  momentOf,
  STILL_ACTS,
  type StillAct,
  type StillCourse,
  type StillMoment,
  type StillPart,
} from './course.ts';
export { endPart, resultOf, STILL_OUTCOMES, type StillOutcome, type StillResult } from './result.ts';
