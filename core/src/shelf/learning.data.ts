// Source: house choice from common practice with learnt skills; counts of goes, days and weeks.
import type { Caution, VoiceFile } from '../voice/index.ts';

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
  /** What on the voice file stands in its way. */
  readonly notIf?: VoiceFile['obstacles'];
  /** Left out on a day on which breath work made somebody dizzy. */
  readonly notDizzy?: boolean;
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
    notDizzy: true,
    notIf: ['seated'],
  },
  {
    id: 'wall-at-the-back',
    name: 'A wall at the back',
    isTechnical: true,
    setUpSeconds: 15,
    text: 'Heels a hand from the wall; back and head rest on it without being pushed there.',
    learnt: ['at the wall', 'a step away from it', 'anywhere'],
    cautions: ['The head rests; it is never pressed back.'],
    notIf: ['seated'],
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
  {
    id: 'lying-with-a-book',
    name: 'Lying down, a book on the belly',
    isTechnical: true,
    setUpSeconds: 30,
    text: 'On the back with knees up, a light book on the belly; it rises as the breath comes, and sinks slowly.',
    learnt: ['lying', 'sitting, a hand where the book was', 'standing'],
    cautions: ['Not in pregnancy or after surgery of the belly; up again slowly, over one side.'],
    notWith: ['pregnancy', 'belly'],
    notIf: ['seated'],
    notDizzy: true,
  },
  {
    id: 'hand-on-the-belly',
    name: 'A hand on the belly',
    isTechnical: true,
    setUpSeconds: 8,
    text: 'A hand lies under the ribs and notices what comes towards it; it never pushes.',
    learnt: ['with the hand', 'the hand a finger away', 'without'],
    cautions: [],
  },
  {
    id: 'hands-on-the-ribs',
    name: 'Hands on the ribs',
    isTechnical: true,
    setUpSeconds: 8,
    text: 'A hand on each side, thumbs to the back; the ribs open into them and are slow to come home.',
    learnt: ['with the hands', 'the hands a finger away', 'without'],
    cautions: [],
  },
  {
    id: 'fingers-between-the-molars',
    name: 'Two fingertips between the molars',
    isTechnical: true,
    setUpSeconds: 15,
    text: 'From outside, through the cheeks, two fingertips keep a little room between the back teeth.',
    learnt: ['with the fingers', 'fingers by the cheek', 'without'],
    cautions: ['Room, never pressure, for a few keys only, and not with a jaw that hurts.'],
    notWith: ['jaw'],
  },
  {
    id: 'walking',
    name: 'Walking',
    isTechnical: false,
    setUpSeconds: 5,
    text: 'A slow walk through the room, a step a beat; the sound does not feel the feet.',
    learnt: [],
    cautions: ['Not with dizziness.'],
    notIf: ['seated'],
    notDizzy: true,
  },
  {
    id: 'on-a-chair',
    name: 'Seated, forward on the chair',
    isTechnical: false,
    setUpSeconds: 5,
    text: 'On the front half of the chair, both feet on the floor, the weight ready to stand.',
    learnt: [],
    cautions: [],
  },
  {
    id: 'chewing',
    name: 'Chewing, as on something soft',
    isTechnical: false,
    setUpSeconds: 8,
    text: 'The jaw chews slowly and small while the sound goes on; the tongue goes with it.',
    learnt: [],
    cautions: ['Small and slow, and not with a jaw that hurts.'],
    notWith: ['jaw'],
  },
  {
    id: 'eyes-closed',
    name: 'Eyes closed',
    isTechnical: false,
    setUpSeconds: 5,
    text: 'Eyes closed for a few keys, to feel rather than to watch; then open, and the same again.',
    learnt: [],
    cautions: ['Never while driving or walking, and not with dizziness.'],
    notDizzy: true,
  },
];
