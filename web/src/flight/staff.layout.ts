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
}

export interface Staff {
  readonly clef: 'treble' | 'bass';
  /** Name of the major key whose signature stands at the beginning. */
  readonly signature: string;
  readonly lines: readonly (readonly StaffSign[])[];
}

const SIGNS_A_LINE = 16;
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

function signsOf(key: string | null, beats: number, syllable: string, glidesOn: boolean): readonly StaffSign[] {
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
 * Lays a pattern out as staff notation in one key, in lines of at most sixteen signs. A glide is two notes with a stroke
 * between them.
 *
 * @param tonic MIDI note of degree 1
 */
export function layStaff(pattern: Pattern, tonic: number): Staff {
  const signs = pattern.events.flatMap((event): readonly StaffSign[] => {
    if (!isSounding(event)) return signsOf(null, event.beats, '', false);
    const syllable = event.continues ? '' : (event.syllable ?? '');
    const from = keyOf(pattern, tonic, event.from);
    if (event.kind === 'note') return signsOf(from, event.beats, syllable, false);
    return [
      ...signsOf(from, event.beats / 2, syllable, true),
      ...signsOf(keyOf(pattern, tonic, event.to), event.beats / 2, '', false),
    ];
  });
  const lines: StaffSign[][] = [];
  for (let from = 0; from < signs.length; from += SIGNS_A_LINE) lines.push(signs.slice(from, from + SIGNS_A_LINE));
  return {
    clef: tonic + (pattern.low + pattern.high) / 2 < BASS_UNDER ? 'bass' : 'treble',
    signature: plainSigns(keyName(signatureTonic(tonic, pattern.mode))),
    lines,
  };
}
