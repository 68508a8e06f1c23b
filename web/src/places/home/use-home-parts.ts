import { heardWith, type HomeKey, type HomeStep, type RunStep } from '@soft-lark/core';
import { useCallback } from 'react';
import type { PartsOf } from '../piano/use-run.ts';

/** A key as the link has it: with its sounds and what to say. */
export function homeKeyOf(step: RunStep, index: number): HomeKey | undefined {
  return (step as HomeStep).keys[index];
}

/** @param octave semitones by which all that sounds is moved: not every phone plays low notes */
export function useHomeParts(octave: number): PartsOf {
  return useCallback<PartsOf>(
    (step, key) => {
      const { sounds, help = 'together' } = homeKeyOf(step, step.keys.indexOf(key)) ?? { sounds: [] };
      const heard = heardWith(help, sounds);
      return [{ events: heard.map((event) => ({ ...event, midi: event.midi + octave })) }];
    },
    [octave],
  );
}
