// Source: usual teaching reference, schools differ. Semitones, MIDI notes, hours, years; a teacher can change every figure.
import { BELT_CEILINGS, BURDENS, conditionRow, REFERENCE_RANGES, type Burden } from '../voice/index.ts';
import type { RuleTable } from './limits.types.ts';

/** By how much each condition lowers the ceiling, as its row has it. */
function conditionDrops(): Readonly<Record<Burden, number>> {
  return Object.fromEntries(BURDENS.map((name) => [name, conditionRow(name).lower?.usual ?? 0])) as Record<
    Burden,
    number
  >;
}

export const USUAL_RULES: RuleTable = {
  margin: { usual: 1, most: 4, leastRange: 12 },
  style: { classical: 0, theatre: 0, pop: 0, jazz: 0, folk: 0, choral: -1, heavy: 0, gospel: 0, rock: 0, rnb: 0 },
  condition: { ...conditionDrops(), mostDrop: 5, mostShare: 1 / 3 },
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
  grit: { keepsOff: 4, everyDays: 2 },
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
  setUp: { whenNew: 20, whenKnown: 5 },
  older: { from: 65, tempoShare: 0.9, firstSpan: 9 },
  // House reading of usual practice: few things, done through the voice, that come back.
  draftLeast: { 3: 3, 5: 4, 8: 5, 10: 6, 12: 7, 15: 8, 20: 10, 30: 12, 45: 16 },
  draftMost: { 3: 3, 5: 5, 8: 6, 10: 8, 12: 9, 15: 10, 20: 12, 30: 16, 45: 20 },
  draft: {
    coolDownShare: 0.15,
    coolDownLeast: 60,
    coolDownShort: 45,
    coolDownAfterHeavy: 180,
    explainFirst: 0.25,
    explainShort: 1 / 3,
    explainLater: 0.12,
    comesBack: 0.75,
    another: 0.4,
    childMost: 120,
  },
  ranges: REFERENCE_RANGES,
};
