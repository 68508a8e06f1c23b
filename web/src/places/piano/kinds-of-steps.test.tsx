import { screen, waitFor } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { sing } from '../../testing/sing.ts';
import { ROUTINE, routine, session, step, STUDENT, student, studentToday, voice } from '../../testing/samples.ts';

const singAll = (ids: readonly string[], answers = {}): Promise<OpenedPage> =>
  sing(
    ids.map((id) => step(id)),
    {},
    answers,
  );

const press = (name: string | RegExp): HTMLElement => screen.getByRole('button', { name });
const title = (): string => screen.getByRole('heading', { level: 1 }).textContent;

test('a glide is counted pass by pass and says its two ends', async () => {
  const { user } = await singAll(['lip-trill-glides', 'falling-hum']);
  await user.click(press('Start'));
  expect(screen.getByText(/^glide 1 of \d$/)).toBeVisible();
  expect(document.querySelector('output')).toHaveTextContent(/^[A-G][♭♯]?\d – [A-G][♭♯]?\d$/);
  await user.click(press('Next key'));
  expect(screen.getByText(/^glide 2 of \d$/)).toBeVisible();
});

test('breath by counts says the phase and its count once it has begun', async () => {
  const { user } = await singAll(['long-hiss', 'falling-hum']);
  expect(screen.getAllByText(/^\d:\d\d$/)[0]).toBeVisible();
  await user.click(press('Start'));
  await waitFor(() => {
    expect(document.body.textContent).toMatch(/(in|out|hold|rest) \d/);
  });
  expect(press(/^strain/)).toBeDisabled();
  expect(press(/^dizzy/)).toBeEnabled();
});

test('work by the clock shows its prompt and its time', async () => {
  const { user } = await singAll(['standing-check', 'falling-hum']);
  await user.click(press('Start'));
  expect(screen.getByText('Feet under the hips, weight on the whole foot.')).toBeVisible();
  expect(press('Once more')).toBeDisabled();
  await user.keyboard('n');
  expect(title()).toBe('Falling hum');
});

test('a last step ends with Finish', async () => {
  await singAll(['falling-hum']);
  expect(press('Finish')).toBeVisible();
});

test('who sounds is changed with a press, round and round', async () => {
  const { user } = await singAll(['up-and-down-five', 'falling-hum']);
  await user.click(press('Start'));
  const words = [/piano shows/, /piano plays along/, /piano gives the cue/, /alone, from the first note/];
  const now = (): number => words.findIndex((word) => screen.queryByRole('button', { name: word }));
  const first = now();
  for (let turn = 1; turn <= 4; turn += 1) {
    await user.keyboard('g');
    expect(now()).toBe((first + turn) % 4);
  }
});

test('one more, then home: that one is the turn', async () => {
  const { user } = await singAll(['up-and-down-five', 'falling-hum']);
  await user.click(press('Start'));
  await user.click(press('Next key'));
  expect(screen.queryByText('turn here')).toBeNull();
  await user.click(press('1 more, then home'));
  expect(screen.getByText('turn here')).toBeVisible();
});

test('so many more that the top would be passed is refused, with the reason', async () => {
  const { user } = await singAll(['up-and-down-five', 'falling-hum']);
  await user.click(press('Start'));
  for (let key = 0; key < 3; key += 1) await user.click(press('Next key'));
  await user.click(press('1 more, then home'));
  expect(screen.getByText(/It would reach .+, over .+\./)).toBeVisible();
});

test('where the school judges ease alone, pitch is not asked for', async () => {
  const { user } = await singAll(['up-and-down-five', 'falling-hum'], {
    'GET /api/session': session({ approach: { 'sound-judged': 'never' } }),
  });
  await user.click(press('Start'));
  expect(press(/^pitch/)).toBeDisabled();
  expect(press(/^strain/)).toBeEnabled();
});

test('a step that may not be sung today is not in the run', async () => {
  await singAll(['straw-slides', 'up-and-down-five', 'falling-hum'], {
    [`GET /api/students/${STUDENT}/today`]: studentToday({
      student: student({ voice: voice({ cautions: ['eyes-or-ears'] }) }),
    }),
  });
  expect(title()).toBe('Up and down five');
  expect(screen.getByText(/step 1 of 2/)).toBeVisible();
});

test('a routine of which nothing can be sung today does not begin', async () => {
  const page = openPage(`/sing/${ROUTINE}`, {
    [`GET /api/routines/${ROUTINE}`]: routine({ steps: [step('straw-slides')] }),
    [`GET /api/students/${STUDENT}/today`]: studentToday({
      student: student({ voice: voice({ cautions: ['eyes-or-ears'] }) }),
    }),
  });
  for (const word of ['not at all', 'as usual', 'no'])
    await page.user.click(await screen.findByRole('radio', { name: word }));
  expect(screen.getByText(/No step of this routine can be sung today/)).toBeVisible();
  expect(press('Begin')).toBeDisabled();
});

test('what the teacher wanted to say stands instead of the exercise’s own cue', async () => {
  const own: Partial<Schemas['RoutineStep']> = { settings: { cue: 'Like a kite.' } };
  await singAll([], {
    [`GET /api/routines/${ROUTINE}`]: routine({ steps: [step('up-and-down-five', own), step('falling-hum')] }),
  });
  expect(screen.getByText('Like a kite.')).toBeVisible();
});
