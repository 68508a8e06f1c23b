import { glideSound, keyParts, neverSounded } from '@soft-lark/core';
import { useCallback } from 'react';
import type { Student } from '../../api/students.queries.ts';
import { useSoundChoices } from '../../sound/sound-choices.ts';
import type { PartsOf } from './use-run.ts';

/** What the piano plays in a key for this voice, as this device was set. */
export function useKeyParts(voice: Student['voice']): PartsOf {
  const [choices] = useSoundChoices();
  return useCallback<PartsOf>(
    ({ ladder }, { tonic, low, high, tempo, help = 'together' }) => {
      if (!ladder) return [{ events: choices.isSilent ? [] : glideSound(tonic, low, high) }];
      const { pattern, cueBeats = 4 } = ladder;
      const parts = keyParts({ pattern, tonic, tempo, cueBeats, help, avoid: neverSounded(voice), choices });
      // Silent, a note that waits is waited for all the same.
      return choices.isSilent ? parts.map((part) => ({ ...part, events: [] })) : parts;
    },
    [voice, choices],
  );
}
