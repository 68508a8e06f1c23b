import { screen, waitFor, within } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import {
  OTHER_STUDENT,
  ROUTINE,
  routine,
  RUN,
  session,
  step,
  STUDENT,
  student,
  studentToday,
  voice,
} from '../../testing/samples.ts';

type Sent = Schemas['SentRunDto'];

const BASS = student({
  id: OTHER_STUDENT,
  name: 'Nan Osier',
  voice: voice({ type: 'bass', bridges: [], measured: { low: 40, high: 62, date: '2026-11-03' } }),
});
const LOCKS = `POST /api/students/${OTHER_STUDENT}/locks`;
const LOCK: Schemas['LockDto'] = {
  id: RUN,
  level: 'not-today',
  since: '2026-11-25',
  liftedAt: null,
  liftedBy: null,
  reason: null,
};

async function openGate(today: Partial<Schemas['StudentTodayDto']> = {}): Promise<OpenedPage> {
  const page = openPage(`/sing/${ROUTINE}`, {
    'GET /api/session': session({ approach: { 'at-the-piano': 'waits' } }),
    'GET /api/groups': [{ id: RUN, name: 'The pair', members: [STUDENT, OTHER_STUDENT], version: 1 }],
    [`GET /api/routines/${ROUTINE}`]: routine({
      groupId: RUN,
      steps: [step('up-and-down-five', { settings: { start: 60, maxKeys: 3, travel: 'rise' } }), step('long-hiss')],
    }),
    [`GET /api/students/${OTHER_STUDENT}/today`]: studentToday({ student: BASS, ...today }),
    [`PUT /api/students/${STUDENT}/condition`]: {},
    [`PUT /api/students/${OTHER_STUDENT}/condition`]: {},
    [LOCKS]: (body: unknown) => ({ ...LOCK, ...(body as object) }),
    'PUT /api/runs/*': (body: unknown) => body,
  });
  await screen.findByRole('heading', { name: 'Who sings along' });
  return page;
}

const other = (): HTMLElement => screen.getByRole('group', { name: 'Nan Osier' });
const begin = (): HTMLElement => screen.getByRole('button', { name: 'Begin' });
const press = (name: string | RegExp): HTMLElement => screen.getByRole('button', { name });

async function answer({ user }: OpenedPage, where: HTMLElement, ...words: readonly string[]): Promise<void> {
  for (const name of words) await user.click(within(where).getAllByRole('radio', { name })[0] as HTMLElement);
}

async function sing(way?: string): Promise<OpenedPage> {
  const page = await openGate();
  await answer(page, screen.getByRole('main'), 'not at all', 'as usual', 'no');
  await page.user.click(within(other()).getByRole('checkbox', { name: 'Nan Osier' }));
  await answer(page, other(), 'not at all', 'as usual', 'no');
  if (way !== undefined) await page.user.click(screen.getByRole('radio', { name: way }));
  await page.user.click(begin());
  await screen.findByText(/step 1 of/);
  await page.user.click(press('Start'));
  return page;
}

/** All that was sent of one singer’s run: keys go as they are sung. */
function sentOf({ sent }: OpenedPage, studentId: string): Sent | undefined {
  const runs = sent
    .filter(({ what }) => what.startsWith('PUT /api/runs/'))
    .map(({ body }) => body as Sent)
    .filter((run) => run.studentId === studentId);
  const last = runs.at(-1);
  const keys = new Map(runs.flatMap(({ sung }) => sung).map((key) => [key.id, key]));
  return last && { ...last, sung: [...keys.values()] };
}

async function close({ user }: OpenedPage): Promise<void> {
  await user.keyboard('n');
  await user.click(screen.getAllByRole('button', { name: 'Finish' })[0] as HTMLElement);
  expect(await screen.findByText(/each in a run of their own: Nan Osier \d keys?\.$/)).toBeVisible();
  await user.click(press('Into the log'));
}

test('each who sings along is asked what the gate asks, and nobody begins before all have answered', async () => {
  const page = await openGate();
  await answer(page, screen.getByRole('main'), 'not at all', 'as usual', 'no');
  expect(begin()).toBeEnabled();
  await page.user.click(within(other()).getByRole('checkbox', { name: 'Nan Osier' }));
  expect(begin()).toBeDisabled();
  await answer(page, other(), 'tired', 'as usual', 'no');
  expect(within(other()).getByText('Today counts as tired.')).toBeVisible();
  expect(begin()).toBeEnabled();
  await waitFor(() => {
    expect(page.sent).toContainEqual(
      expect.objectContaining({
        what: `PUT /api/students/${OTHER_STUDENT}/condition`,
        body: expect.objectContaining({ conditions: ['tired'] }) as unknown,
      }),
    );
  });
});

test('who must not sing today is locked and does not; the other sings alone', async () => {
  const page = await openGate();
  await answer(page, screen.getByRole('main'), 'not at all', 'as usual', 'no');
  await page.user.click(within(other()).getByRole('checkbox', { name: 'Nan Osier' }));
  await answer(page, other(), 'not at all', 'gone', 'no');
  await page.user.click(within(other()).getByRole('button', { name: 'None of these' }));
  expect(await within(other()).findByText(/A voice that is gone needs rest/)).toBeVisible();
  await waitFor(() => {
    expect(page.sent).toContainEqual(expect.objectContaining({ what: LOCKS }));
  });
  expect(begin()).toBeDisabled();
  await page.user.click(within(other()).getByRole('checkbox', { name: 'Nan Osier' }));
  expect(begin()).toBeEnabled();
});

test('a voice that is locked cannot be taken along', async () => {
  const page = await openGate({ lock: LOCK });
  expect(within(other()).getByRole('checkbox', { name: 'Nan Osier' })).toBeDisabled();
  expect(within(other()).getByText(/opened again in this singer’s own lesson/)).toBeVisible();
  await answer(page, screen.getByRole('main'), 'not at all', 'as usual', 'no');
  expect(begin()).toBeEnabled();
});

test('together, a mark is for all or for one, and each has a run of their own at the end', async () => {
  const page = await sing();
  const { user } = page;
  expect(screen.getByText('Maud Pellow · Nan Osier an octave lower')).toBeVisible();
  await user.click(screen.getByRole('radio', { name: 'Nan Osier' }));
  await user.keyboard('s');
  await user.click(press('Next key'));
  await close(page);
  await waitFor(() => {
    expect(sentOf(page, OTHER_STUDENT)).toMatchObject({
      routineId: ROUTINE,
      sung: [{ tonic: 48, marks: ['strain'] }],
    });
  });
  expect(sentOf(page, STUDENT)).toMatchObject({ sung: [{ tonic: 60, marks: [] }] });
  expect(sentOf(page, OTHER_STUDENT)?.plan[0]?.keys.map(({ tonic }) => tonic)).toEqual([48, 49, 50]);
  const ids = [STUDENT, OTHER_STUDENT].flatMap((id) => sentOf(page, id)?.sung.map((key) => key.id) ?? []);
  expect(new Set(ids).size).toBe(2);
});

test('in turn, the name is whose turn it is, and each key is sung by both before the next', async () => {
  const { user } = await sing('In turn, key by key');
  const strip = screen.getByRole('region', { name: 'Who sings' });
  const seen: string[] = [];
  for (let turn = 0; turn < 4; turn += 1) {
    seen.push(`${document.querySelector('output')?.textContent ?? ''}: ${strip.textContent}`);
    await user.click(press('Next key'));
  }
  expect(seen).toEqual([
    'C: Maud Pellow then Nan Osier',
    'C: Nan Osier then Maud Pellow',
    'D♭: Maud Pellow then Nan Osier',
    'D♭: Nan Osier then Maud Pellow',
  ]);
});
