import { Body, Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe, Post, Put } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { UnreadableDto, Who, type SignedIn } from '../common/index.ts';
import {
  ChangedStudentDto,
  NewStudentDto,
  SeveralStudentsDto,
  StudentDto,
  StudentIdsDto,
  TakenBackDto,
} from './dto/students.dto.ts';
import { RemovedStudentDto, StudentFileDto } from './dto/student-rows.dto.ts';
import { StudentRowsService } from './student-rows.service.ts';
import { StudentsService } from './students.service.ts';

@ApiTags('students')
@Controller('students')
export class StudentsController {
  constructor(
    private readonly students: StudentsService,
    private readonly rows: StudentRowsService,
  ) {}

  @Get()
  @ApiOkResponse({ type: [StudentDto] })
  list(@Who() { studioId }: SignedIn): Promise<StudentDto[]> {
    return this.students.list(studioId);
  }

  @Get('unreadable')
  @ApiOkResponse({ type: [UnreadableDto] })
  unreadable(@Who() { studioId }: SignedIn): Promise<UnreadableDto[]> {
    return this.students.unreadable(studioId);
  }

  @Get(':studentId')
  @ApiOkResponse({ type: StudentDto })
  get(@Who() { studioId }: SignedIn, @Param('studentId', ParseUUIDPipe) id: string): Promise<StudentDto> {
    return this.students.get(studioId, id);
  }

  @Post()
  @ApiCreatedResponse({ type: StudentDto })
  create(@Who() { studioId }: SignedIn, @Body() wanted: NewStudentDto): Promise<StudentDto> {
    return this.students.create(studioId, wanted);
  }

  @Post('several')
  @ApiCreatedResponse({ type: [StudentDto] })
  createSeveral(@Who() { studioId }: SignedIn, @Body() { students }: SeveralStudentsDto): Promise<StudentDto[]> {
    return this.students.createSeveral(studioId, students);
  }

  @Post('several/take-back')
  @HttpCode(200)
  @ApiOkResponse({ type: TakenBackDto })
  takeBack(@Who() { studioId }: SignedIn, @Body() { ids }: StudentIdsDto): Promise<TakenBackDto> {
    return this.students.takeBack(studioId, ids);
  }

  @Put(':studentId')
  @ApiOkResponse({ type: StudentDto })
  change(
    @Who() { studioId }: SignedIn,
    @Param('studentId', ParseUUIDPipe) id: string,
    @Body() change: ChangedStudentDto,
  ): Promise<StudentDto> {
    return this.students.change(studioId, id, change);
  }

  @Delete(':studentId')
  @ApiOkResponse({ type: RemovedStudentDto })
  remove(@Who() { studioId }: SignedIn, @Param('studentId', ParseUUIDPipe) id: string): Promise<RemovedStudentDto> {
    return this.rows.remove(studioId, id);
  }

  @Get(':studentId/file')
  @ApiOkResponse({ type: StudentFileDto })
  file(@Who() { studioId }: SignedIn, @Param('studentId', ParseUUIDPipe) id: string): Promise<StudentFileDto> {
    return this.rows.file(studioId, id);
  }
}
