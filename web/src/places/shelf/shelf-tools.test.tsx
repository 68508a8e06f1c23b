import { shippedExercises } from '@soft-lark/core';
import { screen, waitFor, within } from '@testing-library/react';
import { fill, openPage } from '../../testing/open-page.tsx';
import { Answer, refusal } from '../../testing/fake-api.ts';
import { ROUTINE, routine, RUN, STUDENT } from '../../testing/samples.ts';

const shelf = shippedExercises();
const choose = async ({ user }: ReturnType<typeof openPage>, ...names: readonly string[]): Promise<void> => {
  for (const name of names) await user.click(await screen.findByRole('checkbox', { name: `Choose ${name}` }));
};
const [first, second] = shelf.map(({ name }) => name);
const LANTERN = {
  name: 'Lantern',
  tempo: 96,
  tonicClass: 0,
  mode: 'major',
  beatsPerBar: 4,
  pickupBeats: 0,
  events: [60, 62, 64, 65, 67, 64, 60, 60, 62, 65, 64, 60].map((midi) => ({ midi, beats: 1 })),
};

test('two that are ticked are compared; one is not, nor are three', async () => {
  const page = openPage('/shelf?stage=settle');
  await choose(page, first ?? '');
  expect(screen.getByText('One chosen')).toBeVisible();
  expect(screen.queryByRole('link', { name: 'Compare the two' })).toBeNull();
  await choose(page, second ?? '');
  await page.user.click(screen.getByRole('link', { name: 'Compare the two' }));
  expect(await screen.findByRole('heading', { name: 'Side by side' })).toBeVisible();
  expect(page.path()).toMatch(/^\/shelf\/compare\?a=.+&b=.+/);
});

test('what is ticked goes into a new collection', async () => {
  const page = openPage('/shelf?stage=settle', { 'PUT /api/collections/*': (body: unknown) => body });
  await choose(page, first ?? '', second ?? '');
  await page.user.click(screen.getByRole('button', { name: 'Put in a collection' }));
  await fill(page, await screen.findByLabelText('Name of a new collection'), 'Mornings');
  const [, confirm] = screen.getAllByRole('button', { name: 'Put in a collection' });
  await page.user.click(confirm as HTMLElement);
  await waitFor(() => {
    expect(page.sent[0]?.body).toMatchObject({ name: 'Mornings', version: 0 });
  });
  expect((page.sent[0]?.body as { exercises: string[] }).exercises).toHaveLength(2);
  await waitFor(() => {
    expect(screen.queryByText('2 chosen')).toBeNull();
  });
});

test('what is ticked is taken out of the collection in view', async () => {
  const ids = shelf.slice(0, 3).map(({ id }) => id);
  const page = openPage(`/shelf?collection=${RUN}`, {
    'GET /api/collections': [{ id: RUN, name: 'Mornings', version: 4, exercises: ids }],
    'PUT /api/collections/*': (body: unknown) => body,
  });
  await choose(page, first ?? '');
  await page.user.click(screen.getByRole('button', { name: 'Take out of Mornings' }));
  await waitFor(() => {
    expect(page.sent[0]).toEqual({
      what: `PUT /api/collections/${RUN}`,
      body: { name: 'Mornings', version: 4, exercises: ids.slice(1) },
    });
  });
});

test('a collection is removed when it is said twice; its exercises stay', async () => {
  const page = openPage(`/shelf?collection=${RUN}`, {
    'GET /api/collections': [{ id: RUN, name: 'Mornings', version: 4, exercises: ['long-hiss'] }],
    [`DELETE /api/collections/${RUN}`]: new Answer(204, undefined),
  });
  await page.user.click(await screen.findByRole('button', { name: 'Remove the collection' }));
  const dialog = within(await screen.findByRole('dialog'));
  expect(dialog.getByText(/the exercises in it stay on the shelf/)).toBeVisible();
  await page.user.click(dialog.getByRole('button', { name: 'Remove the collection' }));
  await waitFor(() => {
    expect(page.path()).toBe('/shelf');
  });
});

test('two exercises stand side by side for the student in hand, and either side is chosen anew', async () => {
  const page = openPage(`/students/${STUDENT}`);
  await screen.findByText(/^In hand:/);
  await page.user.click(screen.getByRole('link', { name: 'Shelf' }));
  await page.user.click(await screen.findByRole('button', { name: /^breath \d/ }));
  await choose(page, 'Long hiss', 'Hiss in steps');
  await page.user.click(screen.getByRole('link', { name: 'Compare the two' }));
  const left = within(await screen.findByRole('region', { name: 'Long hiss' }));
  const right = within(screen.getByRole('region', { name: 'Hiss in steps' }));
  expect([left, right].map((side) => side.getByText('Stage').nextElementSibling?.textContent)).toEqual([
    'breath',
    'breath',
  ]);
  expect(left.getByText('Time for this voice').nextElementSibling).toHaveTextContent(/^\d:\d\d$/);
});

test('bars of a song become the pattern of an exercise', async () => {
  const page = openPage('/shelf/new', { 'GET /api/songs': [{ id: RUN, version: 1, ...LANTERN }] });
  await page.user.click(await screen.findByRole('button', { name: 'From a song' }));
  expect(screen.getByRole('button', { name: 'Take these bars' })).toBeDisabled();
  await page.user.click(screen.getByRole('combobox', { name: 'Song' }));
  await page.user.click(await screen.findByRole('option', { name: 'Lantern' }));
  expect(screen.getByText('Bars 1 to 2 of 3')).toBeVisible();
  await page.user.click(screen.getByRole('button', { name: 'Take these bars' }));
  expect(screen.getByLabelText('Pattern')).toHaveValue('1 2 3 4 5 3 1 1');
  expect(screen.getByLabelText('Usual tempo')).toHaveValue('96');
});

test('a studio without songs says where one comes from', async () => {
  const page = openPage('/shelf/new');
  await page.user.click(await screen.findByRole('button', { name: 'From a song' }));
  expect(screen.getByText(/No song is kept yet/)).toBeVisible();
});

test('a fast pattern is learnt in four forms, each with its tempo and time', async () => {
  openPage('/shelf/triplets-down');
  const forms = (await screen.findByRole('heading', { name: 'Learnt in four forms' })).parentElement as HTMLElement;
  const rows = within(forms).getAllByRole('listitem');
  expect(rows.map((row) => row.querySelector('b')?.textContent)).toEqual([
    'Slowly',
    'In pieces',
    'From its end',
    'Whole',
  ]);
  for (const row of rows) expect(row).toHaveTextContent(/at \d+ · \d:\d\d/);
});

test('an export says what a format cannot carry before it is written', async () => {
  const page = openPage('/shelf/shake-on-each-step');
  await page.user.click(await screen.findByRole('button', { name: 'Export' }));
  const items = await screen.findAllByRole('menuitem');
  expect(items.map(({ textContent }) => /JSON|MusicXML|ABC|MIDI/.exec(textContent)?.[0])).toEqual([
    'JSON',
    'MusicXML',
    'ABC',
    'MIDI',
  ]);
});

test('for the student in hand a sheet says keys, limits and time, or why not and what instead', async () => {
  const page = openPage(`/students/${STUDENT}`);
  await screen.findByText(/^In hand:/);
  await page.user.click(screen.getByRole('link', { name: 'Shelf' }));
  await fill(page, await screen.findByRole('searchbox'), 'up and down five');
  await page.user.click(await screen.findByRole('link', { name: /Up and down five/ }));
  expect(await screen.findByText(/For Maud Pellow today between/)).toHaveTextContent(/ keys · \d:\d\d in all/);
});

test('what is ticked is added to a routine, each where it belongs; a routine changed meanwhile is said', async () => {
  let isStale = true;
  const page = openPage('/shelf?stage=settle', {
    'GET /api/routines': [routine()],
    [`PUT /api/routines/${ROUTINE}`]: (body: unknown) => {
      if (!isStale) return routine(body as object);
      isStale = false;
      return refusal(409, 'STALE_WRITE', 'It was changed in another window.');
    },
  });
  await choose(page, first ?? '');
  await page.user.click(screen.getByRole('button', { name: 'Add to a routine' }));
  await page.user.click(await screen.findByRole('combobox', { name: 'Routine' }));
  await page.user.click(await screen.findByRole('option', { name: routine().name }));
  await page.user.click(screen.getByRole('button', { name: 'Add' }));
  expect(await screen.findByText(/changed in another window/)).toBeVisible();
  await page.user.click(screen.getByRole('button', { name: 'Add' }));
  expect(await screen.findByText(/It stands in the routine/)).toBeVisible();
  expect(screen.getByRole('link', { name: 'Open the bench' })).toHaveAttribute('href', `/routines/${ROUTINE}`);
  const { steps } = page.sent.at(-1)?.body as { readonly steps: readonly { readonly exerciseId: string }[] };
  expect(steps).toHaveLength(routine().steps.length + 1);
  expect(steps[0]?.exerciseId).toBe(shelf[0]?.id);
});
