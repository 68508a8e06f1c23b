import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Account } from './account.entity.ts';
import { Studio } from './studio.entity.ts';
import { StudiosController } from './studios.controller.ts';
import { StudiosService } from './studios.service.ts';

@Module({
  imports: [TypeOrmModule.forFeature([Account, Studio])],
  controllers: [StudiosController],
  providers: [StudiosService],
  exports: [StudiosService],
})
export class StudiosModule {}
