// Source: usual teaching reference, schools differ. Semitones, MIDI notes, hours, years; a teacher can change every figure.
import { BELT_CEILINGS, REFERENCE_RANGES } from '../voice/index.ts';
import type { RuleTable } from './limits.types.ts';

export const USUAL_RULES: RuleTable = {
  source: 'usual teaching reference, schools differ',
  margin: { usual: 1, most: 4, leastRange: 12 },
  style: { classical: 0, theatre: 0, pop: 0, jazz: 0, folk: 0, choral: -1, heavy: 0, gospel: 0, rock: 0, rnb: 0 },
  condition: { heavy: 2, tired: 2, recovering: 3, mostDrop: 5, mostShare: 1 / 3 },
  performance: { nothingNewHours: 72, closeHours: 24, closeDelta: -1 },
  home: { narrower: 1, narrowerWhenNew: 2 },
  gentle: { ceiling: 2, floor: -1 },
  occluded: { mostResistanceTired: 2 },
  modest: { belowTop: 5, leastWidth: 7 },
  extension: { overTop: 2, afterSungSteps: 2 },
  belt: {
    soprano: BELT_CEILINGS.soprano.usual,
    'mezzo-soprano': BELT_CEILINGS['mezzo-soprano'].usual,
    contralto: BELT_CEILINGS.contralto.usual,
    countertenor: BELT_CEILINGS.countertenor.usual,
    tenor: BELT_CEILINGS.tenor.usual,
    baritone: BELT_CEILINGS.baritone.usual,
    'bass-baritone': BELT_CEILINGS['bass-baritone'].usual,
    bass: BELT_CEILINGS.bass.usual,
  },
  grit: { keepsOff: 4 },
  opening: { sungSteps: 2, occludedBelowTop: 2 },
  young: {
    teenFrom: 13,
    grownFrom: 18,
    noBeltUnder: 12,
    speechMixUnder: 15,
    speechMixTop: 69,
    mixTop: 71,
    noGritUnder: 16,
  },
  changing: { pastMiddle: 0 },
  breath: { child: 5, beginner: 7, usual: 9, recoveringShare: 0.6 },
  older: { from: 65, tempoShare: 0.9, firstSpan: 9 },
  ranges: REFERENCE_RANGES,
};
