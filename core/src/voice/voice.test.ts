import { VoiceError } from '../errors.ts';
import {
  beltEvidence,
  changeLikely,
  checkDueInDays,
  checkVoiceFile,
  dayHints,
  isYoungVoice,
  neverSounded,
  referenceOf,
  typesNear,
  openRanges,
  stageThatFits,
  voiceOf,
  type VoiceFile,
} from './index.ts';

const FILE: VoiceFile = { type: 'tenor', style: 'pop', goals: [], bridges: [], avoid: [] };

test.each([
  [{ type: 'treble' }, 60, 69],
  [{ type: 'treble', age: 5 }, 62, 69],
  [{ type: 'treble', age: 11 }, 59, 74],
  [{ type: 'treble', age: 15 }, 59, 74],
  [{ type: 'changing', changingStage: 'new' }, 52, 59],
  [{ type: 'changing' }, 56, 65],
  [{ type: 'bass' }, 43, 59],
] as const)('comfortable default of %j', (voice, low, high) => {
  expect(referenceOf(voice).comfortable).toEqual({ low, high });
});

test.each([
  [{ type: 'tenor' }, false],
  [{ type: 'tenor', age: 17 }, true],
  [{ type: 'treble' }, true],
  [{ type: 'changing', age: 19 }, true],
] as const)('%j is a young voice: %p', (voice, young) => {
  expect(isYoungVoice(voice)).toBe(young);
});

test('a voice file as the limits and the ladder take it', () => {
  const file: VoiceFile = {
    ...FILE,
    bridges: [
      { low: 67, high: 68 },
      { low: 62, high: 63 },
    ],
    avoid: [
      { low: 60, high: 61, kind: 'never-sounded' },
      { low: 70, high: 71, kind: 'not-loud' },
    ],
  };
  expect(voiceOf(file)).toEqual({
    type: 'tenor',
    bridges: [62, 67],
    speakingNote: 50,
    closed: [{ low: 60, high: 61 }],
  });
  expect(neverSounded(file)).toEqual([{ low: 60, high: 61 }]);
});

test.each<[string, Partial<VoiceFile>]>([
  ['zones over the whole range', { avoid: [{ low: 40, high: 80, kind: 'never-sounded' }] }],
  [
    'gaps over the whole range',
    {
      gaps: [
        { low: 40, high: 58 },
        { low: 59, high: 80 },
      ],
    },
  ],
  ['a measurement tomorrow', { measured: { low: 50, high: 65, date: '2026-11-26' } }],
  ['a clearance tomorrow', { clearedOn: '2026-11-26' }],
  ['low above high', { measured: { low: 70, high: 60, date: '2026-11-03' } }],
  ['comfortable outside reach', { measured: { low: 50, high: 65, reachHigh: 64, date: '2026-11-03' } }],
  ['hard limits crossed', { hardFloor: 65, hardCeiling: 60 }],
  ['a zone upside down', { avoid: [{ low: 62, high: 60, kind: 'never-sounded' }] }],
  ['a changing voice without a stage', { type: 'changing' }],
])('refuses %s', (_, change) => {
  expect(() => {
    checkVoiceFile({ ...FILE, ...change }, '2026-11-25');
  }).toThrow(VoiceError);
});

test('a zone of another kind may cover the range, and today is not the future', () => {
  expect(() => {
    checkVoiceFile(
      {
        ...FILE,
        avoid: [{ low: 40, high: 80, kind: 'not-loud' }],
        measured: { low: 50, high: 65, date: '2026-11-25' },
      },
      '2026-11-25',
    );
  }).not.toThrow();
});

const check = (date: string, low: number, high: number): { date: string; low: number; high: number } => ({
  date,
  low,
  high,
});
const BEFORE = check('2026-10-01', 60, 76);

test.each([
  ['three semitones lower, a week later', [BEFORE, check('2026-10-08', 57, 76)], '2026-10-01'],
  ['six days later is too soon', [BEFORE, check('2026-10-07', 57, 76)], null],
  ['two semitones are not enough', [BEFORE, check('2026-11-08', 58, 74)], null],
  ['the upper end counts too, in any order', [check('2026-10-20', 60, 72), BEFORE], '2026-10-01'],
  ['the latest of the earlier ones', [BEFORE, check('2026-10-10', 60, 76), check('2026-11-01', 57, 76)], '2026-10-10'],
  ['one check says nothing', [BEFORE], null],
])('a change is likely: %s', (_, checks, since) => {
  expect(changeLikely({ type: 'treble', age: 12 }, checks)?.date ?? null).toBe(since);
  expect(changeLikely({ type: 'tenor', age: 30 }, checks)).toBeNull();
});

test.each([
  [{ type: 'tenor' }, false, '2026-11-25', 68],
  [{ type: 'tenor' }, true, '2026-11-25', 6],
  [{ type: 'changing' }, false, '2026-12-05', -4],
] as const)('%j, change likely %p: the next check is due in days', (voice, isChanging, today, days) => {
  expect(checkDueInDays({ ...voice, measured: { low: 50, high: 65, date: '2026-11-03' } }, isChanging, today)).toBe(
    days,
  );
  expect(checkDueInDays(voice, isChanging, today)).toBeNull();
});

test('voice types are offered by nearness, never one alone', () => {
  expect(typesNear({ low: 47, high: 62 })).toEqual(['baritone', 'bass-baritone', 'tenor']);
});

test.each([
  ['08:30', '', ['heavy morning']],
  ['10:00', '', []],
  ['17:59', 'Likes boats', []],
  ['18:00', '', ['tired late']],
  ['15:30', 'Comes off a night shift', ['tired talks']],
  ['19:00', 'Talks all day on the radio', ['tired talks']],
  ['08:00', 'She teaches until noon', ['heavy morning', 'tired talks']],
])('a lesson at %s, “%s”: %j is offered', (startsAt, note, offered) => {
  expect(dayHints(startsAt, note).map(({ condition, why }) => `${condition} ${why}`)).toEqual(offered);
});

const belt = (day: string, high: number, ...marks: string[]): { day: string; high: number; marks: string[] } => ({
  day,
  high,
  marks,
});

test.each([
  ['nothing sung there', [belt('2026-11-01', 68, 'easy')], [], false],
  ['one easy day', [belt('2026-11-01', 69, 'easy'), belt('2026-11-01', 69, 'easy')], ['2026-11-01'], false],
  [
    'two easy days',
    [belt('2026-11-08', 70, 'easy'), belt('2026-11-01', 69, 'easy')],
    ['2026-11-01', '2026-11-08'],
    true,
  ],
  ['easy and strained on one day', [belt('2026-11-01', 69, 'easy'), belt('2026-11-01', 69, 'strain')], [], false],
  [
    'strain after them',
    [belt('2026-11-01', 69, 'easy'), belt('2026-11-08', 69, 'easy'), belt('2026-11-09', 69, 'strain')],
    ['2026-11-01', '2026-11-08'],
    false,
  ],
  ['not marked is not easy', [belt('2026-11-01', 69), belt('2026-11-08', 69)], [], false],
])('the evidence for raising a belt ceiling of A4: %s', (_, keys, easyDays, isEnough) => {
  expect(beltEvidence(keys, 69)).toMatchObject({ easyDays, isEnough });
});

test.each<[string, Partial<VoiceFile>, string | null]>([
  [
    'a range that lies in another stage',
    { changingStage: 'new', measured: { low: 59, high: 68, date: '2026-11-01' } },
    'first',
  ],
  [
    'a range that lies in its stage',
    { changingStage: 'new', measured: { low: 52, high: 60, date: '2026-11-01' } },
    null,
  ],
  ['nothing measured', { changingStage: 'new' }, null],
])('the stage that fits: %s', (_, change, stage) => {
  expect(stageThatFits({ ...FILE, type: 'changing', ...change })).toBe(stage);
});

test.each([
  ['a zone at the top is the top', [{ low: 74, high: 77 }], { low: 57, high: 73 }, { low: 55, high: 73 }],
  ['a gap at the bottom is the bottom', [{ low: 55, high: 58 }], { low: 59, high: 76 }, { low: 59, high: 81 }],
  ['one in the middle ends nothing', [{ low: 62, high: 63 }], { low: 57, high: 76 }, { low: 55, high: 81 }],
  ['one just over the top ends the reach', [{ low: 77, high: 79 }], { low: 57, high: 76 }, { low: 55, high: 76 }],
  ['all of it closed leaves the range as it is', [{ low: 50, high: 90 }], { low: 57, high: 76 }, { low: 55, high: 81 }],
])('%s', (_, closed, comfortable, reach) => {
  expect(openRanges({ low: 57, high: 76 }, { low: 55, high: 81 }, closed)).toEqual({ comfortable, reach });
});

test('a voice that was not asked speaks where its type usually does; what was measured stands over it', () => {
  const file = (type: VoiceFile['type'], more: Partial<VoiceFile> = {}): VoiceFile => ({
    ...{ type, style: 'choral', goals: [], bridges: [], avoid: [] },
    ...more,
  });
  const spoken = (['bass', 'tenor', 'mezzo-soprano', 'treble'] as const).map(
    (type) => voiceOf(file(type)).speakingNote,
  );
  expect(spoken).toEqual([43, 50, 57, 61]);
  expect(voiceOf(file('bass', { speakingNote: 45 })).speakingNote).toBe(45);
  expect(voiceOf(file('changing', { changingStage: 'new' })).speakingNote).toBe(48);
});
