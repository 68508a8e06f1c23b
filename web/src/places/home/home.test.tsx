import { layRoutine, homeRoutine, shippedExercises, type HomeRoutine } from '@soft-lark/core';
import { screen, waitFor } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { refusal } from '../../testing/fake-api.ts';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { step } from '../../testing/samples.ts';

const exercises = new Map(shippedExercises().map((exercise) => [exercise.id, exercise]));

/** A routine as the server lays it for a link. */
function laid(name: string, ids: readonly string[]): HomeRoutine {
  const context = {
    voice: { type: 'mezzo-soprano' as const, style: 'theatre' as const, goals: [], bridges: [], avoid: [] },
    ...{ conditions: [], occasion: 'home' as const, kind: 'home' as const },
    ...{ exercises, known: new Set<string>(), now: '2026-11-25T15:18:00Z' },
  };
  const steps = layRoutine(
    ids.map((id) => step(id)),
    context,
  );
  return homeRoutine({ id: '01920000-0000-7000-8000-00000000000a', name }, steps, []);
}

const HOME = {
  routines: [
    {
      usual: laid('Thursday’s five minutes', ['up-and-down-five', 'long-hiss']),
      gentle: laid('Gently', ['hum-glides']),
    },
  ],
  voiceType: 'mezzo-soprano',
  isChild: false,
  lock: null,
  expiresAt: '2099-01-01T00:00:00Z',
};

const openLink = (change: object = {}, answers: object = {}): OpenedPage =>
  openPage('/home/secret-token', {
    'GET /api/home/*': { ...HOME, ...change },
    'PUT /api/home/secret-token/runs/*': undefined,
    ...answers,
  });

async function answerGate({ user }: OpenedPage, words: readonly string[]): Promise<void> {
  await user.click(await screen.findByRole('button', { name: /five minutes/ }));
  for (const word of words) await user.click(await screen.findByRole('radio', { name: word }));
}
const USUAL = ['not at all', 'as usual', 'no'];
const title = (): string => screen.getByRole('heading', { level: 1 }).textContent;

test('practised one thing at a time, ended without a reason, and sent with ease and a line', async () => {
  const page = openLink();
  const { user } = page;
  await answerGate(page, USUAL);
  await user.click(screen.getByRole('button', { name: 'Begin' }));
  expect(await screen.findByRole('heading', { level: 1, name: 'Up and down five' })).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Start' }));
  expect(screen.getByRole('button', { name: 'Pause' })).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Listen only' }));
  expect(screen.getByRole('button', { name: 'The piano sings with me' })).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Skip' }));
  expect(title()).toBe('Long hiss');
  await user.click(screen.getByRole('button', { name: 'Stop' }));
  await user.click(await screen.findByRole('button', { name: 'Enough for today' }));
  await user.click(await screen.findByRole('button', { name: 'easy' }));
  await user.type(screen.getByLabelText('A line to your teacher'), 'good');
  await user.click(screen.getByRole('button', { name: 'Done' }));
  await waitFor(() => {
    const last = page.sent.at(-1);
    expect(last?.what).toMatch(/^PUT \/api\/home\/secret-token\/runs\//);
    expect(last?.body).toMatchObject({ ease: 4, note: 'good', stops: [] });
    expect(last?.body).not.toHaveProperty('studentId');
  });
});

test('what hurts stops it, and the run says so', async () => {
  const page = openLink();
  const { user } = page;
  await answerGate(page, USUAL);
  await user.click(screen.getByRole('button', { name: 'Begin' }));
  await user.click(screen.getByRole('button', { name: 'Start' }));
  await user.click(screen.getByRole('button', { name: 'Stop' }));
  await user.click(await screen.findByRole('button', { name: 'It hurts' }));
  expect(await screen.findByText(/Pain ends the singing for today/)).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Done' }));
  await waitFor(() => {
    expect((page.sent.at(-1)?.body as Schemas['SentHomeRunDto']).stops).toMatchObject([{ mark: 'pain' }]);
  });
});

test('a day that is not a usual one is practised gently', async () => {
  const page = openLink();
  await answerGate(page, ['tired', 'as usual', 'no']);
  expect(await screen.findByText(/Today gently/)).toBeVisible();
  await page.user.click(screen.getByRole('button', { name: 'Begin' }));
  expect(title()).toMatch(/^Hum glides/);
});

test('a voice that is gone is not practised, and the teacher’s page is told', async () => {
  const page = openLink({}, { 'POST /api/home/secret-token/locks': undefined });
  await answerGate(page, ['not at all', 'gone', 'no']);
  await page.user.click(screen.getByRole('button', { name: 'None of these' }));
  expect(await screen.findByText(/^Not today\. Rest the voice/)).toBeVisible();
  expect(screen.queryByRole('button', { name: 'Begin' })).toBeNull();
  expect(page.sent).toMatchObject([{ what: 'POST /api/home/secret-token/locks', body: { level: 'not-today' } }]);
});

test('what is locked can be seen and not begun', async () => {
  openLink({ lock: 'urgent' });
  expect(await screen.findByText(/See a doctor today/)).toBeVisible();
  expect(screen.getByRole('button', { name: /five minutes/ })).toBeDisabled();
});

test('without a connection it is as it was kept; a link that was taken back is gone from the device as well', async () => {
  const first = openLink();
  expect(await screen.findByRole('button', { name: /five minutes/ })).toBeVisible();
  first.unmount();
  const away = openLink({}, { 'GET /api/home/*': refusal(503, 'AWAY', 'The server is away.') });
  expect(await screen.findByRole('button', { name: /five minutes/ })).toBeVisible();
  away.unmount();
  const gone = refusal(404, 'NO_LINK', 'This link does not open anything, or not any more.');
  openLink({}, { 'GET /api/home/*': gone });
  expect(await screen.findByText(/does not open anything/)).toBeVisible();
  expect(Object.keys(localStorage).some((key) => key.startsWith('soft-lark.home.'))).toBe(false);
});
