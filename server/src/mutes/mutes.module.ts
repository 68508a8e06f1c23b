import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { RoutinesModule } from '../routines/index.ts';
import { StudentsModule } from '../students/index.ts';
import { Mute } from './mute.entity.ts';
import { MutesController } from './mutes.controller.ts';
import { MutesService } from './mutes.service.ts';

@Module({
  imports: [TypeOrmModule.forFeature([Mute]), StudentsModule, RoutinesModule],
  controllers: [MutesController],
  providers: [MutesService],
})
export class MutesModule {}
