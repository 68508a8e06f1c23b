export { MutesModule } from './mutes.module.ts';
