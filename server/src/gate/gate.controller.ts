import { Body, Controller, Get, HttpCode, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { Who, type SignedIn } from '../common/index.ts';
import { LiftDto, LockDto, NewLockDto } from './dto/gate.dto.ts';
import { GateService } from './gate.service.ts';

@ApiTags('gate')
@Controller('students/:studentId/locks')
export class GateController {
  constructor(private readonly gate: GateService) {}

  @Get()
  @ApiOkResponse({ type: [LockDto] })
  list(@Who() { studioId }: SignedIn, @Param('studentId', ParseUUIDPipe) id: string): Promise<LockDto[]> {
    return this.gate.list(studioId, id);
  }

  @Post()
  @ApiCreatedResponse({ type: LockDto })
  lock(
    @Who() { studioId }: SignedIn,
    @Param('studentId', ParseUUIDPipe) id: string,
    @Body() wanted: NewLockDto,
  ): Promise<LockDto> {
    return this.gate.lock(studioId, id, wanted);
  }

  @Post(':lockId/lift')
  @HttpCode(200)
  @ApiOkResponse({ type: LockDto })
  lift(
    @Who() who: SignedIn,
    @Param('studentId', ParseUUIDPipe) id: string,
    @Param('lockId', ParseUUIDPipe) lockId: string,
    @Body() { reason }: LiftDto,
  ): Promise<LockDto> {
    return this.gate.lift(who, id, lockId, reason);
  }
}
