import { act, renderHook } from '@testing-library/react';
import { parsePattern, singTune, SINGERS, wantedNotes, type PitchFrame, type WantedNote } from '@soft-lark/core';
import { pitchScale } from '../../flight/pitch-scale.ts';
import type { EarSource } from '../../listening/ear.ts';
import { layHeard } from './heard.layout.ts';
import { useEar, type Listening } from './use-ear.ts';
import { useOpenEar } from './use-open-ear.ts';

const CUE_SECONDS = 2;
const FIVE = parsePattern('1 2 3 4 5 4 3 2 1:3', { mode: 'major' });
/** Inside the steady singer’s range; through the bridge of the one that cracks; beyond what that one reaches. */
const EASY = wantedNotes(FIVE, 58, 100);
const AT_BRIDGE = wantedNotes(FIVE, 61, 100);
const TOO_HIGH = wantedNotes(FIVE, 74, 100);
const LASTS = 11 * 0.6;

interface Opened {
  readonly listening: () => Listening;
  readonly onSung: jest.Mock;
  readonly goOn: (seconds: number) => Promise<void>;
  readonly show: (change: Partial<Shown>) => void;
}

interface Shown {
  readonly source: EarSource | null;
  readonly id: string | null;
  readonly wanted: readonly WantedNote[] | null;
  readonly tellsCracks: boolean;
}

/** Listens to a singer, in time that only goes on when it is told to. */
async function open(shown: Partial<Shown> = {}): Promise<Opened> {
  const onSung = jest.fn();
  let now: Shown = { source: 'steady', id: 'first', wanted: EASY, tellsCracks: true, ...shown };
  const { result, rerender } = renderHook(
    ({ source, id, wanted, tellsCracks }: Shown) =>
      useEar({
        open: useOpenEar(source),
        going: id === null ? null : { id, elapsed: 0 },
        key: wanted && { wanted, tonic: 58, sungBefore: 0, cueSeconds: CUE_SECONDS },
        tellsCracks,
        onSung,
      }),
    { initialProps: now },
  );
  const goOn = (seconds: number): Promise<void> => act(() => jest.advanceTimersByTimeAsync(seconds * 1000));
  const show = (change: Partial<Shown>): void => {
    now = { ...now, ...change };
    rerender(now);
  };
  await goOn(0.01);
  return { listening: () => result.current, onSung, goOn, show };
}

beforeEach(() => {
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
});

test('a key is told note by note as it is sung, and as a whole once it is over', async () => {
  const { listening, goOn, onSung } = await open();
  expect(listening().state).toBe('on');
  await goOn(CUE_SECONDS + 3 * 0.6 + 0.2);
  expect(listening().now?.notes.map(({ is }) => is)).toEqual(['sung', 'sung', 'sung']);
  expect(listening().heard).toBeNull();
  await goOn(LASTS - 1);
  const { heard } = listening();
  expect(heard).toMatchObject({ id: 'first', marks: [], score: { octaves: 0, isCutShort: false } });
  expect(heard?.score.inTune).toBeGreaterThan(0.8);
  expect(heard?.vibrato).toMatchObject({ rateHz: expect.closeTo(5.4, 0) as number });
  expect(onSung).toHaveBeenCalledTimes(1);
});

test.each<[string, Partial<Shown>, readonly string[]]>([
  ['a crack at the bridge is proposed, and waits', { source: 'cracking', wanted: AT_BRIDGE }, ['crack']],
  ['where cracks are welcome none is', { source: 'cracking', wanted: AT_BRIDGE, tellsCracks: false }, []],
  ['notes that do not come propose breath and pitch', { source: 'cracking', wanted: TOO_HIGH }, ['breath', 'pitch']],
])('%s', async (_, shown, marks) => {
  const { listening, goOn, onSung } = await open(shown);
  await goOn(CUE_SECONDS + LASTS + 3);
  expect(listening().heard?.marks).toEqual(marks);
  expect(onSung).toHaveBeenCalledTimes(marks.length === 0 ? 1 : 0);
});

test('a key that is left was not cut short, and its name stays with it', async () => {
  const { listening, goOn, show, onSung } = await open();
  await goOn(CUE_SECONDS + 4);
  show({ id: 'second' });
  await goOn(0.2);
  expect(listening().heard).toMatchObject({ id: 'first', marks: [] });
  expect(listening().now?.notes ?? []).toEqual([]);
  expect(onSung).not.toHaveBeenCalled();
});

test('a pause, a key nobody listens to, and off again: nothing is heard', async () => {
  const { listening, goOn, show, onSung } = await open({ wanted: null });
  await goOn(CUE_SECONDS + LASTS + 3);
  expect([listening().heard, listening().frames.current]).toEqual([null, []]);
  show({ wanted: EASY, id: null });
  await goOn(CUE_SECONDS + LASTS + 3);
  expect(listening().heard).toBeNull();
  show({ source: null, id: 'third' });
  await goOn(CUE_SECONDS + LASTS + 3);
  expect([listening().state, listening().heard, onSung.mock.calls]).toEqual(['off', null, []]);
});

test('a device without a microphone says so', async () => {
  const { listening, goOn } = await open({ source: 'microphone' });
  await goOn(1);
  expect(listening().state).toBe('NONE');
});

test('the line lies on the notes that were sung, an octave away as well', () => {
  const frames = singTune(SINGERS.steady, EASY, 1);
  const lay = (heard: readonly PitchFrame[], octaves: number): ReturnType<typeof layHeard> =>
    layHeard({
      frames: heard,
      wanted: EASY,
      score: { notes: [], cents: 0, inTune: 1, octaves, isCutShort: false, cracks: [], lagSeconds: 0 },
      width: 600,
      height: 66,
    });
  const { notes, runs } = lay(frames, 0);
  const scale = pitchScale(56, 67, 6, 60);
  expect(notes.map(({ y, height }) => y + height / 2)).toEqual(
    EASY.map(({ midi }) => expect.closeTo(scale.y(midi)) as number),
  );
  const held = (note: (typeof notes)[number]): readonly number[] =>
    runs.flat().flatMap(({ x, y }) => (x > note.x + 12 && x < note.x + note.width - 12 ? [y] : []));
  for (const note of notes) {
    expect(held(note).length).toBeGreaterThan(5);
    for (const y of held(note)) expect(Math.abs(y - note.y - note.height / 2)).toBeLessThan(6);
  }
  const lower = frames.map((frame) => ({ ...frame, hz: frame.hz / 2 }));
  expect(lay(lower, -1).runs).toEqual(
    runs.map((run) => run.map(({ x, y }) => ({ x, y: expect.closeTo(y) as number }))),
  );
});
