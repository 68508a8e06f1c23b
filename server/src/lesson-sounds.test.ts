import { v7 } from 'uuid';
import { lessonSound, startTestServer, Teacher, expectProblem, type TestServer } from './testing/test-studio.ts';

let server: TestServer;
let other: TestServer;
let teacher: Teacher;
let studentId: string;

interface Made {
  readonly id: string;
  readonly token: string;
}

/** What a page hears by a link. */
class Listener {
  heard = '';
  isOver = false;
  private readonly leaving = new AbortController();

  async open(from: TestServer, token: string): Promise<Response> {
    const answer = await fetch(`${from.url}/api/home/${token}/lesson`, { signal: this.leaving.signal });
    if (answer.ok) void this.read(answer);
    return answer;
  }

  leave(): void {
    this.leaving.abort();
  }

  private async read({ body }: Response): Promise<void> {
    const words = new TextDecoder();
    try {
      for await (const part of body ?? []) this.heard += words.decode(part as Uint8Array);
    } catch {
      // The test left.
    }
    this.isOver = true;
  }
}

const makeLink = async (): Promise<Made> =>
  (await teacher.call('post', `/students/${studentId}/home-links`, { id: v7(), weeks: 4 })).body as Made;
const listening = async (): Promise<boolean> =>
  ((await teacher.call('get', `/students/${studentId}/home-links`)).body as { readonly isListening: boolean }[]).some(
    ({ isListening }) => isListening,
  );
const send = (change: object = {}, to = studentId): ReturnType<Teacher['call']> =>
  teacher.call('post', `/students/${to}/lesson-sounds`, { sound: lessonSound(change) });

/** Until something holds; a test that waits for nothing ends by its own time. */
async function until(holds: () => boolean | Promise<boolean>): Promise<void> {
  while (!(await holds()))
    await new Promise((resolve) => {
      setTimeout(resolve, 20);
    });
}

beforeAll(async () => {
  process.env['DEMO'] = 'off';
  server = await startTestServer();
  other = await startTestServer({ databaseUrl: server.databaseUrl });
  teacher = await new Teacher(server).signUp();
  studentId = await teacher.addStudent();
});
afterAll(() => Promise.all([server.close(), other.close()]));

test('what is sent to one server sounds at whoever listens at another, and at nobody else', async () => {
  const [link, elsewhere] = [await makeLink(), await teacher.addStudent({ name: 'Wren' })];
  const listener = new Listener();
  const answer = await listener.open(other, link.token);
  expect(answer.headers.get('content-type')).toContain('text/event-stream');
  await until(() => listener.heard !== '');
  expect((await send({ sentAt: 1 }, elsewhere)).status).toBe(204);
  expect((await send({ sentAt: 2 })).status).toBe(204);
  await until(() => listener.heard.includes('data: '));
  const [told, ...others] = listener.heard.split('\n').filter((line) => line.startsWith('data: '));
  expect(JSON.parse(told?.slice(6) ?? '')).toEqual(lessonSound({ sentAt: 2 }));
  expect(others).toEqual([]);
  listener.leave();
});

test('whoever listens is seen by the teacher, and is gone when the page is left', async () => {
  const { token } = await makeLink();
  await until(async () => !(await listening()));
  const listener = new Listener();
  await listener.open(server, token);
  await until(listening);
  listener.leave();
  await until(async () => !(await listening()));
});

test('a link that is taken back is heard by no longer; a wrong one never was', async () => {
  const { id, token } = await makeLink();
  const listener = new Listener();
  await listener.open(server, token);
  await teacher.call('delete', `/students/${studentId}/home-links/${id}`);
  await until(() => listener.isOver);
  expect((await new Listener().open(server, token)).status).toBe(404);
});

test('windows of one link are counted, and one that is closed makes room', async () => {
  const { token } = await makeLink();
  const listeners = [new Listener(), new Listener(), new Listener(), new Listener()];
  for (const listener of listeners) expect((await listener.open(server, token)).status).toBe(200);
  expect((await new Listener().open(server, token)).status).toBe(429);
  for (const listener of listeners) listener.leave();
  const last = new Listener();
  await until(async () => (await last.open(server, token)).ok);
  last.leave();
});

test('more than can be passed on at once is refused, and so is what is no sound', async () => {
  const long = Array.from({ length: 200 }, () => ['first-note', 61, 100.1234, 100.1234, 0.1234]);
  expectProblem(await send({ sounds: long }), 413, 'TOO_LARGE');
  for (const sounds of [[['tune', 300, 0, 1, 1]], [['tune', 60, 0, 1]], [['drum', 60, 0, 1, 1]], 'all'])
    expectProblem(await send({ sounds }), 422, 'INVALID');
  expectProblem(await send({}, v7()), 404, 'NOT_FOUND');
});
