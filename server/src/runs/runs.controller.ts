import { Body, Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe, Post, Put, Query } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { Who, type SignedIn } from '../common/index.ts';
import { HistoryDto } from './dto/history.dto.ts';
import { ProgressDto } from './dto/progress.dto.ts';
import { BeltEvidenceDto, NewRunCorrectionDto, RunDto, RunPageDto, RunSummaryDto, SentRunDto } from './dto/runs.dto.ts';
import { CorrectionsService } from './corrections.service.ts';
import { HistoryService } from './history.service.ts';
import { ProgressService } from './progress.service.ts';
import { RunsService } from './runs.service.ts';

@ApiTags('runs')
@Controller()
export class RunsController {
  constructor(
    private readonly runs: RunsService,
    private readonly corrections: CorrectionsService,
    private readonly history: HistoryService,
    private readonly progress: ProgressService,
  ) {}

  @Get('students/:studentId/belt-evidence')
  @ApiOkResponse({ type: BeltEvidenceDto })
  beltEvidence(@Who() { studioId }: SignedIn, @Param('studentId', ParseUUIDPipe) id: string): Promise<BeltEvidenceDto> {
    return this.runs.beltEvidence(studioId, id);
  }

  @Get('students/:studentId/history')
  @ApiOkResponse({ type: HistoryDto })
  pastRuns(@Who() { studioId }: SignedIn, @Param('studentId', ParseUUIDPipe) id: string): Promise<HistoryDto> {
    return this.history.of(studioId, id);
  }

  @Get('students/:studentId/progress')
  @ApiOkResponse({ type: ProgressDto })
  weeks(@Who() { studioId }: SignedIn, @Param('studentId', ParseUUIDPipe) id: string): Promise<ProgressDto> {
    return this.progress.of(studioId, id);
  }

  @Get('runs')
  @ApiOkResponse({ type: [RunSummaryDto] })
  list(@Who() { studioId }: SignedIn, @Query() page: RunPageDto): Promise<RunSummaryDto[]> {
    return this.runs.list(studioId, page);
  }

  @Get('runs/last')
  @ApiOkResponse({ type: [RunSummaryDto], description: 'The last run of every student, ended or not.' })
  last(@Who() { studioId }: SignedIn): Promise<RunSummaryDto[]> {
    return this.runs.lastOfEach(studioId);
  }

  @Get('runs/:runId')
  @ApiOkResponse({ type: RunDto })
  get(@Who() { studioId }: SignedIn, @Param('runId', ParseUUIDPipe) id: string): Promise<RunDto> {
    return this.runs.get(studioId, id);
  }

  @Put('runs/:runId')
  @ApiOkResponse({ type: RunDto })
  keep(
    @Who() { studioId }: SignedIn,
    @Param('runId', ParseUUIDPipe) id: string,
    @Body() sent: SentRunDto,
  ): Promise<RunDto> {
    return this.runs.keep(studioId, id, sent);
  }

  @Post('runs/:runId/corrections')
  @ApiCreatedResponse({ type: RunDto })
  correct(
    @Who() { studioId }: SignedIn,
    @Param('runId', ParseUUIDPipe) id: string,
    @Body() wanted: NewRunCorrectionDto,
  ): Promise<RunDto> {
    return this.corrections.correct(studioId, id, wanted);
  }

  @Delete('runs/:runId')
  @HttpCode(204)
  throwAway(@Who() { studioId }: SignedIn, @Param('runId', ParseUUIDPipe) id: string): Promise<void> {
    return this.runs.throwAway(studioId, id);
  }
}
