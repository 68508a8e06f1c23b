import { Button, Group, SegmentedControl } from '@mantine/core';
import {
  heldNotes,
  melodyOfPlayed,
  patternOfMelody,
  proposeTonic,
  SoftLarkError,
  type Mode,
  type PitchFrame,
  type PlayedNote,
  type WrittenPattern,
} from '@soft-lark/core';
import {
  useEffect,
  useEffectEvent,
  useRef,
  useState,
  type Dispatch,
  type ReactElement,
  type SetStateAction,
} from 'react';
import { useTranslation } from 'react-i18next';
import { startMicrophone } from '../../listening/microphone.ts';
import { MidiError, startMidiKeys } from '../../listening/midi-keys.ts';
import { DeviceError } from '../../listening/open-stream.ts';
import { plugInSimulatedMidi, type SimulatedMidi } from '../../listening/simulated-midi.ts';
import { playNote } from '../../sound/play-note.ts';
import { NoteKeys } from '../../ui/note-keys.tsx';
import { writeNote } from '../../text/note-names.ts';
import classes from './sheet.module.css';
import { errorText } from '../../text/say.ts';

const WAYS = ['keys', 'midi', 'microphone'] as const;
type Way = (typeof WAYS)[number];

/** A sung note shorter than this is a slip on the way to another. */
const SHORTEST_SECONDS = 0.18;
const KEYS_AROUND = 64;

interface SingInProps {
  readonly tempo: number;
  readonly mode: Mode;
  readonly onPattern: (written: WrittenPattern) => void;
}

/** What comes in from keyboard or microphone, as notes. */
function useNotesIn(
  way: Way,
  simulated: SimulatedMidi | null,
  setNotes: Dispatch<SetStateAction<readonly PlayedNote[]>>,
  setTrouble: (trouble: string) => void,
): { readonly add: (midi: number) => void; readonly afresh: () => void } {
  const frames = useRef<PitchFrame[]>([]);
  const add = (midi: number): void => {
    setNotes((before) => [...before, { midi, startSeconds: performance.now() / 1000 }]);
  };
  const play = useEffectEvent(add);
  const hear = useEffectEvent((heard: readonly PitchFrame[]) => {
    frames.current.push(...heard);
    setNotes(heldNotes(frames.current, SHORTEST_SECONDS));
  });
  useEffect(() => {
    if (way === 'keys') return undefined;
    let isOver = false;
    let stop: (() => void) | undefined;
    frames.current = [];
    const start = way === 'midi' ? startMidiKeys(play, () => undefined) : startMicrophone(hear);
    start
      .then((source) => {
        if (isOver) source.stop();
        else stop = source.stop;
      })
      .catch((error: unknown) => {
        if (error instanceof MidiError) setTrouble(`MIDI_${error.code}`);
        else if (error instanceof DeviceError) setTrouble(error.code);
        else throw error;
      });
    return () => {
      isOver = true;
      stop?.();
    };
  }, [way, simulated, setTrouble]);
  const afresh = (): void => {
    frames.current = [];
    setNotes([]);
  };
  return { add, afresh };
}

/** Sing or play a tune in: what was heard becomes pattern text, to the beat, in degrees; the text can be corrected after. */
export function SingIn({ tempo, mode, onPattern }: SingInProps): ReactElement {
  const { t } = useTranslation();
  const [way, setWay] = useState<Way>('keys');
  const [notes, setNotes] = useState<readonly PlayedNote[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [simulated, setSimulated] = useState<SimulatedMidi | null>(null);
  const { add, afresh } = useNotesIn(way, simulated, setNotes, setTrouble);
  const press = (midi: number): void => {
    void playNote(midi);
    if (simulated && way === 'midi') simulated.press(midi);
    else add(midi);
  };
  const take = (): void => {
    try {
      const melody = melodyOfPlayed(notes, tempo);
      onPattern(patternOfMelody(melody, proposeTonic(melody), mode));
    } catch (error) {
      if (!(error instanceof SoftLarkError)) throw error;
      setTrouble(errorText(error));
    }
  };
  return (
    <div className={classes['singIn']} role="group" aria-label={t('shelf.sheet.singIn')}>
      <Group justify="space-between">
        <SegmentedControl
          aria-label={t('shelf.sheet.singWay')}
          data={WAYS.map((value) => ({ value, label: t(`check.ways.${value}`) }))}
          value={way}
          onChange={(value) => {
            setTrouble(null);
            setNotes([]);
            setWay(WAYS.find((known) => known === value) ?? 'keys');
          }}
        />
        <span>{t('shelf.sheet.singTempo', { tempo })}</span>
      </Group>
      {trouble !== null && (
        <p role="alert">
          {trouble.includes(' ') ? trouble : t(`check.trouble.${trouble as 'REFUSED'}`)}
          {trouble.startsWith('MIDI_') && (
            <Button
              size="compact-md"
              ml="sm"
              onClick={() => {
                setTrouble(null);
                setSimulated(plugInSimulatedMidi());
              }}
            >
              {t('check.plugIn')}
            </Button>
          )}
        </p>
      )}
      {(way === 'keys' || simulated !== null) && way !== 'microphone' && (
        <NoteKeys label={t('shelf.sheet.singKeys')} target={KEYS_AROUND} onNote={press} />
      )}
      <p className={classes['heard']} aria-live="polite">
        {notes.length === 0 ? t('shelf.sheet.singNothing') : notes.map(({ midi }) => writeNote(midi)).join(' ')}
      </p>
      <Group>
        <Button variant="filled" disabled={notes.length === 0} onClick={take}>
          {t('shelf.sheet.singTake')}
        </Button>
        <Button disabled={notes.length === 0} onClick={afresh}>
          {t('shelf.sheet.singAfresh')}
        </Button>
      </Group>
    </div>
  );
}
