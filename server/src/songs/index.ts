export { SongsModule } from './songs.module.ts';
export { SongsService } from './songs.service.ts';
