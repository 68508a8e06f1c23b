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
export { planWeeks, type PlannedWeek, type WeekKind } from './plan-weeks.ts';
export {
  practicePlan,
  type PracticeFinding,
  type PracticeGo,
  type PracticePlan,
  type PracticeWishes,
} from './practice-plan.ts';
export { PRACTICE } from './practice.data.ts';
export { WEEKS } from './weeks.data.ts';
