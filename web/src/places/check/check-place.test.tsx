import { screen, waitFor, within } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { fill, openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { refusal } from '../../testing/fake-api.ts';
import { STUDENT, student, studentToday, voice } from '../../testing/samples.ts';

const CHECKS = `POST /api/students/${STUDENT}/range-checks`;
type Body = Schemas['ConfirmedCheckDto'];

async function open(change: Partial<Schemas['VoiceFile']> = {}, answers = {}): Promise<OpenedPage> {
  const page = openPage(`/students/${STUDENT}/check`, {
    [`GET /api/students/${STUDENT}/today`]: studentToday({
      student: student({ voice: voice({ speakingNote: 57, ...change }) }),
    }),
    [CHECKS]: {},
    ...answers,
  });
  await screen.findByRole('heading', { name: 'Range check, Maud Pellow' });
  return page;
}

const press = (name: string | RegExp): HTMLElement => screen.getByRole('button', { name });

/** Speaking note, three notes down, three up. */
async function throughIt({ user }: OpenedPage): Promise<void> {
  await user.click(press('Speaks at A3'));
  for (let note = 0; note < 3; note += 1) await user.keyboard('g');
  await user.click(press('That is the lowest'));
  for (let note = 0; note < 3; note += 1) await user.keyboard('g');
  await user.click(press('That is the highest'));
}

test('a check goes through speaking, down and up to a look at what it came to', async () => {
  const page = await open();
  expect(screen.getByText('Press the note the voice speaks at, or take the usual one.')).toBeVisible();
  await throughIt(page);
  expect(screen.getByText(/Nothing is written before you say so/)).toBeVisible();
  expect(page.sent).toEqual([]);
  expect(screen.getByLabelText('Speaking note')).toHaveValue('A3');
});

test('what it came to is corrected, and written only then', async () => {
  const page = await open();
  await throughIt(page);
  await fill(page, screen.getByLabelText('Lowest easy'), 'F3');
  await fill(page, screen.getByLabelText('Highest easy'), 'D5');
  await page.user.tab();
  await page.user.click(press('Write it into the voice file'));
  await waitFor(() => {
    expect(page.path()).toBe(`/students/${STUDENT}`);
  });
  const body = page.sent.find(({ what }) => what === CHECKS)?.body as Body;
  expect(body).toMatchObject({ low: 53, high: 74, speakingNote: 57, way: 'keys', version: 3 });
});

test('what is no note cannot be written', async () => {
  const page = await open();
  await throughIt(page);
  await fill(page, screen.getByLabelText('Lowest easy'), 'H9');
  expect(press('Write it into the voice file')).toBeDisabled();
});

test('a note that is only just there, one that does not come, and the last taken back', async () => {
  const page = await open();
  const { user } = page;
  await user.click(press('Speaks at A3'));
  await user.keyboard('g');
  await user.click(press(/was only just$/));
  expect(screen.getByText('counts as only just possible')).toBeVisible();
  await user.keyboard('z');
  expect(screen.getByText('counts as easy')).toBeVisible();
  await user.click(press('Did not come'));
  // The next note down is asked for.
  expect(screen.getByText('A♭3', { selector: '.heading' })).toBeVisible();
});

test('a microphone that is not there is said, and the keys do the same', async () => {
  const { user } = await open();
  await user.click(screen.getByText('Microphone'));
  expect(await screen.findByText('There is no microphone. The keys here do the same.')).toBeVisible();
});

test('a child’s sound is kept only with a guardian’s consent', async () => {
  const { user } = await open({ type: 'treble', age: 9 });
  await user.click(screen.getByText('Microphone'));
  expect(await screen.findByLabelText('No sound is kept: a guardian’s consent is not on file')).toBeDisabled();
});

test('a browser without MIDI says so, and a simulated keyboard can be plugged in', async () => {
  const { user } = await open();
  await user.click(screen.getByText('MIDI'));
  expect(await screen.findByText(/This browser knows no MIDI/)).toBeVisible();
  expect(press('Plug in a simulated keyboard')).toBeVisible();
});

test('a file that was changed meanwhile keeps the figures', async () => {
  const page = await open({}, { [CHECKS]: refusal(409, 'STALE_WRITE', 'The file was changed.') });
  await throughIt(page);
  await page.user.click(press('Write it into the voice file'));
  expect(await screen.findByText(/changed in another window/)).toBeVisible();
  expect(screen.getByLabelText('Speaking note')).toHaveValue('A3');
});

test('a check that was left goes on where it was', async () => {
  const page = await open();
  await throughIt(page);
  await page.user.click(screen.getByRole('link', { name: 'Later' }));
  await page.user.click(await screen.findByRole('button', { name: 'More' }));
  await page.user.click(await screen.findByRole('menuitem', { name: 'Range check' }));
  expect(await screen.findByText(/Nothing is written before you say so/)).toBeVisible();
});

test('every key a bass may come to is there from the first note on, and stays where it is', async () => {
  const page = await open({ type: 'bass', speakingNote: 45 });
  const names = (): readonly string[] =>
    within(screen.getByRole('group', { name: 'Press the note that was sung' }))
      .getAllByRole('button')
      .map(({ textContent }) => textContent);
  await page.user.click(press('Speaks at A2'));
  const before = names();
  expect(before).toEqual(expect.arrayContaining(['E2', 'A2', 'E4']));
  await page.user.click(press('F2'));
  expect(names()).toEqual(before);
});
