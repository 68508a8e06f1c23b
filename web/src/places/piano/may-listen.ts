import { currentKey, currentStep, wantedNotes, type RunState, type WantedNote } from '@soft-lark/core';

/** Why a key is not listened to, in a word the catalogue knows. */
export type NotHeard = 'child' | 'ease' | 'glide' | 'shown' | 'piano' | 'several';

interface Asked {
  readonly isChild: boolean;
  /** Whether the sound of the step is judged at all. */
  readonly isJudged: boolean;
  /** The piano is not in the room: it is silent, or in headphones. */
  readonly isPianoAway: boolean;
}

/** The notes of the key that is on, to be listened for; or why nobody listens. */
export function toListenFor(
  state: RunState,
  { isChild, isJudged, isPianoAway }: Asked,
): { readonly wanted: readonly WantedNote[] } | { readonly why: NotHeard } {
  const { ladder, fellows = [] } = currentStep(state) ?? {};
  const pattern = ladder?.pattern;
  const key = currentKey(state);
  if (fellows.length > 0) return { why: 'several' };
  if (isChild) return { why: 'child' };
  if (!isJudged) return { why: 'ease' };
  const wanted = pattern && key ? wantedNotes(pattern, key.tonic, key.tempo) : [];
  if (!key || wanted.length === 0) return { why: 'glide' };
  if (key.help === 'shown') return { why: 'shown' };
  return key.help === 'together' && !isPianoAway ? { why: 'piano' } : { wanted };
}
