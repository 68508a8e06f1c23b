import { Body, Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe, Post, Put } from '@nestjs/common';
import { ApiCreatedResponse, ApiNoContentResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { Who, type SignedIn } from '../common/index.ts';
import { DayConditionDto, DayRoutineDto, LessonDto, StudentTodayDto, TodayDto } from './dto/lessons.dto.ts';
import { LessonsService } from './lessons.service.ts';

@ApiTags('lessons')
@Controller()
export class LessonsController {
  constructor(private readonly lessons: LessonsService) {}

  @Get('today')
  @ApiOkResponse({ type: TodayDto })
  today(@Who() { studioId }: SignedIn): Promise<TodayDto> {
    return this.lessons.today(studioId);
  }

  @Get('students/:studentId/today')
  @ApiOkResponse({ type: StudentTodayDto })
  studentToday(@Who() { studioId }: SignedIn, @Param('studentId', ParseUUIDPipe) id: string): Promise<StudentTodayDto> {
    return this.lessons.studentToday(studioId, id);
  }

  @Put('students/:studentId/condition')
  @ApiOkResponse({ type: DayConditionDto })
  setCondition(
    @Who() { studioId }: SignedIn,
    @Param('studentId', ParseUUIDPipe) id: string,
    @Body() wanted: DayConditionDto,
  ): Promise<DayConditionDto> {
    return this.lessons.setCondition(studioId, id, wanted);
  }

  @Put('students/:studentId/day-routine')
  @ApiOkResponse({ type: DayRoutineDto })
  setRoutine(
    @Who() { studioId }: SignedIn,
    @Param('studentId', ParseUUIDPipe) id: string,
    @Body() wanted: DayRoutineDto,
  ): Promise<DayRoutineDto> {
    return this.lessons.setRoutine(studioId, id, wanted);
  }

  @Get('lessons')
  @ApiOkResponse({ type: [LessonDto] })
  list(@Who() { studioId }: SignedIn): Promise<LessonDto[]> {
    return this.lessons.list(studioId);
  }

  @Post('lessons')
  @ApiCreatedResponse({ type: LessonDto })
  create(@Who() { studioId }: SignedIn, @Body() wanted: LessonDto): Promise<LessonDto> {
    return this.lessons.create(studioId, wanted);
  }

  @Delete('lessons/:lessonId')
  @HttpCode(204)
  @ApiNoContentResponse()
  remove(@Who() { studioId }: SignedIn, @Param('lessonId', ParseUUIDPipe) id: string): Promise<void> {
    return this.lessons.remove(studioId, id);
  }
}
