import { screen, waitFor, within } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { ROUTINE, RUN, session, STUDENT, student, studentToday, voice } from '../../testing/samples.ts';

type Today = Partial<Schemas['StudentTodayDto']>;
const LOCKS = `POST /api/students/${STUDENT}/locks`;

async function openGate(today: Today = {}, answers = {}): Promise<OpenedPage> {
  const page = openPage(`/sing/${ROUTINE}`, {
    [`GET /api/students/${STUDENT}/today`]: studentToday(today),
    [`PUT /api/students/${STUDENT}/condition`]: {},
    [LOCKS]: (body: unknown) => ({ ...lock(), ...(body as object) }),
    ...answers,
  });
  await screen.findByRole('heading', { name: 'Before the first note' });
  return page;
}

const lock = (change: Partial<Schemas['LockDto']> = {}): Schemas['LockDto'] => ({
  id: RUN,
  level: 'urgent',
  since: '2026-11-25',
  liftedAt: null,
  liftedBy: null,
  reason: null,
  ...change,
});

/** Answers by the words on them, in the order they are asked. */
async function answer({ user }: OpenedPage, ...words: readonly string[]): Promise<void> {
  const questions = ['How tired?', 'How does the voice sound?', 'Does anything hurt?', 'Coming back from an illness?'];
  for (const [index, word] of words.entries()) {
    const question = screen.getByRole('radiogroup', { name: questions[index] ?? '' });
    await user.click(within(question).getByRole('radio', { name: word }));
  }
}

const begin = (): HTMLElement => screen.getByRole('button', { name: 'Begin' });

test('a usual day is three presses, and nothing begins before the third', async () => {
  const page = await openGate();
  expect(begin()).toBeDisabled();
  await answer(page, 'not at all', 'as usual');
  expect(begin()).toBeDisabled();
  await answer(page, 'not at all', 'as usual', 'no');
  expect(screen.getByText(/Today counts as a plain day\./)).toBeVisible();
  expect(begin()).toBeEnabled();
});

test.each<[string, readonly string[], Today, RegExp]>([
  ['tired', ['tired', 'as usual', 'no'], {}, /Today counts as tired\./],
  [
    'the first days after an illness',
    ['not at all', 'as usual', 'no', 'day 1–3'],
    { conditions: ['recovering'] },
    /Gentle work only today.*the same once more later today/,
  ],
  [
    'days four to six',
    ['not at all', 'as usual', 'no', 'day 4–6'],
    { conditions: ['recovering'] },
    /modest middle work today, at half the usual time.*shortened to \d:\d\d/,
  ],
])('what the answers come to: %s', async (_, words, today, sentence) => {
  const page = await openGate(today);
  await answer(page, ...words);
  expect(screen.getByRole('main')).toHaveTextContent(sentence);
  expect(begin()).toBeEnabled();
});

test('pain asks for the signs, and then rests the voice today', async () => {
  const page = await openGate();
  await answer(page, 'not at all', 'as usual', 'yes');
  await page.user.click(screen.getByRole('button', { name: 'None of these' }));
  await waitFor(() => {
    expect(page.sent).toMatchObject([{ what: LOCKS, body: { level: 'not-today' } }]);
  });
});

test('a sign that is urgent locks everything at once', async () => {
  const page = await openGate();
  await answer(page, 'not at all', 'rough', 'no');
  await page.user.click(screen.getByLabelText('coughing blood'));
  await page.user.click(screen.getByRole('button', { name: 'That is all of it' }));
  await waitFor(() => {
    expect(page.sent[0]?.body).toMatchObject({ level: 'urgent' });
  });
  expect(await screen.findByText(/Stop here. Get medical help now/)).toBeVisible();
  expect(begin()).toBeDisabled();
});

test('something wrong can be said without any answer that asks for it', async () => {
  const { user, sent } = await openGate();
  await user.click(screen.getByRole('button', { name: 'Something else is wrong' }));
  await user.click(screen.getByLabelText('faint'));
  await user.click(screen.getByRole('button', { name: 'That is all of it' }));
  await waitFor(() => {
    expect(sent[0]?.body).toMatchObject({ level: 'urgent' });
  });
});

test.each<[string, Partial<Schemas['VoiceFile']>, string]>([
  ['a grown-up', {}, 'hoarse for two weeks or more'],
  ['a child', { type: 'treble', age: 9 }, 'hoarse for three weeks or more'],
])('hoarseness has the weeks of %s', async (_, file, words) => {
  const page = await openGate({ student: student({ voice: voice(file) }) });
  await answer(page, 'not at all', 'rough', 'no');
  await page.user.click(screen.getByText('For some time'));
  expect(screen.getByLabelText(words)).toBeVisible();
});

test('a lock is opened only with the teacher’s own words', async () => {
  const LIFT = `POST /api/students/${STUDENT}/locks/${RUN}/lift`;
  const { user, sent } = await openGate({ lock: lock() }, { [LIFT]: lock({ liftedAt: '2026-11-25T15:20:00Z' }) });
  expect(screen.queryByRole('button', { name: 'Begin' })).toBeNull();
  const open = screen.getByRole('button', { name: 'Open again' });
  expect(open).toBeDisabled();
  await user.type(screen.getByLabelText(/The teacher’s own decision/), 'Seen by the doctor.');
  await user.click(open);
  await waitFor(() => {
    expect(sent).toEqual([{ what: LIFT, body: { reason: 'Seen by the doctor.' } }]);
  });
});

test('one who is to be seen sings gently, and the clearance is a press away', async () => {
  const page = await openGate({ lock: lock({ level: 'see-someone' }) });
  expect(screen.getByText(/This should be seen: a laryngologist first/)).toBeVisible();
  expect(screen.getByRole('link', { name: 'Record a clearance in the voice file' })).toBeVisible();
  await answer(page, 'not at all', 'as usual', 'no');
  expect(screen.getByText(/Gentle work only today/)).toBeVisible();
});

test.each([
  ['today', '2026-11-25', /The run today was stopped for pain: gentle work only/, /Gentle work only today/],
  ['last week', '2026-11-18', /The last run, .*18.*, was stopped for pain/, /Today counts as a plain day/],
])('pain in a run %s is remembered', async (_, painOn, remembered, outcome) => {
  const page = await openGate({ painOn });
  expect(screen.getByText(remembered)).toBeVisible();
  await answer(page, 'not at all', 'as usual', 'no');
  expect(screen.getByText(outcome)).toBeVisible();
});

test('answers go with the arrow keys', async () => {
  const { user } = await openGate();
  within(screen.getByRole('radiogroup', { name: 'How tired?' }))
    .getAllByRole('radio')[0]
    ?.focus();
  await user.keyboard('{ArrowRight}{ArrowRight} ');
  expect(screen.getByRole('radio', { name: 'tired' })).toBeChecked();
});

test('what is near to a performance is what this studio says', async () => {
  const { user } = await openGate({}, { 'GET /api/session': session({ rules: { 'performance.closeHours': 36 } }) });
  expect(screen.getByText('performs within 36 hours')).toBeVisible();
  const near = screen.getByLabelText('performs within 3 days');
  await user.click(near);
  expect(near).toBeChecked();
  await user.click(screen.getByLabelText('performs within 36 hours'));
  expect(near).not.toBeChecked();
});

test('what the answers take off is said before it is begun', async () => {
  const page = await openGate();
  expect(screen.getByText('Begin waits for the three answers.')).toBeVisible();
  await answer(page, 'not at all', 'as usual', 'no');
  expect(screen.queryByText(/top .+ → /)).toBeNull();
  await answer(page, 'tired');
  expect(screen.getByText(/top [A-G][♯♭]?\d → [A-G][♯♭]?\d/)).toBeVisible();
});
