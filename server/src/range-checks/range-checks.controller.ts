import { Body, Controller, Get, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { Who, type SignedIn } from '../common/index.ts';
import { StudentDto } from '../students/index.ts';
import { ConfirmedCheckDto, RangeCheckDto } from './dto/range-checks.dto.ts';
import { RangeChecksService } from './range-checks.service.ts';

@ApiTags('range checks')
@Controller('students/:studentId/range-checks')
export class RangeChecksController {
  constructor(private readonly checks: RangeChecksService) {}

  @Get()
  @ApiOkResponse({ type: [RangeCheckDto] })
  list(@Who() { studioId }: SignedIn, @Param('studentId', ParseUUIDPipe) id: string): Promise<RangeCheckDto[]> {
    return this.checks.list(studioId, id);
  }

  @Post()
  @ApiCreatedResponse({ type: StudentDto })
  confirm(
    @Who() { studioId }: SignedIn,
    @Param('studentId', ParseUUIDPipe) id: string,
    @Body() check: ConfirmedCheckDto,
  ): Promise<StudentDto> {
    return this.checks.confirm(studioId, id, check);
  }
}
