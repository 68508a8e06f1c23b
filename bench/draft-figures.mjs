// Figures of what a drafted routine is like: shares of drafts inside each bound, over many voices, lengths and seeds.
import { draftRoutine, layRoutine, shippedExercises } from '@soft-lark/core';
import { boundsOf, voicedShare } from './draft-bounds.mjs';

const NOW = '2026-11-25T15:00:00Z';
const MINUTES = [3, 5, 8, 10, 12, 15, 20, 30, 45];
const { SEEDS = '10', WORST = '10' } = process.env;

const shelf = shippedExercises();
const exercises = new Map(shelf.map((exercise) => [exercise.id, exercise]));
const KNOWN = {
  first: new Set(),
  half: new Set(shelf.filter((_, index) => index % 2).map(({ id }) => id)),
  all: new Set(exercises.keys()),
};

const file = (type, style, age, [low, high], goals = [], more = {}) => ({
  ...{ type, style, age, goals, avoid: [] },
  bridges: more.bridges ?? [],
  measured: { low, high, reachLow: low - 2, reachHigh: high + 3, date: '2026-11-01' },
  ...(more.changingStage && { changingStage: more.changingStage }),
});
const bridge = (low) => ({ bridges: [{ low, high: low + 1 }] });

/** Twenty-four made-up voices. */
export const VOICES = [
  file('soprano', 'theatre', 24, [58, 80], ['belt'], bridge(69)),
  file('soprano', 'choral', 58, [60, 78], ['ease'], bridge(70)),
  file('soprano', 'classical', 31, [58, 84], ['agility'], bridge(65)),
  file('soprano', 'pop', 19, [57, 77], ['riffs'], bridge(69)),
  file('mezzo-soprano', 'choral', 47, [56, 75], ['legato'], bridge(65)),
  file('mezzo-soprano', 'theatre', 33, [55, 76], ['belt'], bridge(65)),
  file('mezzo-soprano', 'folk', 40, [56, 74], ['ease'], bridge(65)),
  file('mezzo-soprano', 'classical', 36, [57, 76], ['bridge', 'agility'], bridge(64)),
  file('contralto', 'jazz', 52, [53, 72], ['tone'], bridge(64)),
  file('contralto', 'choral', 68, [54, 70], ['breath'], bridge(63)),
  file('countertenor', 'classical', 28, [55, 74], ['agility'], bridge(66)),
  file('tenor', 'pop', 25, [48, 69], ['range', 'mix'], bridge(64)),
  file('tenor', 'classical', 42, [48, 70], ['range'], bridge(65)),
  file('tenor', 'theatre', 35, [47, 68], ['diction'], bridge(64)),
  file('baritone', 'jazz', 29, [43, 65], ['agility'], bridge(62)),
  file('baritone', 'classical', 50, [43, 66], ['onset'], bridge(61)),
  file('baritone', 'folk', 44, [44, 64], ['words'], bridge(61)),
  file('bass-baritone', 'choral', 61, [41, 63], ['legato'], bridge(60)),
  file('bass', 'folk', 74, [41, 60], ['breath'], bridge(59)),
  file('bass', 'classical', 67, [40, 61], ['dynamics'], bridge(58)),
  file('treble', 'choral', 8, [60, 73]),
  file('treble', 'folk', 11, [59, 75], ['pitch']),
  file('changing', 'choral', 13, [54, 67], [], { changingStage: 'second' }),
  file('changing', 'pop', 14, [50, 66], ['bridge'], { changingStage: 'settling' }),
];

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

function drafted(voice, minutes, knows, seed, more = {}) {
  const context = {
    voice,
    conditions: [],
    occasion: 'lesson',
    exercises,
    known: KNOWN[knows],
    now: NOW,
    minutes,
    seed,
    ...more,
  };
  const draft = draftRoutine(context);
  return { context, draft, laid: layRoutine(draft.steps, context) };
}

const share = (name, value, target) => ({ name, value: 100 * value, unit: '%', target, isCeiling: false });
const most = (name, value, target) => ({ name, value: 100 * value, unit: '%', target, isCeiling: true });

function shared(one, other) {
  const ids = new Set(other.steps.map(({ exerciseId }) => exerciseId));
  return one.steps.filter(({ exerciseId }) => ids.has(exerciseId)).length / Math.max(1, one.steps.length);
}

const mean = (values) => values.reduce((total, value) => total + value, 0) / Math.max(1, values.length);
const clock = (seconds) => `${Math.floor(seconds / 60)}:${String(Math.round(seconds) % 60).padStart(2, '0')}`;

function printed({ context: { voice, minutes, seed }, knows, laid, broken }) {
  console.log(
    `\n${voice.type} of ${voice.age}, ${voice.style}, ${minutes} min, knows ${knows}, seed ${seed}: ${clock(laid.seconds)}; outside: ${broken.join(' · ')}`,
  );
  for (const { seconds, exercise, lowest, highest, laid: { ladder } = {} } of laid.steps)
    console.log(
      `  ${clock(seconds)} ${exercise.stage.padEnd(9)} ${exercise.name.padEnd(36)} ${lowest ?? ''}–${highest ?? ''} ${(ladder?.rungs ?? []).map(({ tonic }) => tonic).join(' ')}`,
    );
}

/** @returns {Promise<import('./table.mjs').Figure[]>} */
export async function draftFigures() {
  const inside = new Map();
  const voiced = { first: [], half: [], all: [] };
  const all = [];
  for (const knows of Object.keys(KNOWN))
    for (const voice of VOICES)
      for (const minutes of MINUTES)
        for (let seed = 1; seed <= Number(SEEDS); seed += 1) {
          const one = drafted(voice, minutes, knows, seed);
          const bounds = boundsOf(one.context, one.laid);
          for (const [name, met] of Object.entries(bounds)) {
            const counts = inside.get(name) ?? { met: 0, of: 0 };
            inside.set(name, { met: counts.met + (met ? 1 : 0), of: counts.of + 1 });
          }
          if (minutes >= 8) voiced[knows].push(voicedShare(one.laid));
          const broken = Object.entries(bounds).flatMap(([name, met]) => (met ? [] : [name]));
          all.push({ ...one, knows, broken });
        }
  const { ONLY, COUNT } = process.env;
  for (const word of COUNT?.split(',') ?? []) {
    const tally = {};
    for (const one of all.filter(({ broken }) => broken.some((name) => name.includes(word)))) {
      const { voice, minutes } = one.context;
      for (const key of [`m${minutes}`, one.knows, `${voice.type}-${voice.age}`]) tally[key] = (tally[key] ?? 0) + 1;
    }
    console.log(word, JSON.stringify(tally));
  }
  if (ONLY)
    for (const one of all
      .filter(({ broken }) => broken.some((name) => name.includes(ONLY)))
      .filter((_, at) => at % 7 === 0)
      .slice(0, 6))
      printed(one);
  all.sort((a, b) => b.broken.length - a.broken.length);
  for (const one of all.slice(0, Number(WORST))) printed(one);
  const teachers = VOICES.slice(0, 20).map((voice) => [1, 2, 3].map((seed) => drafted(voice, 10, 'all', seed).draft));
  const persons = teachers.flatMap((mine, at) =>
    teachers.slice(at + 1).flatMap((theirs) => mine.map((one, seed) => shared(one, theirs[seed]))),
  );
  const seeds = teachers.flatMap(([one, two, three]) => [shared(one, two), shared(one, three)]);
  const weeks = VOICES.slice(0, 20).flatMap((voice) =>
    [1, 2, 3].map((seed) => {
      const { draft } = drafted(voice, 10, 'all', seed);
      const recent = [draft.steps.map(({ exerciseId }) => exerciseId)];
      return shared(drafted(voice, 10, 'all', seed + 1, { recent }).draft, draft);
    }),
  );
  return [
    ...[...inside].map(([name, { met, of }]) => share(name, met / of, 95)),
    share('voiced, first lesson, median', median(voiced.first), 35),
    share('voiced, half known, median', median(voiced.half), 40),
    share('voiced, all known, median', median(voiced.all), 45),
    most('shared by two people of one seed', mean(persons), 50),
    most('shared by two seeds of one person', mean(seeds), 60),
    share('of next week’s, back from this week’s, at least', mean(weeks), 60),
    most('of next week’s, back from this week’s, at most', mean(weeks), 75),
  ];
}
