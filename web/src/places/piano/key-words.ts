import { keyName, type RunKey, type RunStep } from '@soft-lark/core';
import { writeNote } from '../../text/note-names.ts';

/** What a key of a step is called: a pass of a glide by its ends, a rung by its tonic. */
export function keyWords({ kind }: Pick<RunStep, 'kind'>, { tonic, low, high }: RunKey): string {
  return kind === 'siren' ? `${writeNote(low)} – ${writeNote(high)}` : keyName(tonic);
}
