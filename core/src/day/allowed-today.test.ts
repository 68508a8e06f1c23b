import { changeRules } from '../limits/index.ts';
import { shippedExercises, type Exercise } from '../shelf/index.ts';
import type { VoiceFile } from '../voice/index.ts';
import { layRoutine, type LaidStep, type RoutineContext } from '../routine/index.ts';
import { leftOutToday, type DayAllowance } from './index.ts';

const shelf = shippedExercises();
const exercises = new Map(shelf.map((exercise) => [exercise.id, exercise]));
const FILE: VoiceFile = {
  type: 'mezzo-soprano',
  style: 'pop',
  goals: [],
  bridges: [],
  avoid: [],
  measured: { low: 58, high: 76, date: '2026-11-03' },
};

function named(id: string): Exercise {
  const exercise = exercises.get(id);
  if (!exercise) throw new Error(`no ${id}`);
  return exercise;
}

const GRIT: Exercise = { ...named('speech-like-call'), name: 'Grit', register: 'any', grit: true };
const HOLD: Exercise = {
  ...named('low-wide-breath'),
  work: {
    kind: 'breath',
    counts: { inCounts: 4, holdCounts: 3, outCounts: 4, restCounts: 2, cycles: 3, countTempo: 60, growsBy: 0 },
  },
};

test.each<[string, Exercise, Partial<VoiceFile>, Partial<DayAllowance>, string | undefined]>([
  ['belt, grown up', named('speech-like-call'), {}, {}, undefined],
  ['belt at eleven', named('speech-like-call'), { type: 'treble', age: 11 }, {}, 'NOT_FOR_YOUNG_VOICES'],
  ['belt at thirteen', named('speech-like-call'), { type: 'treble', age: 13 }, {}, undefined],
  ['grit at seventeen', GRIT, { age: 17 }, {}, 'NOT_FOR_YOUNG_VOICES'],
  ['grit at seventeen, decided', GRIT, { age: 17, gritAllowed: true }, {}, undefined],
  ['belt while recovering', named('speech-like-call'), {}, { conditions: ['recovering'] }, 'OFF_WHILE_RECOVERING'],
  ['grit while recovering', GRIT, {}, { conditions: ['recovering'] }, 'OFF_WHILE_RECOVERING'],
  ['straw with a caution', named('straw-slides'), { cautions: ['eyes-or-ears'] }, {}, 'CAUTION_ON_FILE'],
  ['straw with another caution', named('straw-slides'), { cautions: ['jaw'] }, {}, undefined],
  ['breath after dizziness', named('long-hiss'), {}, { breathOff: true }, 'BREATH_OFF_TODAY'],
  ['no other work after dizziness', named('hum-glides'), {}, { breathOff: true }, undefined],
  ['a hold while holds are off', HOLD, {}, { holdsOff: true }, 'HOLDS_OFF'],
  ['breath without a hold', named('long-hiss'), {}, { holdsOff: true }, undefined],
  ['a narrow straw for a tired voice', named('straw-slides'), {}, { conditions: ['tired'] }, 'TOO_MUCH_RESISTANCE'],
  ['a trill for a tired voice', named('lip-trill-on-five'), {}, { conditions: ['tired'] }, undefined],
  [
    'a narrow straw for a tired voice, allowed by the rule table',
    named('straw-slides'),
    {},
    { conditions: ['tired'], rules: changeRules({ 'occluded.mostResistanceTired': 4 }, 'studio') },
    undefined,
  ],
  ['a hum on a gentle day', named('hum-glides'), {}, { allowance: 'gentle' }, undefined],
  ['a scale on a gentle day', named('up-and-down-five'), {}, { allowance: 'gentle' }, 'GENTLE_ONLY'],
  ['a scale on a middle day', named('up-and-down-five'), {}, { allowance: 'middle' }, undefined],
  ['wide work on a middle day', named('octave-and-a-third'), {}, { allowance: 'middle' }, 'MIDDLE_ONLY'],
])('left out today: %s', (_, exercise, file, day, code) => {
  expect(leftOutToday(exercise, { ...FILE, ...file }, { conditions: [], ...day })?.code).toBe(code);
});

function lay(exerciseId: string, change: Partial<RoutineContext>, settings = {}): LaidStep | undefined {
  return layRoutine(
    [
      { id: 'before', exerciseId: 'hum-glides', settings: {} },
      { id: 'before-2', exerciseId: 'hum-glides', settings: {} },
      { id: 'it', exerciseId, settings },
    ],
    {
      voice: FILE,
      conditions: [],
      occasion: 'lesson',
      exercises,
      known: new Set(),
      now: '2026-11-25T15:00:00Z',
      ...change,
    },
  ).steps[2];
}

test.each<[string, Partial<RoutineContext>, object, string]>([
  ['a usual day goes up first', {}, {}, 'up'],
  ['a fresh voice goes up first', { conditions: ['fresh'] }, {}, 'up'],
  ['a heavy morning goes down first', { conditions: ['heavy'] }, {}, 'down'],
  ['heavy, but the approach is rise only', { conditions: ['heavy'], approach: { travel: 'rise-only' } }, {}, 'up'],
  ['heavy, led by the condition', { conditions: ['heavy'], approach: { travel: 'by-condition' } }, {}, 'down'],
  ['tired, led by the condition', { conditions: ['tired'], approach: { travel: 'by-condition' } }, {}, 'down'],
  ['tired, and the way home is the rule', { conditions: ['tired'] }, {}, 'up'],
  ['high to low on any day', { approach: { travel: 'high-to-low' } }, {}, 'down'],
  ['heavy, but set by hand', { conditions: ['heavy'] }, { travel: 'rise' }, 'up'],
])('%s', (_, change, settings, leg) => {
  const step = lay('up-and-down-five', change, settings);
  const rungs = step?.laid?.kind === 'pattern' ? step.laid.ladder.rungs : [];
  expect([rungs[0]?.leg, rungs.length > 2]).toEqual([leg, true]);
});

test.each([
  ['rise only ends at the top', 'rise-only', true],
  ['high to low ends at the bottom', 'high-to-low', false],
])('%s', (_, travel, isTop) => {
  const step = lay('up-and-down-five', { approach: { travel } });
  const tonics = step?.laid?.kind === 'pattern' ? step.laid.ladder.rungs.map(({ tonic }) => tonic) : [];
  expect(tonics.at(-1)).toBe(isTop ? Math.max(...tonics) : Math.min(...tonics));
  expect(new Set(tonics).size).toBe(tonics.length);
});

test('a turned ladder starts in the middle, goes down and comes home, and a turned glide begins at the top', () => {
  const ladder = lay('up-and-down-five', { conditions: ['heavy'] });
  const rungs = ladder?.laid?.kind === 'pattern' ? ladder.laid.ladder.rungs : [];
  expect(rungs.at(-1)?.tonic).toBe(rungs[0]?.tonic);
  // The middle of B♭3–E5 is G4; the first key tops out two over it, and none goes higher.
  expect(rungs[0]?.high).toBe(69);
  expect(Math.max(...rungs.map(({ high }) => high))).toBe(69);
  const glide = lay('lip-trill-glides', { conditions: ['heavy'] });
  const first = glide?.laid?.kind === 'siren' ? glide.laid.siren.pieces[0] : undefined;
  expect((first?.from ?? 0) > (first?.to ?? 0)).toBe(true);
});

test('an older voice sings slower, unless the teacher set the tempo', () => {
  const tempo = (age: number, settings = {}): number | undefined => {
    const step = lay('up-and-down-five', { voice: { ...FILE, age } }, settings);
    return step?.laid?.kind === 'pattern' ? step.laid.input.tempo : undefined;
  };
  expect([tempo(40), tempo(71), tempo(71, { tempo: 92 })]).toEqual([92, 83, 92]);
});
