import fc from 'fast-check';
import { readNote, writeNote } from '../pitch/index.ts';
import { buildLadder } from '../ladder/index.ts';
import { parsePattern } from '../pattern/index.ts';
import { replayLedger, resolveLimits, STAGES, USUAL_RULES, whatWouldChange, type LimitContext } from './index.ts';

const MEZZO: LimitContext['voice'] = {
  type: 'mezzo-soprano',
  measured: { low: 57, high: 76, reachLow: 55, reachHigh: 81, date: '2026-11-03' },
};

type Change = Partial<LimitContext> & {
  readonly work?: Partial<LimitContext['exercise']>;
  readonly file?: Partial<LimitContext['voice']>;
};

function contextOf({ work, file, ...change }: Change): LimitContext {
  return {
    voice: { ...MEZZO, ...file },
    style: 'classical',
    exercise: { stage: 'middle', register: 'mixed', ...work },
    sungSteps: 2,
    conditions: [],
    occasion: 'lesson',
    now: '2026-11-25T15:00:00Z',
    ...change,
  };
}

const BELT = { stage: 'style', register: 'heavy' } as const;
const EXTENDS = { stage: 'range', extendsRange: true } as const;

describe('resolveLimits', () => {
  test.each<[string, Change, string, string]>([
    ['middle work, third step', {}, 'B♭3', 'E♭5'],
    ['first sung step', { sungSteps: 0 }, 'B♭3', 'B4'],
    ['belt in pop', { style: 'pop', work: BELT }, 'B♭3', 'A4'],
    ['belt with shown ease', { work: BELT, file: { beltCeiling: 74 } }, 'B♭3', 'D5'],
    ['tired', { conditions: ['tired'] }, 'B♭3', 'D♭5'],
    ['tired and heavy', { conditions: ['tired', 'heavy'] }, 'B♭3', 'C5'],
    ['recovering, tired and heavy', { conditions: ['recovering', 'tired', 'heavy'] }, 'B♭3', 'B♭4'],
    ['override over the reach', { override: { ceiling: 86 } }, 'B♭3', 'A5'],
    ['override on both sides', { override: { floor: 60, ceiling: 70 } }, 'C4', 'B♭4'],
    ['hard limits last', { override: { ceiling: 80 }, file: { hardCeiling: 75, hardFloor: 59 } }, 'B3', 'E♭5'],
    ['choral falls by one', { style: 'choral' }, 'B♭3', 'D5'],
    ['advice', { advice: { ceiling: 1, floor: -1 } }, 'A3', 'E5'],
    ['margin of three', { file: { margin: 3 } }, 'C4', 'D♭5'],
    ['margin of nine is held at four', { file: { margin: 9 } }, 'D♭4', 'C5'],
    ['occluded goes further', { work: { stage: 'occluded' } }, 'A♭3', 'F♯5'],
    ['a siren goes further, even first', { sungSteps: 0, work: { kind: 'siren', stage: 'release' } }, 'A♭3', 'F♯5'],
    ['light register keeps the margin', { work: { register: 'light' } }, 'A3', 'F5'],
    ['no credit for low notes of a heavy morning', { conditions: ['heavy'], work: { stage: 'occluded' } }, 'A3', 'E5'],
    ['release stays modest', { work: { stage: 'release' } }, 'B♭3', 'B4'],
    ['a quiet glide does not', { work: { stage: 'release', quiet: true } }, 'A3', 'E5'],
    ['an occluded pattern opens two below the top', { sungSteps: 1, work: { stage: 'occluded' } }, 'A♭3', 'D5'],
    ['extension', { work: EXTENDS }, 'B♭3', 'F♯5'],
    ['no extension when tired', { work: EXTENDS, conditions: ['tired'] }, 'B♭3', 'D♭5'],
    ['no extension before two steps', { work: EXTENDS, sungSteps: 1 }, 'B♭3', 'B4'],
    ['no extension near a performance', { work: EXTENDS, hoursToPerformance: 48 }, 'B♭3', 'E♭5'],
    [
      'extension ends at the reach',
      { work: EXTENDS, file: { measured: { low: 57, high: 76, date: '2026-11-03' } } },
      'B♭3',
      'E5',
    ],
    ['performance within a day', { occasion: 'performance' }, 'B♭3', 'D5'],
    ['at home', { occasion: 'home' }, 'B3', 'D5'],
    ['at home, and new', { occasion: 'home', work: { isNew: true } }, 'C4', 'D♭5'],
    [
      'grit stays in the middle',
      { style: 'heavy', work: { stage: 'style', register: 'any', grit: true } },
      'D♭4',
      'C5',
    ],
    ['estimated mezzo', { voice: { type: 'mezzo-soprano' } }, 'C4', 'D♭5'],
  ])('%s', (_, change, floor, ceiling) => {
    const limits = resolveLimits(contextOf(change));
    expect([writeNote(limits.floor), writeNote(limits.ceiling)]).toEqual([floor, ceiling]);
  });

  test('every voice has an estimate, flagged as one', () => {
    const estimated = resolveLimits(contextOf({})).estimated;
    const types = [
      ['bass', 'A♭2', 'B♭3'],
      ['baritone', 'C3', 'D♭4'],
      ['tenor', 'E♭3', 'E4'],
      ['soprano', 'E♭4', 'E5'],
      ['treble', 'C4', 'A4'],
    ] as const;
    const found = types.map(([type]) => resolveLimits({ ...contextOf({}), voice: { type } }));
    expect(found.map(({ floor, ceiling }) => `${writeNote(floor)} ${writeNote(ceiling)}`)).toEqual(
      types.map(([, floor, ceiling]) => `${floor} ${ceiling}`),
    );
    expect([estimated, ...found.map((limits) => limits.estimated)]).toEqual([false, true, true, true, true, true]);
  });

  test('a small range has no margin, keeps seven semitones, and loses at most a third', () => {
    const voice = { type: 'mezzo-soprano', measured: { low: 60, high: 68, date: '2026-11-03' } } as const;
    expect(resolveLimits({ ...contextOf({}), voice })).toMatchObject({ floor: 60, ceiling: 68 });
    expect(resolveLimits({ ...contextOf({ sungSteps: 0 }), voice })).toMatchObject({ floor: 60, ceiling: 67 });
    expect(resolveLimits({ ...contextOf({ conditions: ['recovering'] }), voice })).toMatchObject({
      floor: 60,
      ceiling: 66,
    });
  });

  test('the ladder that follows: eleven tonics of a fifth, six of an octave', () => {
    const { floor, ceiling } = resolveLimits(contextOf({}));
    const tonics = (text: string): string[] =>
      buildLadder({
        pattern: parsePattern(text),
        start: floor,
        step: 1,
        travel: 'rise',
        floor,
        ceiling,
        tempo: 100,
      }).rungs.map(({ tonic }) => writeNote(tonic));
    const fifth = tonics('1 2 3 4 5 4 3 2 1');
    const octave = tonics('1 8 1');
    expect([fifth.length, fifth[0], fifth.at(-1)]).toEqual([11, 'B♭3', 'A♭4']);
    expect([octave.length, octave[0], octave.at(-1)]).toEqual([6, 'B♭3', 'E♭4']);
  });

  test('the ledger says why, in the order the rules were applied', () => {
    const { entries } = resolveLimits(contextOf({ conditions: ['tired', 'heavy'], style: 'choral' }));
    const ceiling = entries
      .filter(({ side }) => side === 'ceiling')
      .map(({ rule, effect, result }) => [rule, effect, writeNote(result)]);
    expect(ceiling).toEqual([
      ['base', { cap: 76 }, 'E5'],
      ['margin', { delta: -1 }, 'E♭5'],
      ['style', { delta: -1 }, 'D5'],
      ['condition', { delta: -3 }, 'B4'],
    ]);
    expect(entries[0]).toMatchObject({ date: '2026-11-03' });
  });

  test('crossing limits name the two lines that did it', () => {
    const { conflict } = resolveLimits(contextOf({ override: { floor: readNote('F5') }, conditions: ['tired'] }));
    expect(conflict?.map(({ rule }) => rule)).toEqual(['override', 'condition']);
  });

  test.each<[string, Change, readonly string[]]>([
    ['a plain day: only the margin', {}, ['no-margin A3–E5']],
    ['tired', { conditions: ['tired'] }, ['fresh B♭3–E♭5', 'no-margin A3–D5']],
    ['the first sung step', { sungSteps: 0, conditions: ['tired'] }, ['later B♭3–D♭5', 'no-margin A3–B4']],
    ['at home', { occasion: 'home' }, ['lesson B♭3–E♭5', 'no-margin B♭3–E♭5']],
    ['before a performance', { occasion: 'performance' }, ['no-performance B♭3–E♭5', 'no-margin A3–E♭5']],
    ['by hand', { override: { ceiling: 70 } }, ['no-margin A3–B♭4', 'no-override B♭3–E♭5']],
    ['a hard ceiling', { file: { hardCeiling: 70 } }, ['no-margin A3–B♭4', 'no-hard-limit B♭3–E♭5']],
  ])('what would change it, %s', (_, change, expected) => {
    const found = whatWouldChange(contextOf(change));
    expect(found.map(({ what, floor, ceiling }) => `${what} ${writeNote(floor)}–${writeNote(ceiling)}`)).toEqual(
      expected,
    );
  });

  test('a changed rule table changes the limits', () => {
    const rules = { ...USUAL_RULES, condition: { ...USUAL_RULES.condition, tired: 4 } };
    expect(resolveLimits(contextOf({ conditions: ['tired'], rules })).ceiling).toBe(71);
  });

  const contexts = fc
    .record({
      low: fc.integer({ min: 40, max: 60 }),
      width: fc.integer({ min: 1, max: 30 }),
      over: fc.integer({ min: 0, max: 6 }),
      stage: fc.constantFrom(...STAGES),
      kind: fc.constantFrom('pattern' as const, 'siren' as const),
      quiet: fc.boolean(),
      register: fc.constantFrom('light' as const, 'mixed' as const, 'heavy' as const, 'any' as const),
      flags: fc.record({ isNew: fc.boolean(), extendsRange: fc.boolean(), grit: fc.boolean() }),
      conditions: fc.subarray(['fresh', 'heavy', 'tired', 'recovering'] as const),
      style: fc.constantFrom('classical' as const, 'choral' as const, 'heavy' as const),
      occasion: fc.constantFrom('lesson' as const, 'home' as const, 'performance' as const),
      sungSteps: fc.integer({ min: 0, max: 4 }),
      override: fc.option(
        fc.record({ floor: fc.integer({ min: 30, max: 90 }), ceiling: fc.integer({ min: 30, max: 90 }) }),
        { nil: undefined },
      ),
      hardCeiling: fc.option(fc.integer({ min: 50, max: 90 }), { nil: undefined }),
    })
    .map(({ low, width, over, stage, kind, quiet, register, flags, override, hardCeiling, ...rest }) => ({
      ...contextOf({}),
      ...rest,
      voice: {
        type: 'mezzo-soprano' as const,
        measured: { low, high: low + width, reachLow: low - over, reachHigh: low + width + over, date: '2026-11-03' },
        ...(hardCeiling !== undefined && { hardCeiling }),
      },
      exercise: { stage, kind, quiet, register, ...flags },
      ...(override && { override }),
    }));

  test('what would change it always does, and is what the limits come to then', () => {
    fc.assert(
      fc.property(contexts, (context) => {
        const now = resolveLimits(context);
        for (const { what, floor, ceiling } of whatWouldChange(context)) {
          expect([floor, ceiling]).not.toEqual([now.floor, now.ceiling]);
          if (what === 'fresh') expect(resolveLimits({ ...context, conditions: [] })).toMatchObject({ floor, ceiling });
          if (what === 'no-hard-limit') expect(ceiling).toBeGreaterThanOrEqual(now.ceiling);
        }
      }),
      { numRuns: 1000 },
    );
  });

  test('entries replay to the result, which nothing takes past reach or hard limit', () => {
    fc.assert(
      fc.property(contexts, (context) => {
        const { floor, ceiling, entries, conflict } = resolveLimits(context);
        const { measured, hardCeiling = Infinity } = context.voice;
        expect(replayLedger(entries)).toEqual({ floor, ceiling });
        const last = (side: 'floor' | 'ceiling'): number | undefined =>
          entries.filter((entry) => entry.side === side).at(-1)?.result;
        expect([last('floor'), last('ceiling')]).toEqual([floor, ceiling]);
        expect(floor >= measured.reachLow && ceiling <= Math.min(measured.reachHigh, hardCeiling)).toBe(true);
        expect(conflict !== undefined).toBe(floor > ceiling);
      }),
      { numRuns: 4000 },
    );
  });
});
