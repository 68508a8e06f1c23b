import type { CheckAction, CheckState, CheckWay, Hearing, PitchFrame, SingerName, SungNote } from '@soft-lark/core';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useEffectEvent, useRef, useState, type RefObject } from 'react';
import { startMicrophone } from '../../listening/microphone.ts';
import { MidiError, startMidiKeys, type MidiProblem } from '../../listening/midi-keys.ts';
import { DeviceError, type DeviceProblem } from '../../listening/open-stream.ts';
import { startRecorder } from '../../listening/recordings.ts';
import { startSimulated, type SimulatedSinger } from '../../listening/simulated.ts';
import { judge, speakingNoteOf } from './ear.ts';

/** What stands in the way of hearing, in a word the catalogue knows. */
type Trouble = DeviceProblem | `MIDI_${MidiProblem}` | 'MIDI_GONE';

export interface HearingState {
  readonly isOn: boolean;
  readonly trouble: Trouble | null;
  readonly notice: 'octave' | Exclude<Hearing, 'voice' | 'talk'> | null;
  /** The speaking note that talk proposes. */
  readonly talk: number | null;
  /** What came in lately, for the trace. */
  readonly frames: RefObject<PitchFrame[]>;
}

/** What became of opening a source; it counts only for the source that is chosen now. */
interface Found {
  readonly source: string;
  readonly isOn: boolean;
  readonly trouble: Trouble | null;
}

interface HearingInput {
  readonly way: CheckWay | null;
  readonly singer: SingerName;
  /** Counts the keyboards that were plugged in by hand: another one is listened to afresh. */
  readonly keyboards: number;
  readonly state: CheckState;
  readonly act: (action: CheckAction) => void;
  /** The student whose sound is kept on this device; null, the usual, keeps none. */
  readonly keepsSoundOf: string | null;
  /** Sounds the note asked for; the microphone is not listened to meanwhile. */
  readonly playCue: (midi: number) => void;
}

const TRACE_SECONDS = 8;
const CUE_MS = 1000;
/** A note that does not come in so long counts as missed, if anything was sung at all. */
const PATIENCE_MS = 7000;
const CHECK_EVERY_MS = 150;
const SEED = 11;

async function openMicrophone(
  hear: (heard: readonly PitchFrame[]) => void,
  keepsSoundOf: string | null,
  onKept: () => void,
): Promise<() => void> {
  const microphone = await startMicrophone(hear);
  const recorder = keepsSoundOf === null ? null : startRecorder(microphone.stream, keepsSoundOf);
  return () => {
    recorder?.stop(onKept);
    microphone.stop();
  };
}

/** @throws what is no trouble of a device */
function troubleOf(error: unknown): Trouble {
  if (error instanceof DeviceError) return error.code;
  if (error instanceof MidiError) return `MIDI_${error.code}`;
  throw error;
}

interface SourceInput extends Pick<HearingInput, 'way' | 'singer' | 'keepsSoundOf'> {
  /** Names the source; another one is opened afresh. */
  readonly source: string;
  readonly onFrames: (heard: readonly PitchFrame[]) => void;
  readonly onNote: (midi: number) => void;
  /** The simulated singer is done with what it was asked for. */
  readonly onAnswer: (answer: SungNote['answer'] | null) => void;
}

/** Opens one source at a time; it ends with the choice of another, or with the page. */
function useSource({
  source,
  way,
  singer,
  keepsSoundOf,
  onFrames,
  onNote,
  onAnswer,
}: SourceInput): Pick<Found, 'isOn' | 'trouble'> & { readonly simulated: RefObject<SimulatedSinger | null> } {
  const queries = useQueryClient();
  const [found, setFound] = useState<Found>({ source: '', isOn: false, trouble: null });
  const simulated = useRef<SimulatedSinger | null>(null);
  const hear = useEffectEvent(onFrames);
  const note = useEffectEvent(onNote);
  const conclude = useEffectEvent(onAnswer);
  useEffect(() => {
    if (way === null || way === 'keys') return undefined;
    let stop: (() => void) | null = null;
    let isOver = false;
    const begin = async (): Promise<() => void> => {
      if (way === 'microphone')
        return openMicrophone(hear, keepsSoundOf, () => {
          void queries.invalidateQueries({ queryKey: ['recordings', keepsSoundOf] });
        });
      if (way === 'midi') {
        const keys = await startMidiKeys(note, () => {
          setFound({ source, isOn: false, trouble: 'MIDI_GONE' });
        });
        return keys.stop;
      }
      const sung = startSimulated(singer, SEED, hear, conclude);
      simulated.current = sung;
      return sung.stop;
    };
    begin()
      .then((end) => {
        stop = end;
        if (isOver) end();
        else setFound({ source, isOn: true, trouble: null });
      })
      .catch((error: unknown) => {
        setFound({ source, isOn: false, trouble: troubleOf(error) });
      });
    return () => {
      isOver = true;
      simulated.current = null;
      stop?.();
    };
  }, [source, way, singer, keepsSoundOf, queries]);
  const { isOn, trouble } = found.source === source ? found : { isOn: false, trouble: null };
  return { isOn, trouble, simulated };
}

/** While a note is asked for: is it there yet, or overdue? */
function useLookingUp(isListening: boolean, moment: string, lookUp: (isOverdue: boolean) => void): void {
  const look = useEffectEvent(lookUp);
  useEffect(() => {
    if (!isListening) return undefined;
    const began = performance.now();
    const timer = setInterval(() => {
      look(performance.now() - began > CUE_MS + PATIENCE_MS);
    }, CHECK_EVERY_MS);
    return () => {
      clearInterval(timer);
    };
  }, [moment, isListening]);
}

/** Asks for one note after the other and hears what comes: microphone, simulated singer or MIDI keyboard. */
export function useHearing({ way, singer, keyboards, state, act, keepsSoundOf, playCue }: HearingInput): HearingState {
  const source = `${way ?? ''}/${singer}/${String(keyboards)}/${keepsSoundOf ?? ''}`;
  const [notice, setNotice] = useState<HearingState['notice']>(null);
  const [proposed, setProposed] = useState<{ readonly source: string; readonly midi: number } | null>(null);
  const talk = proposed?.source === source ? proposed.midi : null;
  const frames = useRef<PitchFrame[]>([]);
  const asked = useRef<PitchFrame[]>([]);
  const listensFrom = useRef(0);
  const { phase, target } = state;
  const isSinging = phase === 'down' || phase === 'up';
  const moment = `${phase}/${String(target)}/${String(state.misses.length)}/${String(Object.keys(state.sung).length)}`;

  const hear = (heard: readonly PitchFrame[]): void => {
    const last = heard.at(-1)?.t ?? 0;
    frames.current = [...frames.current.filter(({ t }) => t > last - TRACE_SECONDS), ...heard];
    if (performance.now() < listensFrom.current) return;
    asked.current.push(...heard);
    const midi = phase === 'speaking' ? speakingNoteOf(asked.current) : null;
    // A proposal stays until a better one: the button under it must not go while it is pressed.
    if (midi !== null) setProposed({ source, midi });
  };

  const conclude = (answer: SungNote['answer'] | null): void => {
    const { note, turns, isOctaveOff, hearing } = judge(asked.current, target);
    if (note !== null && isOctaveOff) {
      asked.current = [];
      setNotice('octave');
      return;
    }
    setNotice(null);
    for (const midi of turns) act({ type: 'turn', midi });
    if (note !== null) {
      act({ type: 'held', midi: note });
      if (answer === 'possible' && state.ease === 'easy') act({ type: 'harder' });
    } else if (hearing === 'voice' || hearing === 'talk' || answer !== null) act({ type: 'missed' });
    else setNotice(hearing);
  };

  const { isOn, trouble, simulated } = useSource({
    ...{ source, way, singer, keepsSoundOf },
    onFrames: hear,
    onNote: (midi) => {
      act(phase === 'speaking' ? { type: 'speaking', midi } : { type: 'held', midi });
    },
    onAnswer: conclude,
  });

  // Each note is asked for when it comes; the cue must not be taken for the singer.
  const ask = useEffectEvent(() => {
    asked.current = [];
    if (way === 'simulated') {
      if (isSinging) simulated.current?.sing(target);
      else if (phase === 'speaking') simulated.current?.talk();
    } else if (isSinging && way !== null) {
      listensFrom.current = performance.now() + CUE_MS;
      playCue(target);
    }
  });
  useEffect(() => {
    if (isOn || way === 'keys') ask();
  }, [moment, isOn, way]);

  const isListening = isOn && way === 'microphone' && isSinging;
  useLookingUp(isListening, moment, (isOverdue) => {
    if (isOverdue || judge(asked.current, target).note !== null) conclude(null);
  });

  return { isOn, trouble, notice, talk, frames };
}
