import { Controller, Delete, Get, HttpCode, Param, Post, Res } from '@nestjs/common';
import { ApiAcceptedResponse, ApiOkResponse, ApiProduces, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { pipeline } from 'node:stream/promises';
import { Who, type SignedIn } from '../common/index.ts';
import { StudioFileDto } from '../studio-file/index.ts';
import { BackupJobs } from './backup-jobs.ts';
import { BackupsService } from './backups.service.ts';
import { BackupsDto } from './dto/backups.dto.ts';

const PACKED = 'application/gzip';

@ApiTags('studios')
@Controller('studio/backups')
export class BackupsController {
  constructor(
    private readonly backups: BackupsService,
    private readonly jobs: BackupJobs,
  ) {}

  @Get()
  @ApiOkResponse({ type: BackupsDto })
  list(@Who() { studioId }: SignedIn): Promise<BackupsDto> {
    return this.backups.list(studioId);
  }

  /** Asks for a backup now; it is made by whichever server is free. */
  @Post()
  @HttpCode(202)
  @ApiAcceptedResponse({ type: BackupsDto })
  async ask(@Who() { studioId }: SignedIn): Promise<BackupsDto> {
    await this.jobs.ask(studioId);
    return this.backups.list(studioId);
  }

  /** Calls off the backup that is being made; there is none where it was done in the meantime. */
  @Delete()
  @ApiOkResponse({ type: BackupsDto })
  async callOff(@Who() { studioId }: SignedIn): Promise<BackupsDto> {
    await this.jobs.callOff(studioId);
    return this.backups.list(studioId);
  }

  @Get(':name')
  @ApiProduces(PACKED)
  @ApiOkResponse({ content: { [PACKED]: { schema: { type: 'string', format: 'binary' } } } })
  async take(@Who() { studioId }: SignedIn, @Param('name') name: string, @Res() response: Response): Promise<void> {
    const file = await this.backups.open(studioId, name);
    response.set({ 'Content-Type': PACKED, 'Content-Disposition': `attachment; filename="${name}"` });
    await pipeline(file, response);
  }

  @Post(':name/compare')
  @HttpCode(200)
  @ApiOkResponse({ type: StudioFileDto })
  compare(@Who() { studioId }: SignedIn, @Param('name') name: string): Promise<StudioFileDto> {
    return this.backups.compare(studioId, name);
  }

  @Post(':name/restore')
  @HttpCode(200)
  @ApiOkResponse({ type: StudioFileDto })
  restore(@Who() { studioId }: SignedIn, @Param('name') name: string): Promise<StudioFileDto> {
    return this.backups.restore(studioId, name);
  }
}
