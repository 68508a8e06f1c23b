export { StudioFileDto } from './dto/studio-file.dto.ts';
export { StudioFileModule } from './studio-file.module.ts';
export { StudioFileService, type Watch } from './studio-file.service.ts';
export { LEFT_BEHIND, STUDIO_TABLES } from './studio-tables.data.ts';
