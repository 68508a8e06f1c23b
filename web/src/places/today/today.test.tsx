import { screen, waitFor, within } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import {
  lessonToday,
  LONG_NAME,
  OTHER_STUDENT,
  ROUTINE,
  routine,
  RUN,
  runSummary,
  session,
  step,
  STUDENT,
  student,
  voice,
} from '../../testing/samples.ts';

const UNMEASURED = Object.fromEntries(
  Object.entries(voice()).filter(([field]) => field !== 'measured'),
) as Schemas['VoiceFile'];
const OTHER_ROUTINE = '01920000-0000-7000-8000-00000000000b';

type Lesson = Partial<Schemas['LessonTodayDto']>;

const lessonOf = (change: Lesson = {}): Schemas['LessonTodayDto'] => lessonToday(change);
const at = (startsAt: string, id = RUN): Schemas['LessonDto'] => ({
  id,
  studentId: STUDENT,
  weekday: 3,
  startsAt,
  minutes: 30,
});

function open(lessons: readonly Schemas['LessonTodayDto'][], answers = {}): OpenedPage {
  return openPage('/today', { 'GET /api/today': { day: '2026-11-25', lessons }, ...answers });
}

const rowOf = async (name: string): Promise<HTMLElement> =>
  (await screen.findByRole('link', { name })).closest('li') as HTMLElement;

test.each<[string, readonly string[], string, string, RegExp]>([
  ['a lesson to come', ['15:30'], '2026-11-25T15:18:00Z', 'Wednesday, one lesson', /next in 12 minutes/],
  ['a lesson going on', ['15:30'], '2026-11-25T15:40:00Z', 'Wednesday, one lesson', /lesson going on now/],
  ['all over', ['09:00', '10:00'], '2026-11-25T18:00:00Z', 'Wednesday, two lessons', /all sung for today/],
])('%s: the heading counts and says when', async (_, times, fixedNow, heading, when) => {
  const lessons = times.map((time, index) => lessonOf({ lesson: at(time, index === 0 ? RUN : ROUTINE) }));
  open(lessons, { 'GET /api/session': session({ fixedNow }) });
  expect(await screen.findByRole('heading', { name: heading })).toBeVisible();
  expect(screen.getByText(when)).toBeVisible();
});

test('a day without lessons says what to do next', async () => {
  open([]);
  expect(await screen.findByRole('heading', { name: 'No lessons today' })).toBeVisible();
  expect(screen.getByText(/Give a student one on their page/)).toBeVisible();
});

test.each<[string, readonly Schemas['StudentDto'][], string, string]>([
  ['a student', [], 'Add a student', '/students?add=1'],
  ['the range', [student({ voice: UNMEASURED })], 'Measure it', `/students/${STUDENT}/check`],
])('a studio that has just begun is led to %s', async (_, students, act, address) => {
  open([], { 'GET /api/students': students, 'GET /api/routines': [] });
  expect(await screen.findByRole('heading', { name: 'To the first warm-up' })).toBeVisible();
  expect(screen.getByRole('link', { name: act })).toHaveAttribute('href', address);
});

test('with a range measured the first draft is one press away', async () => {
  const { user, path } = open([], { 'GET /api/routines': [], 'POST /api/routines': routine({ steps: [] }) });
  await user.click(await screen.findByRole('button', { name: 'Draft one' }));
  await waitFor(() => {
    expect(path()).toContain(`/routines/${ROUTINE}`);
  });
});

test('another routine is chosen for today, and stays chosen', async () => {
  const other = routine({ id: OTHER_ROUTINE, name: 'Quick one' });
  const { user, sent } = open([lessonOf()], {
    'GET /api/routines': [routine(), other],
    [`PUT /api/students/${STUDENT}/day-routine`]: (body: unknown) => body,
  });
  await user.click(within(await rowOf('Maud Pellow')).getByRole('button', { name: 'Another routine of Maud Pellow' }));
  await user.click(await screen.findByRole('menuitemradio', { name: /Quick one/ }));
  await waitFor(() => {
    expect(sent[0]?.body).toEqual({ day: '2026-11-25', routineId: OTHER_ROUTINE });
  });
});

test('where minutes are left they are filled on the bench: what is there stays, and more comes', async () => {
  const steps = [step('lip-trill-on-five'), step('falling-hum')];
  const { user, path } = open([lessonOf({ routine: routine({ steps }) })], {
    [`GET /api/routines/${ROUTINE}`]: routine({ steps }),
  });
  expect((await rowOf('Maud Pellow')).textContent).toMatch(/\d:\d\d short/);
  await user.click(screen.getByRole('link', { name: 'Fill them' }));
  await waitFor(() => {
    expect(path()).toContain(`/routines/${ROUTINE}`);
  });
  const order = await screen.findByRole('region', { name: 'The order' });
  await waitFor(() => {
    expect(within(order).getAllByRole('listitem').length).toBeGreaterThan(3);
  });
  expect(within(order).getAllByText(/Lip trill on five|Falling hum/).length).toBeGreaterThanOrEqual(2);
});

test.each<[string, Lesson, RegExp]>([
  ['a routine that fits', {}, /Warm-up: \d:\d\d of 10:00, .+ to .+ today\./],
  ['one over its minutes', { routine: routine({ minutes: 2 }) }, /\d:\d\d over\./],
  ['none yet', { routine: null }, /no routine yet/],
  [
    'a step that is left out',
    { routine: routine({ steps: [step('up-and-down-five', { settings: { start: 90 } }), step('falling-hum')] }) },
    /One step is left out today\./,
  ],
  ['nothing that can be sung', { routine: routine({ steps: [step('long-hiss')] }) }, /Nothing in it can be sung today/],
  [
    'a lock',
    { lock: { id: RUN, level: 'urgent', since: '2026-11-25', liftedAt: null, liftedBy: null, reason: null } },
    /Locked: get medical help/,
  ],
  ['never sung', {}, /not sung here yet/],
  [
    'what was practised at home',
    { practised: { times: 2, ease: 4, note: 'the turn went well' } },
    /Practised 2 times at home · easy · “the turn went well”/,
  ],
  ['a line for today', { lastRun: runSummary({ note: 'Less jaw' }) }, /For today: Less jaw/],
  ['sung last week', { lastRun: runSummary() }, /to D5 · ease 4/],
  ['sung, nothing said', { lastRun: runSummary({ ease: null, highest: null }) }, /to – · ease –/],
])('a row says: %s', async (_, change, words) => {
  open([lessonOf(change)]);
  expect((await rowOf('Maud Pellow')).textContent).toMatch(words);
});

test('a name of forty letters stands whole in its row', async () => {
  open([lessonOf({ student: student({ name: LONG_NAME }) })]);
  expect(await screen.findByRole('link', { name: LONG_NAME })).toBeVisible();
});

test('today’s condition is one press, and the hint is taken with one', async () => {
  const { user, sent } = open([lessonOf({ student: student({ note: 'Talks all day at work.' }) })]);
  const row = await rowOf('Maud Pellow');
  await user.click(within(row).getByRole('button', { name: /Talks a lot: tired\?|Late in the day: tired\?/ }));
  expect(sent[0]).toEqual({
    what: `PUT /api/students/${STUDENT}/condition`,
    body: { day: '2026-11-25', conditions: ['tired'] },
  });
  expect(within(row).getByRole('button', { name: 'Tired' })).toHaveAttribute('aria-pressed', 'true');
});

test('a condition that cannot be sent is still shown, and tried again', async () => {
  let tries = 0;
  const { user } = open([lessonOf()], {
    [`PUT /api/students/${STUDENT}/condition`]: () => {
      tries += 1;
      throw new TypeError('away');
    },
  });
  const row = await rowOf('Maud Pellow');
  await user.click(within(row).getByRole('button', { name: 'Heavy' }));
  await waitFor(() => {
    expect(tries).toBe(1);
  });
  expect(within(row).getByRole('button', { name: 'Heavy' })).toHaveAttribute('aria-pressed', 'true');
});

test('a routine is drafted for one who has none', async () => {
  const { user, path, sent } = open([lessonOf({ routine: null })], { 'POST /api/routines': routine({ steps: [] }) });
  await user.click(within(await rowOf('Maud Pellow')).getByRole('button', { name: 'Draft one' }));
  await waitFor(() => {
    expect(path()).toContain(`/routines/${ROUTINE}`);
  });
  expect(sent.find(({ what }) => what === 'POST /api/routines')?.body).toMatchObject({ studentId: STUDENT });
});

test('on a shared screen other names and locks are not there', async () => {
  localStorage.setItem('soft-lark.shared-screen', 'true');
  open([
    lessonOf(),
    lessonOf({
      student: student({ id: OTHER_STUDENT, name: 'Nan Osier', voice: voice() }),
      lesson: at('16:00', ROUTINE),
    }),
  ]);
  await screen.findByRole('heading', { name: 'Wednesday, two lessons' });
  expect(screen.queryByText('Nan Osier')).toBeNull();
});

test('sixty lessons are all there, in order', async () => {
  const lessons = Array.from({ length: 60 }, (_, index) => {
    const id = `01920000-0000-7000-8000-${String(index).padStart(12, '0')}`;
    return lessonOf({
      student: student({ id, name: `Student ${String(index)}` }),
      lesson: at('15:30', id),
      routine: null,
    });
  });
  open(lessons);
  expect(await screen.findByRole('heading', { name: 'Wednesday, 60 lessons' })).toBeVisible();
  expect(screen.getAllByRole('link', { name: /^Student \d+$/ }).length).toBeGreaterThanOrEqual(60);
});

test('someone unplanned is found by a few letters, and drafted for', async () => {
  const { user, path, sent } = open([lessonOf()], {
    'GET /api/students': [student(), student({ id: OTHER_STUDENT, name: 'Nan Osier' })],
    'POST /api/routines': routine({ steps: [] }),
  });
  await rowOf('Maud Pellow');
  await user.keyboard('n');
  const dialog = within(await screen.findByRole('dialog', { name: 'Who is at the door?' }));
  await user.type(dialog.getByRole('searchbox'), 'zz');
  expect(dialog.getByText('Nobody is called that.')).toBeVisible();
  await user.clear(dialog.getByRole('searchbox'));
  await user.type(dialog.getByRole('searchbox'), 'osi{Enter}');
  await waitFor(() => {
    expect(path()).toContain(`/routines/${ROUTINE}`);
  });
  expect(sent.map(({ body }) => body)).toContainEqual(expect.objectContaining({ studentId: OTHER_STUDENT }));
});

test.each([
  [40, 'next in 40 minutes'],
  [89, 'next in 89 minutes'],
  [375, 'next in 6 h'],
])('a lesson in %i minutes is %s', async (minutes, words) => {
  const start = new Date(Date.parse('2026-11-25T09:00:00Z') + minutes * 60_000).toISOString().slice(11, 16);
  open([lessonOf({ lesson: at(start, RUN) })], { 'GET /api/session': session({ fixedNow: '2026-11-25T09:00:00Z' }) });
  expect(await screen.findByText(new RegExp(words))).toBeVisible();
});
