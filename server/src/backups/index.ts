export { BackupFolder } from './backup-folder.ts';
export { BackupsModule } from './backups.module.ts';
export { BackupsService } from './backups.service.ts';
