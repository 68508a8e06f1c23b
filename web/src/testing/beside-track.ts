import { renderTrack } from '../workers/render-track.ts';
import type { Rendering } from '../workers/track.ts';

/** The worker that writes sound files, in the page. */
export function startTrack(...given: Parameters<typeof renderTrack>): Rendering {
  return { bytes: renderTrack(...given), stop: () => undefined };
}
