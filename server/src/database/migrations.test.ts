import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { migrate } from '../migrate.ts';
import { dataSource } from './data-source.ts';

async function emptyDatabase(): Promise<string> {
  const base = process.env['TEST_DATABASE_SERVER'] ?? '';
  const name = `migrations_${randomUUID().replaceAll('-', '')}`;
  const admin = new pg.Client({ connectionString: `${base}postgres` });
  await admin.connect();
  await admin.query(`create database ${name}`);
  await admin.end();
  return base + name;
}

test('two servers that start on one empty database make its tables once', async () => {
  const url = await emptyDatabase();
  const made = await Promise.all([migrate(url), migrate(url)]);
  expect(made.sort((a, b) => a - b)).toEqual([0, expect.any(Number)]);
  expect(made[1]).toBeGreaterThan(5);
});

test('every migration has a real way back, and forth again', async () => {
  const source = await dataSource(await emptyDatabase()).initialize();
  const tables = async (): Promise<string[]> =>
    (
      await source.query<{ tablename: string }[]>(
        `select tablename from pg_tables where schemaname = 'public' and tablename <> 'migrations' order by 1`,
      )
    ).map(({ tablename }) => tablename);
  const made = await source.runMigrations();
  const first = await tables();
  for (let undone = 0; undone < made.length; undone += 1) await source.undoLastMigration();
  expect(await tables()).toEqual([]);
  await source.runMigrations();
  expect(await tables()).toEqual(first);
  expect(first).toContain('run_key');
  await source.destroy();
});
