import { writeNote } from '../pitch/index.ts';
import { layRoutine, type RoutineContext } from '../routine/index.ts';
import { keySound } from '../sound/index.ts';
import { contextOf, step } from '../testing/routine-context.ts';
import type { VoiceFile } from '../voice/index.ts';
import {
  conduct,
  currentKey,
  currentStep,
  fellowsIn,
  keySungNow,
  LEADER,
  partOfRun,
  refitRun,
  secondsLeft,
  startRun,
  withFellows,
  type Joining,
  type RunState,
} from './index.ts';

const STEPS = [step('long-hiss'), step('hum-glides'), step('up-and-down-five'), step('thirds')];
const BASS: Partial<VoiceFile> = { type: 'bass', bridges: [], measured: { low: 40, high: 62, date: '2026-11-03' } };
let made = 0;
const id = (): string => `key-${String((made += 1))}`;

function joining(name: string, file: Partial<VoiceFile> = BASS, day: Partial<RoutineContext> = {}): Joining {
  const context = contextOf(day, file);
  return { id: name, voice: context.voice, steps: layRoutine(STEPS, context).steps };
}

/** Led in keys of which a bass has some and not all. */
const LED = STEPS.map((one) => (one.id === 'up-and-down-five' ? { ...one, settings: { start: 60, maxKeys: 7 } } : one));
const led = (isInTurn: boolean, ...others: readonly Joining[]): RunState =>
  withFellows(startRun(layRoutine(LED, contextOf())), others, isInTurn);
const next = (state: RunState): RunState => conduct(state, { type: 'next', id: id() });
const toStep = (state: RunState, exerciseId: string): RunState => {
  let at = state;
  while (currentStep(at)?.exerciseId !== exerciseId) at = conduct(at, { type: 'next-step', id: id(), heard: false });
  return next(at);
};
const notes = (keys: readonly { readonly tonic: number }[]): string =>
  keys.map(({ tonic }) => writeNote(tonic)).join(' ');

test('together, each is written down at the octave of their own, and only in keys of their own', () => {
  let state = toStep(led(false, joining('Ben')), 'up-and-down-five');
  const ladder = currentStep(state);
  const [fellow] = ladder?.fellows ?? [];
  expect(fellow?.octave).toBe(-12);
  while (currentStep(state) === ladder) state = next(state);
  const [leader, ben] = [partOfRun(state).sung, partOfRun(state, 'Ben').sung];
  expect(leader).toHaveLength(ladder?.keys.length ?? 0);
  const theirs = ladder?.keys.filter(
    ({ low, high }) => low - 12 >= (fellow?.floor ?? 0) && high - 12 <= (fellow?.ceiling ?? 0),
  );
  expect(notes(ben)).toBe(notes((theirs ?? []).map(({ tonic }) => ({ tonic: tonic - 12 }))));
  expect(ben.length).toBeGreaterThan(3);
  expect(ben.length).toBeLessThan(leader.length);
});

test('a voice that is to be spared a note rests in the keys that sound it, and in no other', () => {
  const zone = { low: 54, high: 54, kind: 'never-sounded' as const };
  const ladder = toStep(led(false, joining('Ben', { ...BASS, avoid: [zone] })), 'up-and-down-five').steps.find(
    ({ exerciseId }) => exerciseId === 'up-and-down-five',
  );
  const resting = ladder?.keys.filter((key) => fellowsIn(ladder, key).length === 0) ?? [];
  const sounded = ladder?.keys.filter(({ tonic }) => [0, 2, 4, 5, 7].includes(54 - (tonic - 12))) ?? [];
  expect(sounded.length).toBeGreaterThan(0);
  expect(resting.map(({ tonic }) => tonic)).toEqual(expect.arrayContaining(sounded.map(({ tonic }) => tonic)));
  expect(sounded.length).toBeLessThan(ladder?.keys.length ?? 0);
});

test('what a day leaves out for one voice is not sung by it, and goes on for who leads', () => {
  const state = led(false, joining('Ben', BASS, { breathOff: true }), joining('Cleo', BASS));
  const whoIn = (exerciseId: string): string =>
    (state.steps.find((one) => one.exerciseId === exerciseId)?.fellows ?? []).map((one) => one.id).join(' ');
  expect([whoIn('long-hiss'), whoIn('up-and-down-five')]).toEqual(['Cleo', 'Ben Cleo']);
});

test('in turn, each key is sung by one after the other before the ladder goes on, home and back as well', () => {
  let state = toStep(led(true, joining('Ben')), 'up-and-down-five');
  const heard = [keySungNow(state)];
  for (let more = 0; more < 3; more += 1) {
    state = next(state);
    heard.push(keySungNow(state));
  }
  const [first, second] = currentStep(state)?.keys ?? [];
  expect(heard.map((key) => key?.tonic)).toEqual([
    first?.tonic,
    (first?.tonic ?? 0) - 12,
    second?.tonic,
    (second?.tonic ?? 0) - 12,
  ]);
  state = conduct(next(state), { type: 'turn-back', id: id() });
  expect(keySungNow(state)?.tonic).toBe((partOfRun(state).sung.at(-1)?.tonic ?? 0) - 12);
  state = next(state);
  expect(currentKey(state)?.leg).toBe('home');
  expect(partOfRun(state, 'Ben').sung.map(({ tonic }) => tonic + 12)).toEqual(
    partOfRun(state).sung.map(({ tonic }) => tonic),
  );
});

test('in turn takes the time of both, and is fitted to the time there is', () => {
  const [alone, both] = [led(false, joining('Ben')), led(true, joining('Ben'))];
  const [one, two] = [secondsLeft(alone).run, secondsLeft(both).run];
  expect(two).toBeGreaterThan(one * 1.4);
  const begun = toStep(both, 'up-and-down-five');
  const left = secondsLeft(begun);
  const sung = next(begun);
  const after = next(sung);
  expect(left.step - secondsLeft(sung).step).toBeCloseTo(currentKey(begun)?.seconds ?? 0);
  expect(secondsLeft(sung).step - secondsLeft(after).step).toBeCloseTo(currentKey(begun)?.seconds ?? 0);
  const fitted = refitRun(both, LED, contextOf(), one);
  expect(fitted.seconds).toBeLessThanOrEqual(one + 0.1);
  expect(fitted.steps.filter(({ keys }) => keys.length > 0).every(({ isInTurn }) => isInTurn)).toBe(true);
});

test.each([
  ['all', null, ['strain'], ['strain']],
  ['who leads', LEADER, ['strain'], []],
  ['who sings along', 'Ben', [], ['strain']],
] as const)('a mark for %s is with whom it is for', (_, singer, leaders, fellows) => {
  const chosen = conduct(toStep(led(false, joining('Ben')), 'up-and-down-five'), { type: 'mark-singer', singer });
  const state = next(conduct(chosen, { type: 'mark', mark: 'strain', id: id() }));
  const marksOf = (who?: string): readonly string[] => partOfRun(state, who).sung.at(-1)?.marks ?? [];
  expect([marksOf(), marksOf('Ben')]).toEqual([leaders, fellows]);
});

test('a mark for one who rests is with those who sing, and is not lost', () => {
  const chosen = conduct(toStep(led(false, joining('Ben', BASS, { breathOff: true })), 'long-hiss'), {
    type: 'mark-singer',
    singer: 'Ben',
  });
  const stopped = conduct(chosen, { type: 'mark', mark: 'dizzy', id: id() });
  expect([partOfRun(stopped).stops.length, partOfRun(stopped, 'Ben').stops.length]).toEqual([1, 0]);
});

test('in turn a mark and a stop are with whose turn it is', () => {
  const bens = next(toStep(led(true, joining('Ben')), 'up-and-down-five'));
  const stopped = conduct(conduct(bens, { type: 'mark', mark: 'breathy', id: id() }), {
    type: 'mark',
    mark: 'pain',
    id: id(),
  });
  const over = conduct(stopped, { type: 'finish', id: id(), heard: true });
  expect(partOfRun(over)).toMatchObject({ sung: [{ marks: [] }], stops: [] });
  expect(partOfRun(over, 'Ben')).toMatchObject({ sung: [{ marks: ['breathy', 'pain'] }], stops: [{ mark: 'pain' }] });
});

test('the tune and its first note sound at each octave that is sung', () => {
  const pattern = toStep(led(false), 'thirds').steps.find(({ exerciseId }) => exerciseId === 'thirds')?.ladder?.pattern;
  if (!pattern) throw new Error('thirds have a pattern');
  const key = { pattern, tonic: 60, tempo: 60, cueBeats: 4, avoid: [] };
  const pitches = (role: string, octaves?: readonly number[]): readonly number[] =>
    keySound({ ...key, ...(octaves && { octaves }) }).flatMap((event) => (event.role === role ? [event.midi] : []));
  for (const role of ['first-note', 'tune'])
    expect([...pitches(role, [-12])].sort((one, other) => one - other)).toEqual(
      [...pitches(role), ...pitches(role).map((midi) => midi - 12)].sort((one, other) => one - other),
    );
  expect(pitches('chord', [-12])).toEqual(pitches('chord'));
});
