// A year of two hundred made-up singers who follow the advice, beside those who always go on and those who never do.
import {
  adviseLaidStep,
  checkDueInDays,
  draftRoutine,
  isMissed,
  layRoutine,
  rangeNews,
  shippedExercises,
  takenAdvice,
} from '@soft-lark/core';
import { VOICES } from './draft-figures.mjs';
import {
  afterDays,
  afterSession,
  bestTop,
  easeOf,
  isStrained,
  makeSinger,
  measuredBy,
  topToday,
} from './singer-model.mjs';

const { SINGERS = '200', WEEKS = '52' } = process.env;
/** A lesson and two days at home. */
const DAYS = [
  { day: 2, occasion: 'lesson' },
  { day: 4, occasion: 'home' },
  { day: 6, occasion: 'home' },
];
const KEPT_WEEKS = 6;
const RUNS_KEPT = 8;
const MINUTES = 12;
/** House choice: nobody checks a range more often, whatever the runs say. */
const LEAST_DAYS_BETWEEN_CHECKS = 28;

const shelf = shippedExercises();
const exercises = new Map(shelf.map((exercise) => [exercise.id, exercise]));
const known = new Set(exercises.keys());
const adults = VOICES.filter(({ type }) => type !== 'treble' && type !== 'changing');

/** A stream of chance that a seed repeats. */
function chanceOf(seed) {
  let state = Math.imul(seed + 1, 2_654_435_761) >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

const dateOf = (week, day) => new Date(Date.UTC(2026, 0, 5 + week * 7 + day)).toISOString().slice(0, 10);

function conditionsOf(chance) {
  const drawn = chance();
  return drawn < 0.08 ? ['tired'] : drawn < 0.13 ? ['heavy'] : drawn < 0.15 ? ['recovering'] : [];
}

const isEasier = ({ stage, work, quiet }) => stage === 'occluded' || work.kind === 'siren' || quiet;

/** The keys of a step as they are sung: after a strained one it goes no higher. */
function singStep(step, top, chance) {
  const rungs = step.laid?.kind === 'pattern' ? step.laid.ladder.rungs : [];
  const sung = { keys: 0, strained: 0, highest: -Infinity };
  let ceiling = Infinity;
  for (const { high } of rungs) {
    if (high > ceiling) continue;
    sung.keys += 1;
    sung.highest = Math.max(sung.highest, high);
    if (!isStrained(high, isEasier(step.exercise), top, chance)) continue;
    sung.strained += 1;
    ceiling = high - 1;
  }
  return sung;
}

/** What the three ways do with the step that was sung; only the first asks for advice. */
const WAYS = {
  advised: (step, context, past) => adviseLaidStep(step, context, past),
  'always on': () => ({ kind: 'ceiling', verdict: 'raise', movesBy: 1 }),
  never: () => null,
};

function takeAdvice(way, laid, context, state) {
  const past = { runsOf: state.runsOf, answers: state.answers, today: context.now.slice(0, 10) };
  for (const step of laid.steps) {
    const advice = WAYS[way](step, context, past);
    if (advice?.movesBy === undefined || advice.verdict === 'hold') continue;
    const { kind, verdict, movesBy } = advice;
    state.answers.push({
      ...{ exerciseId: step.exercise.id, kind, verdict, movesBy },
      ...{ answer: 'taken', date: past.today },
    });
  }
}

function session(way, state, { week, day, occasion }, chance) {
  const date = dateOf(week, day);
  const conditions = conditionsOf(chance);
  const context = {
    ...{ voice: state.voice, conditions, occasion, exercises, known, now: `${date}T15:00:00Z` },
    advised: takenAdvice(state.answers, state.voice),
  };
  if (week % KEPT_WEEKS === 0 && day === DAYS[0].day)
    state.steps = draftRoutine({ ...context, conditions: [], minutes: MINUTES, seed: state.seed + week }).steps;
  if (occasion === 'lesson') takeAdvice(way, layRoutine(state.steps, context), context, state);
  const today = { ...context, advised: takenAdvice(state.answers, state.voice) };
  const laid = layRoutine(state.steps, today);
  const top = topToday(state.singer, conditions, chance);
  const sung = laid.steps.map((step) => ({ step, ...singStep(step, top, chance) })).filter(({ keys }) => keys > 0);
  const strained = sung.reduce((sum, one) => sum + one.strained, 0);
  const highest = Math.max(...sung.map((one) => one.highest));
  const ease = easeOf(highest, top, strained);
  for (const { step, ...one } of sung) {
    const run = {
      ...{ date, highest: one.highest, tempo: step.laid.input.tempo, ease, conditions, occasion },
      marks: one.strained > 0 ? ['strain'] : [],
    };
    state.runsOf.set(step.exercise.id, [...(state.runsOf.get(step.exercise.id) ?? []), run].slice(-RUNS_KEPT));
  }
  state.keys += sung.reduce((sum, { keys }) => sum + keys, 0);
  state.strained += strained;
  afterSession(state.singer, { highest, top, strained, isWorn: conditions.length > 0 });
  if (way === 'advised' && occasion === 'lesson' && conditions.length === 0 && isCheckWanted(state, date))
    state.voice = { ...state.voice, measured: measuredBy(state.singer, date, chance) };
}

function isCheckWanted({ voice, runsOf }, date) {
  const days = (Date.parse(date) - Date.parse(voice.measured.date)) / 86_400_000;
  if (days < LEAST_DAYS_BETWEEN_CHECKS) return false;
  return checkDueInDays(voice, false, date) <= 0 || rangeNews(runsOf, voice) !== null;
}

/** One singer's year by one way; the same days, whatever the way. */
function yearOf(way, index) {
  const voice = { ...adults[index % adults.length] };
  voice.measured = { ...voice.measured, date: dateOf(0, 0) };
  const chance = chanceOf(index);
  const singer = makeSinger(voice, chance);
  const state = { singer, voice, seed: index, answers: [], runsOf: new Map(), steps: [], keys: 0, strained: 0 };
  let before = 0;
  for (let week = 0; week < Number(WEEKS); week += 1)
    for (const { day, occasion } of DAYS) {
      afterDays(singer, week * 7 + day - before);
      before = week * 7 + day;
      session(way, state, { week, day, occasion }, chanceOf(index * 1000 + week * 7 + day));
    }
  const best = bestTop(singer, Number(WEEKS) * DAYS.length);
  return {
    ...{ keys: state.keys, strained: state.strained },
    share: (singer.top - singer.low) / (best - singer.low),
    gained: (singer.top - singer.start) / (best - singer.start),
  };
}

const mean = (values) => values.reduce((total, value) => total + value, 0) / values.length;

/** @returns {import('./table.mjs').Figure[]} */
export function yearFigures() {
  const rows = Object.keys(WAYS).map((way) => {
    const years = Array.from({ length: Number(SINGERS) }, (_, index) => yearOf(way, index));
    const strained = years.reduce((sum, one) => sum + one.strained, 0) / years.reduce((sum, one) => sum + one.keys, 0);
    const shares = years.map(({ share }) => share);
    const gained = mean(years.map((one) => one.gained));
    return { way, strained, share: mean(shares), least: Math.min(...shares), gained };
  });
  console.table(
    rows.map(({ way, strained, share, least, gained }) => ({
      way,
      'keys strained': `${(strained * 100).toFixed(2)} %`,
      'range of what was possible': `${(share * 100).toFixed(1)} %`,
      'of the least': `${(least * 100).toFixed(1)} %`,
      'gained of what was possible': `${(gained * 100).toFixed(0)} %`,
    })),
  );
  const [advised] = rows;
  return [
    { name: 'keys strained in a year of advice', value: advised.strained * 100, unit: '%', target: 3, isCeiling: true },
    { name: 'range reached of what was possible', value: advised.share * 100, unit: '%', target: 95, isCeiling: false },
  ];
}
