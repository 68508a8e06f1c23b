import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { StudentsModule } from '../students/index.ts';
import { StudiosModule } from '../studios/index.ts';
import { AdviceAnswer } from './advice-answer.entity.ts';
import { AdviceController } from './advice.controller.ts';
import { AdviceService } from './advice.service.ts';

@Module({
  imports: [TypeOrmModule.forFeature([AdviceAnswer]), StudiosModule, StudentsModule],
  controllers: [AdviceController],
  providers: [AdviceService],
  exports: [AdviceService],
})
export class AdviceModule {}
