// A studio of sixty students and three years out to a file and back: how long each takes, and whether every row is the same.
import { gunzipSync } from 'node:zlib';
import pg from 'pg';
import { fill, signUp } from './size-figures.mjs';

const STUDENTS = 60;
const YEARS = 3;

/** What each table holds of a studio: how many rows, and a sum over the hash of every row. */
async function digests(client, studio) {
  const { rows: tables } = await client.query(
    `select distinct table_name as name from information_schema.columns
      where table_schema = 'public' and column_name = 'studio_id' order by 1`,
  );
  const found = {};
  for (const { name } of tables) {
    const { rows } = await client.query(
      `select count(*)::int as rows, coalesce(sum(hashtextextended(held::text, 0)::numeric), 0)::text as sum
         from "${name}" held where studio_id = $1`,
      [studio],
    );
    found[name] = `${rows[0].rows} ${rows[0].sum}`;
  }
  return found;
}

const timed = async (work) => {
  const began = performance.now();
  const result = await work();
  return { result, seconds: (performance.now() - began) / 1000 };
};

/** @returns {Promise<import('./table.mjs').Figure[]>} */
export async function carryFigures({ address, databaseUrl }) {
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  const figures = [];
  const under = (name, value, unit, target) => figures.push({ name, value, unit, target, isCeiling: true });
  try {
    const { send, take } = await signUp(address, 'Carried');
    const { keys, studio } = await fill(client, STUDENTS, YEARS);
    const before = await digests(client, studio);
    const million = (keys / 1e6).toFixed(2);
    const file = await timed(() => take('/studio/file'));
    under(`a studio with ${million} million keys out to a file`, file.seconds, 's', 20);
    under('the file', file.result.length / 1e6, 'MB', 200);
    const last = gunzipSync(file.result).subarray(-200).toString().trimEnd().split('\n').at(-1);
    if (!last.includes('sha256')) throw new Error(`The file does not end as a whole one does: ${last}`);
    // What is restored has to come from the file.
    await client.query('delete from run where studio_id = $1', [studio]);
    await client.query(`update student set name = 'Somebody else' where studio_id = $1`, [studio]);
    const back = await timed(() => send('POST', '/studio/file/restore', file.result, 'application/gzip'));
    if (back.result.status !== 200) throw new Error(`restore answered ${back.result.status}: ${back.result.text}`);
    under('the same back in', back.seconds, 's', 120);
    const after = await digests(client, studio);
    const differing = Object.keys(before).filter((table) => before[table] !== after[table]);
    if (differing.length > 0) console.log(`Not the same: ${differing.join(', ')}`);
    under(`tables of ${Object.keys(before).length} that differ, every row compared`, differing.length, '', 1);
    return figures;
  } finally {
    await client.end();
  }
}
