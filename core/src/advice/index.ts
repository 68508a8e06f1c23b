export { adviseStep, ADVICE_REASONS, type Advice, type AdvisedRun, type AdvisedSetting } from './advise-step.ts';
