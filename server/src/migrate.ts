import { dataSource } from './database/index.ts';

/** Brings a database up to date. */
export async function migrate(url: string): Promise<number> {
  const source = await dataSource(url).initialize();
  try {
    return (await source.runMigrations()).length;
  } finally {
    await source.destroy();
  }
}
