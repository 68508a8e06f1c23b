import { screen, within } from '@testing-library/react';
import { fill, openPage, type OpenedPage } from '../../testing/open-page.tsx';

async function newSheet(): Promise<OpenedPage> {
  const page = openPage('/shelf/new');
  await screen.findByText('Not on the shelf yet.');
  return page;
}
const pattern = (): HTMLInputElement => screen.getByLabelText('Pattern');

test('what may follow is offered at the cursor, and taken with the keyboard', async () => {
  const page = await newSheet();
  await fill(page, pattern(), '1 2 ');
  await page.user.keyboard('{ArrowDown}');
  const offered = await screen.findAllByRole('option');
  expect(offered.map(({ textContent }) => textContent)).toEqual(
    expect.arrayContaining(['1 a note', '8 a note', 'r a rest', '( open a group']),
  );
  await page.user.keyboard('{ArrowDown}{ArrowDown}{Enter}');
  expect(pattern().value).toMatch(/^1 2 [1-8]$/);
});

test.each([
  ['a sign there is not', '1 2 z', /z/],
  ['a group that is not closed', '(1 2 3', /./],
  ['a length of nothing', '1:0 2', /./],
  ['a glide to nowhere', '1~', /./],
])('%s is shown at its place, with what was expected there', async (_, text, marked) => {
  const page = await newSheet();
  await fill(page, pattern(), text);
  expect(pattern()).toBeInvalid();
  const said = document.getElementById('pattern-error');
  expect(said?.querySelector('mark')?.textContent).toMatch(marked);
  expect(said).toHaveTextContent(/Expected/);
});

test('a pattern that reads has its picture again, and no complaint', async () => {
  const page = await newSheet();
  await fill(page, pattern(), '1 z');
  await fill(page, pattern(), '1 3 5 3 1:2');
  expect(pattern()).toBeValid();
  expect(document.getElementById('pattern-error')).toBeEmptyDOMElement();
  expect(screen.getByLabelText(/^Staff notation of/)).toBeInTheDocument();
});

test('more syllables than notes are said beside the pattern, which itself is fine', async () => {
  const page = await newSheet();
  await fill(page, pattern(), '1 2');
  await fill(page, screen.getByLabelText('Syllables'), 'no no no no no');
  expect(pattern()).toBeValid();
  expect(document.getElementById('pattern-error')?.textContent).not.toBe('');
});

test('a tune is played in on the keys, heard note by note, taken, or begun afresh', async () => {
  const page = await newSheet();
  await page.user.click(screen.getByRole('button', { name: 'Sing or play it in' }));
  const playing = within(screen.getByRole('group', { name: 'Sing or play it in' }));
  expect(playing.getByText(/Nothing heard yet/)).toBeVisible();
  expect(playing.getByRole('button', { name: 'Make it the pattern' })).toBeDisabled();
  for (const note of ['C4', 'D4', 'E4']) await page.user.click(playing.getByRole('button', { name: note }));
  expect(playing.getByText('C4 D4 E4')).toBeVisible();
  await page.user.click(playing.getByRole('button', { name: 'Afresh' }));
  expect(playing.getByText(/Nothing heard yet/)).toBeVisible();
  for (const note of ['C4', 'D4', 'E4', 'D4', 'C4']) await page.user.click(playing.getByRole('button', { name: note }));
  await page.user.click(playing.getByRole('button', { name: 'Make it the pattern' }));
  expect(pattern().value).toMatch(/^1\S* 2\S* 3\S* 2\S* 1/);
  expect(screen.getByLabelText('Syllables')).toHaveValue('ah');
});

test('playing in without a microphone or MIDI says what to do', async () => {
  const page = await newSheet();
  await page.user.click(screen.getByRole('button', { name: 'Sing or play it in' }));
  const playing = within(screen.getByRole('group', { name: 'Sing or play it in' }));
  await page.user.click(playing.getByText('Microphone'));
  expect(await playing.findByText('There is no microphone. The keys here do the same.')).toBeVisible();
  await page.user.click(playing.getByText('MIDI'));
  expect(await playing.findByText(/This browser knows no MIDI/)).toBeVisible();
  await page.user.click(playing.getByRole('button', { name: 'Plug in a simulated keyboard' }));
  expect(await playing.findByRole('group', { name: 'Keys to play the tune on' })).toBeVisible();
});
