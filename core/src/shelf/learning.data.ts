// Source: house choice from common practice with learnt skills; counts of goes, days and weeks.
import type { Caution } from '../voice/index.ts';

/** When a learnt stage is passed, and when it is taken back. */
export const LEARNING_RULES = {
  passGood: 4,
  passOf: 5,
  passDays: 3,
  retreatFailures: 2,
  /** Days without change until another exercise is proposed. */
  stillDays: 21,
  reviewWeeks: { from: 6, to: 8 },
} as const;

/** Something laid over a modest step, such as a hand that watches the jaw. */
export interface Overlay {
  readonly id: string;
  readonly name: string;
  /** Technical overlays ask for attention: at most one of them a step. */
  readonly isTechnical: boolean;
  readonly setUpSeconds: number;
  readonly text: string;
  /** Stages it is learnt in. */
  readonly learnt: readonly string[];
  readonly cautions: readonly string[];
  /** Cautions on file that leave it out. */
  readonly notWith?: readonly Caution[];
}

export const OVERLAYS: readonly Overlay[] = [
  {
    id: 'hand-at-the-jaw',
    name: 'A hand that watches the jaw',
    isTechnical: true,
    setUpSeconds: 15,
    text: 'Fingertips lie at the jaw hinge or under the chin; they notice, they never press.',
    learnt: ['with the hand', 'the hand a finger away', 'without', 'with the next exercise'],
    cautions: ['Lightly, and not with a jaw that hurts.'],
    notWith: ['jaw'],
  },
  {
    id: 'slow-sway',
    name: 'A slow sway',
    isTechnical: false,
    setUpSeconds: 8,
    text: 'Weight goes from foot to foot, slower than the beat, so that nothing locks.',
    learnt: [],
    cautions: ['Not with dizziness.'],
  },
  {
    id: 'wall-at-the-back',
    name: 'A wall at the back',
    isTechnical: true,
    setUpSeconds: 15,
    text: 'Heels a hand from the wall; back and head rest on it without being pushed there.',
    learnt: ['at the wall', 'a step away from it', 'anywhere'],
    cautions: ['The head rests; it is never pressed back.'],
  },
  {
    id: 'mirror',
    name: 'A mirror',
    isTechnical: true,
    setUpSeconds: 10,
    text: 'One thing is watched in the mirror: shoulders, jaw or brow, and only that.',
    learnt: ['watching', 'eyes closed, then a look', 'without'],
    cautions: [],
  },
];
