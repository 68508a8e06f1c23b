import { STAGES } from '../limits/index.ts';
import {
  againstSchool,
  APPROACH_CHOICES,
  checkShelf,
  cueFor,
  cuesOf,
  exerciseSchema,
  isForVoice,
  opposedOn,
  overlayFor,
  schoolCues,
  shippedExercises,
  syllablesFor,
  type Exercise,
} from './index.ts';

const shelf = shippedExercises();

test('the shelf is sound, and serves every stage', () => {
  expect(checkShelf(shelf)).toEqual([]);
  expect(shelf.length).toBeGreaterThanOrEqual(20);
  expect(new Set(shelf.map(({ stage }) => stage)).size).toBe(STAGES.length);
});

test('what the schema cannot see is found', () => {
  const [first, ...others] = shelf;
  if (!first) throw new Error('the shelf is empty');
  const broken = { ...first, relatives: [{ id: 'nowhere', as: 'easier' as const }] };
  expect(checkShelf([broken, ...others])).toEqual([expect.stringContaining('nowhere')]);
  expect(checkShelf([first, ...shelf])).toEqual([expect.stringContaining('twice')]);
  expect(checkShelf(others.filter(({ stage }) => stage !== 'cool')).join(' ')).toContain('“cool”');
  const unread = shelf.map((exercise) =>
    exercise.work.kind === 'pattern' && exercise.id === 'thirds'
      ? { ...exercise, work: { ...exercise.work, pattern: '1 z' } }
      : exercise,
  );
  expect(checkShelf(unread)).toEqual([expect.stringContaining('thirds')]);
});

test.each([
  ['an unknown field', { colour: 'red' }],
  ['a load over five', { load: 6 }],
  ['an unknown stage', { stage: 'finale' }],
])('the schema refuses %s', (_, change) => {
  expect(exerciseSchema.safeParse({ ...shelf[0], ...change }).success).toBe(false);
});

test.each([
  ['louder and softer', ['loudness=louder'], ['loudness=softer'], 'loudness'],
  ['the same way', ['loudness=louder'], ['loudness=louder'], null],
  ['on different things', ['loudness=louder'], ['jaw=free'], null],
  ['the second of two', ['larynx=lower', 'jaw=free'], ['larynx=lower', 'jaw=steady'], 'jaw'],
])('exercises that pull %s', (_, one, other, question) => {
  expect(opposedOn({ pulls: one }, { pulls: other })).toBe(question);
  expect(opposedOn({ pulls: other }, { pulls: one })).toBe(question);
});

test.each([
  ['the default school', ['loudness-going-up=even'], {}, null],
  ['another school', ['loudness-going-up=grows'], {}, 'loudness-going-up'],
  ['the school that was chosen', ['loudness-going-up=grows'], { 'loudness-going-up': 'grows' }, null],
  ['no question of the schools', ['closure=firmer'], {}, null],
])('an exercise of %s', (_, pulls, approach, question) => {
  expect(againstSchool({ pulls }, approach)).toBe(question);
});

test('whatever the answers, no two cues of one stage come from different choices of one question', () => {
  for (const [question, choices] of Object.entries(APPROACH_CHOICES))
    for (const choice of choices)
      for (const stage of STAGES) {
        const tags = schoolCues({ stage }, { [question]: choice }).flatMap(({ approach = '' }) => approach);
        const answers = new Map(tags.map((tag) => tag.split('=') as [string, string]));
        expect(
          tags.every((tag) => tag === `${tag.split('=')[0] ?? ''}=${answers.get(tag.split('=')[0] ?? '') ?? ''}`),
        ).toBe(true);
        expect(answers.get(question) ?? choice).toBe(choice);
      }
});

describe('cues', () => {
  const exercise = shelf.find(({ id }) => id === 'up-and-down-five') ?? shelf[0];
  if (!exercise) throw new Error('the shelf is empty');
  const place = { zone: 'low', isTop: false, isLast: false, index: 0 } as const;

  test.each([
    ['a general one', place, 'One long line, no steps in it.'],
    ['at the bridge', { ...place, zone: 'bridge' }, 'A breath narrower over the turn.'],
    ['above it', { ...place, zone: 'above' }, 'Jaw drops a little more each key.'],
    ['at the top', { ...place, zone: 'above', isTop: true }, 'No louder up there.'],
    ['the last', { ...place, isTop: true, isLast: true }, 'Last one, easy.'],
  ] as const)('%s', (_, at, text) => {
    expect(cueFor(exercise, at)).toBe(text);
  });

  test('only those that agree with the approach are said', () => {
    const all = cuesOf(exercise, { jaw: 'steady' }).map(({ text }) => text);
    expect(all).not.toContain('Jaw drops a little more each key.');
    expect(cueFor(exercise, { ...place, zone: 'above' }, { jaw: 'steady' })).toBe('Let the vowel open a little.');
    const closing = { jaw: 'steady', 'vowel-up-high': 'closes' };
    expect(cueFor(exercise, { ...place, zone: 'above' }, closing)).toBe('Round the vowel a little as it rises.');
  });
});

test.each([
  ['low', ['voh', 'voh', 'voh']],
  ['bridge', ['vuh', 'vuh', 'vuh']],
  ['above', ['voh', 'voh', 'voh']],
] as const)('syllables %s are those of the height, else the usual ones', (zone, expected) => {
  const thirds = shelf.find(({ id }) => id === 'thirds');
  if (thirds?.work.kind !== 'pattern') throw new Error('no thirds');
  const work = { ...thirds.work, pattern: '1 3 1', syllables: 'voh*', syllablesAt: { bridge: 'vuh*' } };
  expect(syllablesFor(work, zone)).toEqual(expected);
});

test('belt is for grown voices only', () => {
  const call = shelf.find(({ id }) => id === 'speech-like-call');
  expect(call && [isForVoice(call, 'bass'), isForVoice(call, 'treble')]).toEqual([true, false]);
});

test.each<[string, string, Parameters<typeof overlayFor>[2], boolean]>([
  ['a hand at the jaw', 'hand-at-the-jaw', {}, true],
  ['a hand at a jaw that hurts', 'hand-at-the-jaw', { voice: { cautions: ['jaw'] } }, false],
  ['chewing with a jaw that hurts', 'chewing', { voice: { cautions: ['jaw'] } }, false],
  ['a sway', 'slow-sway', {}, true],
  ['a sway after dizziness', 'slow-sway', { breathOff: true }, false],
  ['eyes closed', 'eyes-closed', {}, true],
  ['eyes closed after dizziness', 'eyes-closed', { breathOff: true }, false],
  ['lying with a book', 'lying-with-a-book', {}, true],
  ['lying with a book in pregnancy', 'lying-with-a-book', { voice: { cautions: ['pregnancy'] } }, false],
  ['lying down for somebody who sits', 'lying-with-a-book', { voice: { obstacles: ['seated'] } }, false],
  ['a hand on the belly of somebody who sits', 'hand-on-the-belly', { voice: { obstacles: ['seated'] } }, true],
])('%s', (_, id, day, isGiven) => {
  const byId = (wanted: string): Exercise => shelf.find((one) => one.id === wanted) as Exercise;
  for (const under of ['hum-on-the-chord', 'long-hiss'])
    expect([under, overlayFor(byId(under), id, day)?.id]).toEqual([under, isGiven ? id : undefined]);
  expect(overlayFor(byId('octave-leap-and-settle'), id, day)).toBeUndefined();
});

test.each<[string, Partial<Exercise>]>([
  ['two cues', { cues: [{ text: 'One.' }, { text: 'Two.' }] as Exercise['cues'] }],
  [
    'one thing to watch for',
    { watchFor: [{ seen: 'x', cause: 'y', remedies: [] }] as unknown as Exercise['watchFor'] },
  ],
  ['no relative', { relatives: [] }],
  ['no reason why', { why: '' }],
])('an exercise that ships with %s is found', (_, change) => {
  const broken = shelf.map((one) => (one.id === 'hum-on-the-chord' ? { ...one, ...change } : one));
  expect(checkShelf(broken)).toEqual([expect.stringMatching(/^hum-on-the-chord: what ships has three cues/)]);
});
