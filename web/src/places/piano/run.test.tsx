import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { sing } from '../../testing/sing.ts';
import { lessonToday, ROUTINE, routine, RUN, session, step, STUDENT, studentToday } from '../../testing/samples.ts';

type Sent = Schemas['SentRunDto'];

const TWO = [step('up-and-down-five'), step('falling-hum')];

const begun = (change: Partial<Schemas['RoutineDto']> = {}, answers = {}): Promise<OpenedPage> =>
  sing(TWO, change, answers);

const lastSent = ({ sent }: OpenedPage): Sent | undefined =>
  sent.filter(({ what }) => what.startsWith('PUT /api/runs/')).at(-1)?.body as Sent | undefined;

const title = (): string => screen.getByRole('heading', { level: 1 }).textContent;
const press = (name: string): HTMLElement => screen.getByRole('button', { name });

test('a step is begun with one press, and goes on key by key to the end of it', async () => {
  const { user } = await begun();
  expect(title()).toBe('Up and down five');
  await user.click(press('Start'));
  const first = document.querySelector('output')?.textContent;
  await user.click(press('Next key'));
  expect(document.querySelector('output')?.textContent).not.toBe(first);
  for (let key = 0; key < 40 && title() === 'Up and down five'; key += 1) await user.keyboard('{ArrowRight}');
  expect(title()).toBe('Falling hum');
  expect(screen.getByText(/step 2 of 2/)).toBeVisible();
});

/** A pedal that goes down at a moment of its own, milliseconds; what is slow here cannot change it. */
function pedal(key: string, pressedAt: number, init: KeyboardEventInit = {}): void {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...init });
  Object.defineProperty(event, 'timeStamp', { value: pressedAt });
  fireEvent(document.body, event);
}

test('the pedals of a page turner go on and ask for it once more; held, or sent twice, it is one press', async () => {
  localStorage.setItem('soft-lark.keys', JSON.stringify({ isOff: true, changed: { 'pedal.onceMore': 'Enter' } }));
  const page = await begun();
  const shows = (sung: number): Promise<void> =>
    waitFor(() => {
      const last = lastSent(page);
      expect((last?.sungBefore ?? 0) + (last?.sung.length ?? 0)).toBe(sung);
    });
  pedal('PageDown', 1000);
  expect(press('Next key')).toBeVisible();
  pedal('PageDown', 3000);
  pedal('PageDown', 3700, { repeat: true });
  pedal('PageDown', 3240);
  await shows(1);
  const key = document.querySelector('output')?.textContent;
  pedal('Enter', 5000);
  await shows(2);
  expect(document.querySelector('output')?.textContent).toBe(key);
});

test('marks go on the key being sung and are taken off with a second press', async () => {
  const { user } = await begun();
  await user.click(press('Start'));
  await user.click(press('Next key'));
  const strain = screen.getByRole('button', { name: /^strain/ });
  await user.click(strain);
  expect(strain).toHaveAttribute('aria-pressed', 'true');
  expect(press('Effort: turn here')).toBeVisible();
  await user.keyboard('s');
  expect(strain).toHaveAttribute('aria-pressed', 'false');
});

test('a ladder is turned round by hand and comes home', async () => {
  const { user } = await begun();
  await user.click(press('Start'));
  for (let key = 0; key < 3; key += 1) await user.click(press('Next key'));
  expect(screen.getByText('to the turn')).toBeVisible();
  await user.click(press('Turn back now'));
  expect(screen.queryByText('to the turn')).toBeNull();
  expect(press('Turn back now')).toBeDisabled();
});

test('pausing stands still, and the same key ends it', async () => {
  const { user } = await begun();
  await user.click(press('Start'));
  await user.click(screen.getByRole('button', { name: /^Pause/ }));
  expect(screen.getByRole('button', { name: /^Go on/ })).toBeVisible();
  await user.keyboard(' ');
  expect(screen.getByRole('button', { name: /^Pause/ })).toBeVisible();
});

test('after a dialog the space bar pauses and presses nothing else', async () => {
  const { user } = await begun();
  await user.click(press('Start'));
  await user.click(press('More'));
  await user.click(await screen.findByRole('menuitem', { name: 'Keys' }));
  await user.keyboard('{Escape}');
  await waitFor(() => {
    expect(screen.queryByRole('dialog')).toBeNull();
  });
  press('More').focus();
  await user.keyboard(' ');
  expect(screen.queryByRole('dialog')).toBeNull();
  expect(screen.getByRole('button', { name: /^Go on/ })).toBeVisible();
});

test.each([
  ['pain', 'x', /Pain ends the singing for today/, false],
  ['tickle', 'i', /A tickle is the throat asking for a pause/, true],
  ['cough', 'o', /A cough is the throat asking for a pause/, true],
  ['dizzy', 'd', /Sit down and breathe as usual/, true],
  ['effort', 'f', /More effort than a warm-up may cost/, true],
])('%s stops the step, by its button and by its key', async (mark, key, words, mayGoOn) => {
  const { user } = await begun();
  await user.click(press('Start'));
  await user.click(screen.getByRole('button', { name: new RegExp(`^${mark}`) }));
  const dialog = await screen.findByRole('dialog', { name: 'Stop here' });
  expect(within(dialog).getByText(words)).toBeVisible();
  expect(within(dialog).queryByRole('button', { name: /Rest a minute/ }) !== null).toBe(mayGoOn);
  await user.click(within(dialog).getByRole('button', { name: 'Pressed by mistake' }));
  await waitFor(() => {
    expect(screen.queryByRole('dialog')).toBeNull();
  });
  await user.keyboard(key);
  expect(await screen.findByRole('dialog', { name: 'Stop here' })).toBeVisible();
});

test('after a stop something easier is offered, and taken in its place', async () => {
  const { user } = await begun({ steps: [step('thirds'), step('falling-hum')] });
  await user.click(press('Start'));
  await user.keyboard('f');
  const dialog = await screen.findByRole('dialog');
  const easier = within(dialog).getByRole('button', { name: /^Go on easier: / });
  const name = easier.textContent.replace('Go on easier: ', '');
  await user.click(easier);
  expect(title()).toBe(name);
});

test('no key acts through a stop that is open', async () => {
  const { user } = await begun();
  await user.click(press('Start'));
  await user.keyboard('x');
  await screen.findByRole('dialog');
  await user.keyboard('{ArrowRight}n');
  expect(title()).toBe('Up and down five');
});

test('what was really sung goes to the log with ease and a line', async () => {
  const page = await begun();
  const { user } = page;
  await user.click(press('Start'));
  await user.click(press('Next key'));
  await user.click(press('Skip this key'));
  await user.keyboard('n');
  await user.click(press('Finish'));
  expect(await screen.findByRole('heading', { name: 'How was it?' })).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'easy' }));
  await user.type(screen.getByLabelText('A line for next time'), 'lighter start');
  await user.click(screen.getByRole('button', { name: 'Into the log' }));
  await waitFor(() => {
    expect(lastSent(page)).toMatchObject({ ease: 4, note: 'lighter start', studentId: STUDENT });
  });
  // Keys go as they are sung; a later sending holds only what is new.
  const keys = page.sent.flatMap(({ what, body }) => (what.startsWith('PUT /api/runs/') ? (body as Sent).sung : []));
  expect([...new Map(keys.map(({ id, outcome }) => [id, outcome])).values()].slice(0, 2)).toEqual(['sung', 'skipped']);
});

test('a run that was broken off is offered again, where it stopped', async () => {
  const { user } = await begun();
  await user.click(press('Start'));
  await user.click(press('Next key'));
  const key = document.querySelector('output')?.textContent;
  const kept = Object.fromEntries(Object.entries(localStorage));
  act(() => {
    document.body.innerHTML = '';
  });
  Object.assign(localStorage, kept);
  const again = openPage(`/sing/${ROUTINE}`, {
    [`GET /api/routines/${ROUTINE}`]: routine({ steps: TWO }),
  });
  await again.user.click(await screen.findByRole('button', { name: 'Go on where it stopped' }));
  expect(document.querySelector('output')?.textContent).toBe(key);
});

test('the lesson’s clock: what is left of it, that the warm-up runs over, and a refit to its minutes', async () => {
  const steps = ['lip-trill-on-five', 'up-and-down-five', 'thirds', 'falling-hum'].map((id) => step(id));
  const lessons = [
    lessonToday({ lesson: { id: RUN, studentId: STUDENT, weekday: 3, startsAt: '15:30', minutes: 30 } }),
  ];
  const { user } = await begun(
    { minutes: 5, steps },
    {
      'GET /api/today': { day: '2026-11-25', lessons },
      'GET /api/session': session({ fixedNow: '2026-11-25T15:35:00Z' }),
    },
  );
  expect(await screen.findByText(/^then 1\d min of the lesson$/)).toBeVisible();
  await user.click(screen.getByRole('button', { name: /^[3-6]:\d\d over · fit$/ }));
  const dialog = await screen.findByRole('dialog', { name: 'Less time than planned' });
  expect(within(dialog).getByLabelText('Minutes left')).toHaveAttribute('placeholder', '4');
  await user.click(within(dialog).getByRole('button', { name: 'Fit it' }));
  expect(await screen.findByRole('button', { name: 'Less time' })).toBeVisible();
});

test('less time than planned: what is cut is said first', async () => {
  const { user } = await begun({
    minutes: 10,
    steps: ['lip-trill-on-five', 'up-and-down-five', 'thirds', 'falling-hum'].map((id) => step(id)),
  });
  await user.click(screen.getByRole('button', { name: 'Less time' }));
  const dialog = await screen.findByRole('dialog', { name: 'Less time than planned' });
  await user.type(within(dialog).getByLabelText('Minutes left'), '4');
  expect(within(dialog).getByRole('list', { name: 'What is cut' }).children.length).toBeGreaterThan(0);
  expect(within(dialog).getByText(/Then it takes [34]:\d\d/)).toBeVisible();
  await user.click(within(dialog).getByRole('button', { name: 'Fit it' }));
  await waitFor(() => {
    expect(screen.queryByRole('dialog')).toBeNull();
  });
});

test('cautions of an exercise are said before it begins', async () => {
  await begun({ steps: [step('straw-slides'), step('falling-hum')] });
  expect(screen.getByRole('note', { name: 'Heed before it begins' })).toBeVisible();
});

test('before the cool-down the studio’s questions are asked, and a no offers a block', async () => {
  const { user } = await begun(
    { minutes: 20 },
    {
      'GET /api/session': session({ readyQuestions: [{ text: 'Does the top float?', goal: 'light-top' }] }),
      [`GET /api/students/${STUDENT}/today`]: studentToday(),
    },
  );
  await user.click(press('Start'));
  await user.click(press('Next key'));
  await user.keyboard('n');
  const dialog = await screen.findByRole('dialog', { name: 'Ready?' });
  const asked = within(dialog).getByRole('radiogroup', { name: 'Does the top float?' });
  await user.click(within(asked).getByText('No'));
  await user.click(await within(dialog).findByRole('button', { name: /Mend/ }));
  expect(title()).not.toBe('Falling hum');
});

test('the tune of the key stands on a staff with its tempo, and moves on with the key', async () => {
  const { user } = await begun();
  expect(screen.getByRole('img', { name: 'Staff notation of 1 2 3 4 5 4 3 2 1:2, from D♭4' })).toBeVisible();
  expect(screen.getByText(/^now · \d+ bpm$/)).toBeVisible();
  await user.click(press('Start'));
  await user.click(press('Next key'));
  expect(screen.getByRole('img', { name: 'Staff notation of 1 2 3 4 5 4 3 2 1:2, from D4' })).toBeVisible();
});

test('the studio says whether keys go on by themselves, and the piano hands over either way', async () => {
  const waits = { 'GET /api/session': session({ approach: { 'at-the-piano': 'waits' } }) };
  const { user } = await begun({}, waits);
  const pace = screen.getByRole('button', { name: /^Waits for me/ });
  expect(pace).toHaveAttribute('aria-pressed', 'false');
  await user.keyboard('w');
  expect(screen.getByRole('button', { name: /^Plays on/ })).toHaveAttribute('aria-pressed', 'true');
});

test('whoever does not see the stones has them as a table, and is told the key and its leg', async () => {
  const { user } = await begun();
  const table = within(screen.getByRole('table', { name: 'Keys of Up and down five' }));
  const rows = table.getAllByRole('row').slice(1);
  expect(rows.filter((row) => row.getAttribute('aria-current') === 'step')).toEqual([rows[0]]);
  await user.click(press('Start'));
  await user.click(press('Next key'));
  expect(rows[1]).toHaveAttribute('aria-current', 'step');
  const key = document.querySelector('output')?.textContent ?? '';
  expect(screen.getAllByRole('status').some(({ textContent }) => textContent.includes(`${key}up`))).toBe(true);
});

test('faster is said before it is heard; a stone is gone to; the step before comes back', async () => {
  const { user } = await begun();
  await user.click(press('Start'));
  const tempo = Number(/now · (\d+) bpm/.exec(document.body.textContent)?.[1]);
  await user.click(press('Faster by 4'));
  expect(screen.getByText(`then ${String(tempo + 4)}`)).toBeVisible();
  expect(screen.getByText(`now · ${String(tempo)} bpm`)).toBeVisible();
  const [, , third] = screen.getAllByRole('button', { name: /^Sing .+ now$/ });
  await user.click(third as HTMLElement);
  expect(screen.getByText(`now · ${String(tempo + 4)} bpm`)).toBeVisible();
  await user.keyboard('n');
  expect(title()).toBe('Falling hum');
  await user.click(press('The step before'));
  expect(title()).toBe('Up and down five');
  expect(press('Start')).toBeVisible();
});

test('a step with a pace of its own begins with it, and what is pressed holds in the steps that have none', async () => {
  const waits = step('up-and-down-five', { settings: { pace: 'waits' } });
  const { user } = await begun({ steps: [waits, step('falling-hum'), step('lip-trill-on-five')] });
  expect(screen.getByRole('button', { name: /^Waits for me/ })).toBeVisible();
  await user.keyboard('n');
  expect(screen.getByRole('button', { name: /^Plays on/ })).toBeVisible();
  await user.keyboard('w');
  await user.keyboard('n');
  expect(screen.getByRole('button', { name: /^Waits for me/ })).toBeVisible();
});
