import fc from 'fast-check';
import { overlayFor, OVERLAYS, shippedExercises, substitutesFor, type Exercise } from '../shelf/index.ts';
import { draftDays } from '../testing/draft-days.ts';
import { contextOf, exercises, step } from '../testing/routine-context.ts';
import type { VoiceFile } from '../voice/index.ts';
import { layRoutine, type LaidStep, type RoutineContext } from '../routine/index.ts';
import { repairsFor, startRun } from '../run/index.ts';
import { draftRoutine, fillRecipe, RECIPES } from './index.ts';

const laidOn = (id: string, change: Partial<RoutineContext>, file: Partial<VoiceFile> = {}): LaidStep | undefined =>
  layRoutine([step('lip-trill-on-five'), step('hum-glides'), step(id)], contextOf(change, file)).steps[2];

/** A sentence, an exercise that has it, a day on which it leaves the exercise out, and one on which it does not. */
type Row = readonly [string, string, Partial<RoutineContext>, Partial<VoiceFile>];
const LEFT_OUT: readonly Row[] = [
  ['Within comfort, not with a jaw', 'hinge-gliding', {}, { cautions: ['jaw'] }],
  ['Not with a jaw disorder', 'jaw-hang-and-shake', {}, { cautions: ['jaw'] }],
  ['Stay within comfort; left out', 'shoulder-rolls', {}, { cautions: ['neck-and-shoulder'] }],
  ['Sit down if it makes the head light', 'low-wide-breath', { breathOff: true }, {}],
  ['Quiet breathing between rounds', 'long-hiss', { breathOff: true }, {}],
  ['Not with dizziness', 'slow-roll-down-and-up', { breathOff: true }, {}],
  ['No hold over four counts', 'even-box', { breathOff: true }, {}],
  ['Gently; not with hernia', 'soft-pulses', {}, { cautions: ['belly'] }],
  ['Not from the lower belly', 'reflex-support', {}, { cautions: ['belly'] }],
  ['Ten seconds at most, twice', 'light-panting', {}, { cautions: ['asthma'] }],
  ['Ten seconds at most, twice', 'quick-nose-breaths', {}, { type: 'treble', age: 8 }],
  ['Off until the teacher opts in', 'timed-hold', {}, {}],
  ['No hiss', 'straw-slides', {}, { cautions: ['eyes-or-ears'] }],
  ['Two to three centimetres', 'straw-in-water', {}, { cautions: ['eyes-or-ears'] }],
  ['Soft, six to eight', 'idle-creak', { conditions: ['recovering'] }, {}],
  ['Soft, six to eight', 'soft-fry-rest', { conditions: ['recovering'] }, {}],
  ['Not on a tired or recovering day', 'wide-arch', { conditions: ['tired'] }, {}],
  ['Not on a tired or recovering day', 'full-scale', { hoursToPerformance: 60 }, {}],
  ['Opt-in, taught in person first', 'light-grit-on-a-short-call', { conditions: ['tired'] }, {}],
  ['Opt-in, taught in person first', 'clean-and-rough-in-turn', {}, { age: 15 }],
  ['Ten minutes of such work in all', 'call-over-the-bridge', { conditions: ['recovering'] }, {}],
];

test.each(LEFT_OUT)('“%s …” leaves %s out on its day', (sentence, id, change, file) => {
  expect(exercises.get(id)?.cautions.some((words) => words.startsWith(sentence))).toBe(true);
  expect(laidOn(id, change, file)?.problem).toBeDefined();
});

test.each<[string, string]>([
  ['Ten minutes of such work in all', 'speech-like-call'],
  ['Opt-in, taught in person first', 'light-grit-on-a-short-call'],
  ['Soft, six to eight', 'idle-creak'],
])('“%s …” is paced: %s rests after its goes, and ends in time', (sentence, id) => {
  const dose = exercises.get(id)?.dose;
  const laid = laidOn(id, {}, { beltCeiling: 76 })?.laid;
  if (laid?.kind !== 'pattern' || !dose?.restAfterKeys) throw new Error(`${sentence}: no dose`);
  const { rungs, seconds } = laid.ladder;
  const pauses = rungs.slice(1).map(({ startsAt }, index) => startsAt - (rungs[index]?.endsAt ?? 0));
  expect(rungs.length).toBeGreaterThan(dose.restAfterKeys);
  pauses.forEach((pause, index) => {
    const isDue = (index + 1) % (dose.restAfterKeys ?? 1) === 0;
    expect([index, pause >= dose.restSeconds]).toEqual([index, isDue]);
  });
  expect(seconds).toBeLessThanOrEqual(dose.mostSeconds);
});

test('“Only where a measured range holds it” leaves the sweep out of a voice that was not measured', () => {
  const { measured, ...file } = contextOf().voice;
  const laidFor = (voice: VoiceFile): string | undefined =>
    layRoutine([step('two-octave-sweep')], { ...contextOf(), voice }).steps[0]?.problem?.code;
  expect(laidFor(file)).toBe('NOT_MEASURED');
  expect(measured && laidFor({ ...file, measured })).not.toBe('NOT_MEASURED');
});

/** Sentences that say how a thing is done, and leave nothing out. */
const TOLD = ['Temples, hinge and the back', 'A deliberate contrast'];

test('no sentence stands on the shelf without its rule', () => {
  const starts = [...LEFT_OUT.map(([sentence]) => sentence), 'Only where a measured range', ...TOLD];
  for (const { id, cautions } of shippedExercises())
    for (const words of cautions)
      expect([id, words, starts.some((start) => words.startsWith(start))]).toEqual([id, words, true]);
});

/** What the sentences say, written down once more without the rules: who or what day must not meet which exercise. */
function breaks(
  { id, cautions }: Exercise,
  { voice, conditions, hoursToPerformance, breathOff }: RoutineContext,
): boolean {
  const says = (words: string): boolean => cautions.some((caution) => caution.includes(words));
  const has = (...on: readonly string[]): boolean => (voice.cautions ?? []).some((caution) => on.includes(caution));
  const isOff = (...days: readonly string[]): boolean => conditions.some((one) => days.includes(one));
  const age = voice.age ?? (voice.type === 'treble' ? 9 : voice.type === 'changing' ? 13 : 40);
  return (
    (says('asthma') && (has('asthma', 'panic', 'epilepsy', 'pregnancy') || age < 10)) ||
    (says('hernia') && has('belly')) ||
    (says('jaw that clicks') && has('jaw')) ||
    (says('jaw disorder') && has('jaw')) ||
    (says('behind eyes or ears') && has('eyes-or-ears')) ||
    (says('neck trouble') && has('neck-and-shoulder')) ||
    (says('hoarse') && isOff('recovering')) ||
    (says('tired or recovering') && (isOff('tired', 'recovering') || (hoursToPerformance ?? 999) <= 72)) ||
    (says('Opt-in') && (age < 16 || isOff('recovering'))) ||
    (says('Ten minutes of such work') && (isOff('recovering') || age < 12)) ||
    (says('measured range') && !voice.measured) ||
    (says('dizziness') && breathOff === true && id !== '')
  );
}

const brokenIn = (steps: readonly LaidStep[], context: RoutineContext): readonly string[] =>
  steps.filter(({ problem, exercise }) => !problem && breaks(exercise, context)).map(({ exercise }) => exercise.id);

test('no draft and no ready-made breaks a caution, whoever it is for and whatever the day', () => {
  fc.assert(
    fc.property(draftDays, fc.constantFrom(...RECIPES), fc.boolean(), (day, recipe, breathOff) => {
      const context = { ...day, breathOff };
      const draft = draftRoutine(context);
      expect(brokenIn(layRoutine(draft.steps, context).steps, context)).toEqual([]);
      let count = 0;
      const filled = fillRecipe(recipe, context, () => `r${String((count += 1))}`);
      const laid = layRoutine(filled, context).steps;
      expect(laid.filter(({ problem }) => problem)).toEqual([]);
      expect(brokenIn(laid, context)).toEqual([]);
      for (const { settings, exercise } of layRoutine(draft.steps, context).steps) {
        const given = OVERLAYS.find(({ id }) => id === settings.overlay);
        if (given) expect(overlayFor(exercise, given.id, context)).toBe(given);
      }
    }),
    { numRuns: 40 },
  );
});

test('neither a whole shelf put on the bench, nor a swap, nor a repair sings what a caution leaves out', () => {
  const steps = [...exercises.keys()].map((id) => step(id));
  fc.assert(
    fc.property(draftDays, (context) => {
      const laid = layRoutine(steps, context).steps;
      expect(brokenIn(laid, context)).toEqual([]);
      const allowed = new Set(laid.filter(({ problem }) => !problem).map(({ exercise }) => exercise.id));
      const straw = exercises.get('straw-slides');
      for (const { exercise } of straw
        ? substitutesFor(straw, null, [...exercises.values()], context.known, ({ id }) => allowed.has(id))
        : [])
        expect(breaks(exercise, context)).toBe(false);
      const run = startRun(layRoutine([step('lip-trill-on-five'), step('falling-hum')], context));
      for (const repair of repairsFor(['ease', 'release-jaw', 'breath'], run, context, 300, () => 'r')) {
        const exercise = 'step' in repair ? exercises.get(repair.step.exerciseId) : undefined;
        if (exercise) expect([exercise.id, breaks(exercise, context)]).toEqual([exercise.id, false]);
      }
    }),
    { numRuns: 25 },
  );
});
