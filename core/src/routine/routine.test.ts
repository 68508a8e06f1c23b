import type { VoiceFile, VoiceType } from '../voice/index.ts';
import { writeNote } from '../pitch/index.ts';
import { contextOf, exercises, MEZZO, step } from '../testing/routine-context.ts';
import { layRoutine, type RoutineContext } from './index.ts';

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
    expect([steps[0]?.seconds, steps[1]?.seconds]).toEqual([35, 89]);
  });

  test('the first two sung steps stay modest, the third does not', () => {
    const tops = layRoutine(SIX, contextOf()).steps.map(({ limits }) => limits && writeNote(limits.ceiling));
    expect(tops).toEqual([undefined, undefined, 'D5', 'B4', 'E♭5', 'E♭5']);
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
    expect(layRoutine(SIX, contextOf({ known: new Set() })).seconds).toBeCloseTo(known + 6 * 15, 9);
  });

  test('settings by hand', () => {
    const { steps } = layRoutine(
      [step('up-and-down-five', { start: 60, step: 2, travel: 'rise', maxKeys: 3, tempo: 100 })],
      contextOf(),
    );
    const laid = steps[0]?.laid;
    expect(laid?.kind === 'pattern' && laid.ladder.rungs.map(({ tonic }) => tonic)).toEqual([60, 62, 64]);
    expect(layRoutine([step('standing-check', { seconds: 90 })], contextOf()).seconds).toBe(95);
    expect(layRoutine([step('long-hiss', { repeats: 2 })], contextOf()).seconds).toBe(47);
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
        [...exercises.keys()].map((id) => step(id)),
        contextOf({ conditions: today, voice: { ...unmeasured, type, bridges: [] } }),
      );
      expect(steps).toHaveLength(exercises.size);
      for (const { problem, limits, lowest, highest } of steps) {
        if (!problem && limits) expect((lowest ?? 0) >= limits.floor && (highest ?? 200) <= limits.ceiling).toBe(true);
      }
    }
  });
});
