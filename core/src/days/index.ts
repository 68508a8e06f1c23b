export { DAY, PROGRAMMES, type BlockCount, type Programme } from './day-plan.data.ts';
export {
  planDay,
  type BlockKind,
  type DayBlock,
  type DayFinding,
  type DayPlan,
  type DayWishes,
  type FixedTime,
} from './plan-day.ts';
export {
  practicePlan,
  type PracticeFinding,
  type PracticeGo,
  type PracticePlan,
  type PracticeWishes,
} from './practice-plan.ts';
export { PRACTICE } from './practice.data.ts';
