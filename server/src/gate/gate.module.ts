import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { StudentsModule } from '../students/index.ts';
import { StudiosModule } from '../studios/index.ts';
import { GateController } from './gate.controller.ts';
import { GateService } from './gate.service.ts';
import { VoiceLock } from './voice-lock.entity.ts';

@Module({
  imports: [TypeOrmModule.forFeature([VoiceLock]), StudentsModule, StudiosModule],
  controllers: [GateController],
  providers: [GateService],
  exports: [GateService],
})
export class GateModule {}
