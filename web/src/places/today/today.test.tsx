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

test('a studio without students begins with the first', async () => {
  open([], { 'GET /api/students': [] });
  expect(await screen.findByText(/Add the first student/)).toBeVisible();
  expect(screen.getByRole('link', { name: 'Add a student' })).toHaveAttribute('href', '/students?add=1');
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
  expect(sent[0]?.body).toMatchObject({ studentId: STUDENT });
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
