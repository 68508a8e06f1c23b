import { screen, waitFor, within } from '@testing-library/react';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { Answer } from '../../testing/fake-api.ts';
import { ROUTINE, routine, step, student, STUDENT, studentToday, lessonToday } from '../../testing/samples.ts';

const KNOWN = ['thirds', 'up-and-down-five', 'falling-hum', 'hum-on-the-chord'];
const singer = student({ known: KNOWN });
const run = (date: string, marks: readonly string[] = []) => ({
  ...{ date, highest: 90, tempo: 200, ease: 5, conditions: [], occasion: 'lesson' },
  marks,
});
const easyTwice = [run('2026-11-11'), run('2026-11-18')];
/** What comes before the voice is warm has a cap of its own: the third may go higher. */
const steps = [step('hum-on-the-chord'), step('up-and-down-five'), step('thirds'), step('falling-hum')];
const [, , thirds] = steps;
const answers = {
  [`GET /api/routines/${ROUTINE}`]: routine({ steps }),
  [`GET /api/students/${STUDENT}/today`]: studentToday({ student: singer, routine: routine({ steps }) }),
  'GET /api/today': { day: '2026-11-25', lessons: [lessonToday({ student: singer, routine: routine({ steps }) })] },
  [`GET /api/students/${STUDENT}/history`]: {
    ...{ stuck: [], ease: [], results: [], lastSung: [] },
    runsOf: [
      { exerciseId: 'thirds', runs: easyTwice },
      { exerciseId: 'up-and-down-five', runs: [...easyTwice, run('2026-11-20', ['strain'])] },
    ],
  },
};
const sentTo = ({ sent }: OpenedPage, what: string): unknown => sent.find((one) => one.what === what)?.body;

test('before a lesson Today says what to do differently, the gravest first, and leads to the step', async () => {
  const page = openPage('/today', answers);
  const note = await screen.findByRole('note', { name: 'Differently from last time' });
  const lines = within(note).getAllByRole('listitem');
  expect(lines.map(({ textContent }) => textContent.trim())).toEqual([
    expect.stringMatching(/^“Up and down five” no higher than .+ Strain on .*20/),
    expect.stringMatching(/^“Thirds.*” may go to .+ Easy up to here on .*11 and .*18/),
  ]);
  await page.user.click(within(note).getByRole('link', { name: /Thirds/ }));
  expect(page.path()).toBe(`/routines/${ROUTINE}?step=${thirds?.id ?? ''}`);
  expect(await screen.findByRole('note', { name: 'Advice from past runs' })).toHaveTextContent(/Easy up to here/);
});

test('advice is left with a press, remembered, and asked for again with another', async () => {
  const kept: object[] = [];
  const page = openPage(`/routines/${ROUTINE}?step=${thirds?.id ?? ''}`, {
    ...answers,
    [`GET /api/students/${STUDENT}/advice`]: () => [...kept],
    [`POST /api/students/${STUDENT}/advice`]: (body: object) => {
      const answer = { ...body, date: '2026-11-25' };
      kept.push(answer);
      return answer;
    },
    [`DELETE /api/students/${STUDENT}/advice/*`]: () => {
      kept.length = 0;
      return new Answer(204, undefined);
    },
  });
  const advice = () => screen.queryByRole('note', { name: 'Advice from past runs' });
  await page.user.click(await screen.findByRole('button', { name: 'Not now' }));
  await waitFor(() => {
    expect(advice()).toBeNull();
  });
  expect(sentTo(page, `POST /api/students/${STUDENT}/advice`)).toMatchObject({
    ...{ exerciseId: 'thirds', kind: 'ceiling', verdict: 'raise', answer: 'refused' },
  });
  await page.user.click(screen.getByRole('button', { name: 'Advise it again' }));
  await waitFor(() => {
    expect(advice()).not.toBeNull();
  });
});

test('advice that is taken moves the top of the exercise at once, is written down, and taken back with a press', async () => {
  const page = openPage(`/routines/${ROUTINE}?step=${thirds?.id ?? ''}`, {
    ...answers,
    [`POST /api/students/${STUDENT}/advice`]: (body: object) => ({ ...body, date: '2026-11-25' }),
    [`DELETE /api/students/${STUDENT}/advice/*`]: new Answer(204, undefined),
  });
  const note = await screen.findByRole('note', { name: 'Advice from past runs' });
  const top = /Top (.+?)\./.exec(note.textContent)?.[1] ?? '?';
  await page.user.click(screen.getByRole('button', { name: 'Take it' }));
  await waitFor(() => {
    expect(sentTo(page, `POST /api/students/${STUDENT}/advice`)).toMatchObject({
      ...{ exerciseId: 'thirds', kind: 'ceiling', verdict: 'raise', answer: 'taken', movesBy: 1 },
    });
  });
  expect(top).toMatch(/^[A-G]/);
  expect(page.sent.filter(({ what }) => what === `PUT /api/routines/${ROUTINE}`)).toEqual([]);
  await page.user.click(await screen.findByRole('button', { name: 'Take it back' }));
  await waitFor(() => {
    expect(page.sent.some(({ what }) => what.startsWith(`DELETE /api/students/${STUDENT}/advice/`))).toBe(true);
  });
});

test('advice on a step with a top of its own is set at that step', async () => {
  const own = [step('up-and-down-five'), step('falling-hum'), step('thirds', { settings: { ceiling: 70 } })];
  const page = openPage(`/routines/${ROUTINE}?step=${own[2]?.id ?? ''}`, {
    ...answers,
    [`GET /api/routines/${ROUTINE}`]: routine({ steps: own }),
    [`PUT /api/routines/${ROUTINE}`]: (body: object) => routine({ ...body, version: 2 }),
    [`POST /api/students/${STUDENT}/advice`]: (body: object) => ({ ...body, date: '2026-11-25' }),
  });
  await page.user.click(await screen.findByRole('button', { name: 'Take it' }));
  await waitFor(() => {
    expect(sentTo(page, `PUT /api/routines/${ROUTINE}`)).toMatchObject({
      steps: [{}, {}, { settings: { ceiling: 71 } }],
    });
  });
  expect(sentTo(page, `POST /api/students/${STUDENT}/advice`)).not.toHaveProperty('movesBy');
});

test('advice that was taken has a row in the ledger, before the day itself', async () => {
  const advised = [
    { exerciseId: 'thirds', semitones: -3 },
    { exerciseId: 'thirds', semitones: 1 },
  ];
  const { user } = openPage(`/routines/${ROUTINE}?step=${thirds?.id ?? ''}`, {
    ...answers,
    [`GET /api/students/${STUDENT}/today`]: studentToday({ student: singer, routine: routine({ steps }), advised }),
  });
  await user.click(await screen.findByRole('tab', { name: 'Limits' }));
  const row = (await screen.findByText('from the last runs')).closest('tr, li, div');
  expect(row).toHaveTextContent('−2');
});
