import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import pg from 'pg';
import { Subject, type Observable } from 'rxjs';
import type { DataSource } from 'typeorm';
import { Problem } from '../common/index.ts';

const CHANNEL = 'soft_lark';
/** PostgreSQL passes on less than 8000 bytes at once. */
const MOST_BYTES = 7900;

/**
 * Short messages from any server to all of them, this one too, by way of the database. Nothing is kept: who does not hear one
 * when it is sent never does.
 */
@Injectable()
export class Broadcast implements OnModuleDestroy {
  private readonly source: DataSource;
  private readonly heard = new Subject<unknown>();
  private line: Promise<pg.Client> | null = null;

  constructor(@InjectDataSource() source: DataSource) {
    this.source = source;
  }

  /** What is sent, while the line is open; nobody else writes to it, so that its shape is that of what was sent. */
  get messages(): Observable<unknown> {
    return this.heard;
  }

  async onModuleDestroy(): Promise<void> {
    this.heard.complete();
    const line = await this.line?.catch(() => null);
    await line?.end();
  }

  /** @throws Problem `TOO_LARGE` where it is more than can be passed on at once */
  async send(message: object): Promise<void> {
    const payload = JSON.stringify(message);
    if (Buffer.byteLength(payload) > MOST_BYTES)
      throw new Problem(413, 'TOO_LARGE', 'This is more than can be passed on at once.');
    await this.source.query('select pg_notify($1, $2)', [CHANNEL, payload]);
  }

  /**
   * The line is open, or is opened again where it broke.
   *
   * @throws where the database cannot be reached
   */
  async demandOpen(): Promise<void> {
    this.line ??= this.open();
    await this.line;
  }

  private async open(): Promise<pg.Client> {
    const { options } = this.source;
    const connectionString = options.type === 'postgres' ? options.url : undefined;
    const line = new pg.Client({ connectionString, application_name: 'soft-lark-broadcast' });
    const lost = (): void => {
      this.line = null;
    };
    line.on('error', lost).on('end', lost);
    line.on('notification', ({ payload }) => {
      if (payload !== undefined) this.heard.next(JSON.parse(payload));
    });
    try {
      await line.connect();
      await line.query(`listen ${CHANNEL}`);
    } catch (cause) {
      lost();
      throw cause;
    }
    return line;
  }
}
