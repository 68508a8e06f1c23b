import { screen, waitFor } from '@testing-library/react';
import { openPage } from '../testing/open-page.tsx';
import { refusal } from '../testing/fake-api.ts';
import {
  lessonToday,
  LONG_NAME,
  ROUTINE,
  routine,
  RUN,
  runSummary,
  step,
  STUDENT,
  student,
  studentToday,
  usualAnswers,
} from '../testing/samples.ts';

const GROUP = { id: RUN, name: LONG_NAME, members: [STUDENT], version: 1 };
const RUN_WHOLE = {
  ...runSummary({ studentName: LONG_NAME, routineName: LONG_NAME }),
  plan: [],
  sung: [],
  stops: [],
  revision: 1,
  results: null,
  corrections: [],
};

/** Every address that shows something of the studio, with what it is made of. */
const PLACES: readonly (readonly [address: string, needs: string])[] = [
  ['/today', 'GET /api/today'],
  ['/students', 'GET /api/students'],
  [`/students/${STUDENT}`, `GET /api/students/${STUDENT}/today`],
  [`/students/${STUDENT}/review`, `GET /api/students/${STUDENT}/progress`],
  [`/students/${STUDENT}/check`, `GET /api/students/${STUDENT}/today`],
  [`/routines/${ROUTINE}`, `GET /api/routines/${ROUTINE}`],
  [`/sing/${ROUTINE}`, `GET /api/routines/${ROUTINE}`],
  ['/shelf', 'GET /api/exercises'],
  ['/shelf/up-and-down-five', 'GET /api/exercises'],
  ['/shelf/compare?a=thirds&b=long-hiss', 'GET /api/exercises'],
  ['/log', 'GET /api/runs'],
  [`/log/${RUN}`, `GET /api/runs/${RUN}`],
  [`/groups/${RUN}`, 'GET /api/groups'],
  ['/settings', 'GET /api/studio'],
  ['/settings/rules', 'GET /api/studio'],
];

const forever = (): Promise<never> => new Promise(() => undefined);

test.each(PLACES)('%s waits in its own shape, not on an empty page', async (address, needs) => {
  openPage(address, { [needs]: forever });
  await waitFor(() => {
    expect(screen.getAllByLabelText('Loading')[0]).toBeInTheDocument();
  });
  expect(screen.queryByRole('alert')).toBeNull();
});

test.each(PLACES)('%s says why it cannot be shown, and what to do', async (address, needs) => {
  openPage(address, { [needs]: refusal(403, 'NOT_NOW', 'This is not yours to see.') });
  const said = await screen.findAllByText(/This is not yours to see|not here any more|cannot be shown/);
  expect(said[0]).toBeVisible();
});

test.each(PLACES.filter(([address]) => !address.includes('compare')))(
  '%s comes up once the server can be asked again',
  async (address, needs) => {
    const page = openPage(address, { [needs]: refusal(403, 'NOT_NOW', 'Not now.') });
    await screen.findAllByText(/Not now|not here any more/);
    const again = screen.queryByRole('button', { name: 'Try again' });
    if (!again) return;
    const answers = { ...usualAnswers(), 'GET /api/groups': [GROUP], [`GET /api/runs/${RUN}`]: RUN_WHOLE };
    page.answer({ [needs]: answers[needs as keyof typeof answers] });
    await page.user.click(again);
    await waitFor(() => {
      expect(screen.queryByText('Not now.')).toBeNull();
    });
  },
);

const LONG = {
  'GET /api/students': [student({ name: LONG_NAME })],
  [`GET /api/students/${STUDENT}/today`]: studentToday({ student: student({ name: LONG_NAME }) }),
  'GET /api/today': {
    day: '2026-11-25',
    lessons: [lessonToday({ student: student({ name: LONG_NAME }), routine: routine({ name: LONG_NAME }) })],
  },
  [`GET /api/routines/${ROUTINE}`]: routine({ name: LONG_NAME }),
  'GET /api/routines': [routine({ name: LONG_NAME })],
  'GET /api/groups': [GROUP],
  'GET /api/runs': [runSummary({ studentName: LONG_NAME, routineName: LONG_NAME })],
  [`GET /api/runs/${RUN}`]: RUN_WHOLE,
};

test.each([
  ['/today'],
  ['/students'],
  [`/students/${STUDENT}`],
  [`/students/${STUDENT}/routines`],
  [`/students/${STUDENT}/runs`],
  [`/students/${STUDENT}/check`],
  [`/routines/${ROUTINE}`],
  [`/sing/${ROUTINE}`],
  [`/groups/${RUN}`],
  ['/log'],
  [`/log/${RUN}`],
])('a name of forty letters stands whole at %s', async (address) => {
  openPage(address, LONG);
  await waitFor(() => {
    const shown = [
      ...[...document.querySelectorAll<HTMLInputElement>('input')].map(({ value }) => value),
      document.body.textContent,
    ].join(' ');
    expect(shown).toContain(LONG_NAME);
  });
});

test('a routine of forty steps is laid out whole on the bench', async () => {
  const ids = ['long-hiss', 'lip-trill-on-five', 'hum-on-the-chord', 'up-and-down-five', 'thirds'];
  const steps = Array.from({ length: 40 }, (_, index) => ({
    ...step(ids[index % ids.length] ?? 'thirds'),
    id: `01920000-0000-7000-9000-${String(index).padStart(12, '0')}`,
  }));
  openPage(`/routines/${ROUTINE}`, { [`GET /api/routines/${ROUTINE}`]: routine({ steps, minutes: 60 }) });
  expect(await screen.findAllByRole('button', { name: /^Remove “/ })).toHaveLength(40);
});

test('five years of runs come page by page, not all at once', async () => {
  const page = Array.from({ length: 100 }, (_, index) =>
    runSummary({ id: `01920000-0000-7000-8000-${String(index).padStart(12, '0')}` }),
  );
  openPage('/log', { 'GET /api/runs': page });
  expect(await screen.findAllByRole('row')).toHaveLength(101);
  expect(screen.getByRole('button', { name: 'Earlier runs' })).toBeVisible();
});
