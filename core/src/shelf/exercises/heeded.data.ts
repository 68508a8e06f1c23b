// Source: the usual cautions of the field. A sentence stands here with the rule it stands for, for all who have both.
import { VOICE_TYPES, isAdultType } from '../../voice/index.ts';
import type { WrittenExercise } from '../exercise.schema.ts';

type Heeded = Pick<WrittenExercise, 'cautions' | 'dose' | 'notWith' | 'notWhen' | 'notWithin'>;

/** Voices that are grown up. */
export const GROWN: WrittenExercise['voices'] = VOICE_TYPES.filter(isAdultType);

export const BELT: Heeded = {
  cautions: ['Ten minutes of such work in all; rest after three or four phrases.'],
  dose: { restAfterKeys: 3, restSeconds: 20, mostSeconds: 600 },
};

export const CREAK: Heeded = {
  cautions: ['Soft, six to eight seconds at a time, two to three minutes in all; not when hoarse.'],
  dose: { restAfterKeys: 2, restSeconds: 8, mostSeconds: 180 },
};

export const STRAW: Heeded = {
  cautions: ['No hiss, no pressure behind eyes or ears; with glaucoma or recent surgery a doctor is asked first.'],
  notWith: ['eyes-or-ears'],
};

export const STRETCH: Heeded = {
  cautions: ['Not on a tired or recovering day, and not within three days of a performance.'],
  notWhen: ['tired', 'recovering'],
  notWithin: 72,
};
