import { Body, Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe, Post, Put, Query } from '@nestjs/common';
import { ApiCreatedResponse, ApiNoContentResponse, ApiOkResponse, ApiQuery, ApiTags } from '@nestjs/swagger';
import { UnreadableDto, Who, type SignedIn } from '../common/index.ts';
import { ChangedRoutineDto, NewRoutineDto, RoutineDto, RoutineVersionDto } from './dto/routines.dto.ts';
import { RoutineVersionsService } from './routine-versions.service.ts';
import { RoutinesService } from './routines.service.ts';

@ApiTags('routines')
@Controller('routines')
export class RoutinesController {
  constructor(
    private readonly routines: RoutinesService,
    private readonly history: RoutineVersionsService,
  ) {}

  @Get()
  @ApiQuery({ name: 'studentId', required: false })
  @ApiOkResponse({ type: [RoutineDto] })
  list(
    @Who() { studioId }: SignedIn,
    @Query('studentId', new ParseUUIDPipe({ optional: true })) studentId?: string,
  ): Promise<RoutineDto[]> {
    return this.routines.list(studioId, studentId);
  }

  @Get('unreadable')
  @ApiOkResponse({ type: [UnreadableDto] })
  unreadable(@Who() { studioId }: SignedIn): Promise<UnreadableDto[]> {
    return this.routines.unreadable(studioId);
  }

  @Get(':routineId')
  @ApiOkResponse({ type: RoutineDto })
  get(@Who() { studioId }: SignedIn, @Param('routineId', ParseUUIDPipe) id: string): Promise<RoutineDto> {
    return this.routines.get(studioId, id);
  }

  @Get(':routineId/versions')
  @ApiOkResponse({ type: [RoutineVersionDto] })
  versions(@Who() { studioId }: SignedIn, @Param('routineId', ParseUUIDPipe) id: string): Promise<RoutineVersionDto[]> {
    return this.history.list(studioId, id);
  }

  @Post()
  @ApiCreatedResponse({ type: RoutineDto })
  create(@Who() { studioId, accountId }: SignedIn, @Body() wanted: NewRoutineDto): Promise<RoutineDto> {
    return this.routines.create(studioId, wanted, accountId);
  }

  @Put(':routineId')
  @ApiOkResponse({ type: RoutineDto })
  change(
    @Who() { studioId, accountId }: SignedIn,
    @Param('routineId', ParseUUIDPipe) id: string,
    @Body() change: ChangedRoutineDto,
  ): Promise<RoutineDto> {
    return this.routines.change(studioId, id, change, accountId);
  }

  @Delete(':routineId')
  @HttpCode(204)
  @ApiNoContentResponse()
  remove(@Who() { studioId }: SignedIn, @Param('routineId', ParseUUIDPipe) id: string): Promise<void> {
    return this.routines.remove(studioId, id);
  }
}
