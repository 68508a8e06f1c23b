import type { Exercise } from '../shelf/index.ts';
import { isYoungVoice, type Condition, type VoiceFile } from '../voice/index.ts';
import type { StepProblem } from './routine.types.ts';

/**
 * What a young voice still needs before any run: a measured range and a hard ceiling set by the teacher.
 *
 * @returns what is missing; empty where the voice may be run
 */
export function missingBeforeRun(voice: VoiceFile): readonly ('measured' | 'hardCeiling')[] {
  if (!isYoungVoice(voice)) return [];
  return (['measured', 'hardCeiling'] as const).filter((field) => voice[field] === undefined);
}

/** Belt and grit are left out for the young and while recovering; anything else may be sung. */
export function leftOutToday(
  exercise: Exercise,
  voice: VoiceFile,
  conditions: readonly Condition[],
): StepProblem | null {
  if (exercise.register !== 'heavy' && !exercise.grit) return null;
  if (isYoungVoice(voice)) {
    return {
      code: 'NOT_FOR_YOUNG_VOICES',
      message: `“${exercise.name}” is belt or grit; a young voice gets neither.`,
      remedy: 'Take its easier relative.',
    };
  }
  if (!conditions.includes('recovering')) return null;
  return {
    code: 'OFF_WHILE_RECOVERING',
    message: `“${exercise.name}” is belt or grit; both rest while the voice recovers.`,
    remedy: 'Leave it out today, or take its easier relative.',
  };
}
