import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { StudiosModule } from '../studios/index.ts';
import { Student } from './student.entity.ts';
import { StudentRowsService } from './student-rows.service.ts';
import { StudentsController } from './students.controller.ts';
import { StudentsService } from './students.service.ts';

@Module({
  imports: [TypeOrmModule.forFeature([Student]), StudiosModule],
  controllers: [StudentsController],
  providers: [StudentsService, StudentRowsService],
  exports: [StudentsService],
})
export class StudentsModule {}
