import { Body, Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiNoContentResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { Who, type SignedIn } from '../common/index.ts';
import { MuteDto, NewMuteDto } from './dto/mutes.dto.ts';
import { MutesService } from './mutes.service.ts';

@ApiTags('mutes')
@Controller('mutes')
export class MutesController {
  constructor(private readonly mutes: MutesService) {}

  @Get()
  @ApiOkResponse({ type: [MuteDto] })
  list(@Who() { studioId }: SignedIn): Promise<MuteDto[]> {
    return this.mutes.list(studioId);
  }

  @Post()
  @ApiCreatedResponse({ type: MuteDto })
  mute(@Who() { studioId }: SignedIn, @Body() wanted: NewMuteDto): Promise<MuteDto> {
    return this.mutes.mute(studioId, wanted);
  }

  @Delete(':muteId')
  @HttpCode(204)
  @ApiNoContentResponse()
  unmute(@Who() { studioId }: SignedIn, @Param('muteId', ParseUUIDPipe) id: string): Promise<void> {
    return this.mutes.unmute(studioId, id);
  }
}
