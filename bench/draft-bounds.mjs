// What one draft is measured against: the shape of a good draft, one row a bound. Source: house reading of usual practice.
const GLIDES = new Set(['siren']);
const KEYED_STAGES = new Set(['occluded', 'resonance', 'middle', 'registers', 'range', 'agility']);

const EXERCISES = [
  [0, 3, 3],
  [5, 4, 5],
  [8, 5, 6],
  [10, 6, 8],
  [12, 7, 9],
  [15, 8, 10],
  [20, 10, 12],
  [30, 12, 16],
  [45, 12, 20],
];
const NEW = [
  [0, 1],
  [10, 2],
  [20, 3],
];

const rowFor = (table, minutes) => table.filter(([from]) => from <= minutes).at(-1);
const sum = (list, of) => list.reduce((total, one) => total + of(one), 0);
const isYoung = ({ type, age }) => type === 'treble' || (age !== undefined && age < 13);
const tuneOf = ({ exercise }) => (exercise.work.kind === 'pattern' ? exercise.work.pattern : null);
const rungsOf = ({ laid }) => laid?.ladder?.rungs ?? [];
const outwardOf = (step) =>
  new Set(
    rungsOf(step)
      .filter(({ leg }) => leg !== 'home')
      .map(({ tonic }) => tonic),
  ).size;
const isSung = ({ laid }) => laid?.kind === 'pattern' || laid?.kind === 'siren';
const isGentle = ({ exercise }) => exercise.stage === 'occluded' || GLIDES.has(exercise.work.kind);

/** The longest stretch without a rest, seconds. */
function longestBreath(step) {
  if (step.laid?.kind !== 'pattern') return 0;
  let longest = 0;
  let beats = 0;
  for (const event of step.laid.pattern.events) {
    beats = event.kind === 'rest' ? 0 : beats + event.beats;
    longest = Math.max(longest, beats);
  }
  return (longest * 60) / Math.min(...rungsOf(step).map(({ tempo }) => tempo));
}

function mostBreath({ voice, known, conditions }) {
  const usual = isYoung(voice) ? 5 : (voice.age ?? 0) >= 65 || known.size === 0 ? 7 : 9;
  return usual * (conditions.includes('recovering') ? 0.6 : 1);
}

/** First and last note a step is entered and left by, where it has keys. */
function jumps(steps) {
  const sung = steps.filter(isSung);
  return sung.slice(1).flatMap((step, index) => {
    const before = sung[index];
    if (GLIDES.has(step.exercise.work.kind) || GLIDES.has(before.exercise.work.kind)) return [];
    return [Math.abs(rungsOf(step)[0].tonic - rungsOf(before).at(-1).tonic)];
  });
}

const halfOf = ({ startsAt, seconds }) => startsAt + seconds / 2;

/**
 * Every bound with whether a draft is inside it; a bound that does not apply is left out.
 *
 * @returns {Record<string, boolean>}
 */
export function boundsOf(context, laid) {
  const { minutes, voice, known, conditions, kind } = context;
  const { steps, seconds } = laid;
  const budget = minutes * 60;
  const young = isYoung(voice) ? 1 : 0;
  const [, least, most] = rowFor(EXERCISES, minutes);
  const ladders = steps.filter(({ laid: one }) => one?.kind === 'pattern');
  const sungSteps = steps.filter(isSung);
  const cool = steps.filter(({ exercise }) => exercise.stage === 'cool');
  const coolSeconds = sum(cool, (step) => step.seconds);
  const isNew = ({ isNew: fresh, exercise }) => fresh && !(exercise.load <= 1 && exercise.level === 'first');
  const explained = sum(steps, ({ setUpSeconds }) => setUpSeconds) / budget;
  // A growing voice has sung enough after twelve minutes, twice what its warm-up usually takes; the draft leaves the rest.
  const isLongForAge = (young || voice.type === 'changing') && minutes > 12;
  const isOrdinary = conditions.length === 0 && kind === undefined;
  const bounds = {
    'exercises within the row':
      steps.length >= Math.max(3, least - young - (conditions.includes('recovering') ? 2 : 0)) &&
      steps.length <= Math.max(3, most),
    'no more new ones than the row': steps.filter(isNew).length <= rowFor(NEW, minutes)[1],
    'minutes filled, never passed':
      seconds <= budget + 0.5 && (conditions.includes('recovering') || isLongForAge || seconds >= budget * 0.9),
    'setting up within its share':
      explained <= (known.size === 0 ? (minutes <= 5 ? 1 / 3 : 0.25) : known.size > 60 ? 0.12 : 0.2) + 1e-9,
    'five keys outward in the keyed stages, three elsewhere': ladders.every(
      (step) =>
        outwardOf(step) >= (KEYED_STAGES.has(step.exercise.stage) ? 5 : step.exercise.stage === 'cool' ? 2 : 3) ||
        step.exercise.work.travel === 'stay',
    ),
    'no ladder of one key': ladders.every((step) => outwardOf(step) > 1 || step.exercise.work.travel === 'stay'),
    'cool-down as long as it should be':
      minutes < 3 || coolSeconds >= Math.max(minutes <= 5 ? 45 : 60, budget * 0.15) - 6,
    'no tune twice running': steps.every(
      (step, index) => index === 0 || tuneOf(step) === null || tuneOf(step) !== tuneOf(steps[index - 1]),
    ),
    'no jump over a fifth without a glide': jumps(steps).every((jump) => jump <= 7),
    'one breath': ladders.every((step) => longestBreath(step) <= mostBreath(context) + 0.05),
  };
  if (young) bounds['nothing over two minutes for a child'] = steps.every((step) => step.seconds <= 121);
  if (minutes >= 10 && isOrdinary) {
    const { low, high } = voice.measured;
    const gentle = sungSteps.filter(isGentle);
    const reachOf = (list) => [
      Math.min(...list.map(({ lowest }) => lowest)),
      Math.max(...list.map(({ highest }) => highest)),
    ];
    const [gentleLow, gentleHigh] = reachOf(gentle);
    const scales = sungSteps.filter((step) => !GLIDES.has(step.exercise.work.kind));
    const [scaleLow, scaleHigh] = reachOf(scales);
    const edge = 2;
    bounds['the span visited by gentle work'] = gentleLow <= low + edge && gentleHigh >= high - edge;
    if (voice.type !== 'changing')
      bounds['four fifths of it by scales'] =
        Math.min(scaleHigh, high) - Math.max(scaleLow, low) >= 0.8 * (high - low) - 1;
    if (known.size > 0 && voice.bridges.length > 0)
      bounds['the bridge crossed'] = sungSteps.some(
        ({ lowest, highest, exercise }) =>
          exercise.stage === 'registers' && lowest < voice.bridges[0].low && highest >= voice.bridges[0].low,
      );
    const open = scales.filter((step) => !isGentle(step));
    const peak = Math.max(...open.map(({ highest }) => highest));
    bounds['highest note between half and nine tenths'] = open.some(
      (step) =>
        step.highest >= peak - 1 && step.startsAt + step.seconds >= budget * 0.5 && halfOf(step) <= budget * 0.9,
    );
    if (voice.goals.length > 0 && known.size > 0) {
      const wanted = sum(
        sungSteps.filter(({ exercise }) => exercise.goals.some((goal) => voice.goals.includes(goal))),
        (step) => step.seconds,
      );
      bounds['what is wanted takes a third'] = wanted >= sum(sungSteps, (step) => step.seconds) / 3;
    }
  }
  return bounds;
}

export const voicedShare = ({ steps, seconds }) => sum(steps, ({ voicedSeconds }) => voicedSeconds) / seconds;
