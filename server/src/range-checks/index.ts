export { RangeChecksModule } from './range-checks.module.ts';
export { RangeChecksService } from './range-checks.service.ts';
