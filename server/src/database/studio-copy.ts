import { finished, type Readable, type Writable } from 'node:stream';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { PoolClient } from 'pg';
import { from as copyFrom, to as copyTo } from 'pg-copy-streams';
import { DataSource } from 'typeorm';
import { validate as isUuid } from 'uuid';

/** One studio's rows, table by table, as the database itself writes and reads them. */
export interface StudioCopy {
  /** Columns of a table besides the studio, in their order. */
  readonly columns: (table: string) => Promise<readonly string[]>;
  readonly count: (table: string) => Promise<number>;
  /** The rows as lines of UTF-8 without the studio, in pieces as the database sends them: a row may lie in two. */
  readonly out: (table: string, columns: readonly string[]) => AsyncIterable<Buffer>;
  /** Takes lines of text that begin with the studio. */
  readonly into: (table: string, columns: readonly string[]) => Writable;
  readonly clear: (table: string) => Promise<void>;
  /** The number of the latest migration: what the tables look like. */
  readonly schema: () => Promise<number>;
  /** A query written by hand; `$1` is the studio. */
  readonly query: (sql: string, parameters?: readonly unknown[]) => Promise<readonly Record<string, unknown>[]>;
}

const quoted = (name: string): string => `"${name.replaceAll('"', '""')}"`;

/** A copy cannot be broken off: what nobody reads any more is let go by, so that the connection is free again. */
async function* piecesOf(copied: Readable): AsyncGenerator<Buffer> {
  // Its error is that of the pieces; where nobody waits for them any more, nobody needs to know.
  finished(copied, () => undefined);
  try {
    yield* copied.iterator({ destroyOnReturn: false }) as AsyncIterable<Buffer>;
  } finally {
    copied.resume();
  }
}

function copyOf(client: PoolClient, studioId: string): StudioCopy {
  const query: StudioCopy['query'] = async (sql, parameters = []) =>
    (await client.query<Record<string, unknown>>(sql, [studioId, ...parameters])).rows;
  const list = (columns: readonly string[]): string => columns.map(quoted).join(', ');
  return {
    query,
    columns: async (table) => {
      const { rows } = await client.query<{ name: string }>(
        `select column_name as name from information_schema.columns
          where table_schema = 'public' and table_name = $1 and column_name <> 'studio_id' order by ordinal_position`,
        [table],
      );
      return rows.map(({ name }) => name);
    },
    schema: async () => {
      const { rows } = await client.query<{ latest: string }>('select max(timestamp) as latest from migrations');
      return Number(rows[0]?.latest ?? 0);
    },
    count: async (table) => {
      const [row] = await query(`select count(*)::int as count from ${quoted(table)} where studio_id = $1`);
      return Number(row?.['count'] ?? 0);
    },
    // A copy takes no parameters; the studio was looked at when the carrying began.
    out: (table, columns) =>
      piecesOf(
        client.query(
          copyTo(`copy (select ${list(columns)} from ${quoted(table)} where studio_id = '${studioId}') to stdout`),
        ),
      ),
    into: (table, columns) => client.query(copyFrom(`copy ${quoted(table)} (studio_id, ${list(columns)}) from stdin`)),
    clear: async (table) => {
      await query(`delete from ${quoted(table)} where studio_id = $1`);
    },
  };
}

/** Carries whole studios out of the database and back, a table at a time and never whole in memory. */
@Injectable()
export class StudioCopier {
  private readonly source: DataSource;

  constructor(@InjectDataSource() source: DataSource) {
    this.source = source;
  }

  /** All of it sees the studio as it was at one moment, or happens whole or not at all. */
  async during<T>(studioId: string, isReading: boolean, work: (copy: StudioCopy) => Promise<T>): Promise<T> {
    if (!isUuid(studioId)) throw new Error('A studio has no such id.');
    const runner = this.source.createQueryRunner();
    const client = (await runner.connect()) as PoolClient;
    try {
      await client.query(isReading ? 'begin isolation level repeatable read read only' : 'begin');
      // A studio of many years takes longer than any one question may.
      await client.query("set local statement_timeout = 0; set local lock_timeout = '5s'");
      const result = await work(copyOf(client, studioId));
      await client.query('commit');
      return result;
    } catch (error) {
      await client.query('rollback').catch(() => undefined);
      throw error;
    } finally {
      await runner.release();
    }
  }
}
