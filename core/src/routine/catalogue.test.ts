import { relativeThatFits, shippedExercises } from '../shelf/index.ts';
import { CHANGING_STAGES, neverSounded, VOICE_TYPES, type Condition, type VoiceFile } from '../voice/index.ts';
import { layStep, type RoutineContext } from './index.ts';

const shelf = shippedExercises();
const exercises = new Map(shelf.map((exercise) => [exercise.id, exercise]));
const plain = { style: 'classical', goals: [], bridges: [], avoid: [] } as const;
const VOICES: readonly VoiceFile[] = [
  ...VOICE_TYPES.filter((type) => type !== 'changing' && type !== 'treble').map((type) => ({ ...plain, type })),
  ...[5, 8, 11].map((age) => ({ ...plain, type: 'treble' as const, age })),
  ...CHANGING_STAGES.map((changingStage) => ({ ...plain, type: 'changing' as const, changingStage, age: 13 })),
  { ...plain, type: 'baritone', age: 71 },
  { ...plain, type: 'mezzo-soprano', avoid: [{ low: 66, high: 67, kind: 'never-sounded' }] },
];
const CONDITIONS: readonly (readonly Condition[])[] = [
  [],
  ['fresh'],
  ['heavy'],
  ['tired'],
  ['recovering'],
  ['tired', 'heavy'],
];

test.each(
  VOICES.map((voice) => [`${voice.type} ${voice.changingStage ?? ''}${String(voice.age ?? '')}`, voice] as const),
)('every exercise for a %s: keys inside the limits, or why not and what instead', (_, voice) => {
  for (const conditions of CONDITIONS) {
    const context: RoutineContext = {
      voice,
      conditions,
      occasion: 'lesson',
      exercises,
      known: new Set(),
      approach: { 'breath-holds': 'timed' },
      now: '2026-11-25T15:00:00Z',
    };
    const lay = (id: string) => {
      const exercise = exercises.get(id);
      if (!exercise) throw new Error(`no ${id}`);
      return layStep({ id, exerciseId: id, settings: {} }, exercise, context, 3, 0);
    };
    for (const exercise of shelf) {
      const step = lay(exercise.id);
      if (!step.problem) {
        if (step.lowest === null || step.highest === null || !step.limits) continue;
        expect([exercise.id, step.lowest >= step.limits.floor, step.highest <= step.limits.ceiling]).toEqual([
          exercise.id,
          true,
          true,
        ]);
        for (const { low, high } of neverSounded(voice)) {
          if (step.laid?.kind !== 'pattern') continue;
          const notes = step.laid.pattern.events.flatMap(({ from }) => from ?? []);
          const sung = step.laid.ladder.rungs.flatMap(({ tonic }) => notes.map((note) => tonic + note));
          expect(sung.some((note) => note >= low && note <= high)).toBe(false);
        }
        continue;
      }
      const instead = relativeThatFits(exercise, exercises, ({ id }) => !lay(id).problem);
      expect([exercise.id, conditions, step.problem.code, instead === null]).toEqual([
        exercise.id,
        conditions,
        step.problem.code,
        false,
      ]);
    }
  }
});

test('breath holds go by the approach: off, gentle or timed', () => {
  const box = exercises.get('even-box');
  const hold = exercises.get('timed-hold');
  if (!box || !hold) throw new Error('the shelf lacks them');
  const voice: VoiceFile = { ...plain, type: 'contralto' };
  const base = { voice, conditions: [], occasion: 'lesson', exercises, known: new Set(['even-box']), now: '' } as const;
  const seconds = (breathHolds?: 'off' | 'gentle' | 'timed'): number =>
    layStep(
      { id: 'a', exerciseId: 'even-box', settings: {} },
      box,
      { ...base, ...(breathHolds && { approach: { 'breath-holds': breathHolds } }) },
      0,
      0,
    ).seconds;
  expect([seconds(), seconds('gentle')]).toEqual([5 + 30, 5 + 39]);
  const step = { id: 'b', exerciseId: 'timed-hold', settings: {} };
  expect(layStep(step, hold, base, 0, 0).problem?.code).toBe('HOLDS_NOT_CHOSEN');
  expect(layStep(step, hold, { ...base, approach: { 'breath-holds': 'timed' } }, 0, 0).problem).toBeUndefined();
});

test('an older voice begins with intervals up to a sixth, and later takes the octave', () => {
  const chord = exercises.get('chord-up-and-down');
  if (!chord) throw new Error('the shelf lacks it');
  const context: RoutineContext = {
    voice: { ...plain, type: 'baritone', age: 71, measured: { low: 43, high: 64, date: '2026-11-01' } },
    conditions: [],
    occasion: 'lesson',
    exercises,
    known: new Set(),
    now: '2026-11-25T15:00:00Z',
  };
  const spanAt = (sungSteps: number): number | undefined => {
    const { laid } = layStep({ id: 'a', exerciseId: chord.id, settings: {} }, chord, context, sungSteps, 0);
    return laid?.kind === 'pattern' ? laid.pattern.high - laid.pattern.low : undefined;
  };
  expect([spanAt(0), spanAt(1), spanAt(2)]).toEqual([7, 7, 12]);
});
