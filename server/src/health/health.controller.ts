import { Controller, Get } from '@nestjs/common';
import { ApiOkResponse, ApiTags } from '@nestjs/swagger';
import {
  HealthCheck,
  HealthCheckService,
  HealthIndicatorService,
  type HealthCheckResult,
  type HealthIndicatorResult,
} from '@nestjs/terminus';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { Open } from '../common/index.ts';

/** A disk that is full, or a stand-by, answers every question and keeps nothing. */
const WRITE = `insert into health (id, written_at) values (1, now()) on conflict (id) do update set written_at = now()`;

@ApiTags('health')
@Controller('health')
export class HealthController {
  constructor(
    private readonly health: HealthCheckService,
    private readonly indicators: HealthIndicatorService,
    @InjectDataSource() private readonly source: DataSource,
  ) {}

  /** Whether the database answers, can be written to, and every migration has been made. */
  @Open()
  @Get()
  @HealthCheck()
  @ApiOkResponse({ description: 'All is well; 503 names what is not.' })
  check(): Promise<HealthCheckResult> {
    return this.health.check([
      () => this.ask('database', () => this.source.query('select 1')),
      () => this.ask('writing', () => this.source.query(WRITE)),
      () => this.ask('migrations', () => this.allMade()),
    ]);
  }

  private async ask(name: string, question: () => Promise<unknown>): Promise<HealthIndicatorResult> {
    const indicator = this.indicators.check(name);
    try {
      await question();
      return indicator.up();
    } catch {
      return indicator.down();
    }
  }

  private async allMade(): Promise<void> {
    if (await this.source.showMigrations()) throw new Error('A migration is pending.');
  }
}
