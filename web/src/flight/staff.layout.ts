import {
  isSounding,
  keyName,
  noteValues,
  plainSigns,
  signatureTonic,
  spellDegree,
  spellSemitones,
  type NoteValue,
  type Pattern,
} from '@soft-lark/core';

/** One sign on a staff: a note or a rest, tied or glided to the next where it is. */
export interface StaffSign {
  /** Letter, accidental and octave as the engraver takes them, such as `f#/4`; a rest has none. */
  readonly key: string | null;
  readonly value: NoteValue;
  readonly isTiedOn: boolean;
  readonly glidesOn: boolean;
  readonly syllable: string;
  /** Index of the event of the pattern it stands for. */
  readonly event: number;
}

export interface Staff {
  readonly clef: 'treble' | 'bass';
  /** Name of the major key whose signature stands at the beginning. */
  readonly signature: string;
  readonly lines: readonly (readonly StaffSign[])[];
}

/** So many signs of a long tune stand in one line of a sheet. */
export const SIGNS_A_LINE = 16;
/** Below this middle pitch the bass clef is easier to read. */
const BASS_UNDER = 57;

function keyOf(pattern: Pattern, tonic: number, semitones: number): string {
  const { step } = spellSemitones(pattern.mode, semitones);
  // Steps below the tonic are spelled from a tonic that lies under them.
  const octaves = Math.max(0, Math.ceil(-step / 7));
  const { letter, accidental, octave } = spellDegree(
    tonic - 12 * octaves,
    step + 7 * octaves,
    semitones + 12 * octaves,
  );
  return `${letter.toLowerCase()}${plainSigns(accidental)}/${String(octave)}`;
}

type PlainSign = Omit<StaffSign, 'event'>;

function signsOf(key: string | null, beats: number, syllable: string, glidesOn: boolean): readonly PlainSign[] {
  const values = noteValues(beats);
  return values.map((value, index) => {
    const isLast = index === values.length - 1;
    return {
      key,
      value,
      isTiedOn: key !== null && !isLast,
      glidesOn: glidesOn && isLast,
      syllable: index === 0 ? syllable : '',
    };
  });
}

/**
 * Lays a pattern out as staff notation in one key. A glide is two notes with a stroke between them.
 *
 * @param tonic MIDI note of degree 1
 * @param signsALine how many signs stand in one line at most
 */
export function layStaff(pattern: Pattern, tonic: number, signsALine = SIGNS_A_LINE): Staff {
  const ofEvent = (event: Pattern['events'][number]): readonly PlainSign[] => {
    if (!isSounding(event)) return signsOf(null, event.beats, '', false);
    const syllable = event.continues ? '' : (event.syllable ?? '');
    const from = keyOf(pattern, tonic, event.from);
    if (event.kind === 'note') return signsOf(from, event.beats, syllable, false);
    return [
      ...signsOf(from, event.beats / 2, syllable, true),
      ...signsOf(keyOf(pattern, tonic, event.to), event.beats / 2, '', false),
    ];
  };
  const signs = pattern.events.flatMap((event, index) => ofEvent(event).map((sign) => ({ ...sign, event: index })));
  const lines: StaffSign[][] = [];
  for (let from = 0; from < signs.length; from += signsALine) lines.push(signs.slice(from, from + signsALine));
  return {
    clef: tonic + (pattern.low + pattern.high) / 2 < BASS_UNDER ? 'bass' : 'treble',
    signature: plainSigns(keyName(signatureTonic(tonic, pattern.mode))),
    lines,
  };
}
