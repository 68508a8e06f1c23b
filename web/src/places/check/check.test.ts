import { frequencyOf, SINGERS, singNote, speakLine, type PitchFrame, type SingerName } from '@soft-lark/core';
import fc from 'fast-check';
import { layHistory } from '../students/check-history.layout.ts';
import { judge, speakingNoteOf } from './ear.ts';
import { layTrace } from './trace.layout.ts';

const NAMES = Object.keys(SINGERS) as SingerName[];

function tone(midi: number, seconds: number, from = 0): PitchFrame[] {
  return Array.from({ length: Math.round(seconds / 0.016) }, (_, index) => ({
    t: from + index * 0.016,
    hz: frequencyOf(midi),
    clarity: 0.97,
    level: 0.1,
  }));
}

describe('the ear', () => {
  test.each<[string, readonly PitchFrame[], number, object]>([
    ['the note asked for', tone(60, 1), 60, { note: 60, isOctaveOff: false }],
    ['a neighbour counts where it was sung', tone(61, 1), 60, { note: 61, isOctaveOff: false }],
    ['the same note an octave lower is asked again', tone(48, 1), 60, { note: 48, isOctaveOff: true }],
    ['two octaves are no better', tone(84, 1), 60, { note: 84, isOctaveOff: true }],
    ['too short', tone(60, 0.4), 60, { note: null, isOctaveOff: false }],
    ['nothing at all', [], 60, { note: null, hearing: 'nothing' }],
    ['the first note held is the one', [...tone(60, 0.8), ...tone(62, 0.8, 0.8)], 60, { note: 60 }],
  ])('%s', (_, frames, target, expected) => {
    expect(judge(frames, target)).toMatchObject(expected);
  });

  test('a crack at the bridge is marked once, where it began', () => {
    const found = Array.from({ length: 20 }, (_, seed) => judge(singNote(SINGERS.cracking, 62, seed + 1).frames, 62));
    const cracked = found.filter(({ turns }) => turns.length > 0);
    expect(cracked.length).toBeGreaterThan(10);
    for (const { note, turns } of cracked) expect([note, turns]).toEqual([62, [62]]);
  });

  test.each(NAMES)('%s: talk proposes the speaking note, once there is enough of it', (name) => {
    expect(speakingNoteOf(speakLine(SINGERS[name], 3, 2))).toBeNull();
    const proposed = speakingNoteOf(speakLine(SINGERS[name], 3)) ?? 0;
    expect(Math.abs(proposed - SINGERS[name].speakingNote)).toBeLessThanOrEqual(1);
  });
});

describe('the trace', () => {
  test('time runs to the right edge, pitch upwards, and the note asked for is in the band', () => {
    const { runs, band, lines } = layTrace(tone(60, 2), 60, 600, 300);
    const [run = []] = runs;
    expect(runs).toHaveLength(1);
    expect(run.at(-1)?.x).toBeCloseTo(592);
    expect((run[0]?.x ?? 0) < (run[1]?.x ?? 0)).toBe(true);
    for (const { y } of run) expect(y >= band.top && y <= band.bottom).toBe(true);
    expect(lines.find(({ isTarget }) => isTarget)).toMatchObject({ name: 'C4' });
    expect((lines[0]?.y ?? 0) > (lines.at(-1)?.y ?? 0)).toBe(true);
  });

  test.each<[string, readonly PitchFrame[], number]>([
    ['a breath between two notes parts them', [...tone(60, 0.5), ...tone(60, 0.5, 0.7)], 2],
    ['a leap parts them', [...tone(60, 0.5), ...tone(67, 0.5, 0.5)], 2],
    ['a step does not', [...tone(60, 0.5), ...tone(62, 0.5, 0.5)], 1],
    ['what is unclear is not drawn', tone(60, 0.5).map((frame) => ({ ...frame, clarity: 0.2 })), 0],
    ['what is older than the picture is not drawn', [...tone(60, 0.5), ...tone(60, 0.5, 30)], 1],
  ])('%s', (_, frames, count) => {
    expect(layTrace(frames, 60, 600, 300).runs).toHaveLength(count);
  });
});

describe('range checks over time', () => {
  const check = (day: string, low: number, high: number): Parameters<typeof layHistory>[0][number] => ({
    id: day,
    day,
    way: 'keys',
    low,
    high,
    reachLow: low - 2,
    reachHigh: high + 3,
    gaps: [],
    bridges: [{ low: low + 6, high: low + 7 }],
  });

  test('columns stand in the order of their days, each with its own ends', () => {
    const columns = layHistory([check('2026-09-01', 60, 72), check('2026-11-01', 57, 74)], 400, 190);
    expect(columns.map(({ low, high }) => [low, high])).toEqual([
      ['C4', 'C5'],
      ['A3', 'D5'],
    ]);
    expect((columns[0]?.x ?? 0) < (columns[1]?.x ?? 0)).toBe(true);
    expect(layHistory([], 400, 190)).toEqual([]);
    expect(layHistory([check('2026-09-01', 60, 72)], 400, 190)[0]?.x).toBe(200);
  });

  test('whatever was measured, nothing leaves the picture and nothing lies on its head', () => {
    const days = fc.uniqueArray(fc.integer({ min: 0, max: 700 }), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(days, fc.integer({ min: 40, max: 60 }), fc.integer({ min: 5, max: 24 }), (offsets, low, span) => {
        const checks = [...offsets]
          .sort((a, b) => a - b)
          .map((offset, index) =>
            check(new Date(Date.UTC(2025, 0, 1 + offset)).toISOString().slice(0, 10), low + (index % 3), low + span),
          );
        const columns = layHistory(checks, 400, 190);
        columns.forEach(({ x, reach, comfortable }, index) => {
          expect(x >= 40 && x <= 360).toBe(true);
          expect(x > (columns[index - 1]?.x ?? 0)).toBe(true);
          expect(reach.top >= 0 && reach.bottom <= 190).toBe(true);
          expect(reach.top <= comfortable.top && comfortable.bottom <= reach.bottom).toBe(true);
          expect(comfortable.top < comfortable.bottom).toBe(true);
        });
      }),
      { numRuns: 300 },
    );
  });
});
