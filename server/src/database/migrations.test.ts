import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { dataSource } from './data-source.ts';

test('every migration has a real way back, and forth again', async () => {
  const base = process.env['TEST_DATABASE_SERVER'] ?? '';
  const name = `migrations_${randomUUID().replaceAll('-', '')}`;
  const admin = new pg.Client({ connectionString: `${base}postgres` });
  await admin.connect();
  await admin.query(`create database ${name}`);
  await admin.end();
  const source = await dataSource(base + name).initialize();
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
