import fc from 'fast-check';
import { loadAgainst } from '../past/index.ts';
import { daysAfter } from '../voice/index.ts';
import { planWeeks, WEEKS } from './index.ts';

const TODAY = '2026-11-25';

test.each<[string, string, boolean, string]>([
  ['this week', '2026-11-28', true, '23 ease 60'],
  ['next week', '2026-12-05', true, '23 hold 100, 30 ease 60'],
  ['four weeks', '2026-12-19', true, '23 build 110, 30 build 120, 7 hold 120, 14 ease 60'],
  ['six weeks', '2027-01-01', true, '23 build 110, 30 build 120, 7 hold 120, 14 hold 120, 21 ease 90, 28 ease 60'],
  ['four weeks of a child', '2026-12-19', false, '23 usual 100, 30 usual 100, 7 hold 100, 14 ease 60'],
  ['a date that is over', '2026-11-24', true, ''],
  ['today', TODAY, true, '23 ease 60'],
])('%s', (_, date, grows, weeks) => {
  const said = planWeeks(TODAY, date, grows).map(
    ({ from, kind, share }) => `${String(Number(from.slice(-2)))} ${kind} ${(share * 100).toFixed(0)}`,
  );
  expect(said.join(', ')).toBe(weeks);
});

test('no week is more than the four before it allow, none of them is missing, and the last one eases off', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 400 }), (days) => {
      const weeks = planWeeks(TODAY, daysAfter(TODAY, days), true);
      expect(weeks.length).toBeGreaterThan(0);
      expect(weeks.length).toBeLessThanOrEqual(WEEKS.most);
      const shares = [1, 1, 1, 1, ...weeks.map(({ share }) => share)];
      for (const [index, { from, share }] of weeks.entries()) {
        const before = shares.slice(index, index + 4);
        expect(loadAgainst(share, before.reduce((sum, one) => sum + one, 0) / 4).mark).toBeNull();
        if (index > 0) expect(from).toBe(daysAfter(weeks[index - 1]?.from ?? '', 7));
      }
      expect(weeks.at(-1)?.kind).toBe('ease');
    }),
  );
});
