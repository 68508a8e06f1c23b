import fc from 'fast-check';
import { shippedExercises } from '../shelf/index.ts';
import { changeRules } from '../limits/index.ts';
import type { VoiceFile } from '../voice/index.ts';
import { applyPatch } from '../edit/index.ts';
import { layRoutine, type RoutineStep, type StepSettings } from '../routine/index.ts';
import { reviewRoutine, type ReviewContext } from './index.ts';

const shelf = shippedExercises();
const exercises = new Map(shelf.map((exercise) => [exercise.id, exercise]));
const BARITONE: VoiceFile = {
  type: 'baritone',
  style: 'heavy',
  age: 30,
  goals: [],
  bridges: [{ low: 59, high: 60 }],
  avoid: [],
  measured: { low: 45, high: 67, reachLow: 43, reachHigh: 70, date: '2026-11-01' },
};

const step = (exerciseId: string, settings: StepSettings = {}): RoutineStep => ({
  id: exerciseId,
  exerciseId,
  settings,
});
const GOOD = ['lip-trill-glides', 'lip-trill-on-five', 'hum-on-the-chord', 'up-and-down-five', 'falling-hum'];

/** A shelf of the teacher's own, without what the shipped one leaves out on such a day. */
const OWN_SHELF = new Map(shelf.map((exercise) => [exercise.id, { ...exercise, notWithin: undefined, notWhen: [] }]));
const WITHOUT_GENTLE_RANGE = new Map(
  [...exercises].filter(([, { goals, extendsRange }]) => extendsRange || !goals.includes('range-up')),
);
const LOUD_AND_SOFT = [...GOOD.slice(0, 4), 'speech-like-call', 'blend-straight-fifths', 'falling-hum'];

function contextOf(steps: readonly (string | RoutineStep)[], change: Partial<ReviewContext> = {}): ReviewContext {
  const list = steps.map((one) => (typeof one === 'string' ? step(one) : one));
  const context = {
    voice: BARITONE,
    conditions: [],
    occasion: 'lesson' as const,
    exercises,
    known: new Set(exercises.keys()),
    now: '2026-11-25T10:00:00Z',
    ...change,
  };
  const minutes = change.minutes ?? Math.ceil(layRoutine(list, context).seconds / 60);
  return { ...context, steps: list, minutes };
}
const rulesOf = (context: ReviewContext): readonly string[] => reviewRoutine(context).map(({ rule }) => rule);

test('a plain good routine has nothing to be said about it', () => {
  expect(reviewRoutine(contextOf(GOOD))).toEqual([]);
});

test('what cannot be shortened to fit is not offered to be; free minutes are offered as keys and as one more exercise', () => {
  const fixesOf = (context: ReviewContext): readonly string[] =>
    reviewRoutine(context)
      .filter(({ rule }) => rule.endsWith('-budget'))
      .flatMap(({ fixes }) => fixes.map(({ said }) => said.code));
  const pinned = GOOD.map((id) => ({ ...step(id), locked: true }));
  expect(fixesOf(contextOf(GOOD, { minutes: 4 }))).toEqual(['fix.shorten', 'fix.allow']);
  expect(fixesOf(contextOf(pinned, { minutes: 4 }))).toEqual(['fix.allow']);
  const short = GOOD.map((id) => step(id, id === 'up-and-down-five' ? { maxKeys: 3 } : {}));
  const free = contextOf(short, { minutes: 20 });
  expect(fixesOf(free)).toEqual(['fix.more-keys', 'fix.add', 'fix.set-minutes']);
  expect(fixesOf(contextOf(GOOD, { minutes: 20 }))).not.toContain('fix.more-keys');
  const add = reviewRoutine(free)
    .flatMap(({ fixes }) => fixes)
    .find(({ said }) => said.code === 'fix.add');
  const more = add ? applyPatch(free, add.patch, () => 'one-more', free).steps : [];
  const laid = layRoutine(more, free);
  expect(laid.steps).toHaveLength(GOOD.length + 1);
  expect(laid.seconds).toBeLessThanOrEqual(20 * 60);
  expect(laid.steps.at(-1)?.exercise.stage).toBe('cool');
});

test('a press on “Shorten to fit” leaves nothing over, whatever is pinned', () => {
  let pressed = 0;
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.constantFrom(...exercises.keys()), { minLength: 3, maxLength: 9 }),
      fc.integer({ min: 1, max: 6 }),
      fc.nat(511),
      (ids, minutes, pins) => {
        const list = ids.map((id, at) => ({ ...step(id), ...((pins >> at) % 2 === 1 && { locked: true }) }));
        const context = contextOf(list, { minutes });
        const overIn = (one: ReviewContext) => reviewRoutine(one).find(({ rule }) => rule === 'over-budget');
        const shorten = overIn(context)?.fixes.find(({ patch }) => patch.op === 'fit');
        if (!shorten) return;
        pressed += 1;
        const { steps } = applyPatch(context, shorten.patch, () => 'none', context);
        expect(overIn(contextOf(steps, { minutes }))).toBeUndefined();
      },
    ),
    { numRuns: 90 },
  );
  expect(pressed).toBeGreaterThan(20);
});

test.each<[string, string, readonly (string | RoutineStep)[], Partial<ReviewContext>]>([
  ['over the minutes', 'over-budget', GOOD, { minutes: 4 }],
  ['far under the minutes', 'under-budget', GOOD, { minutes: 30 }],
  ['wider than the range', 'cannot-be-sung', [...GOOD.slice(0, 4), 'two-octave-sweep', 'falling-hum'], {}],
  [
    'a note of one’s own past the limit',
    'over-todays-limit',
    [...GOOD.slice(0, 3), step('up-and-down-five', { ceiling: 68 }), 'falling-hum'],
    {},
  ],
  ['heavy work first', 'first-step', ['chord-up-and-down', ...GOOD], {}],
  ['a jump of load', 'load-jump', [...GOOD.slice(0, 3), 'octave-and-a-third', 'falling-hum'], {}],
  ['no occluded work', 'no-occluded', GOOD.slice(2), {}],
  [
    'too little for a tired voice',
    'little-occluded',
    ['lip-trill-glides', ...GOOD.slice(2)],
    { conditions: ['tired'] },
  ],
  [
    'too little for an older voice',
    'little-occluded',
    ['lip-trill-glides', ...GOOD.slice(2)],
    { voice: { ...BARITONE, age: 71 } },
  ],
  [
    'advanced before what it needs',
    'needs-first',
    [...GOOD.slice(0, 4), 'triplets-down', 'falling-hum'],
    { known: new Set(GOOD) },
  ],
  ['grit before the middle is warm', 'grit', ['lip-trill-on-five', 'light-grit-on-a-short-call', 'falling-hum'], {}],
  [
    'grit on a tired voice',
    'grit',
    [...GOOD.slice(0, 4), 'light-grit-on-a-short-call', 'falling-hum'],
    { conditions: ['tired'], exercises: OWN_SHELF },
  ],
  [
    'grit for the young',
    'caution',
    [...GOOD.slice(0, 4), 'light-grit-on-a-short-call', 'falling-hum'],
    { voice: { ...BARITONE, age: 15 } },
  ],
  ['the top is the end', 'left-high', [...GOOD.slice(0, 3), step('up-and-down-five', { travel: 'rise' })], {}],
  ['heavy work without a cool-down', 'no-cool-down', [...GOOD.slice(0, 4), 'octave-leap-and-settle'], {}],
  ['the peak in the first third', 'early-peak', ['octave-and-a-third', ...GOOD], {}],
  [
    'another voice’s exercise',
    'other-voices',
    [...GOOD.slice(0, 4), 'light-bounce-on-one-note', 'falling-hum'],
    { voice: { ...BARITONE, type: 'soprano', measured: { low: 62, high: 84, date: '2026-11-01' } } },
  ],
  ['a caution on file', 'caution', ['light-panting', ...GOOD], { voice: { ...BARITONE, cautions: ['asthma'] } }],
  ['quick breaths without a rest', 'fast-breaths', ['light-panting', 'quick-nose-breaths', ...GOOD], {}],
  [
    'a zone that is not to be held',
    'avoid-zone',
    GOOD,
    { voice: { ...BARITONE, avoid: [{ low: 52, high: 53, kind: 'not-held', seconds: 0.2 }] } },
  ],
  ['an old range check', 'old-check', GOOD, { now: '2027-02-25T10:00:00Z' }],
  [
    'an estimated range',
    'estimated',
    GOOD,
    { voice: { type: 'baritone', style: 'heavy', goals: [], bridges: [], avoid: [] } },
  ],
  [
    'extending work close to a performance',
    'extends-before-performance',
    [...GOOD.slice(0, 4), 'full-scale', 'falling-hum'],
    { hoursToPerformance: 60, exercises: OWN_SHELF },
  ],
  [
    'new work close to a performance',
    'new-before-performance',
    [...GOOD.slice(0, 3), 'thirds', 'falling-hum'],
    { hoursToPerformance: 60, known: new Set(GOOD) },
  ],
  [
    'twice as many exercises as help',
    'many-exercises',
    [...GOOD, ...GOOD.map((id, at) => ({ ...step(id), id: `${id}-${String(at)}` }))],
    { minutes: 5 },
  ],
  [
    'a lesson of nothing but explaining',
    'much-explaining',
    GOOD,
    { known: new Set(), rules: changeRules({ 'setUp.whenNew': 60, 'setUp.whenKnown': 60 }, 'studio'), minutes: 12 },
  ],
  ['a cool-down of a moment', 'short-cool-down', [...GOOD.slice(0, 4), step('falling-hum', { maxKeys: 1 })], {}],
  [
    'a scale in two keys',
    'few-keys',
    [...GOOD.slice(0, 3), step('up-and-down-five', { maxKeys: 2 }), 'falling-hum'],
    {},
  ],
  ['a glide over missing notes', 'glide-over-gap', GOOD, { voice: { ...BARITONE, gaps: [{ low: 52, high: 53 }] } }],
  [
    'grit a day after grit',
    'grit',
    [...GOOD.slice(0, 4), 'light-grit-on-a-short-call', 'falling-hum'],
    { exercises: OWN_SHELF, history: { daysSinceGrit: 1 } },
  ],
  ['another school', 'other-school', [...GOOD.slice(0, 4), 'grow-as-it-rises', 'falling-hum'], {}],
  ['two that pull opposite ways', 'contradiction', LOUD_AND_SOFT, {}],
  ['little breath for a thorough school', 'breath-share', GOOD, { approach: { 'breath-share': 'thorough' } }],
  [
    'much breath for a brief school',
    'breath-share',
    ['long-hiss', 'low-wide-breath', ...GOOD],
    { approach: { 'breath-share': 'brief' } },
  ],
  ['a warm-up that extends', 'extends', [...GOOD.slice(0, 4), 'full-scale', 'falling-hum'], {}],
  ['a song that goes higher', 'song-top', GOOD, { song: { highest: 69 } }],
  ['a song that runs faster', 'song-run', GOOD, { song: { fastestNotesPerSecond: 9 } }],
  ['a goal nothing serves', 'goal-untouched', GOOD, { goals: ['vibrato'] }],
  ['more than the usual week', 'load-above-usual', GOOD, { history: { weekMinutes: 80, usualWeekMinutes: 50 } }],
  ['nothing new for long', 'nothing-new', GOOD, { history: { daysSinceAnythingNew: 30 } }],
  ['never gone well', 'stuck', GOOD, { history: { stuck: new Set(['up-and-down-five']) } }],
  ['out of order', 'out-of-order', [...GOOD.slice(0, 4), 'hinge-gliding', 'falling-hum'], {}],
  [
    'the same twice',
    'twice-the-same',
    [...GOOD.slice(0, 4), { ...step('up-and-down-five'), id: 'again' }, 'falling-hum'],
    {},
  ],
])('%s', (_, rule, steps, change) => {
  expect(rulesOf(contextOf(steps, change))).toContain(rule);
});

test.each<[string, string, readonly (string | RoutineStep)[], Partial<ReviewContext>]>([
  ['goals are for another day when there is little time', 'goal-untouched', GOOD, { goals: ['agility'], kind: 'late' }],
  [
    'close to a performance the range rests',
    'goal-untouched',
    GOOD,
    { goals: ['range-up'], hoursToPerformance: 60, exercises: WITHOUT_GENTLE_RANGE },
  ],
  ['the song is not higher', 'song-top', GOOD, { song: { highest: 60 } }],
  ['the song is no quicker', 'song-run', GOOD, { song: { fastestNotesPerSecond: 0.5 } }],
  ['so are songs', 'song-top', GOOD, { song: { highest: 69 }, kind: 'cool-down' }],
  ['at home the range may be worked on', 'extends', [...GOOD, 'full-scale'], { occasion: 'home', kind: 'home' }],
  ['a goal on file asks for it', 'extends', [...GOOD, 'full-scale'], { voice: { ...BARITONE, goals: ['range-up'] } }],
  ['some schools extend', 'extends', [...GOOD, 'full-scale'], { approach: { 'may-do': 'restore-and-extend' } }],
  ['a usual week holds this', 'load-above-usual', GOOD, { history: { weekMinutes: 40, usualWeekMinutes: 50 } }],
  [
    'a contrast on purpose',
    'contradiction',
    LOUD_AND_SOFT.map((id) => step(id, id === 'blend-straight-fifths' ? { contrast: true } : {})),
    {},
  ],
])('nothing is said: %s', (_, rule, steps, change) => {
  expect(rulesOf(contextOf(steps, change))).not.toContain(rule);
});

test('how fast the quickest notes are is told, in the quickest of their keys', () => {
  const fast = (settings: StepSettings) => {
    const steps = GOOD.map((id) => step(id, id === 'up-and-down-five' ? settings : {}));
    const context = contextOf(steps, { song: { fastestNotesPerSecond: 9 } });
    return reviewRoutine(context).find(({ rule }) => rule === 'song-run')?.values;
  };
  expect(fast({ tempo: 180 })).toEqual({ song: { decimal: 9 }, fastest: { decimal: 3 } });
  expect(fast({ tempo: 180, tempoStep: 12, maxKeys: 2, travel: 'rise' })).toMatchObject({ fastest: { decimal: 3.2 } });
});

test('pulling both ways on what a caution is on file about stops, contrast or not', () => {
  const jaw = exercises.get('tongue-only-jaw-quiet');
  if (!jaw) throw new Error('the shelf lost an exercise');
  const shelfOf = new Map([...exercises, [jaw.id, { ...jaw, pulls: ['jaw=steady'] }] as const]);
  const steps = [
    'lip-trill-on-five',
    'hinge-gliding',
    step('tongue-only-jaw-quiet', { contrast: true }),
    'falling-hum',
  ];
  const found = (cautions: readonly 'jaw'[]): string | undefined =>
    reviewRoutine(contextOf(steps, { exercises: shelfOf, voice: { ...BARITONE, cautions } })).find(
      ({ rule }) => rule === 'contradiction',
    )?.severity;
  expect([found([]), found(['jaw'])]).toEqual([undefined, 'stop']);
});

test('every fix can be applied, and the first fix of a finding mends it', () => {
  const steps = [
    step('octave-and-a-third'),
    step('light-panting'),
    step('quick-nose-breaths'),
    ...GOOD.slice(2, 4).map((id) => step(id)),
  ];
  const context = contextOf(steps, { minutes: 5, goals: ['agility'], known: new Set(GOOD) });
  const findings = reviewRoutine(context);
  expect(findings.length).toBeGreaterThan(5);
  let count = 0;
  for (const { id, fixes } of findings)
    for (const [index, { patch }] of fixes.entries()) {
      const mended = applyPatch(context, patch, () => `new-${String((count += 1))}`, context);
      expect(mended).not.toEqual(context);
      const after = reviewRoutine(mended).map((finding) => finding.id);
      if (index === 0) expect(after).not.toContain(id);
    }
});

test('a finding is muted by its id or its rule; a stop never is', () => {
  const context = contextOf(['light-panting', ...GOOD], {
    voice: { ...BARITONE, cautions: ['asthma'] },
    goals: ['agility'],
  });
  const [stop] = reviewRoutine(context);
  expect(stop?.severity).toBe('stop');
  const muted = new Set([stop?.id ?? '', 'caution', 'goal-untouched:agility']);
  const left = reviewRoutine({ ...context, muted });
  expect(left.map(({ rule }) => rule)).toContain('caution');
  expect(left.map(({ rule }) => rule)).not.toContain('goal-untouched');
});
