import { randomBytes } from 'node:crypto';
import type { DataSource } from 'typeorm';

/** The key that signs session cookies; in the database, so that any number of servers share it. */
export async function serverSecret(source: DataSource): Promise<string> {
  await source.query(`insert into server_secret (name, value) values ('session', $1) on conflict do nothing`, [
    randomBytes(32).toString('hex'),
  ]);
  const [row] = await source.query<{ value: string }[]>(`select value from server_secret where name = 'session'`);
  if (!row) throw new Error('The session secret could not be kept.');
  return row.value;
}
