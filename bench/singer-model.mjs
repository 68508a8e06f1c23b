// A made-up singer whose true limits follow a model, for the simulated year: what nobody can know of a voice, and what
// comes of the work it is given. The figures are the model's own; it is there to compare ways of advising, not to foretell.

/** Source: house choice; a voice grows by so much of what it could still gain with each good session. */
const GROWTH = 0.03;
/** Semitones a session may stay under the true top and still be work for it. */
const WORK_BELOW = 2.5;
/** Semitones every strained key takes off the top of the next days, and how much of that is left a day later. */
const FATIGUE = 0.5;
const FATIGUE_LEFT = 0.7;
/** Semitones for good that a key strained on a worn voice costs, and the most a voice loses of either. */
const HARM = 0.02;
const MOST_LOST = 4;
/** A key is strained with a chance of one half at so many semitones over the true top of the day, and how steep that is. */
const STRAIN_AT = 1.2;
const STEEPNESS = 2;
/** Semitones a day's condition takes off the true top. */
const WORN = { tired: 2, heavy: 1, recovering: 3 };
/** Semitones easier: half-closed work and glides. */
const EASIER = 1.5;
/** The reach lies so many semitones over the comfortable top. */
const REACH = 3;

export function normal(chance) {
  const [one, two] = [chance(), chance()];
  return Math.sqrt(-2 * Math.log(1 - one)) * Math.cos(2 * Math.PI * two);
}

/** @param voice a voice file with its range; the truth lies about it */
export function makeSinger(voice, chance) {
  const start = voice.measured.high + 0.7 * normal(chance);
  return { low: voice.measured.low, start, top: start, allows: start + 1 + 4 * chance(), fatigue: 0 };
}

/** The true top of the day, MIDI, in parts of a semitone: how the voice happens to be, and what the day is like. */
export function topToday(singer, conditions, chance) {
  const worn = Math.max(0, ...conditions.map((name) => WORN[name] ?? 0));
  return singer.top - singer.fatigue - worn + 0.5 * normal(chance);
}

/** @returns whether a key is strained */
export function isStrained(high, isEasier, top, chance) {
  const over = high - (isEasier ? EASIER : 0) - top;
  return chance() < 1 / (1 + Math.exp(-STEEPNESS * (over - STRAIN_AT)));
}

/** How easy a session was, 1–5, by its highest key. */
export function easeOf(highest, top, strained) {
  if (strained > 1) return 2;
  const over = highest - top;
  return strained === 1 || over > 1.5 ? 3 : over > -1 ? 4 : 5;
}

/** What a session leaves behind. */
export function afterSession(singer, { highest, top, strained, isWorn }) {
  const isWork = highest >= top - WORK_BELOW && strained === 0 && !isWorn;
  if (isWork) singer.top += GROWTH * (singer.allows - singer.top);
  singer.fatigue = Math.min(MOST_LOST, singer.fatigue + FATIGUE * strained);
  if (isWorn || singer.fatigue > 1) singer.top = Math.max(singer.start - MOST_LOST, singer.top - HARM * strained);
}

export function afterDays(singer, days) {
  singer.fatigue *= FATIGUE_LEFT ** days;
}

/** What the model allows in so many sessions, if every one of them were good work. */
export function bestTop(singer, sessions) {
  return singer.allows - (singer.allows - singer.start) * (1 - GROWTH) ** sessions;
}

/** What a range check finds, with an error of its own. */
export function measuredBy(singer, date, chance) {
  const high = Math.round(singer.top - singer.fatigue + 0.4 * normal(chance));
  return { low: singer.low, high, reachLow: singer.low - 2, reachHigh: high + REACH, date };
}
