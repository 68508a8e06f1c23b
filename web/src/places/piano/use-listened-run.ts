import {
  answersCracks,
  currentKey,
  currentStep,
  isChild,
  judgesSound,
  type Answers,
  type Exercise,
  type RunState,
} from '@soft-lark/core';
import { useState } from 'react';
import type { Student } from '../../api/students.queries.ts';
import type { EarSource } from '../../listening/ear.ts';
import { useSoundChoices } from '../../sound/sound-choices.ts';
import { useEarChoices } from './ear-choices.ts';
import { toListenFor } from './may-listen.ts';
import { useBreathEar, type BreathByEar } from './use-breath-ear.ts';
import { useEar, type Listening } from './use-ear.ts';
import { useOpenEar } from './use-open-ear.ts';
import type { Running } from './use-run.ts';

/** Listening in a run: who is listened to, what for, and what was heard. */
export interface ListenedRun {
  readonly source: EarSource | null;
  readonly onSource: (source: EarSource | null) => void;
  readonly asked: ReturnType<typeof toListenFor>;
  readonly listening: Listening;
  /** The breaths out of a step of breath, as they were heard; null where none are listened for. */
  readonly breaths: readonly BreathByEar[] | null;
}

interface ListenedInput {
  readonly running: Running;
  readonly state: RunState;
  readonly exercise: Exercise | undefined;
  readonly voice: Student['voice'];
  /** Answers and figures of this student. */
  readonly answers: Answers;
  /** Keys follow one another by the clock. */
  readonly isPlayingOn: boolean;
}

/** Listens to the keys of a run where this is asked for, and may be: never to a child, nor where only ease is judged. */
export function useListenedRun(input: ListenedInput): ListenedRun {
  const { running, state, exercise, voice, answers, isPlayingOn } = input;
  const { approach, rules } = answers;
  const [source, onSource] = useState<EarSource | null>(null);
  const [{ hasHeadphones, goesOn }] = useEarChoices();
  const [{ isSilent }] = useSoundChoices();
  const isOfChild = isChild(voice, rules);
  const asked = toListenFor(state, {
    isChild: isOfChild,
    isJudged: exercise !== undefined && judgesSound(exercise, approach),
    isPianoAway: isSilent || hasHeadphones,
  });
  const key = currentKey(state);
  const open = useOpenEar(source);
  const step = currentStep(state);
  const course = step?.kind === 'breath' && !isOfChild ? (step.course ?? null) : null;
  const breaths = useBreathEar({ open, going: running.going, course });
  const listening = useEar({
    open,
    going: running.going,
    key:
      key && 'wanted' in asked
        ? { wanted: asked.wanted, tonic: key.tonic, sungBefore: state.sung.length, cueSeconds: key.cueSeconds }
        : null,
    tellsCracks: exercise !== undefined && answersCracks(exercise, approach),
    onSung: () => {
      if (goesOn && !isPlayingOn) running.act('next');
    },
  });
  return { source, onSource, asked, listening, breaths: course && open.state === 'on' ? breaths : null };
}
