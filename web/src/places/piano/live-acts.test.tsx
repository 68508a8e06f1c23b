import { act, screen, waitFor, within } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { ROUTINE, routine, RUN, runSummary, session, step, STUDENT } from '../../testing/samples.ts';
import { sing } from '../../testing/sing.ts';

type Sent = Schemas['SentRunDto'];

const WAITS = { 'GET /api/session': session({ approach: { 'at-the-piano': 'waits' } }) };
const begun = (ids: readonly string[] = ['thirds', 'falling-hum'], answers = {}): Promise<OpenedPage> =>
  sing(
    ids.map((id) => step(id)),
    {},
    { ...WAITS, ...answers },
  );
const title = (): string => screen.getByRole('heading', { level: 1 }).textContent;
const press = (name: string | RegExp): HTMLElement => screen.getByRole('button', { name });
const sentRuns = ({ sent }: OpenedPage): readonly Sent[] =>
  sent.filter(({ what }) => what.startsWith('PUT /api/runs/')).map(({ body }) => body as Sent);

afterEach(() => {
  jest.useRealTimers();
});

test('half the tempo and another vowel hold from here on, each one key', async () => {
  const { user } = await begun();
  await user.click(press('Start'));
  const tempo = Number(/now · (\d+) bpm/.exec(document.body.textContent)?.[1]);
  await user.keyboard('l');
  expect(screen.getByText(`then ${String(tempo / 2)}`)).toBeVisible();
  expect(press('Half as fast, or as fast as before')).toHaveAttribute('aria-pressed', 'true');
  await user.keyboard('y');
  expect(screen.getByText('oo', { selector: 'b' })).toBeVisible();
  for (let more = 0; more < 5; more += 1) await user.keyboard('y');
  expect(screen.queryByText('oo', { selector: 'b' })).toBeNull();
});

test('at its start a ladder goes down instead of up, and from there home', async () => {
  const { user } = await begun();
  await user.click(press('Start'));
  const start = document.querySelector('output')?.textContent ?? '';
  await user.keyboard('{ArrowDown}');
  expect(screen.getByRole('table', { name: /^Keys of / }).textContent).toMatch(/down.*home/);
  expect(document.querySelector('output')?.textContent).not.toBe(start);
  expect(press('Turn back now')).toBeEnabled();
});

test('a mark on the key that was left is taken back, here and on the server', async () => {
  const page = await begun();
  const { user } = page;
  await user.click(press('Start'));
  await user.keyboard('v');
  await user.click(press('Next key'));
  await waitFor(() => {
    expect(sentRuns(page).at(-1)?.sung.at(-1)?.marks).toEqual(['breathy']);
  });
  expect(press(/^take back breathy on /)).toBeVisible();
  await user.keyboard('z');
  expect(screen.queryByRole('button', { name: /^take back/ })).toBeNull();
  await waitFor(() => {
    expect(sentRuns(page).at(-1)).toMatchObject({ sungBefore: 0, sung: [{ marks: [] }] });
  });
});

test('what only this exercise watches for is a mark in its own words, with its remedy, kept with the key', async () => {
  const page = await begun(['ng-opens-to-ah']);
  const { user } = page;
  await user.click(press('Start'));
  await user.click(press('more …'));
  await user.click(press(/^Nose stays in the ah/));
  expect(screen.getByText('Think of cool air on the way in.')).toBeVisible();
  await user.keyboard('54');
  expect(screen.getByText('Open less.')).toBeVisible();
  await user.click(press('Next key'));
  await waitFor(() => {
    expect(sentRuns(page).at(-1)?.sung.at(-1)?.marks).toEqual(['own-1']);
  });
  expect(press(/^take back Ah falls back on /)).toBeVisible();
});

test('something easier comes at once; an exercise that was not planned is next', async () => {
  const { user } = await begun();
  await user.click(press('Start'));
  await user.click(press('More'));
  const easier = await screen.findByRole('menuitem', { name: /^Easier at once: / });
  const name = /^Easier at once: (.+?)M?$/.exec(easier.textContent)?.[1] ?? '';
  await user.click(easier);
  expect(title()).toBe(name);
  await user.keyboard('a');
  const dialog = await screen.findByRole('dialog');
  await user.type(within(dialog).getByRole('searchbox'), 'lip trill on five{Enter}');
  await waitFor(() => {
    expect(screen.queryByRole('dialog')).toBeNull();
  });
  await user.keyboard('n');
  expect(title()).toBe('Lip trill on five');
});

test('a minute of rest is a minute, and the teacher may go on before it is over', async () => {
  const { user } = await begun();
  await user.click(press('Start'));
  await user.keyboard('i');
  const dialog = within(await screen.findByRole('dialog', { name: 'Stop here' }));
  await user.click(dialog.getByRole('button', { name: /Rest a minute/ }));
  expect(dialog.getByRole('timer')).toHaveTextContent('1:00');
  await waitFor(() => {
    expect(dialog.getByRole('timer')).toHaveTextContent('0:59');
  });
  expect(title()).toBe('Thirds');
  await user.click(dialog.getByRole('button', { name: 'Next step' }));
  expect(title()).toBe('Falling hum');
});

test('how the piano sounds is kept on the device; a tuning that no voice lesson uses is not taken', async () => {
  const { user } = await begun();
  await user.click(press('Sound'));
  const form = within(await screen.findByRole('dialog'));
  await user.click(form.getByRole('radio', { name: 'chord' }));
  await user.click(form.getByRole('radio', { name: 'counts in' }));
  await user.click(form.getByRole('switch', { name: /^I play myself/ }));
  const tuning = form.getByLabelText('A4 at');
  await user.clear(tuning);
  await user.type(tuning, '432');
  await user.clear(tuning);
  await user.type(tuning, '900');
  const kept = JSON.parse(localStorage.getItem('soft-lark.sound') ?? '{}') as Record<string, unknown>;
  expect(kept).toEqual({ cue: 'chord', click: 'count-in', isSilent: true, tuning: 432 });
  expect(form.getByRole('switch', { name: /^Count aloud/ })).toBeDisabled();
});

const sungKey = (tonic: number) => ({
  ...{ id: `01920000-0000-7000-8000-0000000000${String(tonic)}`, stepId: RUN, exerciseId: 'thirds', leg: 'up' },
  ...{ tonic, low: tonic, high: tonic + 7, tempo: 90, outcome: 'sung', marks: ['crack'] },
});

test('the closing card shows the run beside the last one; thrown away it goes, and comes back for ten seconds', async () => {
  const before = runSummary({ id: RUN, routineId: ROUTINE, sungKeys: 2, startedAt: '2026-11-18T15:00:00Z' });
  const page = await begun(['thirds'], {
    [`GET /api/runs?most=12&studentId=${STUDENT}`]: [before],
    [`GET /api/runs/${RUN}`]: { ...before, sung: [sungKey(60), sungKey(62)] },
    'DELETE /api/runs/*': undefined,
  });
  const { user } = page;
  await user.click(press('Start'));
  for (let key = 0; key < 40 && screen.queryByRole('heading', { name: 'How was it?' }) === null; key += 1)
    await user.keyboard('{ArrowRight}');
  expect(screen.getByRole('img', { name: /^Sung today: \d+ keys from .+, 0 of them marked$/ })).toBeVisible();
  const last = await screen.findByRole('img', { name: /^Last time, .*18.*: 2 keys from .+, 2 of them marked$/ });
  expect(last).toBeVisible();
  await user.click(press('Throw it away'));
  expect(page.path()).toBe(`/students/${STUDENT}`);
  await user.click(await screen.findByRole('button', { name: 'Keep it' }));
  await waitFor(() => {
    expect(sentRuns(page).at(-1)?.endedAt).toBeDefined();
  });
  expect(page.sent.some(({ what }) => what.startsWith('DELETE'))).toBe(false);
});

test('a run that was stopped cannot be thrown away', async () => {
  const { user } = await begun();
  await user.click(press('Start'));
  await user.keyboard('x');
  await user.click(within(await screen.findByRole('dialog')).getByRole('button', { name: 'End the run' }));
  expect(await screen.findByRole('heading', { name: 'How was it?' })).toBeVisible();
  expect(screen.queryByRole('button', { name: 'Throw it away' })).toBeNull();
});

test('without a plan exercises are called up by name, and what was sung becomes a routine', async () => {
  const page = openPage(`/sing/${ROUTINE}`, {
    ...WAITS,
    [`GET /api/routines/${ROUTINE}`]: routine({ steps: [], name: 'Without a plan' }),
    [`PUT /api/routines/${ROUTINE}`]: (body: unknown) => body,
    [`PUT /api/students/${STUDENT}/condition`]: {},
    'PUT /api/runs/*': (body: unknown) => body,
  });
  const { user } = page;
  for (const word of ['not at all', 'as usual', 'no'])
    await user.click(await screen.findByRole('radio', { name: word }));
  await user.click(press('Begin'));
  expect(await screen.findByRole('heading', { name: 'What is sung first?' })).toBeVisible();
  await user.type(screen.getByRole('searchbox'), 'thirds');
  await user.click(await screen.findByRole('button', { name: 'Thirds' }));
  expect(title()).toBe('Thirds');
  await user.click(press('Start'));
  await user.click(press('Next key'));
  await user.keyboard('n');
  expect(await screen.findByRole('heading', { name: 'What is sung next?' })).toBeVisible();
  await user.click(press('Finish'));
  await user.click(await screen.findByRole('checkbox', { name: 'Keep it as a routine' }));
  const name = screen.getByLabelText('Name of the routine');
  await user.clear(name);
  await user.type(name, 'Thirds, quickly');
  await user.click(press('Into the log'));
  await waitFor(() => {
    const kept = page.sent.find(({ what }) => what === `PUT /api/routines/${ROUTINE}`)?.body as
      Schemas['ChangedRoutineDto'] | undefined;
    expect(kept?.name).toBe('Thirds, quickly');
    expect(kept?.steps.map(({ exerciseId, settings }) => [exerciseId, typeof settings.start])).toEqual([
      ['thirds', 'number'],
    ]);
  });
});

test('a routine that was changed elsewhere changes nothing of the run, and that is said', async () => {
  (await begun()).unmount();
  const { user } = openPage(`/sing/${ROUTINE}`, {
    ...WAITS,
    [`GET /api/routines/${ROUTINE}`]: routine({ steps: [step('falling-hum')], version: 9 }),
  });
  await user.click(await screen.findByRole('button', { name: 'Go on where it stopped' }));
  expect(await screen.findByText(/This run goes on as it was begun/)).toBeVisible();
  expect(title()).toBe('Thirds');
});

test('the count is spoken while the cue sounds, where the browser has a voice, and never over the singing', async () => {
  const said: string[] = [];
  const cancel = jest.fn();
  const voices = {
    getVoices: () => [{}],
    speak: ({ text }: { readonly text: string }) => said.push(text),
    cancel,
  };
  Object.assign(window, {
    speechSynthesis: voices,
    SpeechSynthesisUtterance: class {
      text: string;
      constructor(text: string) {
        this.text = text;
      }
    },
  });
  localStorage.setItem('soft-lark.sound', JSON.stringify({ speaks: true }));
  const { user } = await begun();
  await user.click(press('Start'));
  for (let key = 0; key < 12; key += 1) await user.keyboard('{ArrowRight}');
  expect(said).toEqual(expect.arrayContaining(['two more', 'last one', 'turn here']));
  expect(said).not.toContain('three more');
  expect(cancel.mock.calls.length).toBeGreaterThanOrEqual(said.length - 1);
  act(() => {
    Object.assign(window, { speechSynthesis: undefined });
  });
  Reflect.deleteProperty(window, 'speechSynthesis');
});

test('degrees under the notes are wished for once, and stay so on this device', async () => {
  const { user } = await begun();
  await user.click(press('Start'));
  await user.click(press('More'));
  await user.click(await screen.findByRole('menuitem', { name: 'Degrees under the notes' }));
  await user.click(press('More'));
  expect(await screen.findByRole('menuitem', { name: 'Syllables under the notes' })).toBeVisible();
  expect(localStorage.getItem('soft-lark.degrees')).toBe('true');
});

test('what goes home stands on the closing card, and what was sung today is made into it with a press', async () => {
  const homework = routine({ id: RUN, name: 'Low water', kind: 'home', minutes: 8 });
  const page = await begun(['thirds', 'falling-hum'], {
    'GET /api/routines': [homework],
    'POST /api/routines': (body: unknown) => routine(body as object),
  });
  const { user } = page;
  await user.click(press('Start'));
  await user.click(press('Next key'));
  await user.keyboard('n');
  await user.click(press('Finish'));
  const home = within(await screen.findByRole('region', { name: 'Goes home' }));
  expect(await home.findByRole('link', { name: 'Low water' })).toHaveAttribute(
    'href',
    `/routines/${RUN}/hand-out?for=student`,
  );
  await user.click(home.getByRole('button', { name: 'What was sung today' }));
  expect(await home.findByRole('link', { name: /^For home, / })).toBeVisible();
  const made = page.sent.find(({ what }) => what === 'POST /api/routines')?.body as Schemas['NewRoutineDto'];
  expect([made.kind, made.minutes, made.steps.map(({ exerciseId }) => exerciseId)]).toEqual(['home', 5, ['thirds']]);
});
