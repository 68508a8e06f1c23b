import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { shippedExercises } from '@soft-lark/core';
import { fill, openPage } from '../../testing/open-page.tsx';
import { refusal } from '../../testing/fake-api.ts';
import { RUN } from '../../testing/samples.ts';

const all = shippedExercises().length;
const heading = (count: number): Promise<HTMLElement> =>
  screen.findByRole('heading', { name: count === 1 ? 'One exercise' : `${String(count)} exercises` });
const countNow = (): number =>
  Number(/^(\d+|One)/.exec(screen.getByRole('heading', { level: 1 }).textContent)?.[1]?.replace('One', '1') ?? 0);

test('the whole shelf is there, and says how many', async () => {
  openPage('/shelf');
  expect(await heading(all)).toBeVisible();
});

test('searching by letters of a name, a word of the trade or a goal finds it and narrows the rest', async () => {
  const page = openPage('/shelf?q=gull');
  expect(await screen.findByText('Gull over the lock')).toBeVisible();
  for (const [typed, found] of [
    ['SOVT', /straw|trill|hum/i],
    ['agility', /./],
  ] as const) {
    await fill(page, screen.getByRole('searchbox'), typed);
    await waitFor(() => {
      expect(page.path()).toContain(`q=${typed}`);
    });
    expect(countNow()).toBeGreaterThan(1);
    expect(countNow()).toBeLessThan(all);
    expect(document.body.textContent).toMatch(found);
  }
});

test('a search taken back and a stage pressed right after it both count', async () => {
  const { path } = openPage('/shelf?q=gull');
  const search = await screen.findByRole('searchbox');
  // Within one act nothing is drawn that may be drawn later: the second press comes before the page was drawn anew.
  await act(async () => {
    fireEvent.change(search, { target: { value: '' } });
    await new Promise((done) => setTimeout(done));
    fireEvent.click(screen.getByRole('button', { name: /^agility/ }));
  });
  expect(path()).toBe('/shelf?stage=agility');
});

test('what is not there is said', async () => {
  openPage('/shelf?q=zzzzzz');
  expect(await screen.findByText(/Nothing on the shelf fits/)).toBeVisible();
});

test.each([
  ['stage', 'stage=cool'],
  ['level', 'level=first'],
  ['noise', 'noise=quiet'],
  ['style', 'style=jazz'],
  ['voice', 'voice=treble'],
  ['kit', 'kit=none'],
  ['load', 'load=1'],
  ['span', 'span=7'],
])('an address narrows by %s, and a misspelt one by nothing', async (_, query) => {
  openPage(`/shelf?${query}`);
  await screen.findByRole('searchbox');
  expect(countNow()).toBeGreaterThan(3);
  expect(countNow()).toBeLessThan(all);
});

test('a misspelt address narrows by nothing', async () => {
  openPage('/shelf?stage=nonsense&load=-3');
  expect(await heading(all)).toBeVisible();
});

test('a stage is pressed, and pressed again for all of them', async () => {
  const { user } = openPage('/shelf');
  await heading(all);
  const stage = screen.getByRole('button', { name: /^cool-down/ });
  await user.click(stage);
  expect(countNow()).toBeLessThan(all);
  await user.click(screen.getByRole('button', { name: /^cool-down/ }));
  expect(countNow()).toBe(all);
});

test('filters are set and dropped together', async () => {
  const { user } = openPage('/shelf?level=first&load=2');
  await user.click(await screen.findByRole('button', { name: '2 filters' }));
  await user.click(await screen.findByRole('button', { name: 'No filters' }));
  expect(await heading(all)).toBeVisible();
});

test('a shelf that cannot be read says so', async () => {
  openPage('/shelf', { 'GET /api/exercises': refusal(403, 'NOT_YOURS', 'This shelf cannot be read.') });
  expect(await screen.findByText('This shelf cannot be read.')).toBeVisible();
});

test('exercises of a collection are found by it', async () => {
  openPage(`/shelf?collection=${RUN}`, {
    'GET /api/collections': [{ id: RUN, name: 'Mornings', version: 1, exercises: ['long-hiss', 'falling-hum'] }],
  });
  expect(await heading(2)).toBeVisible();
  expect(screen.getByRole('button', { name: 'Remove the collection' })).toBeVisible();
});

test('what this version cannot read is said by name, and everything else is there', async () => {
  openPage('/shelf', {
    'GET /api/exercises/unreadable': [{ id: RUN, name: 'From tomorrow', reason: { code: 'fault.later-form' } }],
  });
  expect(await heading(all)).toBeVisible();
  expect(await screen.findByText(/One entry cannot be read by this version/)).toBeVisible();
  expect(screen.getByText('From tomorrow').closest('li')).toHaveTextContent('was written by a later version');
});
