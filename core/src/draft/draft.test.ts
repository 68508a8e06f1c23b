import fc from 'fast-check';
import { STAGES } from '../limits/index.ts';
import { OVERLAYS, shippedExercises, type Exercise } from '../shelf/index.ts';
import { draftDays } from '../testing/draft-days.ts';
import type { VoiceFile } from '../voice/index.ts';
import { outwardKeys } from '../fit/index.ts';
import { reviewRoutine } from '../review/index.ts';
import { layRoutine } from '../routine/index.ts';
import { draftRoutine, type DraftContext, type DraftedRoutine } from './index.ts';

const shelf = shippedExercises();
const exercises = new Map(shelf.map((exercise) => [exercise.id, exercise]));
const MEZZO: VoiceFile = {
  type: 'mezzo-soprano',
  style: 'classical',
  goals: ['bridge', 'agility'],
  bridges: [{ low: 64, high: 65 }],
  avoid: [],
  measured: { low: 57, high: 76, reachLow: 55, reachHigh: 81, date: '2026-11-01' },
};

const contextOf = (change: Partial<DraftContext> = {}): DraftContext => ({
  voice: MEZZO,
  conditions: [],
  occasion: 'lesson',
  exercises,
  known: new Set(['long-hiss', 'lip-trill-on-five', 'hum-on-the-chord', 'up-and-down-five', 'falling-hum']),
  minutes: 12,
  seed: 1,
  now: '2026-11-25T10:00:00Z',
  ...change,
});
const idsOf = ({ steps }: DraftedRoutine): readonly string[] => steps.map(({ exerciseId }) => exerciseId);
const stagesOf = (draft: DraftedRoutine): readonly (string | undefined)[] =>
  idsOf(draft).map((id) => exercises.get(id)?.stage);

const medianOf = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1] ?? 0;

test('the same inputs and seed give the same routine, whatever order the shelf is in; another seed a different good one', () => {
  const draft = draftRoutine(contextOf());
  const turned = new Map([...exercises].reverse());
  expect(draftRoutine(contextOf({ exercises: turned }))).toEqual(draft);
  const alike = (other: DraftedRoutine): number =>
    idsOf(other).filter((id) => idsOf(draft).includes(id)).length / idsOf(draft).length;
  for (const seed of [2, 3, 4, 5]) {
    const other = draftRoutine(contextOf({ seed }));
    expect(alike(other)).toBeLessThan(0.9);
    expect(stagesOf(other)).toEqual(expect.arrayContaining(['occluded', 'middle', 'cool']));
  }
});

test('another seed changes two fifths and more', () => {
  const drafts = [1, 2, 3, 4, 5, 6].map((seed) => idsOf(draftRoutine(contextOf({ seed }))));
  const shares = drafts.flatMap((one, index) =>
    drafts.slice(index + 1).map((other) => one.filter((id) => other.includes(id)).length / one.length),
  );
  expect(shares.reduce((sum, share) => sum + share, 0) / shares.length).toBeLessThanOrEqual(0.6);
});

test.each([1, 2, 3, 4, 5, 6])(
  'another draft, whatever its seed and what is pinned, puts two fifths anew (seed %i)',
  (seed) => {
    const { steps } = draftRoutine(contextOf());
    const pinned = steps.slice(2, 4);
    const instead = steps.filter((step) => !pinned.includes(step)).map(({ exerciseId }) => exerciseId);
    const another = idsOf(
      draftRoutine(contextOf({ seed, pinned, instead, recent: [steps.map((step) => step.exerciseId)] })),
    );
    expect(another).toEqual(expect.arrayContaining(pinned.map(({ exerciseId }) => exerciseId)));
    const back = steps.filter(({ exerciseId }) => another.includes(exerciseId)).length;
    expect(back).toBeLessThanOrEqual(0.6 * steps.length);
  },
);

test('a heavy morning begins in the middle, is never higher than the same day fresh, and rises in its last third only', () => {
  const seeds = Array.from({ length: 20 }, (_, seed) => seed);
  const figures = (conditions: DraftContext['conditions']) =>
    seeds.map((seed) => {
      const context = contextOf({ seed, conditions, known: new Set(exercises.keys()) });
      const { steps, seconds } = layRoutine(draftRoutine(context).steps, context);
      const ladders = steps.flatMap(({ laid, ...step }) => (laid?.kind === 'pattern' ? [{ ...step, ...laid }] : []));
      const tonics = ladders.flatMap(({ ladder }) => ladder.rungs.map(({ tonic }) => tonic));
      const rising = ladders.filter(
        ({ exercise, ladder: { rungs } }) =>
          exercise.stage !== 'cool' && rungs.some(({ tonic }) => tonic > (rungs[0]?.tonic ?? 0)),
      );
      const [first] = ladders;
      return {
        median: medianOf(tonics),
        top: first?.highest ?? 0,
        firstRung: (first?.ladder.rungs[0]?.tonic ?? 0) + (first?.pattern.high ?? 0),
        rises: rising.map(({ startsAt }) => startsAt / seconds),
      };
    });
  const [heavy, fresh] = [figures(['heavy']), figures([])];
  expect(medianOf(heavy.map(({ median }) => median))).toBeLessThanOrEqual(medianOf(fresh.map(({ median }) => median)));
  expect(medianOf(heavy.map(({ top }) => top))).toBeLessThanOrEqual(medianOf(fresh.map(({ top }) => top)));
  const middle = ((MEZZO.measured?.low ?? 0) + (MEZZO.measured?.high ?? 0)) / 2;
  for (const { firstRung } of heavy) expect(firstRung).toBeLessThanOrEqual(middle + 2);
  expect(heavy.flatMap(({ rises }) => rises).filter((share) => share < 0.66)).toEqual([]);
  expect(heavy.filter(({ rises }) => rises.length > 0).length).toBeGreaterThan(5);
});

test('every step has its reason; goals of the voice are served; what was passed over is named', () => {
  const { steps } = draftRoutine(contextOf());
  expect(steps.every(({ reasons }) => reasons.length > 0)).toBe(true);
  const served = steps.flatMap(({ exerciseId }) => exercises.get(exerciseId)?.goals ?? []);
  expect(served).toEqual(expect.arrayContaining(['bridge', 'agility']));
  expect(steps.some(({ passedOver }) => passedOver.length > 0)).toBe(true);
});

const sharedBy = (draft: DraftedRoutine, stage: string): number =>
  stagesOf(draft).filter((one) => one === stage).length;

test.each<[string, Partial<DraftContext>, (draft: DraftedRoutine) => boolean]>([
  [
    'a cool-down only has no middle and no breadth',
    { kind: 'cool-down', minutes: 6 },
    (draft) =>
      sharedBy(draft, 'cool') >= 2 && !stagesOf(draft).some((stage) => stage === 'middle' || stage === 'range'),
  ],
  [
    'who is late gets the essentials',
    { kind: 'late', minutes: 4 },
    (draft) => ['occluded', 'middle', 'cool'].every((stage) => stagesOf(draft).includes(stage)),
  ],
  [
    'a brief school breathes once',
    { approach: { 'breath-share': 'brief' }, minutes: 15 },
    (draft) => sharedBy(draft, 'breath') <= 1,
  ],
  [
    'a thorough school breathes at length',
    { approach: { 'breath-share': 'thorough' }, minutes: 15 },
    (draft) => sharedBy(draft, 'breath') >= 3,
  ],
  [
    'a warm-up restores',
    { voice: { ...MEZZO, goals: [] }, minutes: 40, known: new Set(exercises.keys()) },
    (draft) => idsOf(draft).every((id) => !exercises.get(id)?.extendsRange),
  ],
  [
    'no two steps pull opposite ways',
    { minutes: 60, known: new Set(exercises.keys()) },
    (draft) =>
      !reviewRoutine({ ...contextOf(), minutes: 60, steps: draft.steps }).some(({ rule }) => rule === 'contradiction'),
  ],
])('%s, whatever the seed', (_, change, holds) => {
  for (const seed of [1, 2, 3, 4, 5, 6]) expect(holds(draftRoutine(contextOf({ ...change, seed })))).toBe(true);
});

test('next time most of it comes back in the same order, and something is new', () => {
  for (const seed of [1, 2, 3, 4, 5, 6]) {
    const first = idsOf(draftRoutine(contextOf()));
    const next = idsOf(draftRoutine(contextOf({ recent: [first], seed })));
    const back = next.filter((id) => first.includes(id));
    expect([back.length >= first.length / 2, back.length < next.length]).toEqual([true, true]);
    const stages = back.map((id) => STAGES.indexOf(exercises.get(id)?.stage ?? 'cool'));
    expect([...stages].sort((a, b) => a - b)).toEqual(stages);
  }
});

test('what went poorly does not come back as it was', () => {
  const first = idsOf(draftRoutine(contextOf()));
  for (const poor of first) {
    const next = draftRoutine(contextOf({ recent: [first], ease: new Map([[poor, 1]]) }));
    const step = next.steps.find(({ exerciseId }) => exerciseId === poor);
    expect(step?.reasons.map(({ code }) => code) ?? []).not.toContain('draft.comes-back');
  }
});

const PEOPLE: readonly VoiceFile[] = (
  [
    ['soprano', 'theatre', ['belt'], 19, 58, 80],
    ['soprano', 'choral', ['ease'], 58, 60, 78],
    ['mezzo-soprano', 'pop', ['mix'], 36, 56, 75],
    ['tenor', 'classical', ['range-up'], 42, 48, 69],
    ['baritone', 'jazz', ['agility'], 29, 43, 65],
    ['bass', 'folk', ['breath-length'], 64, 41, 60],
  ] as const
).map(([type, style, goals, age, low, high]) => ({
  ...{ type, style, goals: [...goals], age, bridges: [], avoid: [] },
  measured: { low, high, reachLow: low - 2, reachHigh: high + 3, date: '2026-11-01' },
}));
const everyone = (minutes: number, change: Partial<DraftContext> = {}): readonly DraftContext[] =>
  PEOPLE.flatMap((voice) =>
    [1, 2, 3, 4].map((seed) => contextOf({ voice, minutes, seed, known: new Set(exercises.keys()), ...change })),
  );
const median = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1] ?? 0;

test.each<[number, number, number]>([
  [5, 4, 5],
  [10, 6, 8],
  [15, 8, 10],
  [20, 10, 12],
])('in %d minutes there are %d to %d exercises, each through enough keys', (minutes, least, most) => {
  for (const context of everyone(minutes)) {
    const { steps } = layRoutine(draftRoutine(context).steps, context);
    expect([steps.length >= least, steps.length <= most]).toEqual([true, true]);
    for (const { laid } of steps) if (laid?.kind === 'pattern') expect(laid.ladder.rungs.length).toBeGreaterThan(1);
  }
});

test('voice sounds for nearly half of the time, and the cool-down has its share', () => {
  const laid = everyone(10).map((context) => layRoutine(draftRoutine(context).steps, context));
  expect(median(laid.map(({ voicedSeconds, seconds }) => voicedSeconds / seconds))).toBeGreaterThanOrEqual(0.45);
  const cool = laid.map(({ steps }) =>
    steps.filter(({ exercise }) => exercise.stage === 'cool').reduce((sum, { seconds }) => sum + seconds, 0),
  );
  expect(Math.min(...cool)).toBeGreaterThanOrEqual(60);
});

test('two people get different work on one day', () => {
  const drafts = PEOPLE.map((voice) => idsOf(draftRoutine(contextOf({ voice, known: new Set(exercises.keys()) }))));
  const shares = drafts.flatMap((one, index) =>
    drafts.slice(index + 1).map((other) => one.filter((id) => other.includes(id)).length / one.length),
  );
  expect(shares.reduce((sum, share) => sum + share, 0) / shares.length).toBeLessThanOrEqual(0.5);
});

test('cautions leave out what they name: quick breaths for a child, a jaw overlay on a bad jaw, fry on a rough voice', () => {
  for (let seed = 1; seed <= 30; seed += 1) {
    const known = new Set(exercises.keys());
    const child = draftRoutine(contextOf({ voice: { ...MEZZO, type: 'treble', age: 8 }, known, seed }));
    expect(idsOf(child)).not.toEqual(expect.arrayContaining(['quick-nose-breaths']));
    expect(idsOf(child)).not.toEqual(expect.arrayContaining(['light-panting']));
    const jaw = { ...MEZZO, goals: ['release-jaw'], cautions: ['jaw' as const] };
    const overlays = draftRoutine(contextOf({ voice: jaw, known, seed })).steps.map(({ settings }) => settings.overlay);
    expect(overlays).not.toContain('hand-at-the-jaw');
    const rough = draftRoutine(contextOf({ conditions: ['recovering'], known, seed }));
    expect(idsOf(rough)).not.toEqual(expect.arrayContaining(['soft-fry-rest']));
  }
});

test('what stands in the way on the voice file is not drafted, and the draft says why', () => {
  const known = new Set(exercises.keys());
  const voice: VoiceFile = { ...MEZZO, obstacles: ['cannot-trill', 'no-straw'] };
  for (const seed of [1, 2, 3, 4, 5, 6]) {
    const draft = draftRoutine(contextOf({ voice, known, seed }));
    expect(idsOf(draft).filter((id) => /trill|straw|bubbles/.test(id))).toEqual([]);
    expect(draft.leftOut.find(({ exerciseId }) => exerciseId === 'straw-slides')?.reason).toMatchObject({
      values: { obstacle: { word: 'no-straw' } },
    });
  }
});

test('a narrow voice starts lower or gets a narrower tune, never fewer keys than the stage wants', () => {
  const voice: VoiceFile = {
    ...MEZZO,
    goals: [],
    measured: { low: 60, high: 70, reachLow: 59, reachHigh: 72, date: '2026-11-01' },
  };
  const context = contextOf({ voice, known: new Set(exercises.keys()), minutes: 10 });
  const drafts = [1, 2, 3, 4, 5].map((seed) => draftRoutine({ ...context, seed }));
  const ladders = drafts
    .flatMap(({ steps }) => layRoutine(steps, context).steps)
    .filter(({ laid }) => laid?.kind === 'pattern');
  for (const step of ladders)
    if (['middle', 'registers', 'resonance'].includes(step.exercise.stage))
      expect([step.exercise.id, outwardKeys(step) >= 5]).toEqual([step.exercise.id, true]);
  const set = drafts.flatMap(({ steps }) => steps.map(({ settings }) => settings));
  expect(set.some(({ narrowTo, start }) => narrowTo !== undefined || start !== undefined)).toBe(true);
});

test('no tune comes twice, and from step to step no key lies further than a fifth unless a glide is between', () => {
  for (const context of everyone(12)) {
    const { steps } = layRoutine(draftRoutine(context).steps, context);
    const tunes = steps.flatMap(({ exercise: { work } }) => (work.kind === 'pattern' ? [work.pattern] : []));
    expect(new Set(tunes).size).toBe(tunes.length);
    const sung = steps.filter(({ laid }) => laid?.kind === 'pattern' || laid?.kind === 'siren');
    const jumps = sung.slice(1).map(({ laid }, index) => {
      const before = sung[index]?.laid;
      if (laid?.kind !== 'pattern' || before?.kind !== 'pattern') return 0;
      return Math.abs((laid.ladder.rungs[0]?.tonic ?? 0) - (before.ladder.rungs.at(-1)?.tonic ?? 0));
    });
    expect(Math.max(0, ...jumps)).toBeLessThanOrEqual(12);
    expect(jumps.filter((jump) => jump > 7).length).toBeLessThanOrEqual(1);
  }
});

test('pinned steps stay as they are, and the rest is drafted round them', () => {
  const pinned = [{ id: 'mine', exerciseId: 'thirds', settings: { maxKeys: 4, tempo: 100 } }];
  const { steps, seconds } = draftRoutine(contextOf({ pinned, minutes: 7 }));
  expect(steps.find(({ id }) => id === 'mine')).toMatchObject({ ...pinned[0], locked: true });
  expect(seconds).toBeLessThanOrEqual(7 * 60);
  expect(new Set(steps.map(({ exerciseId }) => exerciseId)).size).toBe(steps.length);
});

test('a jaw goal lies over a modest step; a fast exercise that is new comes at the tempo it is learnt in', () => {
  const jaw = draftRoutine(contextOf({ voice: { ...MEZZO, goals: ['release-jaw'] } }));
  expect(jaw.steps.map(({ settings }) => settings.overlay)).toContain(OVERLAYS[0]?.id);
  const fast = draftRoutine(contextOf({ voice: { ...MEZZO, goals: ['agility'] }, minutes: 20 }));
  const learnt = fast.steps.find(({ exerciseId }) => exercises.get(exerciseId)?.stage === 'agility');
  expect(learnt?.settings.tempo).toBeDefined();
  expect(learnt?.reasons.map(({ code }) => code)).toContain('draft.at-learning-tempo');
});

test('a tired voice gets occluded work and nothing wide; before a performance nothing new but gentle beginnings', () => {
  const tired = draftRoutine(contextOf({ conditions: ['tired'] }));
  expect(stagesOf(tired).filter((stage) => stage === 'occluded').length).toBeGreaterThanOrEqual(3);
  expect(stagesOf(tired)).not.toEqual(expect.arrayContaining(['range']));
  const soon = contextOf({ hoursToPerformance: 60 });
  for (const id of idsOf(draftRoutine(soon)))
    expect(soon.known.has(id) || (exercises.get(id)?.load ?? 9) <= 1).toBe(true);
});

test.each([
  ['nothing on the shelf', new Map<string, Exercise>()],
  ['nothing that may be sung', new Map(shelf.filter(({ grit }) => grit).map((one) => [one.id, one]))],
])('%s: an empty draft, and why', (_, few) => {
  const draft = draftRoutine(contextOf({ exercises: few }));
  expect([draft.steps, draft.seconds, draft.leftOut.length]).toEqual([[], 0, few.size]);
});

test.each<[string, Partial<DraftContext>]>([
  ['two minutes', { minutes: 2 }],
  ['ninety minutes', { minutes: 90 }],
  ['goals that exclude one another', { goals: ['range-up', 'range-down', 'belt', 'choral', 'ease'] }],
  [
    'an estimated range and three conditions',
    {
      voice: { type: 'contralto', style: 'folk', goals: ['line'], bridges: [], avoid: [] },
      conditions: ['heavy', 'tired', 'recovering'],
    },
  ],
  ['a floor over the ceiling', { voice: { ...MEZZO, hardFloor: 70, hardCeiling: 62 } }],
])('%s: a draft that holds its minutes and can be done, and the review does not stop it', (_, change) => {
  const context = contextOf(change);
  const draft = draftRoutine(context);
  const laid = layRoutine(draft.steps, context);
  expect(laid.steps.filter(({ problem }) => problem)).toEqual([]);
  expect(laid.seconds).toBeLessThanOrEqual(context.minutes * 60 + 1e-6);
  expect(reviewRoutine({ ...context, steps: draft.steps }).filter(({ severity }) => severity === 'stop')).toEqual([]);
});

const without = (stage: string): DraftContext['exercises'] =>
  new Map([...exercises].filter(([, exercise]) => exercise.stage !== stage));
const narrowTo = (low: number, high: number): VoiceFile => ({
  ...MEZZO,
  bridges: [],
  measured: { low, high, date: '2026-11-01' },
});
const EVERY_CAUTION: VoiceFile['cautions'] = [
  ...(['asthma', 'panic', 'epilepsy', 'pregnancy'] as const),
  ...(['belly', 'jaw', 'eyes-or-ears', 'neck-and-shoulder'] as const),
];

test.each<[string, Partial<DraftContext>, readonly string[]]>([
  ['a shelf without cool-downs', { exercises: without('cool') }, ['stage-shelf cool']],
  ['a shelf without occluded work', { exercises: without('occluded') }, ['stage-shelf occluded']],
  ['an empty shelf', { exercises: new Map() }, ['shelf']],
  ['a voice of four notes', { voice: narrowTo(60, 63) }, ['stage-room cool', 'minutes']],
  ['a voice of one note', { voice: narrowTo(60, 60) }, ['stage-room occluded', 'keys', 'stage-room cool', 'minutes']],
  [
    'a zone over the whole voice',
    { voice: { ...MEZZO, avoid: [{ low: 40, high: 90, kind: 'never-sounded' }] } },
    ['stage-room occluded', 'keys', 'stage-room cool', 'minutes'],
  ],
  [
    'gaps everywhere',
    { voice: { ...MEZZO, gaps: [58, 60, 62, 64, 66, 68, 70, 72, 74].map((note) => ({ low: note, high: note })) } },
    ['minutes'],
  ],
  ['two minutes', { minutes: 2 }, []],
  ['ninety minutes', { minutes: 90 }, ['minutes two-goes']],
  ['every caution on file', { voice: { ...MEZZO, cautions: EVERY_CAUTION } }, []],
  [
    'every caution, every obstacle, a first lesson',
    {
      voice: { ...MEZZO, cautions: EVERY_CAUTION, obstacles: ['cannot-trill', 'no-straw', 'thin-walls', 'seated'] },
      known: new Set(),
    },
    [],
  ],
  ['last runs of what is no longer there', { recent: [['gone', 'gone-too'], ['long-gone']] }, []],
])('%s: a draft, and words for what it could not be given', (_, change, said) => {
  const context = contextOf({ known: new Set(exercises.keys()), minutes: 10, ...change });
  const { steps, missing } = draftRoutine(context);
  const found = missing.map(({ code, values = {} }) =>
    typeof values['context'] === 'string' ? `${code} ${values['context']}` : code,
  );
  expect(found).toEqual(said.map((words) => `missing.${words}`));
  expect(steps.length > 0 || context.exercises.size === 0).toBe(true);
  expect(layRoutine(steps, context).steps.filter(({ problem }) => problem)).toEqual([]);
});

test('everything pinned and too long: it is kept, and said by how much it is over', () => {
  const pinned = ['up-and-down-five', 'thirds', 'chord-up-and-down', 'falling-hum'].map((exerciseId) => ({
    id: exerciseId,
    exerciseId,
    settings: {},
  }));
  const draft = draftRoutine(contextOf({ pinned, minutes: 2, known: new Set(exercises.keys()) }));
  expect(draft.steps.map(({ id }) => id)).toEqual(expect.arrayContaining(pinned.map(({ id }) => id)));
  expect(draft.overBy).toBeGreaterThan(60);
  expect(draft.missing.map(({ code }) => code)).toEqual(['missing.too-short']);
});

test('no draft breaks a limit, a zone, a caution, the order, the cool-down or the minutes, and none is stopped by its own review', () => {
  fc.assert(
    fc.property(draftDays, (context) => {
      const draft = draftRoutine(context);
      const laid = layRoutine(draft.steps, context);
      expect(draft.overBy).toBeUndefined();
      expect(laid.seconds).toBeLessThanOrEqual(context.minutes * 60 + 1e-6);
      expect(laid.steps.map(({ problem }) => problem?.code)).toEqual(laid.steps.map(() => undefined));
      for (const { lowest, highest, limits } of laid.steps) {
        if (lowest === null || highest === null || !limits) continue;
        expect([lowest >= limits.floor, highest <= limits.ceiling]).toEqual([true, true]);
      }
      const ranks = laid.steps.map(({ exercise }) => STAGES.indexOf(exercise.stage));
      expect([...ranks].sort((a, b) => a - b)).toEqual(ranks);
      expect(laid.steps.at(-1)?.exercise.stage).toBe('cool');
      const stops = reviewRoutine({ ...context, steps: draft.steps }).filter(({ severity }) => severity === 'stop');
      expect(stops).toEqual([]);
    }),
    // Ten thousand were tried by hand; DRAFTS says how many this time.
    { numRuns: Number(process.env['DRAFTS'] ?? 80) },
  );
});
