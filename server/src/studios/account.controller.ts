import { Body, Controller, Delete, HttpCode, Post, Req, UseGuards } from '@nestjs/common';
import { ApiCreatedResponse, ApiNoContentResponse, ApiTags } from '@nestjs/swagger';
import { Throttle } from '@nestjs/throttler';
import type { Request } from 'express';
import { Open, Who, type SignedIn } from '../common/index.ts';
import { AccountService } from './account.service.ts';
import { NewPasswordDto, PasswordDto, RecoveryCodesDto, RecoveryDto, SessionDto } from './dto/studios.dto.ts';
import { closeSession, openSession } from './session-cookie.ts';
import { SignInThrottle, TRIES } from './sign-in-throttle.ts';
import { StudiosService } from './studios.service.ts';

@ApiTags('account')
@Controller('account')
@UseGuards(SignInThrottle)
export class AccountController {
  constructor(
    private readonly account: AccountService,
    private readonly studios: StudiosService,
  ) {}

  @Throttle(TRIES)
  @Post('password')
  @HttpCode(204)
  @ApiNoContentResponse()
  async changePassword(@Who() who: SignedIn, @Body() wanted: NewPasswordDto, @Req() request: Request): Promise<void> {
    await this.account.changePassword(who, wanted);
    await openSession(request, who);
  }

  @Throttle(TRIES)
  @Post('recovery-codes')
  @ApiCreatedResponse({ type: RecoveryCodesDto })
  async newCodes(@Who() who: SignedIn): Promise<RecoveryCodesDto> {
    return { codes: await this.account.newCodes(who) };
  }

  @Open()
  @Throttle(TRIES)
  @Post('recovery')
  @ApiCreatedResponse({ type: SessionDto })
  async recover(@Body() wanted: RecoveryDto, @Req() request: Request): Promise<SessionDto> {
    const signedIn = await this.account.recover(wanted);
    await openSession(request, signedIn);
    return this.studios.describe(signedIn);
  }

  @Throttle(TRIES)
  @Delete()
  @HttpCode(204)
  @ApiNoContentResponse()
  async close(@Who() who: SignedIn, @Body() { password }: PasswordDto, @Req() request: Request): Promise<void> {
    await this.account.close(who, password);
    await closeSession(request);
  }
}
