import { dataSource } from './database/index.ts';

/** Any number; servers that start on one empty database make its tables one after the other. */
const LOCK = 716_203;

/** Brings a database up to date. @returns how many migrations were made */
export async function migrate(url: string): Promise<number> {
  const source = await dataSource(url).initialize();
  const holder = source.createQueryRunner();
  try {
    await holder.query('select pg_advisory_lock($1)', [LOCK]);
    return (await source.runMigrations()).length;
  } finally {
    await holder.release();
    await source.destroy();
  }
}
