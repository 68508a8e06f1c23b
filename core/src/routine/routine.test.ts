import fc from 'fast-check';
import { shippedExercises } from '../shelf/index.ts';
import type { VoiceFile, VoiceType } from '../voice/index.ts';
import { writeNote } from '../pitch/index.ts';
import {
  canGoHome,
  canTurnBack,
  conduct,
  countdownOf,
  currentKey,
  layRoutine,
  secondsLeft,
  startRun,
  type RoutineContext,
  type RunState,
} from './index.ts';

const shelf = shippedExercises();
const exercises = new Map(shelf.map((exercise) => [exercise.id, exercise]));

const MEZZO: VoiceFile = {
  type: 'mezzo-soprano',
  style: 'theatre',
  goals: [],
  bridges: [{ low: 64, high: 65 }],
  avoid: [],
  measured: { low: 58, high: 76, date: '2026-11-03' },
};

function contextOf(change: Partial<RoutineContext> = {}, file: Partial<VoiceFile> = {}): RoutineContext {
  return {
    voice: { ...MEZZO, ...file },
    conditions: [],
    occasion: 'lesson',
    exercises,
    known: new Set(shelf.map(({ id }) => id)),
    now: '2026-11-25T15:00:00Z',
    ...change,
  };
}

const step = (exerciseId: string, settings = {}): { id: string; exerciseId: string; settings: object } => ({
  id: exerciseId,
  exerciseId,
  settings,
});
const SIX = [
  'standing-check',
  'long-hiss',
  'lip-trill-on-five',
  'hum-on-the-chord',
  'up-and-down-five',
  'falling-hum',
].map((id) => step(id));

describe('layRoutine', () => {
  test('steps follow each other and their seconds add up', () => {
    const { steps, seconds } = layRoutine(SIX, contextOf());
    expect(steps.map(({ problem }) => problem)).toEqual(SIX.map(() => undefined));
    let clock = 0;
    for (const laid of steps) {
      expect(laid.startsAt).toBeCloseTo(clock, 9);
      clock += laid.seconds;
    }
    expect(seconds).toBeCloseTo(clock, 9);
    expect([steps[0]?.seconds, steps[1]?.seconds]).toEqual([38, 92]);
  });

  test('the first two sung steps stay modest, the third does not', () => {
    const tops = layRoutine(SIX, contextOf()).steps.map(({ limits }) => limits && writeNote(limits.ceiling));
    expect(tops).toEqual([undefined, undefined, 'B4', 'B4', 'E♭5', 'E♭5']);
  });

  test('tired lowers every ceiling that was not modest already, choral by one more', () => {
    const tops = (change: Partial<RoutineContext>, file: Partial<VoiceFile> = {}): (string | undefined)[] =>
      layRoutine(SIX, contextOf(change, file)).steps.map(({ limits }) => limits && writeNote(limits.ceiling));
    expect(tops({ conditions: ['tired'] }).slice(4)).toEqual(['D♭5', 'D♭5']);
    expect(tops({}, { style: 'choral' }).slice(4)).toEqual(['D5', 'D5']);
  });

  test('the same routine stands an octave and more lower for a bass', () => {
    const bass = layRoutine(
      SIX,
      contextOf({}, { type: 'bass', measured: { low: 40, high: 62, date: '2026-11-03' }, bridges: [] }),
    );
    const mezzo = layRoutine(SIX, contextOf());
    const first = (routine: typeof bass): string | undefined => {
      const laid = routine.steps[4]?.laid;
      return laid?.kind === 'pattern' ? writeNote(laid.input.start) : undefined;
    };
    expect([first(mezzo), first(bass)]).toEqual(['D4', 'A♭2']);
  });

  test('a new exercise costs its explanation', () => {
    const known = layRoutine(SIX, contextOf()).seconds;
    expect(layRoutine(SIX, contextOf({ known: new Set() })).seconds).toBe(known + 6 * 32);
  });

  test('settings by hand', () => {
    const { steps } = layRoutine(
      [step('up-and-down-five', { start: 60, step: 2, travel: 'rise', maxKeys: 3, tempo: 100 })],
      contextOf(),
    );
    const laid = steps[0]?.laid;
    expect(laid?.kind === 'pattern' && laid.ladder.rungs.map(({ tonic }) => tonic)).toEqual([60, 62, 64]);
    expect(layRoutine([step('standing-check', { seconds: 90 })], contextOf()).seconds).toBe(98);
    expect(layRoutine([step('long-hiss', { repeats: 2 })], contextOf()).seconds).toBe(50);
  });

  test.each<[string, Parameters<typeof step>, Partial<RoutineContext>, Partial<VoiceFile>, string, unknown]>([
    ['a start over the limits', ['up-and-down-five', { start: 80 }], {}, {}, 'START_ABOVE_CEILING', 64],
    [
      'a span wider than the range',
      ['octave-leap-and-settle'],
      {},
      { measured: { low: 60, high: 66, date: '2026-11-03' } },
      'SPAN_EXCEEDS_RANGE',
      '1:2 3 1:2',
    ],
    [
      'zones that leave no key',
      ['hum-on-the-chord'],
      {},
      { avoid: [{ low: 0, high: 127, kind: 'never-sounded' }] },
      'NO_KEY_LEFT',
      undefined,
    ],
    ['belt for a child', ['speech-like-call'], {}, { age: 11 }, 'NOT_FOR_YOUNG_VOICES', undefined],
    [
      'belt while recovering',
      ['speech-like-call'],
      { conditions: ['recovering'] },
      {},
      'OFF_WHILE_RECOVERING',
      undefined,
    ],
    ['limits that cross', ['thirds', { floor: 80 }], {}, {}, 'LIMITS_CROSS', null],
  ])('%s is a problem of the step, not an error', (_, asked, change, file, code, nearest) => {
    const [laid] = layRoutine([step(...asked)], contextOf(change, file)).steps;
    expect(laid?.problem?.code).toBe(code);
    expect(laid?.problem?.nearest?.value).toEqual(nearest);
    expect(laid?.seconds).toBe(0);
  });

  test.each<VoiceType>([
    'soprano',
    'mezzo-soprano',
    'contralto',
    'countertenor',
    'tenor',
    'baritone',
    'bass-baritone',
    'bass',
  ])('every exercise can be placed for an unmeasured %s, or says why not', (type) => {
    const { measured, ...unmeasured } = MEZZO;
    expect(measured).toBeDefined();
    const conditions = [[], ['tired'], ['heavy'], ['recovering', 'tired']] as const;
    for (const today of conditions) {
      const { steps } = layRoutine(
        shelf.map(({ id }) => step(id)),
        contextOf({ conditions: today, voice: { ...unmeasured, type, bridges: [] } }),
      );
      expect(steps).toHaveLength(shelf.length);
      for (const { problem, limits, lowest, highest } of steps) {
        if (problem) expect(problem.remedy.length).toBeGreaterThan(0);
        else if (limits) expect((lowest ?? 0) >= limits.floor && (highest ?? 200) <= limits.ceiling).toBe(true);
      }
    }
  });
});

describe('conduct', () => {
  let made = 0;
  const id = (): string => `key-${String((made += 1))}`;
  const begin = (): RunState =>
    startRun(
      layRoutine(
        [step('standing-check'), step('up-and-down-five'), step('long-hiss'), step('falling-hum')],
        contextOf(),
      ),
    );
  const play = (state: RunState, ...types: ('next' | 'again' | 'skip' | 'turn-back' | 'home')[]): RunState =>
    types.reduce((at, type) => conduct(at, { type, id: id() }), state);
  const onLadder = (): RunState => play(conduct(begin(), { type: 'next-step', id: id(), heard: false }), 'next');
  const sungKeys = (state: RunState): string =>
    state.sung.map(({ tonic, outcome }) => (outcome === 'sung' ? writeNote(tonic) : `(${writeNote(tonic)})`)).join(' ');

  test('a step begins when it has been explained, and nothing is entered before', () => {
    const explained = conduct(begin(), { type: 'next-step', id: id(), heard: false });
    expect([explained.begun, canGoHome(explained), play(explained, 'turn-back', 'home')]).toEqual([
      false,
      false,
      explained,
    ]);
    expect(play(explained, 'next').sung).toEqual([]);
  });

  test('the whole plan, key by key', () => {
    let state = onLadder();
    const planned = state.steps[1]?.keys.map(({ tonic }) => writeNote(tonic)).join(' ');
    while (state.stepIndex === 1) state = play(state, 'next');
    expect(sungKeys(state)).toBe(planned);
    expect(state.stepIndex).toBe(2);
  });

  test('turning back early leaves exactly the keys sung', () => {
    const turned = play(onLadder(), 'next', 'next', 'turn-back');
    expect(canTurnBack(turned)).toBe(false);
    let state = turned;
    while (state.stepIndex === 1) state = play(state, 'next');
    expect(sungKeys(state)).toBe('D4 E♭4 E4 E♭4 D4');
  });

  test('again, skip and home', () => {
    const state = play(onLadder(), 'next', 'again', 'skip', 'next', 'home', 'next');
    expect(sungKeys(state)).toBe('D4 E♭4 (E♭4) E4 E♭4 D4');
    expect(state.stepIndex).toBe(2);
    expect(canGoHome(onLadder())).toBe(false);
  });

  test('a second tap with the same id enters nothing twice', () => {
    const once = conduct(onLadder(), { type: 'next', id: 'same' });
    expect(conduct(once, { type: 'again', id: 'same' }).sung).toHaveLength(1);
  });

  test('the count says the keys to the turn, then home', () => {
    const counts: string[] = [];
    let state = onLadder();
    while (state.stepIndex === 1) {
      const count = countdownOf(state);
      counts.push(`${count?.to ?? ''} ${String(count?.keys)}`);
      state = play(state, 'next');
    }
    expect(counts).toEqual(['turn 2', 'turn 1', 'turn 0', 'home 1', 'home 0']);
    expect(countdownOf(begin())).toBeNull();
  });

  test('marks go on the key being sung; a second press takes one back', () => {
    const marked = (['crack', 'strain', 'crack'] as const).reduce(
      (at, mark) => conduct(at, { type: 'mark', mark, id: id() }),
      onLadder(),
    );
    expect(play(marked, 'next').sung[0]?.marks).toEqual(['strain']);
  });

  test.each(['pain', 'tickle', 'cough'] as const)('%s stops the step and keeps the key', (mark) => {
    const stopped = conduct(onLadder(), { type: 'mark', mark, id: id() });
    expect([stopped.phase, stopped.sung[0]?.marks, stopped.stops.at(-1)?.mark]).toEqual(['stopped', [mark], mark]);
    expect(conduct(stopped, { type: 'next-step', id: id(), heard: false })).toMatchObject({
      phase: 'singing',
      stepIndex: 2,
    });
  });

  test('dizziness ends breath work as well', () => {
    const stopped = conduct(onLadder(), { type: 'mark', mark: 'dizzy', id: id() });
    expect(stopped.steps.map(({ exerciseId }) => exerciseId)).toEqual([
      'standing-check',
      'up-and-down-five',
      'falling-hum',
    ]);
  });

  test('effort over four of ten stops the step as strain; an easier relative takes its place', () => {
    const easy = conduct(onLadder(), { type: 'effort', level: 4, id: id() });
    expect(easy.phase).toBe('singing');
    const stopped = conduct(onLadder(), { type: 'effort', level: 5, id: id() });
    expect([stopped.phase, stopped.sung[0]?.marks, stopped.stops.at(-1)?.mark]).toEqual([
      'stopped',
      ['strain'],
      'effort',
    ]);
    const relative = startRun(layRoutine([step('hum-glides')], contextOf())).steps[0];
    if (!relative) throw new Error('no relative');
    const swapped = conduct(stopped, { type: 'swap', step: relative });
    expect([swapped.phase, swapped.stepIndex, swapped.begun]).toEqual(['singing', 1, false]);
    expect(swapped.steps.map(({ exerciseId }) => exerciseId)).toEqual([
      'standing-check',
      'hum-glides',
      'long-hiss',
      'falling-hum',
    ]);
    expect(conduct(onLadder(), { type: 'swap', step: relative }).steps[1]?.exerciseId).toBe('up-and-down-five');
  });

  test('pause, resume and the end', () => {
    const paused = conduct(onLadder(), { type: 'pause' });
    expect([paused.phase, conduct(paused, { type: 'resume' }).phase]).toEqual(['paused', 'singing']);
    const over = conduct(onLadder(), { type: 'finish', id: id(), heard: true });
    expect([over.phase, over.sung.length, secondsLeft(over).run]).toEqual(['finished', 1, 0]);
    expect(play(over, 'next')).toBe(over);
  });

  test('whatever is pressed, no zone sounds, and going on never makes it longer', () => {
    const acts = fc.array(fc.constantFrom('next', 'again', 'skip', 'turn-back', 'home', 'next-step'), {
      maxLength: 40,
    });
    fc.assert(
      fc.property(acts, fc.integer({ min: 58, max: 76 }), (types, zone) => {
        const voice: Partial<VoiceFile> = { avoid: [{ low: zone, high: zone, kind: 'never-sounded' }] };
        let state = startRun(
          layRoutine([step('down-from-five'), step('thirds'), step('falling-hum')], contextOf({}, voice)),
        );
        for (const type of types) {
          const before = secondsLeft(state).run;
          state = conduct(state, type === 'next-step' ? { type, id: id(), heard: true } : { type, id: id() });
          const key = currentKey(state);
          const mayGrow = type === 'turn-back' || type === 'home';
          expect(mayGrow || secondsLeft(state).run <= before + 1e-6).toBe(true);
          expect(key === undefined || (key.low !== zone && key.high !== zone)).toBe(true);
        }
      }),
      { numRuns: 500 },
    );
  });
});
