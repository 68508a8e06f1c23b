import fc from 'fast-check';
import {
  gateOutcome,
  isCleared,
  lockHolds,
  minutesToday,
  NOT_TODAY_SIGNS,
  openQuestions,
  SEE_SOMEONE_SIGNS,
  URGENT_SIGNS,
  type GateAnswers,
} from './index.ts';

const USUAL: GateAnswers = { tired: 0, voice: 'normal', pain: false };

test.each<[string, Partial<GateAnswers>, readonly string[]]>([
  ['nothing answered', {}, ['tired', 'voice', 'pain']],
  ['a usual day is three taps', USUAL, []],
  ['tired asks no more', { ...USUAL, tired: 3 }, []],
  ['rough asks for signs and illness', { ...USUAL, voice: 'rough' }, ['signs', 'recovery']],
  ['none of the signs is an answer', { ...USUAL, voice: 'rough', signs: [], recovery: 'later' }, []],
  ['pain asks for signs', { ...USUAL, pain: true }, ['signs']],
  ['a voice that is gone asks for signs', { ...USUAL, voice: 'gone' }, ['signs']],
])('open questions: %s', (_, answers, open) => {
  expect(openQuestions(answers, [])).toEqual(open);
  expect(gateOutcome(answers, []) === null).toBe(open.length > 0);
});

test.each<[string, Partial<GateAnswers>, object | null]>([
  ['an urgent sign and nothing else', { signs: ['faint'] }, { level: 'urgent', open: false, reason: 'faint' }],
  ['an urgent sign before illness is asked', { ...USUAL, voice: 'rough', signs: ['blood'] }, { level: 'urgent' }],
  ['a fever and nothing else', { signs: ['fever'] }, { level: 'not-today', open: false, reason: 'fever' }],
  ['pain with its signs looked at', { pain: true, signs: [] }, { level: 'not-today', reason: 'pain' }],
  ['pain before its signs are looked at', { ...USUAL, pain: true }, null],
  ['something to be seen leaves the rest open', { signs: ['tremor'] }, null],
  ['none of the signs leaves the rest open', { signs: [] }, null],
])('what shuts the gate does not wait for other answers: %s', (_, answers, outcome) => {
  const found = gateOutcome(answers, []);
  if (outcome === null) expect(found).toBeNull();
  else expect(found).toMatchObject(outcome);
});

test('coming back from an illness asks how far, and only then', () => {
  expect(openQuestions(USUAL, ['recovering'])).toEqual(['recovery']);
});

test.each<[string, Partial<GateAnswers>, readonly ('fresh' | 'heavy' | 'recovering')[], object]>([
  ['fine and fresh', {}, ['fresh'], { level: 'clear', open: true, conditions: ['fresh'], allowance: 'all' }],
  ['a little tired', { tired: 1 }, ['fresh'], { level: 'clear', conditions: ['fresh'] }],
  ['tired', { tired: 2 }, ['fresh'], { level: 'changed', conditions: ['tired'] }],
  ['talked out', { heavyUse: true }, [], { level: 'changed', conditions: ['tired'] }],
  [
    'rough, not ill',
    { voice: 'rough', signs: [], recovery: 'not-ill' },
    ['heavy'],
    { conditions: ['heavy', 'recovering'], allowance: 'all' },
  ],
  [
    'rough, first days after',
    { voice: 'rough', signs: [], recovery: 'first-three' },
    [],
    { open: true, allowance: 'gentle' },
  ],
  [
    'recovering, days four to six',
    { recovery: 'to-six' },
    ['recovering'],
    { allowance: 'middle', conditions: ['recovering'] },
  ],
  ['performance tomorrow', { hoursToPerformance: 24 }, [], { level: 'changed', hoursToPerformance: 24 }],
  ['gone', { voice: 'gone', signs: [] }, [], { level: 'not-today', open: false, reason: 'voice-gone' }],
  ['pain', { pain: true, signs: [] }, [], { level: 'not-today', open: false, reason: 'pain' }],
  ['pain beats a long hoarseness', { pain: true, signs: ['hoarse-long'] }, [], { level: 'not-today', reason: 'pain' }],
  ['urgent beats pain', { pain: true, signs: ['faint'] }, [], { level: 'urgent', open: false, reason: 'faint' }],
  [
    'urgent beats not today',
    { voice: 'gone', signs: ['fever', 'sudden-loss'] },
    [],
    { level: 'urgent', reason: 'sudden-loss' },
  ],
])('the gate: %s', (_, answers, chosen, outcome) => {
  expect(gateOutcome({ ...USUAL, ...answers }, chosen)).toMatchObject(outcome);
});

test.each<[NonNullable<GateAnswers['recovery']>, number, number | undefined]>([
  ['first-three', 5, 2],
  ['to-six', 8, 1],
  ['later', 16, undefined],
  ['not-ill', 16, undefined],
])('a routine of 16 minutes after an illness, %s, takes %d', (recovery, minutes, goes) => {
  const outcome = gateOutcome({ ...USUAL, recovery }, ['recovering']);
  expect(minutesToday(outcome?.length, 16)).toBe(minutes);
  expect(minutesToday(outcome?.length, 4)).toBe(recovery === 'to-six' ? 2 : 4);
  expect(outcome?.length?.goes).toBe(goes);
});

const ROUGH: GateAnswers = { ...USUAL, voice: 'rough', recovery: 'not-ill' };

test.each(URGENT_SIGNS)('%s: everything is locked', (sign) => {
  expect(gateOutcome({ ...ROUGH, signs: [sign] }, [], true)).toMatchObject({
    level: 'urgent',
    open: false,
    reason: sign,
  });
});

test.each(NOT_TODAY_SIGNS)('%s: no singing today', (sign) => {
  expect(gateOutcome({ ...ROUGH, signs: [sign] }, [], true)).toMatchObject({ level: 'not-today', open: false });
});

test.each(SEE_SOMEONE_SIGNS)('%s: gentle work only, until a clearance is on file', (sign) => {
  expect(gateOutcome({ ...ROUGH, signs: [sign] }, [])).toMatchObject({
    level: 'see-someone',
    open: true,
    allowance: 'gentle',
  });
  expect(gateOutcome({ ...ROUGH, signs: [sign] }, [], true)).toMatchObject({ level: 'changed', allowance: 'all' });
});

test('the strictest rule wins, whatever else is answered', () => {
  const signs = fc.subarray([...URGENT_SIGNS, ...NOT_TODAY_SIGNS, ...SEE_SOMEONE_SIGNS]);
  const answers = fc.record({
    tired: fc.constantFrom(0 as const, 1 as const, 2 as const, 3 as const),
    voice: fc.constantFrom('normal' as const, 'rough' as const, 'gone' as const),
    pain: fc.boolean(),
    signs,
    recovery: fc.constantFrom('not-ill' as const, 'first-three' as const, 'to-six' as const, 'later' as const),
  });
  const rank = ['urgent', 'not-today', 'see-someone', 'changed', 'clear'];
  fc.assert(
    fc.property(answers, signs, (given, more) => {
      const before = gateOutcome(given, []);
      const after = gateOutcome({ ...given, signs: [...given.signs, ...more] }, []);
      expect(rank.indexOf(after?.level ?? '')).toBeLessThanOrEqual(rank.indexOf(before?.level ?? ''));
      expect(after?.open).toBe(after?.level !== 'urgent' && after?.level !== 'not-today');
      if (given.pain || given.voice === 'gone') expect(after?.open).toBe(false);
    }),
    { numRuns: 2000 },
  );
});

test.each([
  [undefined, false],
  ['2026-11-25', true],
  ['2026-10-26', true],
  ['2026-10-25', false],
  ['2026-11-26', false],
])('a clearance of %s speaks for today: %p', (clearedOn, speaks) => {
  expect(isCleared(clearedOn, '2026-11-25')).toBe(speaks);
});

test.each<[Parameters<typeof lockHolds>[0], string | undefined, boolean]>([
  [{ level: 'urgent', since: '2026-01-01' }, '2026-11-25', true],
  [{ level: 'not-today', since: '2026-11-25' }, '2026-11-25', true],
  [{ level: 'not-today', since: '2026-11-24' }, undefined, false],
  [{ level: 'see-someone', since: '2026-11-20' }, undefined, true],
  [{ level: 'see-someone', since: '2026-11-20' }, '2026-11-19', true],
  [{ level: 'see-someone', since: '2026-11-20' }, '2026-11-20', false],
  [{ level: 'see-someone', since: '2026-09-01' }, '2026-09-20', false],
  [{ level: 'see-someone', since: '2026-11-20' }, '2026-11-26', true],
])('a lock %j with a clearance of %s holds on 25 November: %p', (lock, clearedOn, holds) => {
  expect(lockHolds(lock, clearedOn, '2026-11-25')).toBe(holds);
});
