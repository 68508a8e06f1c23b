import fc from 'fast-check';
import { parseMidi, type MidiData } from 'midi-file';
import { readMidiFile } from '../formats/index.ts';
import { frameMaker } from '../listening/index.ts';
import { frequencyOf } from '../pitch/index.ts';
import { layRoutine } from '../routine/index.ts';
import { startRun, type RunStep } from '../run/index.ts';
import { contextOf, exercises, step } from '../testing/routine-context.ts';
import { guideTrack, midiOfTrack, mixer, RELEASE_SECONDS, type GuideTrack, type Sample } from './index.ts';

const RATE = 22_050;
const stepsOf = (...ids: readonly string[]): readonly RunStep[] =>
  startRun(
    layRoutine(
      ids.map((id) => step(id)),
      contextOf(),
    ),
  ).steps;
const trackOf = (ids: readonly string[], gapSeconds = 6): GuideTrack =>
  guideTrack(stepsOf(...ids), { avoid: [], gapSeconds });

/** Notes of a made-up string instrument, one each octave, with overtones as a piano has them. */
const samples: readonly Sample[] = [36, 48, 60, 72, 84].map((midi) => ({
  midi,
  rate: RATE,
  wave: Float32Array.from({ length: RATE * 3 }, (_, at) =>
    [1, 2, 3].reduce(
      (sum, part) => sum + Math.sin((2 * Math.PI * part * frequencyOf(midi) * at) / RATE) / (part * 4),
      0,
    ),
  ),
}));

/** How loud it gets. */
const peak = (wave: Iterable<number>): number => [...wave].reduce((most, value) => Math.max(most, Math.abs(value)), 0);

test('steps follow one another with a gap, without what is said to set them up', () => {
  const steps = stepsOf('thirds', 'long-hiss');
  const track = guideTrack(steps, { avoid: [], gapSeconds: 6 });
  const [thirds, hiss] = steps;
  const sung = thirds?.keys.reduce((sum, { seconds }) => sum + seconds, 0) ?? 0;
  expect(thirds?.seconds).toBeCloseTo(sung + (thirds?.setUpSeconds ?? 0), 6);
  expect(track.steps).toEqual([
    { name: 'Thirds', startsAt: 0, seconds: expect.closeTo(sung, 6) as number },
    { name: 'Long hiss', startsAt: expect.closeTo(sung + 6, 6) as number, seconds: hiss?.course?.seconds },
  ]);
  expect(track.seconds).toBeCloseTo(sung + 6 + (hiss?.course?.seconds ?? 0), 6);
  expect(guideTrack([], { avoid: [], gapSeconds: 6 })).toEqual({
    events: [],
    steps: [],
    tempos: [],
    words: [],
    seconds: 0,
  });
});

test('of any exercise each key has its tune where the ladder has it, and nothing sounds outside its step', () => {
  fc.assert(
    fc.property(fc.subarray([...exercises.keys()], { minLength: 1, maxLength: 3 }), (ids) => {
      const steps = stepsOf(...ids);
      const track = guideTrack(steps, { avoid: [], gapSeconds: 3 });
      for (const [index, { startsAt, seconds }] of track.steps.entries()) {
        const inside = track.events.filter(
          (event) => event.startSeconds >= startsAt && event.startSeconds < startsAt + seconds,
        );
        const ends = inside.map((event) => event.startSeconds + event.seconds);
        expect(Math.max(0, ...ends)).toBeLessThanOrEqual(startsAt + seconds + 1e-6);
        const { keys = [], ladder } = steps[index] ?? {};
        if (!ladder) continue;
        const tune = inside.filter(({ role }) => role === 'tune').map(({ midi }) => midi);
        expect(Math.min(...tune)).toBe(Math.min(...keys.map(({ low }) => low)));
        expect(Math.max(...tune)).toBe(Math.max(...keys.map(({ high }) => high)));
      }
      expect(track.events.every(({ startSeconds }) => startSeconds >= 0 && startSeconds < track.seconds)).toBe(true);
    }),
    { numRuns: 60 },
  );
});

test('as planned, a student alone hears the first note and not the tune', () => {
  const [thirds] = stepsOf('thirds');
  const alone = { ...thirds, keys: thirds?.keys.map((key) => ({ ...key, help: 'alone' })) } as RunStep;
  const roles = (asPlanned: boolean): readonly string[] => [
    ...new Set(guideTrack([alone], { avoid: [], gapSeconds: 3, asPlanned }).events.map(({ role }) => role)),
  ];
  expect(roles(true)).toEqual(['first-note']);
  expect(roles(false)).toContain('tune');
});

describe('mixed from recorded notes', () => {
  const track = trackOf(['thirds']);
  const tune = track.events.filter(({ role }) => role === 'tune');

  test.each([440, 415])('every note of the tune is heard at its pitch, tuned to %p', (tuning) => {
    const mix = mixer(tune, samples, { rate: RATE, tuning });
    expect(tune.length).toBeGreaterThan(30);
    for (const { midi, startSeconds, seconds } of tune) {
      const frames = frameMaker(RATE).add(mix(startSeconds + 0.02, Math.round((seconds - 0.04) * RATE)));
      const cents = frames
        .filter(({ clarity }) => clarity > 0.9)
        .map(({ hz }) => 1200 * Math.log2(hz / frequencyOf(midi, tuning)))
        .sort((one, other) => one - other);
      expect(Math.abs(cents[Math.floor(cents.length / 2)] ?? Infinity)).toBeLessThan(12);
    }
  });

  test('block by block it is the same as in one piece, and never louder than can be written', () => {
    const mix = mixer(track.events, samples, { rate: RATE });
    const whole = mix(0, RATE * 8);
    const parts = Array.from({ length: 16 }, (_, index) => [...mix(index / 2, RATE / 2)]).flat();
    expect(parts).toHaveLength(whole.length);
    expect(peak(parts.map((value, at) => value - (whole[at] ?? 0)))).toBeLessThan(1e-3);
    expect(peak(whole)).toBeGreaterThan(0.2);
    const loud = mixer(
      Array.from({ length: 40 }, () => ({ ...(tune[0] as (typeof tune)[0]), startSeconds: 0 })),
      samples,
      { rate: RATE },
    );
    expect(peak(loud(0, RATE))).toBeLessThanOrEqual(1);
  });

  test('a key that is let go dies away, and without samples there is silence', () => {
    const [first] = tune;
    const note = { ...(first as (typeof tune)[0]), startSeconds: 0, seconds: 1 };
    const mix = mixer([note], samples, { rate: RATE });
    expect(peak(mix(1 + RELEASE_SECONDS * 0.9, RATE / 100))).toBeLessThan(peak(mix(0.5, RATE / 100)) / 100);
    expect(peak(mix(1.5, RATE))).toBe(0);
    expect(peak(mixer([note], [], { rate: RATE })(0, RATE))).toBe(0);
  });
});

describe('as a MIDI file', () => {
  /** Seconds of every event, through each change of tempo. */
  const timed = (data: MidiData): { at: number; track: number; event: MidiData['tracks'][0][0] }[] => {
    const ticked = data.tracks.flatMap((events, track) => {
      let tick = 0;
      return events.map((event) => ({ tick: (tick += event.deltaTime), track, event }));
    });
    const changes = ticked.flatMap(({ tick, event }) =>
      event.type === 'setTempo'
        ? [{ tick, perTick: event.microsecondsPerBeat / 1e6 / (data.header.ticksPerBeat ?? 1) }]
        : [],
    );
    const secondsAt = (tick: number): number =>
      changes.reduce((sum, { tick: from, perTick }, index) => {
        const until = Math.min(tick, changes[index + 1]?.tick ?? Infinity);
        return sum + Math.max(0, until - from) * perTick;
      }, 0);
    return ticked.map(({ tick, ...rest }) => ({ at: secondsAt(tick), ...rest }));
  };

  test('it has every note at its second, names of steps as markers, syllables as lyrics', () => {
    const track = trackOf(['thirds', 'long-hiss', 'up-and-down-five']);
    const bytes = midiOfTrack(track, 'Before the boats');
    const read = timed(parseMidi(bytes));
    const on = read.flatMap(({ at, track: part, event }) =>
      event.type === 'noteOn' && part === 1 ? [{ at, midi: event.noteNumber }] : [],
    );
    const tune = track.events.filter(({ role }) => role === 'tune');
    expect(on.map(({ midi }) => midi)).toEqual(tune.map(({ midi }) => midi));
    for (const [index, { at }] of on.entries()) expect(at).toBeCloseTo(tune[index]?.startSeconds ?? -1, 2);
    const marks = read.flatMap(({ at, event }) => (event.type === 'marker' ? [[event.text, at]] : []));
    expect(marks).toEqual(track.steps.map(({ name, startsAt }) => [name, expect.closeTo(startsAt, 2) as number]));
    expect(read.filter(({ event }) => event.type === 'lyrics')).toHaveLength(track.words.length);
    expect(track.words.length).toBeGreaterThan(20);
    expect(readMidiFile(bytes).events.flatMap(({ midi }) => midi ?? [])).not.toHaveLength(0);
  });
});
