import type { PitchRange, VoiceFile } from './voice-file.schema.ts';
import { CHANGING_STAGES, type ChangingStage } from './voice-kinds.data.ts';
import { referenceOf } from './reference.ts';

/** House choice: another stage is said to fit better where it lies nearer by so many semitones, both ends together. */
const CLEARLY_NEARER = 4;

function distance(one: PitchRange, other: PitchRange): number {
  return Math.abs(one.low - other.low) + Math.abs(one.high - other.high);
}

/**
 * The stage of a changing voice that its measured range fits clearly better than the one on file. An offer: the teacher's
 * ear has the last word.
 *
 * @returns null where the stage on file fits, nothing was measured, or the voice is not a changing one
 */
export function stageThatFits({ type, changingStage, measured, age }: VoiceFile): ChangingStage | null {
  if (type !== 'changing' || !changingStage || !measured) return null;
  const away = (stage: ChangingStage): number =>
    distance(measured, referenceOf({ type, changingStage: stage, ...(age !== undefined && { age }) }).comfortable);
  const [nearest] = [...CHANGING_STAGES].sort((a, b) => away(a) - away(b));
  return nearest && away(changingStage) - away(nearest) >= CLEARLY_NEARER ? nearest : null;
}
