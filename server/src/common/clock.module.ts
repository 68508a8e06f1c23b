import { Global, Module } from '@nestjs/common';
import { Clock } from './clock.ts';

@Global()
@Module({ providers: [Clock], exports: [Clock] })
export class ClockModule {}
