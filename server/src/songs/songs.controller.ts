import { Body, Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe, Put } from '@nestjs/common';
import { ApiNoContentResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { songSchema } from '@soft-lark/core';
import { openApiOf, UnreadableDto, Who, type SignedIn } from '../common/index.ts';
import { ChangedSongDto, type KeptSong } from './dto/songs.dto.ts';
import { SongsService } from './songs.service.ts';

const KEPT_SONG = openApiOf(
  songSchema,
  {
    id: { type: 'string', format: 'uuid' },
    version: { type: 'integer' },
  },
  ['id', 'version'],
);

@ApiTags('songs')
@Controller('songs')
export class SongsController {
  constructor(private readonly songs: SongsService) {}

  @Get()
  @ApiOkResponse({ schema: { type: 'array', items: KEPT_SONG } })
  list(@Who() { studioId }: SignedIn): Promise<KeptSong[]> {
    return this.songs.list(studioId);
  }

  @Get('unreadable')
  @ApiOkResponse({ type: [UnreadableDto] })
  unreadable(@Who() { studioId }: SignedIn): Promise<UnreadableDto[]> {
    return this.songs.unreadable(studioId);
  }

  @Put(':songId')
  @ApiOkResponse({ schema: KEPT_SONG })
  change(
    @Who() { studioId }: SignedIn,
    @Param('songId', ParseUUIDPipe) id: string,
    @Body() change: ChangedSongDto,
  ): Promise<KeptSong> {
    return this.songs.change(studioId, id, change);
  }

  @Delete(':songId')
  @HttpCode(204)
  @ApiNoContentResponse()
  remove(@Who() { studioId }: SignedIn, @Param('songId', ParseUUIDPipe) id: string): Promise<void> {
    return this.songs.remove(studioId, id);
  }
}
