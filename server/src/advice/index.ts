export { AdviceModule } from './advice.module.ts';
