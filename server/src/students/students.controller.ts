import { Body, Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe, Post, Put } from '@nestjs/common';
import { ApiCreatedResponse, ApiNoContentResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { UnreadableDto, Who, type SignedIn } from '../common/index.ts';
import { ChangedStudentDto, NewStudentDto, StudentDto } from './dto/students.dto.ts';
import { StudentsService } from './students.service.ts';

@ApiTags('students')
@Controller('students')
export class StudentsController {
  constructor(private readonly students: StudentsService) {}

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
  @HttpCode(204)
  @ApiNoContentResponse()
  remove(@Who() { studioId }: SignedIn, @Param('studentId', ParseUUIDPipe) id: string): Promise<void> {
    return this.students.remove(studioId, id);
  }
}
