import { Controller, Get, HttpCode, Post, Req, Res } from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiOkResponse, ApiProduces, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { Clock, Who, type SignedIn } from '../common/index.ts';
import { StudioFileDto } from './dto/studio-file.dto.ts';
import { StudioFileService } from './studio-file.service.ts';

const PACKED = 'application/gzip';
const bytes = { schema: { type: 'string', format: 'binary' } } as const;

@ApiTags('studios')
@Controller('studio/file')
export class StudioFileController {
  constructor(
    private readonly files: StudioFileService,
    private readonly clock: Clock,
  ) {}

  @Get()
  @ApiProduces(PACKED)
  @ApiOkResponse({ content: { [PACKED]: bytes } })
  async take(@Who() { studioId }: SignedIn, @Res() response: Response): Promise<void> {
    const day = this.clock.now().toISOString().slice(0, 10);
    response.set({ 'Content-Type': PACKED, 'Content-Disposition': `attachment; filename="studio-${day}.softlark.gz"` });
    // A file that is cut off is never taken for a whole one: the connection breaks, and the last line is missing.
    await this.files.write(studioId, response).catch((error: unknown) => {
      response.destroy(error instanceof Error ? error : undefined);
    });
  }

  @Post('compare')
  @HttpCode(200)
  @ApiConsumes(PACKED)
  @ApiBody(bytes)
  @ApiOkResponse({ type: StudioFileDto })
  compare(@Who() { studioId }: SignedIn, @Req() request: Request): Promise<StudioFileDto> {
    return this.files.compare(studioId, request);
  }

  @Post('restore')
  @HttpCode(200)
  @ApiConsumes(PACKED)
  @ApiBody(bytes)
  @ApiOkResponse({ type: StudioFileDto })
  restore(@Who() { studioId }: SignedIn, @Req() request: Request): Promise<StudioFileDto> {
    return this.files.restore(studioId, request);
  }
}
