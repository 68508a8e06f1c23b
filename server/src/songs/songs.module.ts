import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { StoredSong } from './song.entity.ts';
import { SongsController } from './songs.controller.ts';
import { SongsService } from './songs.service.ts';

@Module({
  imports: [TypeOrmModule.forFeature([StoredSong])],
  controllers: [SongsController],
  providers: [SongsService],
  exports: [SongsService],
})
export class SongsModule {}
