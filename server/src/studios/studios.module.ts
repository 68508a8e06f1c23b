import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccountController } from './account.controller.ts';
import { Account } from './account.entity.ts';
import { AccountService } from './account.service.ts';
import { RecoveryCode } from './recovery-code.entity.ts';
import { Studio } from './studio.entity.ts';
import { StudiosController } from './studios.controller.ts';
import { StudiosService } from './studios.service.ts';

@Module({
  imports: [TypeOrmModule.forFeature([Account, RecoveryCode, Studio])],
  controllers: [StudiosController, AccountController],
  providers: [StudiosService, AccountService],
  exports: [StudiosService],
})
export class StudiosModule {}
