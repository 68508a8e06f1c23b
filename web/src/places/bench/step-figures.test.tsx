import { screen, waitFor, within } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { fill, openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { ROUTINE, routine, session, step, STUDENT, student, studentToday, voice } from '../../testing/samples.ts';

const SAVE = `PUT /api/routines/${ROUTINE}`;
type Body = Schemas['ChangedRoutineDto'];
type Settings = Schemas['RoutineStep']['settings'];

/** The bench with one ladder chosen and all its figures open. */
async function openStep(settings: Settings = {}, answers = {}, exerciseId = 'up-and-down-five'): Promise<OpenedPage> {
  const page = openPage(`/routines/${ROUTINE}`, {
    [`GET /api/routines/${ROUTINE}`]: routine({ steps: [step(exerciseId, { settings }), step('falling-hum')] }),
    [SAVE]: (body: unknown) => routine({ ...(body as Body), version: (body as Body).version + 1 }),
    ...answers,
  });
  await page.user.click(await screen.findByRole('button', { name: 'More figures' }));
  return page;
}

async function kept({ sent }: OpenedPage, settings: Settings): Promise<void> {
  await waitFor(() => {
    const body = sent.filter(({ what }) => what === SAVE).at(-1)?.body as Body | undefined;
    expect(body?.steps[0]?.settings).toEqual(settings);
  });
}

async function choose({ user }: OpenedPage, label: string, option: string): Promise<void> {
  await user.click(screen.getByRole('combobox', { name: label }));
  await user.click(await screen.findByRole('option', { name: option }));
}

const TYPED: readonly (readonly [string, string, Settings])[] = [
  ['Times in each key', '2', { timesPerKey: 2 }],
  ['Step home', '2', { returnStep: 2 }],
  ['Tune within, semitones', '5', { narrowTo: 5 }],
  ['Seconds for all keys', '60', { withinSeconds: 60 }],
  ['Bottom', 'C4', { floor: 60 }],
  ['Tempo more a key', '-2', { tempoStep: -2 }],
  ['Cue, beats', '2', { cueBeats: 2 }],
  ['Rest, beats', '6', { restBeats: 6 }],
  ['Seconds to explain', '45', { setUpSeconds: 45 }],
];
test('every figure is typed, and kept beside the others', async () => {
  const page = await openStep();
  let settings: Settings = {};
  for (const [label, text, more] of TYPED) {
    await fill(page, screen.getByLabelText(label), text);
    await page.user.tab();
    settings = { ...settings, ...more };
    await kept(page, settings);
  }
});

const CHOSEN: readonly (readonly [string, string, Settings])[] = [
  ['A second time', '2 semitones further', { again: { further: 2 } }],
  ['Bottom by rule', 'the comfortable end', { floorRule: { from: 'comfortable', by: 0 } }],
  ['Top by rule', 'the bridge', { ceilingRule: { from: 'bridge', by: 0 } }],
  ['Start by rule', 'from the floor', { startRule: { rule: 'low-anchor', semitones: 3 } }],
  ['Who sounds', 'the piano plays along', { help: 'together' }],
];
test('every choice is chosen, and kept beside the others', async () => {
  const page = await openStep();
  let settings: Settings = {};
  for (const [label, option, more] of CHOSEN) {
    await choose(page, label, option);
    settings = { ...settings, ...more };
    await kept(page, settings);
  }
});

test('a second time only if the first was easy, and not at all', async () => {
  const page = await openStep({ again: { further: 1 } });
  await page.user.click(screen.getByLabelText('if the first was easy'));
  await kept(page, { again: { further: 1, ifEasy: true } });
  await page.user.click(
    screen.getByRole('button', { name: 'Put back: a second time one semitone further, if the first was easy' }),
  );
  await kept(page, {});
});

test('a rule and a note for the same end give way to each other', async () => {
  const page = await openStep({ ceiling: 70, start: 60 });
  await choose(page, 'Top by rule', 'the top of chest');
  await kept(page, { ceilingRule: { from: 'chest-top', by: 0 }, start: 60 });
  await fill(page, screen.getByLabelText('Semitones off'), '-3');
  await kept(page, { ceilingRule: { from: 'chest-top', by: -3 }, start: 60 });
  await fill(page, screen.getByLabelText('Top'), 'A4');
  await kept(page, { ceiling: 69, start: 60 });
  await choose(page, 'Start by rule', 'from the ceiling');
  await kept(page, { ceiling: 69, startRule: { rule: 'high-anchor', semitones: 3 } });
});

test('the song’s end needs a song of the piece in hand, and says so', async () => {
  const page = await openStep();
  await choose(page, 'Top by rule', 'the song’s end');
  expect(screen.getByText(/No song of that name is kept/)).toBeVisible();
});

test('manners are written in their order; without any the exercise’s own are meant', async () => {
  const page = await openStep();
  const field = screen.getByLabelText('Manners in each key');
  await page.user.type(field, 'breathy{Enter}clear{Enter}');
  await kept(page, { manners: ['breathy', 'clear'] });
  await page.user.type(field, '{Backspace}{Backspace}');
  await kept(page, {});
});

test('what is set by hand is listed, and all of it is put back in one press', async () => {
  const page = await openStep({ tempo: 92, travel: 'rise', syllables: 'moo', note: 'for me' });
  const list = within(screen.getByRole('group', { name: 'Set by hand' }));
  for (const words of ['tempo 92', 'travel rise', 'on moo']) expect(list.getByText(words)).toBeVisible();
  expect(list.queryByText(/for me/)).toBeNull();
  await page.user.click(list.getByRole('button', { name: 'Put all back' }));
  await kept(page, { note: 'for me' });
});

test('a glide has its ends, a step without pitch its seconds to explain', async () => {
  const page = await openStep({}, {}, 'lip-trill-glides');
  expect(screen.getByLabelText('Bottom')).toBeVisible();
  expect(screen.queryByLabelText('Start by rule')).toBeNull();
  page.unmount();
  const other = await openStep({}, {}, 'long-hiss');
  await other.user.click(screen.getByText('Long hiss'));
  expect(screen.getByLabelText('Seconds to explain')).toBeVisible();
  expect(screen.queryByLabelText('Bottom')).toBeNull();
});

const OWN = {
  id: 'own-book',
  name: 'A book on the head',
  text: 'It stays.',
  setUpSeconds: 12,
  touches: ['neck' as const],
};
test('an overlay of the studio’s own is laid over a step; a caution on file says so at the field', async () => {
  const answers = { 'GET /api/session': session({ ownOverlays: [OWN] }) };
  const page = await openStep({}, answers);
  await choose(page, 'Laid over it', OWN.name);
  await kept(page, { overlay: OWN.id });
  expect(screen.queryByText(/What lies over it is left out/)).toBeNull();
  page.unmount();
  const careful = studentToday({ student: student({ voice: voice({ cautions: ['neck-and-shoulder'] }) }) });
  await openStep({ overlay: OWN.id }, { ...answers, [`GET /api/students/${STUDENT}/today`]: careful });
  expect(screen.getByText(/What lies over it is left out/)).toBeVisible();
});

test('a count out of its bounds stays as typed, says so and is not taken', async () => {
  const page = await openStep({ timesPerKey: 2 });
  const field = screen.getByLabelText('Times in each key');
  await fill(page, field, '99');
  expect(screen.getByText('goes from 1 to 8')).toBeVisible();
  expect(field).toHaveValue('99');
  expect(page.sent).toEqual([]);
  await fill(page, field, '3');
  expect(screen.queryByText('goes from 1 to 8')).toBeNull();
  await kept(page, { timesPerKey: 3 });
});

test('glides take another shape and go both ways; the usual shape is nothing set', async () => {
  const page = await openStep({}, {}, 'lip-trill-glides');
  await choose(page, 'Shape', 'down');
  await kept(page, { shape: 'down' });
  await page.user.click(screen.getByLabelText('Every second one the other way round'));
  await kept(page, { shape: 'down', mirrored: true });
  await page.user.click(screen.getByRole('button', { name: 'Put back: glides down' }));
  await kept(page, { mirrored: true });
  await fill(page, screen.getByLabelText('Syllables'), 'oo');
  await kept(page, { mirrored: true, syllables: 'oo' });
});

test('calls from a list of the step: one alone is refused at the field and stays as typed', async () => {
  const page = await openStep({}, {}, 'spoken-first');
  await page.user.click(screen.getByRole('button', { name: /^1 ?Spoken first/ }));
  const field = screen.getByLabelText('A list to say or call');
  await page.user.type(field, 'Hey!{Enter}');
  expect(screen.getByText('At least two to choose from')).toBeVisible();
  expect(page.sent).toEqual([]);
  await page.user.type(field, 'Ahoy!{Enter}');
  await kept(page, { lines: ['Hey!', 'Ahoy!'] });
});
