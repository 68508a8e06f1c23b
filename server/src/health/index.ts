export { HealthModule } from './health.module.ts';
