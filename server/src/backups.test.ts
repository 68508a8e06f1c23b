import { mkdtemp, readdir, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PassThrough, Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { gunzipSync } from 'node:zlib';
import { DataSource } from 'typeorm';
import { BackupFolder, BackupsService } from './backups/index.ts';
import { Clock } from './common/index.ts';
import { StudioFileService } from './studio-file/index.ts';
import { expectProblem, startTestServer, Teacher, type TestServer } from './testing/test-studio.ts';

interface Listed {
  readonly isOn: boolean;
  readonly isBeingMade: boolean;
  readonly share: number;
  readonly trouble: string | null;
  readonly backups: readonly { readonly name: string; readonly bytes: number }[];
}

let root: string;
let server: TestServer;
let teacher: Teacher;
let studioId: string;

const listed = async (who = teacher): Promise<Listed> => (await who.call('get', '/studio/backups')).body as Listed;

/** The list once it is as wanted; jobs are looked for every two seconds. */
async function until(isSo: (list: Listed) => boolean, who = teacher): Promise<Listed> {
  for (let tries = 0; tries < 200; tries += 1) {
    const list = await listed(who);
    if (isSo(list)) return list;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`never so: ${JSON.stringify(await listed(who))}`);
}

async function keep(count: number): Promise<void> {
  const settings = (await teacher.call('get', '/studio')).body as object;
  const { status } = await teacher.call('put', '/studio', { ...settings, backupsKept: count });
  expect(status).toBe(200);
}

beforeAll(async () => {
  process.env['DEMO'] = 'off';
  root = await mkdtemp(join(tmpdir(), 'backups-'));
  server = await startTestServer({ backupFolder: root });
  teacher = await new Teacher(server).signUp();
  await teacher.addStudent({ name: 'Maud Pellow' });
  const rows = (await server.query('select studio_id from account where email = $1', [teacher.email])) as {
    studio_id: string;
  }[];
  studioId = rows[0]?.studio_id ?? '';
});
afterAll(async () => {
  delete process.env['DEMO'];
  await server.close();
  await rm(root, { recursive: true, force: true });
});

test('a backup is asked for, made by a job, whole, and restored with what was there backed up first', async () => {
  // The job of the night looks once as the server starts, and may have made one already.
  expect(await listed()).toMatchObject({ isOn: true, trouble: null });
  expect((await teacher.call('post', '/studio/backups')).status).toBe(202);
  const { backups } = await until((list) => list.backups.length > 0 && !list.isBeingMade);
  const name = backups[0]?.name ?? '';
  const file = await teacher.agent
    .get(`/api/studio/backups/${name}`)
    .buffer(true)
    .parse((stream, done) => {
      const pieces: Buffer[] = [];
      stream.on('data', (piece: Buffer) => pieces.push(piece));
      stream.on('end', () => {
        done(null, Buffer.concat(pieces));
      });
    });
  expect(gunzipSync(file.body as Buffer).toString()).toMatch(/Maud Pellow[\s\S]+"sha256"/);
  await teacher.addStudent({ name: 'Came Later' });
  const compared = await teacher.call('post', `/studio/backups/${name}/compare`);
  expect(compared.body).toMatchObject({ isSame: true });
  await new Promise((resolve) => setTimeout(resolve, 1100));
  expect((await teacher.call('post', `/studio/backups/${name}/restore`)).status).toBe(200);
  const students = (await teacher.call('get', '/students')).body as { readonly name: string }[];
  expect(students.map((one) => one.name)).toEqual(['Maud Pellow']);
  expect((await listed()).backups.length).toBeGreaterThan(backups.length);
});

test('a backup says how far it is; called off, nothing of it is left, and the next is made', async () => {
  const shares: number[] = [];
  const watch = { signal: new AbortController().signal, onShare: (share: number) => shares.push(share) };
  await server.app.get(StudioFileService, { strict: false }).write(studioId, new PassThrough().resume(), watch);
  expect(shares).toEqual([...shares].sort((a, b) => a - b));
  expect(shares.at(-1)).toBe(1);

  const before = (await listed()).backups;
  // Whoever holds a table holds up its copy.
  const holder = server.app.get(DataSource).createQueryRunner();
  await holder.query('begin');
  await holder.query('lock table song in access exclusive mode');
  await teacher.call('post', '/studio/backups');
  await until(({ isBeingMade }) => isBeingMade);
  const isActive = async (): Promise<boolean> =>
    (
      (await server.query(`select 1 from jobs.job where singleton_key = $1 and state = 'active'`, [
        studioId,
      ])) as unknown[]
    ).length > 0;
  while (!(await isActive())) await new Promise((resolve) => setTimeout(resolve, 50));
  expect((await teacher.call('delete', '/studio/backups')).body).toMatchObject({ isBeingMade: false, trouble: null });
  await new Promise((resolve) => setTimeout(resolve, 1500));
  await holder.query('rollback');
  await holder.release();
  // Begun anew, it is the only one.
  await teacher.call('post', '/studio/backups');
  await until((list) => list.backups.length > before.length && !list.isBeingMade);
  expect(await readdir(join(root, studioId))).toHaveLength(before.length + 1);
});

test('of what another studio has, of nothing and of strange names there is no backup', async () => {
  const other = await new Teacher(server).signUp();
  const [mine] = (await listed()).backups;
  expect((await listed(other)).backups).toEqual([]);
  for (const name of [mine?.name ?? '', 'nothing', '..%2F..%2Fetc%2Fpasswd'])
    expectProblem(await other.call('post', `/studio/backups/${name}/compare`), 404, 'NOT_FOUND');
});

test('as many are kept as the teacher wants; what broke off is never offered, and goes', async () => {
  const folder = new BackupFolder(root);
  for (const day of ['20', '21', '22', '23'])
    await folder.write(studioId, new Date(`2026-11-${day}T03:00:00Z`), (out) => pipeline(Readable.from('old'), out));
  await writeFile(join(root, studioId, '2026-11-24T03-00-00Z.softlark.gz.part'), 'half');
  await keep(3);
  await teacher.call('post', '/studio/backups');
  const { backups } = await until((list) => list.backups.length === 3 && !list.isBeingMade);
  expect(backups.every(({ bytes }) => bytes > 100)).toBe(true);
  expect((await readdir(join(root, studioId))).filter((name) => name.endsWith('.part'))).toEqual([]);
});

test('a disk that is full leaves no half file, and the page says why', async () => {
  const folder = new BackupFolder(root);
  const full = folder.write(studioId, new Date('2026-11-26T03:00:00Z'), (out) => {
    out.destroy();
    return Promise.reject(new Error('no space left on device'));
  });
  await expect(full).rejects.toThrow(/no space/);
  expect((await readdir(join(root, studioId))).filter((name) => name.includes('2026-11-26'))).toEqual([]);
  await server.query(
    `update jobs.job set state = 'failed', output = '{"message": "no space left on device"}' where singleton_key = $1`,
    [studioId],
  );
  expect((await listed()).trouble).toBe('no space left on device');
});

test.each<[string, string, string | null, number, boolean]>([
  ['none yet', '2026-11-25T12:00:00Z', null, 7, true],
  ['one of last night', '2026-11-25T12:00:00Z', '2026-11-25T03:10:00Z', 7, false],
  ['one of yesterday, before the night is over', '2026-11-25T02:30:00Z', '2026-11-24T03:10:00Z', 7, false],
  ['one of yesterday, the machine was off at night', '2026-11-25T15:00:00Z', '2026-11-24T15:00:00Z', 7, true],
  ['none is wanted', '2026-11-25T15:00:00Z', null, 0, false],
])('whether a backup is due: %s', async (_, now, last, kept, isDue) => {
  await keep(kept);
  const own = await mkdtemp(join(tmpdir(), 'due-'));
  const folder = new BackupFolder(own);
  if (last !== null) await folder.write(studioId, new Date(last), (out) => pipeline(Readable.from('one'), out));
  process.env['SOFT_LARK_NOW'] = now;
  const clock = new Clock();
  delete process.env['SOFT_LARK_NOW'];
  const service = new BackupsService(folder, {} as never, {} as never, server.app.get(DataSource), clock);
  expect((await service.due()).includes(studioId)).toBe(isDue);
  await rm(own, { recursive: true });
});
