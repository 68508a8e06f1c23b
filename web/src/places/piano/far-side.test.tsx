import { screen, waitFor } from '@testing-library/react';
import type { LessonSound } from '@soft-lark/core';
import { refusal } from '../../testing/fake-api.ts';
import type { OpenedPage } from '../../testing/open-page.tsx';
import { RUN, step, STUDENT } from '../../testing/samples.ts';
import { sing } from '../../testing/sing.ts';

const SEND = `POST /api/students/${STUDENT}/lesson-sounds`;
const LINKS = `GET /api/students/${STUDENT}/home-links`;
const link = (isListening: boolean): object => ({
  ...{ id: RUN, createdAt: '2026-11-20T10:00:00Z', expiresAt: '2026-12-20T10:00:00Z', openedAt: null, isListening },
});
const soundsOf = ({ sent }: OpenedPage): readonly LessonSound[] =>
  sent.filter(({ what }) => what === SEND).map(({ body }) => (body as { readonly sound: LessonSound }).sound);

async function overVideo(isListening: boolean, answers: object = {}): Promise<OpenedPage> {
  const page = await sing([step('thirds')], {}, { [SEND]: undefined, [LINKS]: [link(isListening)], ...answers });
  await page.user.click(screen.getByRole('button', { name: 'Sound' }));
  await page.user.click(await screen.findByRole('switch', { name: /Sound at the student’s side/ }));
  return page;
}

afterEach(() => {
  sessionStorage.clear();
});

test('whoever comes sees the step; each key goes there whole with what is sung, and a pause is silence', async () => {
  const page = await overVideo(true);
  const { user } = page;
  expect(await screen.findByText(/’s page listens\.$/)).toBeVisible();
  await waitFor(() => {
    expect(soundsOf(page).at(-1)).toMatchObject({ sounds: [], shown: { step: 'Thirds', key: 1 } });
  });
  await user.keyboard('{Escape}');
  await user.click(screen.getByRole('button', { name: 'Start' }));
  await waitFor(() => {
    expect(
      soundsOf(page)
        .at(-1)
        ?.sounds.filter(([role]) => role === 'tune').length,
    ).toBeGreaterThan(4);
  });
  const key = soundsOf(page).at(-1);
  expect(key?.shown.tonic).toBe(key?.sounds.find(([role]) => role === 'first-note')?.[1]);
  expect(key?.shown.say).toBe(screen.getByTestId('say').textContent);
  await user.click(screen.getByRole('button', { name: 'Pause' }));
  await waitFor(() => {
    expect(soundsOf(page).at(-1)?.sounds).toEqual([]);
  });
});

test('what is seen is a press, marked on the key that is sung; another thing to look for in each key', async () => {
  const { user } = await overVideo(true);
  await user.keyboard('{Escape}');
  await user.click(screen.getByRole('button', { name: 'Start' }));
  const first = await screen.findByRole('button', { name: 'Shoulders rise with the breath breath' });
  await user.click(first);
  expect(first).toHaveAttribute('aria-pressed', 'true');
  await user.click(screen.getByRole('button', { name: 'Next key' }));
  expect(await screen.findByRole('button', { name: 'The jaw pushes forward tension' })).toHaveAttribute(
    'aria-pressed',
    'false',
  );
  await user.click(screen.getByRole('button', { name: 'all to look for' }));
  expect(await screen.findByRole('button', { name: 'The knees lock tension' })).toBeVisible();
});

test('that nobody listens, or that it did not get there, is said where it is conducted', async () => {
  await overVideo(false);
  expect(await screen.findByText(/^Nobody listens there yet: see Sound/)).toBeVisible();
  expect(screen.getByText(/opens the practice link and presses “Lesson over video”/)).toBeVisible();
});

test('a key that did not get there is said, and the next one that does takes it back', async () => {
  let isAway = true;
  const page = await overVideo(true, {
    [SEND]: () => (isAway ? refusal(503, 'DATABASE_AWAY', 'The database is away.') : undefined),
  });
  const { user } = page;
  await user.keyboard('{Escape}');
  await user.click(screen.getByRole('button', { name: 'Start' }));
  expect(await screen.findByText('The last key did not get there')).toBeVisible();
  isAway = false;
  await user.click(screen.getByRole('button', { name: 'Next key' }));
  await waitFor(() => {
    expect(screen.queryByText('The last key did not get there')).toBeNull();
  });
});
