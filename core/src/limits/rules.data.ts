// Source: usual teaching reference, schools differ. Deltas in semitones; a teacher can change every figure.
import type { RuleTable } from './limits.types.ts';

export const USUAL_RULES: RuleTable = {
  source: 'usual teaching reference, schools differ',
  margin: { usual: 1, most: 4, leastRange: 12 },
  style: { choral: -1 },
  condition: { heavy: 2, tired: 2, recovering: 3, mostDrop: 5, mostShare: 1 / 3 },
  performance: { nothingNewHours: 72, closeHours: 24, closeDelta: -1 },
  home: { narrower: 1, narrowerWhenNew: 2 },
  gentle: { ceiling: 2, floor: -1 },
  modest: { belowTop: 5, leastWidth: 7 },
  extension: { overTop: 2, afterSungSteps: 2 },
  grit: { keepsOff: 4 },
  opening: { sungSteps: 2 },
};
