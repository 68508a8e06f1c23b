import { screen, waitFor } from '@testing-library/react';
import { exerciseSchema, shippedExercises, type Exercise } from '@soft-lark/core';
import type { Schemas } from '../../api/client.ts';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { sing } from '../../testing/sing.ts';
import { ROUTINE, routine, session, step, STUDENT, student, studentToday, voice } from '../../testing/samples.ts';

const singAll = (ids: readonly string[], answers = {}): Promise<OpenedPage> =>
  sing(
    ids.map((id) => step(id)),
    {},
    answers,
  );

const press = (name: string | RegExp): HTMLElement => screen.getByRole('button', { name });
const title = (): string => screen.getByRole('heading', { level: 1 }).textContent;

test('a glide is counted pass by pass and says its two ends', async () => {
  const { user } = await singAll(['lip-trill-glides', 'falling-hum']);
  await user.click(press('Start'));
  expect(screen.getByText(/^glide 1 of \d$/)).toBeVisible();
  expect(document.querySelector('output')).toHaveTextContent(/^[A-G][♭♯]?\d – [A-G][♭♯]?\d$/);
  await user.click(press('Next key'));
  expect(screen.getByText(/^glide 2 of \d$/)).toBeVisible();
});

test('breath by counts says the phase and its count once it has begun', async () => {
  const { user } = await singAll(['long-hiss', 'falling-hum']);
  expect(screen.getAllByText(/^\d:\d\d$/)[0]).toBeVisible();
  await user.click(press('Start'));
  await waitFor(() => {
    expect(document.body.textContent).toMatch(/round 1 of 4 · in[1-3]/);
  });
  expect(press(/^strain/)).toBeDisabled();
  expect(press(/^dizzy/)).toBeEnabled();
});

test('work by the clock shows its prompt and its time', async () => {
  const { user } = await singAll(['standing-check', 'falling-hum']);
  await user.click(press('Start'));
  expect(screen.getByText('Feet under the hips, weight on the whole foot.')).toBeVisible();
  expect(press('Once more')).toBeDisabled();
  await user.keyboard('n');
  expect(title()).toBe('Falling hum');
});

test('a last step ends with Finish', async () => {
  await singAll(['falling-hum']);
  expect(press('Finish')).toBeVisible();
});

test('who sounds is changed with a press, round and round', async () => {
  const { user } = await singAll(['up-and-down-five', 'falling-hum']);
  await user.click(press('Start'));
  const words = [/piano shows/, /piano plays along/, /piano gives the cue/, /alone, from the first note/];
  const now = (): number => words.findIndex((word) => screen.queryByRole('button', { name: word }));
  const first = now();
  for (let turn = 1; turn <= 4; turn += 1) {
    await user.keyboard('g');
    expect(now()).toBe((first + turn) % 4);
  }
});

test('one more, then home: that one is the turn', async () => {
  const { user } = await singAll(['up-and-down-five', 'falling-hum']);
  await user.click(press('Start'));
  await user.click(press('Next key'));
  expect(screen.queryByText('turn here')).toBeNull();
  await user.click(press('1 more, then home'));
  expect(screen.getByText('turn here')).toBeVisible();
});

test('so many more that the top would be passed is refused, with the reason', async () => {
  const { user } = await singAll(['up-and-down-five', 'falling-hum']);
  await user.click(press('Start'));
  for (let key = 0; key < 3; key += 1) await user.click(press('Next key'));
  await user.click(press('1 more, then home'));
  expect(screen.getByText(/It would reach .+, over .+\./)).toBeVisible();
});

test('where the school judges ease alone, pitch is not asked for', async () => {
  const { user } = await singAll(['up-and-down-five', 'falling-hum'], {
    'GET /api/session': session({ approach: { 'sound-judged': 'never' } }),
  });
  await user.click(press('Start'));
  expect(press(/^pitch/)).toBeDisabled();
  expect(press(/^strain/)).toBeEnabled();
});

test('a step that may not be sung today is not in the run', async () => {
  await singAll(['straw-slides', 'up-and-down-five', 'falling-hum'], {
    [`GET /api/students/${STUDENT}/today`]: studentToday({
      student: student({ voice: voice({ cautions: ['eyes-or-ears'] }) }),
    }),
  });
  expect(title()).toBe('Up and down five');
  expect(screen.getByText(/step 1 of 2/)).toBeVisible();
});

test('a routine of which nothing can be sung today does not begin', async () => {
  const page = openPage(`/sing/${ROUTINE}`, {
    [`GET /api/routines/${ROUTINE}`]: routine({ steps: [step('straw-slides')] }),
    [`GET /api/students/${STUDENT}/today`]: studentToday({
      student: student({ voice: voice({ cautions: ['eyes-or-ears'] }) }),
    }),
  });
  for (const word of ['not at all', 'as usual', 'no'])
    await page.user.click(await screen.findByRole('radio', { name: word }));
  expect(screen.getByText(/No step of this routine can be sung today/)).toBeVisible();
  expect(press('Begin')).toBeDisabled();
});

test('what the teacher wanted to say stands instead of the exercise’s own cue', async () => {
  const own: Partial<Schemas['RoutineStep']> = { settings: { cue: 'Like a kite.' } };
  await singAll([], {
    [`GET /api/routines/${ROUTINE}`]: routine({ steps: [step('up-and-down-five', own), step('falling-hum')] }),
  });
  expect(screen.getByText('Like a kite.')).toBeVisible();
});

const STILL = { stage: 'breath', load: 0, cues: [], watchFor: [], relatives: [] } as const;
const own = (id: string, work: object): Exercise =>
  exerciseSchema.parse({ ...STILL, id, name: `My ${id}`, shortName: 'Mine', why: '', work });
const breath = own('breath', {
  kind: 'breath',
  longest: { rounds: 2, mostSeconds: 20, restSeconds: 15 },
  syllables: 's',
});
const sides = own('sides', { kind: 'timed', seconds: 60, prompts: [{ text: 'Lean over.', each: 'both-sides' }] });
const calls = own('calls', { kind: 'spoken', repeats: 3, beats: 4, tempo: 60, text: 'Calls.', lines: ['Hey!', 'Ho!'] });

const singOwn = (exercise: Exercise, answers = {}): Promise<OpenedPage> =>
  singAll([exercise.id, 'falling-hum'], { 'GET /api/exercises': [exercise, ...shippedExercises()], ...answers });

test('as long as it lasts: the main act says that the breath is over, and the result is sent with the last time beside it', async () => {
  const last = { stepId: ROUTINE, exerciseId: 'breath', outcome: 'done', seconds: 40, rounds: 2, most: 14 };
  const { user, sent } = await singOwn(breath, {
    [`GET /api/students/${STUDENT}/history`]: { stuck: [], ease: [], results: [last], lastSung: [], runsOf: [] },
  });
  expect(await screen.findByText('last time 2 rounds · up to 14 s')).toBeVisible();
  await user.click(press('Start'));
  expect(screen.getByText(/breath 1 of 2/)).toBeVisible();
  await user.click(await screen.findByRole('button', { name: 'Breath is over' }));
  expect(await screen.findByText('rest after 1 of 2')).toBeVisible();
  await user.click(screen.getAllByRole('button', { name: 'Next step' })[0] as HTMLElement);
  await waitFor(() => {
    const body = sent.at(-1)?.body as { results?: object[] } | undefined;
    expect(body?.results).toMatchObject([{ exerciseId: 'breath', outcome: 'shortened', rounds: 1 }]);
  });
});

test.each<[string, Exercise, RegExp, string]>([
  ['both sides', sides, /1 of 1 · seconds left/, 'Lean over. left'],
  ['calls of a list', calls, /line 1 of 3 · beat/, 'Hey!'],
])('%s are conducted one after the other', async (_, exercise, count, words) => {
  const { user } = await singOwn(exercise);
  await user.click(press('Start'));
  expect(screen.getByText(count)).toBeVisible();
  expect(screen.getAllByRole('paragraph').some(({ textContent }) => textContent === words)).toBe(true);
});

test('a step without keys that is passed over is sent as such', async () => {
  const { user, sent } = await singAll(['long-hiss', 'falling-hum']);
  await user.keyboard('n');
  await waitFor(() => {
    const body = sent.at(-1)?.body as { results?: object[] } | undefined;
    expect(body?.results).toMatchObject([{ exerciseId: 'long-hiss', outcome: 'passed-over' }]);
  });
});

test('a run begins at the head of the page, however far down the gate was', async () => {
  const head = jest.spyOn(window, 'scrollTo');
  const { user } = await singAll(['long-hiss', 'falling-hum']);
  expect(head).toHaveBeenLastCalledWith(0, 0);
  const begun = head.mock.calls.length;
  expect(begun).toBeGreaterThanOrEqual(2);
  await user.click(press('Start'));
  expect(head).toHaveBeenCalledTimes(begun);
});

test('the same line once more is told by its beats', async () => {
  const { user } = await singOwn(own('again', { kind: 'spoken', repeats: 2, beats: 4, tempo: 60, text: 'Well now.' }));
  await user.click(press('Start'));
  expect(screen.getByText('then 4 beats')).toBeVisible();
});

test('how far a ladder came when it was last sung stands beside it, with the furthest of its manners', async () => {
  const tune = own('manners', { kind: 'pattern', pattern: '1 2 3 2 1:2', syllables: 'nay*' });
  const exercise = { ...tune, manners: ['full', 'soft', 'softest'] };
  const last = { exerciseId: exercise.id, keys: 12, highest: 74, tempo: 92, manners: ['soft', 'full'] };
  await singOwn(exercise, {
    [`GET /api/students/${STUDENT}/history`]: { stuck: [], ease: [], results: [], lastSung: [last], runsOf: [] },
  });
  expect(await screen.findByText(/last time 12 keys · top D5 · 92 bpm · soft/)).toBeVisible();
});

test('a mark in one manner of a key stands on that manner alone', async () => {
  const tune = own('two-ways', { kind: 'pattern', pattern: '1 2 3 2 1:2', syllables: 'nay*' });
  const { user } = await singOwn({ ...tune, manners: ['full', 'soft'] });
  await user.click(press('Start'));
  await user.click(press(/^crack/));
  await user.click(press('Next key'));
  await user.click(press('Next key'));
  const marked = [...document.querySelectorAll('svg text')].filter(({ textContent }) => textContent === 'crack');
  expect(marked).toHaveLength(1);
});
