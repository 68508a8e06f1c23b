export { adviseStep, ADVICE_REASONS, type Advice, type AdvisedRun, type AdvisedSetting } from './advise-step.ts';
export {
  ADVICE_ANSWERS,
  ADVISED_KINDS,
  ANSWERED_VERDICTS,
  MOST_MOVED,
  takenAdvice,
  type AdviceAnswer,
} from './advice-answer.ts';
export { adviseLaidStep, type AdvicePast, type ExerciseRun, type StepAdvice } from './advise-laid-step.ts';
export { lessonLines, type LessonLine, type LessonPast, type LineCode } from './lesson-lines.ts';
export { termReview, type TermCode, type TermReview } from './term-review.ts';
export { rangeNews } from './range-news.ts';
