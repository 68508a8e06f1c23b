export { StudioFileModule } from './studio-file.module.ts';
export { LEFT_BEHIND, STUDIO_TABLES } from './studio-tables.data.ts';
