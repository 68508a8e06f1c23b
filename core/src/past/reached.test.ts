import { reachedIn } from './index.ts';

const key = (exerciseId: string, tonic: number, tempo = 92, outcome: 'sung' | 'skipped' = 'sung') => ({
  exerciseId,
  tonic,
  tempo,
  outcome,
});

test.each<[string, Parameters<typeof reachedIn>[0], Record<string, unknown>]>([
  ['no run', [], {}],
  [
    'the first key that was sung',
    [{ conditions: [], sung: [key('five', 60, 92, 'skipped'), key('five', 62), key('five', 63, 96)] }],
    { five: { start: 62, tempo: 92 } },
  ],
  [
    'the latest run before an earlier one, the earlier where it alone sang something',
    [
      { conditions: ['fresh'], sung: [key('five', 64, 100)] },
      { conditions: [], sung: [key('five', 60), key('eight', 58, 80)] },
    ],
    { five: { start: 64, tempo: 100 }, eight: { start: 58, tempo: 80 } },
  ],
  [
    'a tired day says nothing',
    [
      { conditions: ['tired'], sung: [key('five', 57, 70)] },
      { conditions: [], sung: [key('five', 60)] },
    ],
    { five: { start: 60, tempo: 92 } },
  ],
])('settings that were reached: %s', (_, runs, reached) => {
  expect(Object.fromEntries(reachedIn(runs))).toEqual(reached);
});
