import { useSessionStorage } from '@mantine/hooks';
import {
  currentKey,
  currentStep,
  packedSounds,
  type Approach,
  type Exercise,
  type LessonSound,
  type RunState,
  type SoundEvent,
} from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useEffectEvent, useState } from 'react';
import { homeLinksQuery } from '../../api/home.queries.ts';
import { sendLessonSound } from '../../api/lesson-sounds.ts';
import type { KeptRun } from '../../runs/run-store.ts';
import { useSoundChoices } from '../../sound/sound-choices.ts';
import { syllablesNow, whatToSay } from './what-to-say.ts';

/** How often it is asked whether somebody listens at the other side, milliseconds. */
const ASK_EVERY = 4000;

/** Lets something sound elsewhere, so many seconds from now. */
export type SoundElsewhere = (events: readonly SoundEvent[], inSeconds: number) => void;

/** A lesson over video: the sound runs at the student’s side, this screen conducts it. */
export interface FarSide {
  readonly isOn: boolean;
  readonly onChange: (isOn: boolean) => void;
  /** Whether the student’s page listens. */
  readonly isThere: boolean;
  /** The last key did not get there. */
  readonly hasFailed: boolean;
  /** Nothing while the sound is here. */
  readonly sound: SoundElsewhere | undefined;
}

interface FarRun {
  readonly run: KeptRun;
  readonly exercise: Exercise | undefined;
  readonly approach: Approach;
}

/** What the student sees of the moment that is on. */
function shownOf(state: RunState, { exercise, approach }: FarRun): LessonSound['shown'] {
  const step = currentStep(state);
  const key = currentKey(state);
  const sung = syllablesNow(state, exercise).filter((one, index, all) => one !== all[index - 1]);
  return {
    step: step?.name ?? '',
    tonic: step?.kind === 'pattern' ? (key?.tonic ?? null) : null,
    text: sung.join(' ').slice(0, 240),
    say: whatToSay(state, exercise, approach).text,
    key: key ? state.keyIndex + 1 : 0,
    keys: step?.keys.length ?? 0,
  };
}

/** Sends what sounds to the student of a run, from when it is turned on until it is turned off or the run is left. */
export function useFarSide(far: FarRun): FarSide {
  const { id, studentId, state } = far.run;
  // Of this run alone: with the next student in the room the piano has to be heard again.
  const [farRun, setFarRun] = useSessionStorage({
    key: 'soft-lark.far-run',
    defaultValue: '',
    getInitialValueInEffect: false,
  });
  const isOn = farRun === id;
  const [{ tuning }] = useSoundChoices();
  const [hasFailed, setFailed] = useState(false);
  const links = useQuery({
    ...homeLinksQuery(studentId),
    enabled: isOn,
    ...(isOn && { refetchInterval: ASK_EVERY }),
  }).data;
  const send: SoundElsewhere = (events, inSeconds) => {
    const sound = {
      sentAt: Date.now(),
      inSeconds: Math.min(1, Math.max(0, inSeconds)),
      sounds: packedSounds(events),
      tuning,
      shown: shownOf(state, far),
    };
    sendLessonSound(studentId, sound).then(
      () => {
        setFailed(false);
      },
      () => {
        setFailed(true);
      },
    );
  };
  const silence = useEffectEvent(() => {
    send([], 0);
  });
  useEffect(() => {
    if (!isOn) return undefined;
    return () => {
      silence();
    };
  }, [isOn]);
  const isThere = isOn && (links?.some(({ isListening }) => isListening) ?? false);
  // Whoever comes before a step has begun sees at once which it is.
  const welcome = useEffectEvent(() => {
    if (!state.begun) send([], 0);
  });
  useEffect(() => {
    if (isThere) welcome();
  }, [isThere]);
  return {
    isOn,
    onChange: (wanted) => {
      setFarRun(wanted ? id : '');
    },
    isThere,
    hasFailed,
    sound: isOn ? send : undefined,
  };
}
