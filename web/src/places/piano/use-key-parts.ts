import { fellowsIn, glideSound, keyParts, neverSounded } from '@soft-lark/core';
import { useCallback } from 'react';
import type { Student } from '../../api/students.queries.ts';
import { useSoundChoices } from '../../sound/sound-choices.ts';
import type { PartsOf } from './use-run.ts';

/** What the piano plays in a key for this voice, as this device was set. */
export function useKeyParts(voice: Student['voice']): PartsOf {
  const [choices] = useSoundChoices();
  return useCallback<PartsOf>(
    (step, key) => {
      const { ladder, fellows = [], isInTurn } = step;
      const { tonic, low, high, tempo, help = 'together' } = key;
      if (!ladder) return [{ events: choices.isSilent ? [] : glideSound(tonic, low, high) }];
      const { pattern, cueBeats = 4 } = ladder;
      const avoid = [...neverSounded(voice), ...fellows.flatMap((fellow) => fellow.avoid)];
      const together = isInTurn ? [] : fellowsIn(step, key).map(({ octave }) => octave);
      const octaves = [...new Set(together)].filter((octave) => octave !== 0);
      const parts = keyParts({ pattern, tonic, tempo, cueBeats, help, avoid, octaves, choices });
      // Silent, a note that waits is waited for all the same.
      return choices.isSilent ? parts.map((part) => ({ ...part, events: [] })) : parts;
    },
    [voice, choices],
  );
}
