// Source: usual order of a warm-up and usual shares of its minutes; house choice which stages go first when time is short.
import type { Stage } from '../limits/index.ts';
import type { Statement } from '../statement.ts';
import type { DraftCode } from './draft.types.ts';

/** One place in a draft: a stage, what it should serve, and whether it stays when time is short. */
export interface DraftSlot {
  readonly stage: Stage;
  readonly goals?: readonly string[];
  /** Only what serves one of the goals. */
  readonly mustServe?: boolean;
  /** No heavier than this. */
  readonly mostLoad?: number;
  /** Where it stands, where the plan has an order of its own. */
  readonly place?: number;
  readonly keep?: boolean;
  /** The one exercise that is wanted here, and why. */
  readonly only?: string;
  readonly because?: readonly Statement<DraftCode>[];
  /** Something that reaches the bridge on file is wanted most. */
  readonly isOverBridge?: boolean;
  /** Only what is sung. */
  readonly isSung?: boolean;
  /** A glide through the whole of today’s range is wanted most. */
  readonly isWide?: boolean;
  /** Goes before all that may be dropped. */
  readonly isUrgent?: boolean;
  /** Points by how early the place stands in the plan: the first are let go last. */
  readonly early?: number;
}

const slots = (...stages: readonly Stage[]): readonly DraftSlot[] => stages.map((stage) => ({ stage }));
const ALWAYS: readonly DraftSlot[] = [
  { stage: 'occluded', keep: true },
  { stage: 'cool', keep: true },
];

/** The kind of day a draft is for. */
export type DraftDay = 'plain' | 'tired' | 'recovering' | 'performance' | 'young' | 'older' | 'late' | 'cool-down';

/** Places in the order in which they are given room: the first are there in three minutes, the last in an hour. */
export const DRAFT_PLANS: Readonly<Record<DraftDay, readonly DraftSlot[]>> = {
  plain: [
    ...ALWAYS,
    ...slots(
      'middle',
      'registers',
      'breath',
      'resonance',
      'agility',
      'style',
      'range',
      'occluded',
      'breath',
      'release',
      'settle',
      'tone',
    ),
    ...slots('words', 'onset', 'dynamics', 'style', 'middle', 'breath', 'registers', 'resonance', 'tone', 'agility'),
    ...slots('words', 'style', 'occluded', 'middle', 'dynamics', 'tone', 'registers', 'release', 'settle', 'breath'),
    ...slots('agility', 'resonance', 'middle', 'onset', 'words', 'style', 'tone', 'range', 'cool', 'occluded'),
  ],
  tired: [
    ...ALWAYS,
    ...slots('occluded', 'breath', 'resonance', 'occluded', 'middle', 'release', 'settle', 'occluded', 'words', 'tone'),
    ...slots('breath', 'resonance', 'onset', 'release', 'middle', 'settle', 'cool', 'occluded', 'words', 'resonance'),
    ...slots('breath', 'settle', 'release', 'occluded', 'middle', 'tone', 'cool', 'occluded', 'resonance', 'breath'),
  ],
  recovering: [
    ...ALWAYS,
    ...slots('occluded', 'breath', 'occluded', 'resonance', 'release', 'occluded', 'settle', 'breath', 'occluded'),
    ...slots('middle', 'occluded', 'resonance', 'settle', 'cool', 'occluded', 'breath', 'occluded', 'release'),
    ...slots('occluded', 'settle', 'breath', 'resonance', 'occluded', 'middle', 'occluded', 'release', 'cool'),
  ],
  performance: [
    ...ALWAYS,
    ...slots('middle', 'breath', 'resonance', 'occluded', 'release', 'registers', 'settle', 'words', 'tone', 'agility'),
    ...slots('middle', 'breath', 'style', 'resonance', 'dynamics', 'occluded', 'words', 'release', 'tone', 'registers'),
    ...slots('middle', 'settle', 'breath', 'style', 'occluded', 'resonance', 'agility', 'words', 'cool', 'tone'),
  ],
  young: [
    ...ALWAYS,
    ...slots('resonance', 'middle', 'breath', 'words', 'settle', 'resonance', 'release', 'middle', 'occluded', 'words'),
    ...slots('breath', 'registers', 'resonance', 'settle', 'middle', 'words', 'release', 'cool', 'occluded', 'tone'),
  ],
  older: [
    ...ALWAYS,
    ...slots(
      'occluded',
      'breath',
      'middle',
      'resonance',
      'release',
      'settle',
      'registers',
      'occluded',
      'words',
      'tone',
    ),
    ...slots('agility', 'breath', 'middle', 'resonance', 'onset', 'dynamics', 'settle', 'occluded', 'words', 'range'),
    ...slots('release', 'tone', 'middle', 'breath', 'occluded', 'registers', 'words', 'resonance', 'cool', 'settle'),
  ],
  late: [
    ...ALWAYS,
    ...slots('middle', 'resonance', 'breath', 'occluded', 'release', 'registers', 'words', 'settle', 'agility', 'tone'),
    ...slots('middle', 'resonance', 'occluded', 'style', 'breath', 'registers', 'cool', 'dynamics', 'words', 'release'),
  ],
  'cool-down': [
    ...ALWAYS,
    ...slots('cool', 'release', 'cool', 'breath', 'resonance', 'occluded', 'cool', 'settle', 'breath', 'cool'),
    ...slots('occluded', 'resonance', 'release', 'occluded', 'breath', 'resonance', 'occluded', 'settle', 'release'),
  ],
};

/** What the schools' answer on the breath's share does to a plan: how many places of breath work come first, and how many there may be. */
export const BREATH_PLACES: Readonly<Record<string, { readonly first: number; readonly most: number }>> = {
  some: { first: 0, most: Infinity },
  brief: { first: 0, most: 1 },
  thorough: { first: 3, most: Infinity },
};

/** What speaks for and against an exercise in a draft; points, the greater the weightier. House choice. */
export const DRAFT_POINTS = {
  goalOfSlot: 5,
  sungCoolDown: 3,
  wide: 12,
  goal: 3,
  mostGoals: 2,
  songNeed: 4,
  known: 2,
  knownWhenClose: 14,
  workedWell: 1,
  urgent: 20,
  mostEarly: 6,
  thirdOfAKind: -4,
  doneLast: -9,
  doneBefore: 0,
  advanced: -1,
  style: 3,
  /** Made for the young, in a young voice: before everything else of its stage. */
  madeForYoung: 8,
  carried: 12,
  /** Was easy twice: minutes go to more of its keys. */
  wantsMore: 4,
  chance: 6,
} as const;

/** Goals that are served by something laid over a modest step rather than by a step of their own. */
export const GOAL_OVERLAYS: Readonly<Record<string, string>> = {
  'release-jaw': 'hand-at-the-jaw',
  alignment: 'wall-at-the-back',
  neck: 'slow-sway',
};
