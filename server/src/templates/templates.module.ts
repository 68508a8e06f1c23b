import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { RoutinesModule } from '../routines/index.ts';
import { Template } from './template.entity.ts';
import { TemplatesController } from './templates.controller.ts';
import { TemplatesService } from './templates.service.ts';

@Module({
  imports: [TypeOrmModule.forFeature([Template]), RoutinesModule],
  controllers: [TemplatesController],
  providers: [TemplatesService],
})
export class TemplatesModule {}
