import {
  BURDENS,
  changeRules,
  checkKind,
  checkVoiceFile,
  CONDITIONS,
  copyRoutine,
  draftRoutine,
  exerciseSchema,
  faultLine,
  firstFault,
  frequencyOf,
  layRoutine,
  melodyOfPlayed,
  openExerciseFile,
  parsePattern,
  practiceForms,
  RANGE_ROWS,
  readAbc,
  readMidiFile,
  readMusicXml,
  readNoteIn,
  readStudentTable,
  REFUSALS,
  reviewRoutine,
  RULE_ROWS,
  shippedExercises,
  SoftLarkError,
  STYLES,
  VOICE_TYPES,
  type DraftContext,
  type RoutineStep,
  type VoiceFile,
} from '@soft-lark/core';
import fc from 'fast-check';
import { text } from './i18n.ts';
import {
  errorText,
  refusalOf,
  ruleRowText,
  say,
  sayFinding,
  sayMissing,
  sayProblem,
  sayRefusal,
  saySentence,
} from './say.ts';
import { setNoteNaming } from './note-names.ts';

const MEZZO: VoiceFile = { type: 'mezzo-soprano', style: 'classical', goals: [], bridges: [], avoid: [] };
const exercises = new Map(shippedExercises().map((exercise) => [exercise.id, exercise]));

/** What a sentence never holds: a text that is not there, a place that was not filled in, a slip of the hand. */
const SLIP =
  /said\.|words\.|undefined|null|NaN|Infinity|\[object|\{\{|\d\.\d{3,}| {2}| [.,;:!?]|[.,;]{2}(?<!\.\.)|\(\)|“”|-\d| $|^ /;

function expectSentence(said: string): void {
  expect([said, SLIP.exec(said)?.[0]]).toEqual([said, undefined]);
  expect([said, /^[\p{Lu}\p{Nd}“].*[.!?…”]$/u.test(said)]).toEqual([said, true]);
}

function expectLabel(said: string): void {
  expect([said, SLIP.exec(said)?.[0], said.length > 2 && said.length < 120]).toEqual([said, undefined, true]);
}

const days: fc.Arbitrary<Omit<DraftContext, 'exercises'>> = fc
  .record({
    type: fc.constantFrom(...VOICE_TYPES),
    style: fc.constantFrom(...STYLES),
    age: fc.integer({ min: 5, max: 80 }),
    isMeasured: fc.boolean(),
    zone: fc.option(fc.integer({ min: 55, max: 70 }), { nil: undefined }),
    cautions: fc.subarray(['jaw', 'eyes-or-ears'] as const),
    obstacles: fc.subarray(['no-straw', 'thin-walls'] as const),
    conditions: fc.subarray([...CONDITIONS]),
    occasion: fc.constantFrom('lesson' as const, 'home' as const, 'performance' as const),
    known: fc.constantFrom([], [...exercises.keys()].slice(0, 60)),
    hours: fc.option(fc.integer({ min: 2, max: 90 }), { nil: undefined }),
    minutes: fc.integer({ min: 2, max: 50 }),
    seed: fc.nat(1000),
  })
  .map(({ type, style, age, isMeasured, zone, cautions, obstacles, conditions, known, hours, ...day }) => ({
    ...day,
    conditions,
    known: new Set(known),
    ...(hours !== undefined && { hoursToPerformance: hours }),
    now: '2026-11-25T15:18:00Z',
    recent: [known.slice(0, 6)],
    ease: new Map(known.slice(0, 2).map((id) => [id, 1] as const)),
    voice: {
      type,
      style,
      cautions,
      obstacles,
      goals: ['bridge', 'release-jaw'],
      bridges: [],
      avoid: zone === undefined ? [] : [{ low: zone, high: zone + 3, kind: 'never-sounded' as const }],
      age: type === 'treble' ? 8 : age,
      ...(type === 'changing' && { changingStage: 'second' as const }),
      ...(isMeasured && { measured: { low: 57, high: 69, reachLow: 55, reachHigh: 72, date: '2026-08-01' } }),
    },
  }));

const stepLists = fc
  .uniqueArray(fc.constantFrom(...exercises.keys()), { minLength: 1, maxLength: 9 })
  .map((ids): readonly RoutineStep[] => ids.map((id) => ({ id, exerciseId: id, settings: {} })));

test('whatever the day and the routine, what the core has to say is a whole sentence or a short label', () => {
  const codes = new Set<string>();
  fc.assert(
    fc.property(days, stepLists, (day, steps) => {
      const context = { ...day, exercises };
      const draft = draftRoutine(context);
      for (const { reasons } of draft.steps) expectSentence(saySentence(reasons));
      for (const { reason } of [...draft.leftOut, ...draft.steps.flatMap(({ passedOver }) => passedOver)])
        expectSentence(say(reason));
      for (const one of draft.missing) Object.values(sayMissing(one)).forEach(expectSentence);
      const laid = layRoutine(steps, context);
      for (const { problem, limits, laid: way } of laid.steps) {
        if (problem) Object.values(sayProblem(problem)).forEach(expectSentence);
        for (const { said } of limits?.entries ?? []) expectLabel(say(said));
        for (const { reason } of way?.kind === 'pattern' ? way.ladder.skipped : []) expectSentence(say(reason));
      }
      const findings = reviewRoutine({ ...context, steps });
      for (const finding of findings) {
        codes.add(finding.rule);
        expectSentence(sayFinding(finding));
        for (const { said } of finding.fixes) expectLabel(say(said));
      }
      expect(new Set(findings.map(({ id }) => id)).size).toBe(findings.length);
    }),
    { numRuns: 50 },
  );
  expect(codes.size).toBeGreaterThan(15);
  fc.assert(
    fc.property(days, days, stepLists, (from, to, steps) => {
      for (const { reason } of copyRoutine(steps, { ...from, exercises }, { ...to, exercises }, () => 'copy').changes)
        if (reason) expectSentence(say(reason));
    }),
    { numRuns: 20 },
  );
});

test('every figure of the rule table says what it is, each in other words', () => {
  const labels = [...RULE_ROWS, ...RANGE_ROWS].map(({ path }) => ruleRowText(path));
  labels.forEach(expectLabel);
  expect(new Set(labels).size).toBe(labels.length);
  expect(BURDENS.map((name) => text.exists(`words.condition.${name}`))).not.toContain(false);
});

test.each([
  [{ 'condition.tired': 99 }, '“Tired today: ceiling lower by” is 99. Give a whole number from 1 to 7.'],
  [{ 'draft.another': 2 }, '“Another draft: share of the exercises that is new” is 2. Give a number from 0.2 to 1.'],
  [
    { 'young.noBeltUnder': 18 },
    '“No belt under” is 18, above “Speech-like mix only, under”, which is 15. Lower the first or raise the second.',
  ],
])('a rule table edited into nonsense is refused in words: %j', (changes, said) => {
  try {
    changeRules(changes, 'studio');
    throw new Error('taken');
  } catch (error) {
    expect(errorText(error as Error)).toBe(said);
  }
});

/** What cannot be read, each in its own way. */
const REFUSED: readonly (() => unknown)[] = [
  ...[
    ['', 1],
    ['r r', 1],
    ['1 hello 3', 1],
    ['1\t2', 1],
    ['16 2', 1],
    ['1:a', 1],
    ['1:0', 1],
    ['((1:999999)x1:999999)x1:999999', 1],
    ['(1 2)', 1],
    ['()x2', 1],
    ['(1)x99', 1],
    ['1)x2', 1],
    ['(1 2', 1],
    ['1 '.repeat(12000), 1],
    ['((1 2 3 4)x32)x32', 1],
    ["1 5,,, 5'''", 1],
    ['1 2', '_ na'],
    ['1 2', 'na* no'],
    ['1 2', 'na no ne'],
    ['1 2', 'na '.repeat(9000)],
  ].map(
    ([pattern, syllables]) =>
      () =>
        parsePattern(String(pattern), typeof syllables === 'string' ? { syllables } : {}),
  ),
  () => parsePattern('1', { mode: 'lydian-ish' as 'major' }),
  () => practiceForms(parsePattern('1 2'), 0),
  () => frequencyOf(60, 300),
  () => frequencyOf(Infinity),
  () => readNoteIn('X9', { scheme: 'scientific' }),
  () => readAbc(''),
  () => readAbc('hello'),
  () => readAbc('X:1\nK:C\n'),
  () => readAbc(`X:1\nK:C\n${'C'.repeat(60_000)}\n`),
  () => readMusicXml('<html><body/></html>'),
  () => readMusicXml('a\uFFFD'),
  () => readMusicXml('<!DOCTYPE a [<!ENTITY l "l">]><score-partwise/>'),
  () => openExerciseFile('{"kind":"other"}'),
  () => openExerciseFile('{"kind":"soft-lark-exercises","version":99,"exercises":[]}'),
  () => {
    checkKind(Uint8Array.from([0x25, 0x50, 0x44, 0x46]));
  },
  () => readMidiFile(Uint8Array.from([1, 2, 3])),
  () => melodyOfPlayed([], 60),
  () => readStudentTable([['name']], {}, { naming: { scheme: 'scientific' }, here: [], today: '2026-11-25' }),
  () => {
    checkVoiceFile({ ...MEZZO, measured: { low: 70, high: 60, date: '2026-11-03' } });
  },
  () => {
    checkVoiceFile({ ...MEZZO, hardFloor: 70, hardCeiling: 60 });
  },
  () => {
    checkVoiceFile({ ...MEZZO, avoid: [{ low: 30, high: 100, kind: 'never-sounded' }] });
  },
  () => {
    checkVoiceFile({ ...MEZZO, type: 'changing' });
  },
];

async function refusedBy(work: () => unknown): Promise<SoftLarkError> {
  try {
    await work();
  } catch (error) {
    if (error instanceof SoftLarkError) return error;
    throw error;
  }
  throw new Error(`Taken: ${String(work)}`);
}

/** An exercise with something amiss, each in its own way. */
const AMISS: readonly Readonly<Record<string, unknown>>[] = [
  { name: 'x' },
  { name: 'x'.repeat(300) },
  { why: 7 },
  { load: 9 },
  { load: -1 },
  { load: 1.5 },
  { load: 'two' },
  { noise: 'noisy' },
  { cues: 'Good.' },
  { goals: 'calm' },
  { watchFor: Array(41).fill({ seen: 'Jaw', causes: ['habit'], remedies: [{ kind: 'cue', text: 'Let it hang.' }] }) },
  { learnt: [{ name: 'with a hand' }] },
  { quiet: 'no' },
  { colour: 'red' },
  { id: 'No Id' },
  { work: { kind: 'dance' } },
  { work: null },
  { pulls: ['upwards'] },
];

test('what is amiss in a file is said by its code, in the words of the log and no others', () => {
  const codes = AMISS.map((change) => {
    const { error } = exerciseSchema.safeParse({ ...shippedExercises()[0], ...change });
    if (!error) throw new Error(`Taken: ${JSON.stringify(change)}`);
    const fault = firstFault(error);
    expect(say(fault)).toBe(faultLine(fault));
    return fault.code === 'fault.at' ? fault.values.fault.code : fault.code;
  });
  expect(new Set(codes).size).toBeGreaterThan(12);
});

test('whatever cannot be read is said by its code, in the words of the log and no others', async () => {
  const refused = await Promise.all(REFUSED.map(refusedBy));
  const codes = refused.map((error) => {
    const { message, remedy } = sayRefusal(error);
    expect([error.code, message]).toEqual([error.code, error.message]);
    expect(remedy).toMatch(/^\p{Lu}[^{]*\.$/u);
    return `${error.code} ${JSON.stringify(error.values['context'] ?? '')}`;
  });
  expect(codes.filter((code, index) => codes.indexOf(code) !== index)).toEqual([]);
});

test('a refusal of the server is said by its code; what a form holds, and what is not known, in the words it came with', () => {
  for (const code of REFUSALS.filter((one) => one !== 'INVALID')) {
    const { message, remedy } = sayRefusal({
      code,
      message: 'as it came',
      values: { id: '7', version: '2', newest: '1' },
    });
    expectSentence(message);
    if (remedy !== '') expectSentence(remedy);
    expect(message).not.toBe('as it came');
  }
  expect(errorText({ code: 'INVALID', message: 'minutes: too many.', remedy: 'Give less.' })).toBe(
    'minutes: too many. Give less.',
  );
  expect(errorText({ code: 'INVALID', message: 'x', values: { context: 'singer-twice' } })).toBe(
    'One singer is in the group twice.',
  );
  expect(errorText(refusalOf('thrown as it was'))).toBe('thrown as it was');
});

test('one note or both ends, in the names the studio uses', () => {
  const zone = (low: number, high: number): string =>
    say({ code: 'key.zone', values: { zone: { interval: { low, high } } } });
  expect([zone(63, 63), zone(60, 64)]).toEqual(['E♭4 is never sounded.', 'C4 to E4 is never sounded.']);
  setNoteNaming({ scheme: 'german' });
  expect(zone(60, 64)).toMatch(/^c′ to e′/i);
  setNoteNaming(undefined);
});

test('one and several, shares, decimals and lists are written as the reader writes them', () => {
  expect(say({ code: 'fix.allow', values: { count: 1 } })).toBe('Allow 1 minute');
  expect(say({ code: 'finding.few-keys', values: { name: 'Hum', count: 1, wanted: 5 } })).toMatch(
    /goes through one key;/,
  );
  expect(
    say({ code: 'finding.breath-share', values: { share: { share: 0.3 }, wanted: { share: 0.08 }, context: 'most' } }),
  ).toMatch(/takes 30\s?% of the time; the approach wants 8\s?% at most\./);
  expect(
    say({
      code: 'limit.by-rule',
      values: { anchor: { word: 'bridge-ceiling', of: 'anchor' }, count: 2, context: 'under' },
    }),
  ).toBe('set by the teacher: 2 under the bridge');
  expect(
    say({
      code: 'draft.serves',
      values: { goals: ['release-jaw', 'bridge'].map((word) => ({ word, of: 'goal' as const })) },
    }),
  ).toBe('serves release jaw and bridge');
});
