import { Body, Controller, Delete, Get, HttpCode, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiNoContentResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { Who, type SignedIn } from '../common/index.ts';
import { AdviceService } from './advice.service.ts';
import { AdviceAnswerDto, NewAdviceAnswerDto } from './dto/advice.dto.ts';

@ApiTags('advice')
@Controller('students/:studentId/advice')
export class AdviceController {
  constructor(private readonly advice: AdviceService) {}

  @Get()
  @ApiOkResponse({ type: [AdviceAnswerDto] })
  list(
    @Who() { studioId }: SignedIn,
    @Param('studentId', ParseUUIDPipe) studentId: string,
  ): Promise<AdviceAnswerDto[]> {
    return this.advice.list(studioId, studentId);
  }

  @Post()
  @ApiCreatedResponse({ type: AdviceAnswerDto })
  answer(
    @Who() { studioId }: SignedIn,
    @Param('studentId', ParseUUIDPipe) studentId: string,
    @Body() wanted: NewAdviceAnswerDto,
  ): Promise<AdviceAnswerDto> {
    return this.advice.answer(studioId, studentId, wanted);
  }

  @Delete(':answerId')
  @HttpCode(204)
  @ApiNoContentResponse()
  takeBack(
    @Who() { studioId }: SignedIn,
    @Param('studentId', ParseUUIDPipe) studentId: string,
    @Param('answerId', ParseUUIDPipe) id: string,
  ): Promise<void> {
    return this.advice.takeBack(studioId, studentId, id);
  }
}
