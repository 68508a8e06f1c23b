import fc from 'fast-check';
import { keys, ladderOf } from '../testing/ladders.ts';
import { thrownBy } from '../testing/thrown.ts';
import { buildLadder, TRAVELS, type LadderInput } from './index.ts';

const timesOf = (input: LadderInput) => {
  const { rungs } = buildLadder(input);
  return {
    first: keys(rungs.filter((rung) => rung.pass === undefined)),
    second: keys(rungs.filter((rung) => rung.pass === 2)),
  };
};

test.each<[string, Partial<LadderInput>, string, string]>([
  [
    'so many keys, then a tone higher',
    { maxKeys: 3, travel: 'rise', again: { further: 2 } },
    'C4 D♭4 D4',
    'C4 D♭4 D4 E♭4 E4',
  ],
  [
    'up to the limit it is the first that ends earlier',
    { ceiling: 70, travel: 'rise', again: { further: 2 } },
    'C4 D♭4',
    'C4 D♭4 D4 E♭4',
  ],
  ['just the same twice', { maxKeys: 2, travel: 'rise', again: { further: 0 } }, 'C4 D♭4', 'C4 D♭4'],
  ['home and off again', { maxKeys: 2, again: { further: 1 } }, 'C4 D♭4 C4', 'C4 D♭4 D4 D♭4 C4'],
  [
    'falling, the bottom is further down',
    { start: 62, travel: 'fall', maxKeys: 2, again: { further: 2 } },
    'D4 D♭4',
    'D4 D♭4 C4 B3',
  ],
  ['the first has its start at least', { ceiling: 68, travel: 'rise', again: { further: 5 } }, 'C4', 'C4 D♭4'],
  ['what stays in one key stays', { travel: 'stay', again: { further: 2 } }, 'C4', ''],
])('%s', (_, change, first, second) => {
  expect(timesOf(ladderOf(change))).toEqual({ first, second });
});

test('both times keep to the limits and to their half of the time, the second after the first', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...TRAVELS),
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: 0, max: 12 }),
      fc.integer({ min: 60, max: 67 }),
      fc.option(fc.integer({ min: 1, max: 9 }), { nil: undefined }),
      (travel, step, further, start, maxKeys) => {
        const input = ladderOf({ travel, step, start, ...(maxKeys !== undefined && { maxKeys }), again: { further } });
        const ladder = buildLadder(input);
        for (const [index, rung] of ladder.rungs.entries()) {
          expect(rung.low).toBeGreaterThanOrEqual(input.floor);
          expect(rung.high).toBeLessThanOrEqual(input.ceiling);
          expect(rung.startsAt).toBeGreaterThanOrEqual(ladder.rungs[index - 1]?.endsAt ?? 0);
        }
        expect(ladder.seconds).toBe(ladder.rungs.at(-1)?.endsAt);
        const within = ladder.seconds * 0.7;
        const thinned = buildLadder({ ...input, withinSeconds: within });
        const least = thinned.rungs.length <= 6;
        expect(least || thinned.seconds <= within + 1).toBe(true);
      },
    ),
  );
});

test('a second time that would go back is refused', () => {
  expect(thrownBy(() => buildLadder(ladderOf({ again: { further: -1 } })))).toMatchObject({ code: 'BAD_SETTING' });
});
