import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { ThrottlerModule } from '@nestjs/throttler';
import { AccountController, SessionsController } from './account.controller.ts';
import { Account } from './account.entity.ts';
import { AccountService } from './account.service.ts';
import { OpenSessions } from './open-sessions.ts';
import { RecoveryCode } from './recovery-code.entity.ts';
import { SharedThrottle } from './shared-throttle.ts';
import { SIGN_IN_THROTTLERS } from './sign-in-throttle.ts';
import { Studio } from './studio.entity.ts';
import { StudiosController } from './studios.controller.ts';
import { StudiosService } from './studios.service.ts';

@Module({
  imports: [
    TypeOrmModule.forFeature([Account, RecoveryCode, Studio]),
    ThrottlerModule.forRootAsync({
      inject: [DataSource],
      useFactory: (source: DataSource) => ({ throttlers: SIGN_IN_THROTTLERS, storage: new SharedThrottle(source) }),
    }),
  ],
  controllers: [StudiosController, AccountController, SessionsController],
  providers: [
    StudiosService,
    AccountService,
    OpenSessions,
    { provide: SharedThrottle, inject: [DataSource], useFactory: (source: DataSource) => new SharedThrottle(source) },
  ],
  exports: [StudiosService, SharedThrottle],
})
export class StudiosModule {}
