import { Body, Controller, Delete, Get, HttpCode, Param, Post, Req, UseGuards } from '@nestjs/common';
import { ApiCreatedResponse, ApiNoContentResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { Open, Who, type SignedIn } from '../common/index.ts';
import { AccountService } from './account.service.ts';
import {
  NewEmailDto,
  NewPasswordDto,
  OpenSessionDto,
  PasswordDto,
  RecoveryCodesDto,
  RecoveryDto,
} from './dto/account.dto.ts';
import { SessionWithCodesDto } from './dto/studios.dto.ts';
import { closeSession, openSession } from './session-cookie.ts';
import { SignInThrottle } from './sign-in-throttle.ts';
import { StudiosService } from './studios.service.ts';

@ApiTags('account')
@Controller('account')
@UseGuards(SignInThrottle)
export class AccountController {
  constructor(
    private readonly account: AccountService,
    private readonly studios: StudiosService,
  ) {}

  @Post('password')
  @ApiCreatedResponse({ type: RecoveryCodesDto })
  async changePassword(
    @Who() who: SignedIn,
    @Body() wanted: NewPasswordDto,
    @Req() request: Request,
  ): Promise<RecoveryCodesDto> {
    const codes = await this.account.changePassword(who, wanted);
    await openSession(request, who);
    return { codes };
  }

  @Post('email')
  @HttpCode(204)
  @ApiNoContentResponse()
  changeEmail(@Who() who: SignedIn, @Body() wanted: NewEmailDto): Promise<void> {
    return this.account.changeEmail(who, wanted);
  }

  @Post('recovery-codes')
  @ApiCreatedResponse({ type: RecoveryCodesDto })
  async newCodes(@Who() who: SignedIn, @Body() { password }: PasswordDto): Promise<RecoveryCodesDto> {
    return { codes: await this.account.newCodes(who, password) };
  }

  @Open()
  @Post('recovery')
  @ApiCreatedResponse({ type: SessionWithCodesDto })
  async recover(@Body() wanted: RecoveryDto, @Req() request: Request): Promise<SessionWithCodesDto> {
    const { signedIn, codes } = await this.account.recover(wanted);
    await openSession(request, signedIn);
    return { ...(await this.studios.describe(signedIn)), codes };
  }

  @Delete()
  @HttpCode(204)
  @ApiNoContentResponse()
  async close(@Who() who: SignedIn, @Body() { password }: PasswordDto, @Req() request: Request): Promise<void> {
    await this.account.close(who, password);
    await closeSession(request);
  }
}

@ApiTags('account')
@Controller('account/sessions')
export class SessionsController {
  constructor(private readonly account: AccountService) {}

  @Get()
  @ApiOkResponse({ type: [OpenSessionDto] })
  list(@Who() who: SignedIn, @Req() request: Request): Promise<OpenSessionDto[]> {
    return this.account.openSessions(who, request.sessionID);
  }

  @Delete(':sessionId')
  @HttpCode(204)
  @ApiNoContentResponse()
  end(@Who() who: SignedIn, @Param('sessionId') id: string): Promise<void> {
    return this.account.endSession(who, id);
  }
}
