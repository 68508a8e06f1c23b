export { BackupsModule } from './backups.module.ts';
