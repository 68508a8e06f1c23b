import { screen, waitFor, within } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { fill, openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { Answer } from '../../testing/fake-api.ts';
import {
  OTHER_STUDENT,
  ROUTINE,
  routine,
  RUN,
  step,
  STUDENT,
  student,
  studentToday,
  voice,
} from '../../testing/samples.ts';

const GROUP: Schemas['GroupDto'] = { id: RUN, name: 'The pair', members: [STUDENT, OTHER_STUDENT], version: 2 };
const LONG = [
  'long-hiss',
  'hum-glides',
  'up-and-down-five',
  'thirds',
  'full-scale',
  'octave-leap-and-settle',
  'lip-trill-on-five',
  'falling-hum',
];
const BASS = student({
  id: OTHER_STUDENT,
  name: 'Nan Osier',
  voice: voice({ type: 'bass', bridges: [], measured: { low: 40, high: 60, date: '2026-11-03' } }),
});

function open(path: string, answers = {}): OpenedPage {
  return openPage(path, {
    'GET /api/students': [student(), BASS],
    'GET /api/groups': [GROUP],
    [`GET /api/students/${OTHER_STUDENT}/today`]: studentToday({ student: BASS }),
    'GET /api/routines': [
      routine({ steps: ['long-hiss', 'hum-glides', 'up-and-down-five', 'falling-hum'].map((id) => step(id)) }),
    ],
    ...answers,
  });
}

test('groups stand with their singers on the list', async () => {
  open('/students');
  const item = (await screen.findByRole('link', { name: 'The pair' })).closest('li') as HTMLElement;
  expect(item.textContent).toContain('Maud Pellow, Nan Osier');
});

test('one student makes no group', async () => {
  open('/students', { 'GET /api/students': [student()], 'GET /api/groups': [] });
  expect(await screen.findByRole('button', { name: 'Add a group' })).toBeDisabled();
  expect(screen.getByText(/Who sings together, warms up in the keys they share/)).toBeVisible();
});

test('a group is made of a name and two singers at least', async () => {
  const page = open('/students', { 'PUT /api/groups/*': (body: unknown) => ({ ...GROUP, ...(body as object) }) });
  await page.user.click(await screen.findByRole('button', { name: 'Add a group' }));
  const dialog = within(await screen.findByRole('dialog'));
  await fill(page, dialog.getByLabelText('Name of the group'), 'The two');
  expect(dialog.getByRole('button', { name: 'Save' })).toBeDisabled();
  await page.user.click(dialog.getByRole('combobox', { name: 'Who sings in it' }));
  for (const name of ['Maud Pellow', 'Nan Osier']) await page.user.click(await screen.findByRole('option', { name }));
  await page.user.click(dialog.getByRole('button', { name: 'Save' }));
  await waitFor(() => {
    expect(page.sent[0]?.body).toEqual({ name: 'The two', members: [STUDENT, OTHER_STUDENT], version: 0 });
  });
});

test('a routine is worked out for all: keys in common, each singer’s octave, glides in one’s own range', async () => {
  open(`/groups/${RUN}`);
  const row = (await screen.findByText('Up and down five')).closest('tr') as HTMLElement;
  const [, keys, maud, nan] = within(row).getAllByRole('cell');
  expect(keys?.textContent).toMatch(/^\d+[A-G]/);
  expect([maud?.textContent, nan?.textContent].join()).toMatch(/as written.*octave/);
  const glide = screen.getByText(/^Hum glides/).closest('tr') as HTMLElement;
  expect(within(glide).getAllByText('in one’s own range')).toHaveLength(2);
  const breath = screen.getByText('Long hiss').closest('tr') as HTMLElement;
  expect(within(breath).getAllByText('joins in')).toHaveLength(2);
});

test('the routine is put on the bench as one of them leads it', async () => {
  const page = open(`/groups/${RUN}`, { 'POST /api/routines': routine() });
  await page.user.click(await screen.findByRole('button', { name: 'Put it on the bench' }));
  await page.user.click(await screen.findByRole('menuitem', { name: 'Nan Osier' }));
  await waitFor(() => {
    expect(page.path()).toBe(`/routines/${ROUTINE}`);
  });
  const made = page.sent[0]?.body as Schemas['NewRoutineDto'];
  expect([made.studentId, made.groupId, made.name]).toEqual([OTHER_STUDENT, RUN, 'The pair, together']);
  expect(made.steps.find(({ exerciseId }) => exerciseId === 'up-and-down-five')?.settings.start).toBeLessThan(60);
});

test.each<[string, object, RegExp]>([
  ['nobody has a routine', { 'GET /api/routines': [] }, /None of these singers has a routine yet/],
  ['one singer is left', { 'GET /api/groups': [{ ...GROUP, members: [STUDENT] }] }, /One singer is left in this group/],
  ['it is gone', { 'GET /api/groups': [] }, /There is nothing at this address/],
])('a group says so when %s', async (_, answers, words) => {
  open(`/groups/${RUN}`, answers);
  expect(await screen.findByText(words)).toBeVisible();
});

test('a group is deleted, its singers stay', async () => {
  const page = open(`/groups/${RUN}`, { [`DELETE /api/groups/${RUN}`]: new Answer(204, undefined) });
  await page.user.click(await screen.findByRole('button', { name: 'Delete this group' }));
  const dialog = within(await screen.findByRole('dialog'));
  expect(dialog.getByText(/The singers and their routines stay/)).toBeVisible();
  await page.user.click(dialog.getByRole('button', { name: 'Delete this group' }));
  await waitFor(() => {
    expect(page.path()).toBe('/students');
  });
});

test('on a shared screen a group is not shown', async () => {
  localStorage.setItem('soft-lark.shared-screen', 'true');
  open(`/groups/${RUN}`);
  expect(await screen.findByText(/On a shared screen only the student in hand/)).toBeVisible();
});

test('two who are called alike are told apart by their voices', async () => {
  open(`/groups/${RUN}`, { 'GET /api/students': [student(), { ...BASS, name: 'Maud Pellow' }] });
  expect(await screen.findByRole('columnheader', { name: 'Maud Pellow (bass)' })).toBeVisible();
  expect(screen.getByRole('columnheader', { name: 'Maud Pellow (mezzo)' })).toBeVisible();
});

test('what is led for the group is the group’s, and is not worked out for it once more', async () => {
  const led = routine({ id: OTHER_STUDENT, name: 'The pair, together', groupId: RUN });
  open(`/groups/${RUN}`, { 'GET /api/routines': [led, routine({ steps: [step('falling-hum')] })] });
  const own = within(await screen.findByRole('region', { name: 'Sung together' }));
  expect(own.getByRole('link', { name: 'The pair, together' })).toHaveAttribute('href', `/routines/${OTHER_STUDENT}`);
  expect(screen.getByRole('combobox', { name: 'Work out for all of them' })).toHaveValue('Warm-up · Maud Pellow');
});

test('a led routine is fitted to the minutes of the routine it comes from', async () => {
  const long = routine({ minutes: 5, steps: [...LONG].map((id) => step(id)) });
  const page = open(`/groups/${RUN}`, { 'POST /api/routines': routine(), 'GET /api/routines': [long] });
  await page.user.click(await screen.findByRole('button', { name: 'Put it on the bench' }));
  await page.user.click(await screen.findByRole('menuitem', { name: 'Nan Osier' }));
  await waitFor(() => {
    expect(page.sent).toHaveLength(1);
  });
  const { steps, minutes } = page.sent[0]?.body as Schemas['NewRoutineDto'];
  expect(minutes).toBe(5);
  expect(steps.length).toBeLessThan(LONG.length);
  expect(steps.length).toBeGreaterThan(1);
});
