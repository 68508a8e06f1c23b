import { Controller, Post, Req, UseGuards } from '@nestjs/common';
import { ApiCreatedResponse, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { Open } from '../common/index.ts';
import { openSession, SessionDto, SignInThrottle, StudiosService } from '../studios/index.ts';
import { DemoService } from './demo.service.ts';

@ApiTags('demo')
@Controller('demo')
export class DemoController {
  constructor(
    private readonly demo: DemoService,
    private readonly studios: StudiosService,
  ) {}

  @Open()
  @UseGuards(SignInThrottle)
  @Post('session')
  @ApiCreatedResponse({ type: SessionDto })
  async open(@Req() request: Request): Promise<SessionDto> {
    const signedIn = await this.demo.open();
    await openSession(request, signedIn);
    return this.studios.describe(signedIn);
  }
}
