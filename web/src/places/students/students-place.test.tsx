import { screen, waitFor, within } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { openPage } from '../../testing/open-page.tsx';
import { LONG_NAME, OTHER_STUDENT, ROUTINE, RUN, runSummary, STUDENT, student } from '../../testing/samples.ts';

const SIXTY = Array.from({ length: 60 }, (_, index) =>
  student({ id: `01920000-0000-7000-8000-${String(index).padStart(12, '0')}`, name: `Student ${String(index)}` }),
);

test.each<[string, readonly unknown[], string]>([
  ['nobody', [], '0 students'],
  ['one', [student()], 'One student'],
  ['sixty', SIXTY, '60 students'],
])('%s: the heading counts', async (_, students, heading) => {
  openPage('/students', { 'GET /api/students': students });
  expect(await screen.findByRole('heading', { name: heading })).toBeVisible();
  expect(await screen.findAllByRole('row')).toHaveLength(students.length + 1);
});

const unmeasured: Schemas['VoiceFile'] = { type: 'bass', style: 'jazz', goals: [], bridges: [], avoid: [] };

test('each row has voice, range, lessons, when it sang last and what is ready', async () => {
  openPage('/students', {
    'GET /api/students': [student(), student({ id: OTHER_STUDENT, name: LONG_NAME, voice: unmeasured })],
    'GET /api/lessons': [
      { id: RUN, studentId: STUDENT, weekday: 3, startsAt: '15:30', minutes: 30 },
      { id: OTHER_STUDENT, studentId: STUDENT, weekday: 5, startsAt: '09:00', minutes: 30 },
    ],
    'GET /api/runs/last': [runSummary({ startedAt: '2026-11-23T15:32:00Z' })],
  });
  const maud = (await screen.findByRole('link', { name: 'Maud Pellow' })).closest('tr') as HTMLElement;
  await waitFor(() => {
    const cells = within(maud).getAllByRole('cell');
    expect(cells.map(({ textContent }) => textContent)).toEqual([
      'Maud Pellow',
      'mezzo · theatre',
      'A3 – E5',
      'Wed 15:30 · Fri 09:00',
      'Mon',
      'Sing it',
    ]);
  });
  expect(within(maud).getByRole('link', { name: 'Sing “Warm-up” with Maud Pellow' })).toHaveAttribute(
    'href',
    `/sing/${ROUTINE}`,
  );
  const other = screen.getByRole('link', { name: LONG_NAME }).closest('tr') as HTMLElement;
  expect(within(other).getByText('not measured')).toBeVisible();
  expect(within(other).getByText('–')).toBeVisible();
});

test('students and routines that cannot be read are said by name, and the others are there', async () => {
  openPage('/students', {
    'GET /api/students/unreadable': [{ id: RUN, name: 'From tomorrow', reason: { code: 'fault.later-form' } }],
    'GET /api/routines/unreadable': [
      {
        id: STUDENT,
        name: 'Torn warm-up',
        reason: { code: 'fault.at', values: { place: '1 id', fault: { code: 'fault.missing' } } },
      },
    ],
  });
  expect(await screen.findByText(/2 entries cannot be read by this version/)).toBeVisible();
  expect(screen.getByText('From tomorrow').closest('li')).toHaveTextContent('later version');
  expect(screen.getByText('Torn warm-up').closest('li')).toHaveTextContent('is missing');
  expect(await screen.findByRole('link', { name: 'Maud Pellow' })).toBeVisible();
});

test('a press anywhere on a row opens the student', async () => {
  const { user, path } = openPage('/students');
  await user.click(await screen.findByText('A3 – E5'));
  expect(path()).toBe(`/students/${STUDENT}`);
});

test('a student is added with a name and a voice type, and opened', async () => {
  const made = student({ id: OTHER_STUDENT, name: 'Nan Osier' });
  const { user, sent, path } = openPage('/students', { 'POST /api/students': made });
  await user.click(await screen.findByRole('button', { name: 'Add a student' }));
  const dialog = await screen.findByRole('dialog', { name: 'Add a student' });
  await user.type(within(dialog).getByLabelText(/^Name/), 'Nan Osier');
  await user.type(within(dialog).getByLabelText('Lowest comfortable note'), 'A3');
  await user.type(within(dialog).getByLabelText('Highest comfortable note'), 'E5');
  await user.click(within(dialog).getByRole('button', { name: 'Add and open' }));
  expect(sent[0]?.body).toMatchObject({
    name: 'Nan Osier',
    voice: { type: 'mezzo-soprano', measured: { low: 57, high: 76, date: '2026-11-25' } },
  });
  await screen.findByText(/There is no such thing in this studio/);
  expect(path()).toBe(`/students/${OTHER_STUDENT}`);
});

test('half a range is said before anything is sent', async () => {
  const { user, sent } = openPage('/students?add=1');
  const dialog = await screen.findByRole('dialog');
  await user.type(within(dialog).getByLabelText(/^Name/), 'Nan Osier');
  await user.type(within(dialog).getByLabelText('Lowest comfortable note'), 'A3');
  await user.click(within(dialog).getByRole('button', { name: 'Add and open' }));
  expect(within(dialog).getAllByText('Not a note.').length).toBeGreaterThan(0);
  expect(sent).toEqual([]);
});

test('on a shared screen only the student in hand is on the list', async () => {
  localStorage.setItem('soft-lark.shared-screen', 'true');
  openPage('/students', { 'GET /api/students': [student(), student({ id: OTHER_STUDENT, name: 'Nan Osier' })] });
  await screen.findByRole('heading', { name: '2 students' });
  expect(screen.queryByRole('link', { name: 'Nan Osier' })).toBeNull();
});

test('of many students a few letters find one; of a few nothing has to be typed', async () => {
  const { user, unmount } = openPage('/students', { 'GET /api/students': SIXTY });
  await user.type(await screen.findByRole('searchbox', { name: 'Find a student' }), 'DENT 47');
  expect(screen.getAllByRole('link', { name: /^Student \d+$/ }).map(({ textContent }) => textContent)).toEqual([
    'Student 47',
  ]);
  unmount();
  openPage('/students');
  await screen.findByRole('link', { name: 'Maud Pellow' });
  expect(screen.queryByRole('searchbox', { name: 'Find a student' })).toBeNull();
});
