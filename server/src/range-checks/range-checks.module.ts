import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { StudentsModule } from '../students/index.ts';
import { StudiosModule } from '../studios/index.ts';
import { RangeCheck } from './range-check.entity.ts';
import { RangeChecksController } from './range-checks.controller.ts';
import { RangeChecksService } from './range-checks.service.ts';

@Module({
  imports: [TypeOrmModule.forFeature([RangeCheck]), StudentsModule, StudiosModule],
  controllers: [RangeChecksController],
  providers: [RangeChecksService],
  exports: [RangeChecksService],
})
export class RangeChecksModule {}
