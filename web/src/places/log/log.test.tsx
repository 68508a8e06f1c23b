import { screen, waitFor, within } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { openPage } from '../../testing/open-page.tsx';
import { Answer } from '../../testing/fake-api.ts';
import { LONG_NAME, OTHER_STUDENT, ROUTINE, RUN, runSummary, STUDENT, student } from '../../testing/samples.ts';

const STEP = ROUTINE;
type Sung = Schemas['SungKey'];

const sung = (tonic: number, change: Partial<Sung> = {}): Sung => ({
  id: RUN,
  stepId: STEP,
  exerciseId: 'up-and-down-five',
  tonic,
  leg: 'up',
  low: tonic,
  high: tonic + 7,
  tempo: 92,
  outcome: 'sung',
  marks: [],
  help: 'together',
  ...change,
});

function run(change: Partial<Schemas['RunDto']> = {}): Schemas['RunDto'] {
  return {
    ...runSummary(),
    plan: [
      {
        stepId: STEP,
        exerciseId: 'up-and-down-five',
        name: 'Up and down five',
        kind: 'pattern',
        seconds: 80,
        keys: [60, 61, 62].map((tonic) => ({ tonic, leg: 'up', low: tonic, high: tonic + 7 })),
      },
      { stepId: RUN, exerciseId: 'long-hiss', name: 'Long hiss', kind: 'breath', seconds: 60, keys: [] },
    ],
    sung: [sung(60, { id: STEP }), sung(61, { id: RUN, outcome: 'skipped', marks: ['strain'] })],
    stops: [],
    results: null,
    revision: 4,
    corrections: [],
    ...change,
  };
}

test('an empty log says what comes here', async () => {
  openPage('/log');
  expect(await screen.findByText(/Nothing has been sung yet/)).toBeVisible();
});

test('the log is searched: what was asked for stands in the address, and the server is asked once the letters rest', async () => {
  const { user, path } = openPage('/log', {
    'GET /api/runs': [runSummary()],
    'GET /api/runs?most=100&words=straw&mark=strain': [],
  });
  await screen.findByRole('cell', { name: 'Warm-up' });
  await user.type(screen.getByRole('searchbox', { name: 'Names and notes' }), 'straw');
  await user.click(screen.getByRole('combobox', { name: 'Mark' }));
  await user.click(await screen.findByRole('option', { name: 'strain' }));
  expect(await screen.findByText('Nothing in the log is like this.')).toBeVisible();
  expect(path()).toBe('/log?words=straw&mark=strain');
  await user.click(screen.getByRole('combobox', { name: 'Mark' }));
  await user.click(await screen.findByRole('option', { name: 'any mark' }));
  expect(await screen.findByRole('cell', { name: 'Warm-up' })).toBeVisible();
});

test.each<[string, Partial<Schemas['RunSummaryDto']>, readonly string[]]>([
  ['a whole run', { marks: ['strain', 'easy'] }, ['18 of 20', 'A3 – D5', '4', 'strain, easy']],
  ['one that went on', { sungKeys: 23 }, ['23, 3 more than planned', 'A3 – D5', '4', '']],
  ['one that sang nothing', { lowest: null, highest: null, sungKeys: 0 }, ['0 of 20', '–', '4', '']],
  ['one that was not ended', { endedAt: null, ease: null }, ['18 of 20', 'A3 – D5', 'not ended', '']],
  ['one without ease', { ease: null }, ['18 of 20', 'A3 – D5', '–', '']],
])('a row of the log: %s', async (_, change, cells) => {
  openPage('/log', { 'GET /api/runs': [runSummary(change)] });
  const row = (await screen.findByRole('cell', { name: 'Warm-up' })).closest('tr') as HTMLElement;
  const words = within(row)
    .getAllByRole('cell')
    .map(({ textContent }) => textContent);
  expect(words.slice(3, 7)).toEqual(cells);
});

test('a row opens its run with a press', async () => {
  const { user, path } = openPage('/log', {
    'GET /api/runs': [runSummary()],
    [`GET /api/runs/${RUN}`]: run(),
  });
  await user.click(await screen.findByText('18 of 20'));
  expect(path()).toBe(`/log/${RUN}`);
});

test('one student has a picture once there are two runs, and the gate’s locks below', async () => {
  const { user } = openPage(`/log?student=${STUDENT}`, {
    'GET /api/runs': [runSummary()],
    [`GET /api/students/${STUDENT}/locks`]: [
      {
        id: RUN,
        level: 'not-today',
        since: '2026-11-12',
        liftedAt: '2026-11-13T09:00:00Z',
        liftedBy: 'Ida Tern',
        reason: 'well again',
      },
    ],
  });
  expect(await screen.findByText('A picture needs two runs.')).toBeVisible();
  expect(await screen.findByText('well again')).toBeVisible();
  await user.click(screen.getByRole('combobox', { name: 'Student' }));
  await user.click(await screen.findByRole('option', { name: 'all students' }));
  expect(screen.queryByText('A picture needs two runs.')).toBeNull();
});

test('a long log goes back page by page', async () => {
  const page = Array.from({ length: 100 }, (_, index) =>
    runSummary({ id: `01920000-0000-7000-8000-${String(index).padStart(12, '0')}` }),
  );
  const last = page.at(-1)?.id ?? '';
  const { user } = openPage('/log', {
    'GET /api/runs?most=100': page,
    [`GET /api/runs?most=100&olderThan=${last}`]: [runSummary({ note: 'the very first' })],
  });
  await user.click(await screen.findByRole('button', { name: 'Earlier runs' }));
  expect(await screen.findByText('the very first')).toBeVisible();
  expect(screen.queryByRole('button', { name: 'Earlier runs' })).toBeNull();
});

test('a run is shown key by key, planned above and sung below', async () => {
  openPage(`/log/${RUN}`, {
    [`GET /api/runs/${RUN}`]: run({ studentName: LONG_NAME, conditions: ['heavy', 'tired'] }),
  });
  expect(await screen.findByRole('heading', { name: new RegExp(`^${LONG_NAME} ?, Warm-up$`) })).toBeVisible();
  expect(
    screen.getByText(/18 of 20 · A3 – D5 · ease 4 of 5 · at the gate: heavy, tired · 9:00 at the piano, 2:20 planned/),
  ).toBeVisible();
  const step = screen.getByText('Up and down five').closest('li') as HTMLElement;
  const [planned, real] = within(step).getAllByRole('list');
  expect(
    within(planned as HTMLElement)
      .getAllByRole('listitem')
      .map(({ textContent }) => textContent),
  ).toEqual(['C', 'D♭', 'D']);
  expect(
    within(real as HTMLElement)
      .getAllByRole('listitem')
      .map(({ textContent }) => textContent),
  ).toEqual(['C', 'D♭skippedstrain']);
  expect(within(step).getByText(/92 bpm/)).toBeVisible();
  expect(screen.getByText('no keys')).toBeVisible();
});

test.each<[string, readonly Sung[], string]>([
  ['passed over, because the run went on', [sung(60, { id: STEP, stepId: OTHER_STUDENT })], 'passed over'],
  ['not come to, because nothing came after it', [], 'not come to'],
])('keys of a step that were not sung are %s', async (_, keys, words) => {
  const { plan } = run();
  const later = { ...plan[0], stepId: OTHER_STUDENT, name: 'Thirds' } as (typeof plan)[number];
  openPage(`/log/${RUN}`, { [`GET /api/runs/${RUN}`]: run({ plan: [...plan, later], sung: [...keys] }) });
  const step = (await screen.findByText('Up and down five')).closest('li') as HTMLElement;
  expect(within(step).getByText(words)).toBeVisible();
});

test('a run that is not there is said', async () => {
  openPage(`/log/${RUN}`, {
    [`GET /api/runs/${RUN}`]: new Answer(404, {
      code: 'NOT_FOUND',
      detail: 'No such run.',
      values: { context: 'run' },
    }),
  });
  expect(await screen.findByText('There is no such run in this studio.')).toBeVisible();
});

test('on a shared screen nobody else is in the log', async () => {
  localStorage.setItem('soft-lark.shared-screen', 'true');
  openPage('/log', {
    'GET /api/students': [student(), student({ id: OTHER_STUDENT, name: 'Nan Osier' })],
    'GET /api/runs': [runSummary({ studentId: OTHER_STUDENT, studentName: 'Nan Osier' })],
  });
  await screen.findByRole('heading', { name: 'Log' });
  expect(screen.queryByText('Nan Osier')).toBeNull();
});

test.each<[string, Schemas['RunDto']['results'], string]>([
  [
    'done, with its rounds and counts',
    [{ stepId: RUN, exerciseId: 'long-hiss', outcome: 'done', seconds: 60, rounds: 4, most: 12 }],
    'done · 4 rounds · up to 12 counts',
  ],
  [
    'shortened',
    [{ stepId: RUN, exerciseId: 'long-hiss', outcome: 'shortened', seconds: 20, rounds: 1, most: 12 }],
    'shortened · 1 round · up to 12 counts',
  ],
  [
    'passed over',
    [{ stepId: RUN, exerciseId: 'long-hiss', outcome: 'passed-over', seconds: 0, rounds: 0 }],
    'passed over',
  ],
  ['not come to', [], 'not come to'],
  ['of a run from before that was kept', null, 'no keys'],
])('a step without keys: %s', async (_, results, words) => {
  openPage(`/log/${RUN}`, { [`GET /api/runs/${RUN}`]: run({ results }) });
  const row = (await screen.findByText('Long hiss')).closest('li') as HTMLElement;
  await waitFor(() => {
    expect(within(row).getByRole('paragraph')).toHaveTextContent(words);
  });
});

test('a run that is over is corrected: ease, line and keys are sent, only what changed; what was there stays readable', async () => {
  let kept = run();
  const { user, sent } = openPage(`/log/${RUN}`, {
    [`GET /api/runs/${RUN}`]: () => kept,
    [`POST /api/runs/${RUN}/corrections`]: (body: { readonly ease: number }) => {
      const was = {
        madeAt: '2026-11-25T16:00:00Z',
        ease: 4,
        keys: [{ id: STEP, outcome: 'sung', marks: [] }],
      } as const;
      kept = run({
        ease: body.ease,
        corrections: [{ ...was, keys: was.keys.map((key) => ({ ...key, marks: [] })) }],
      });
      return kept;
    },
  });
  await user.click(await screen.findByRole('button', { name: 'Correct it' }));
  await user.click(screen.getByRole('radio', { name: /hard$/i }));
  await user.click(screen.getByRole('button', { name: 'C' }));
  await user.click(await screen.findByRole('menuitemcheckbox', { name: 'was sung' }));
  await user.click(screen.getByRole('menuitemcheckbox', { name: 'crack' }));
  expect(screen.queryByRole('menuitemcheckbox', { name: 'pain' })).toBeNull();
  await user.keyboard('{Escape}');
  await user.click(screen.getByRole('button', { name: 'Save the correction' }));
  expect(await screen.findByText('Corrected once')).toBeVisible();
  expect(sent.at(-1)?.body).toMatchObject({ ease: 1, keys: [{ id: STEP, outcome: 'skipped', marks: ['crack'] }] });
  expect(screen.getByText(/before that:/)).toHaveTextContent(/ease 4 · C.*: sung/);
});

test('a run that goes on is not corrected', async () => {
  openPage(`/log/${RUN}`, { [`GET /api/runs/${RUN}`]: run({ endedAt: null }) });
  await screen.findByText(/not ended/);
  expect(screen.queryByRole('button', { name: 'Correct it' })).toBeNull();
});
