import { Body, Controller, Delete, Get, HttpCode, Post, Put, Req, UseGuards } from '@nestjs/common';
import { ApiCreatedResponse, ApiNoContentResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { Open, Who, type SignedIn } from '../common/index.ts';
import { AccountService } from './account.service.ts';
import { SessionDto, SessionWithCodesDto, SignInDto, SignUpDto, StudioDto } from './dto/studios.dto.ts';
import { closeSession, openSession } from './session-cookie.ts';
import { SignInThrottle } from './sign-in-throttle.ts';
import { StudiosService } from './studios.service.ts';

@ApiTags('studios')
@Controller()
export class StudiosController {
  constructor(
    private readonly studios: StudiosService,
    private readonly account: AccountService,
  ) {}

  @Open()
  @UseGuards(SignInThrottle)
  @Post('studios')
  @ApiCreatedResponse({ type: SessionWithCodesDto })
  async signUp(@Body() wanted: SignUpDto, @Req() request: Request): Promise<SessionWithCodesDto> {
    const signedIn = await this.studios.signUp(wanted);
    const codes = await this.account.firstCodes(signedIn.accountId);
    await openSession(request, signedIn);
    return { ...(await this.studios.describe(signedIn)), codes };
  }

  @Open()
  @UseGuards(SignInThrottle)
  @Post('session')
  @ApiCreatedResponse({ type: SessionDto })
  async signIn(@Body() wanted: SignInDto, @Req() request: Request): Promise<SessionDto> {
    const signedIn = await this.studios.signIn(wanted);
    await openSession(request, signedIn);
    return this.studios.describe(signedIn);
  }

  @Get('studio')
  @ApiOkResponse({ type: StudioDto })
  settings(@Who() { studioId }: SignedIn): Promise<StudioDto> {
    return this.studios.settings(studioId);
  }

  @Put('studio')
  @ApiOkResponse({ type: StudioDto })
  change(@Who() { studioId }: SignedIn, @Body() wanted: StudioDto): Promise<StudioDto> {
    return this.studios.change(studioId, wanted);
  }

  @Get('session')
  @ApiOkResponse({ type: SessionDto })
  session(@Who() who: SignedIn): Promise<SessionDto> {
    return this.studios.describe(who);
  }

  @Delete('session')
  @HttpCode(204)
  @ApiNoContentResponse()
  signOut(@Req() request: Request): Promise<void> {
    return closeSession(request);
  }
}
