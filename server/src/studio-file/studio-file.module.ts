import { Module } from '@nestjs/common';
import { StudioFileController } from './studio-file.controller.ts';
import { StudioFileService } from './studio-file.service.ts';

@Module({ controllers: [StudioFileController], providers: [StudioFileService], exports: [StudioFileService] })
export class StudioFileModule {}
