import type { Prompt, StillWork, TimedWork, Work } from './work.schema.ts';

/** Whether work has no pitch. */
export function isStillWork(work: Work): work is StillWork {
  return work.kind !== 'pattern' && work.kind !== 'siren';
}

/** A prompt in its full form. */
export function promptOf(written: TimedWork['prompts'][number]): Prompt {
  return typeof written === 'string' ? { text: written } : written;
}
