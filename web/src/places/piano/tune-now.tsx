import { parsePattern, withDegrees, type Exercise, type Pattern, type RunKey, type RunStep } from '@soft-lark/core';
import { useMemo, type ReactElement } from 'react';
import { Staff } from '../../flight/staff.tsx';
import { useEventNow } from '../../sound/use-event-now.ts';
import { useDegrees } from './use-degrees.ts';

interface TuneNowProps {
  readonly step: RunStep;
  readonly current: RunKey;
  readonly exercise: Exercise | undefined;
  /** What goes on, by name, and seconds since it began; null while nothing does. */
  readonly going: { readonly id: string; readonly elapsed: number } | null;
}

/** A tune on one vowel that goes on from note to note. */
function onOneVowel(pattern: Pattern, vowel: string): Pattern {
  const events = pattern.events.map((event, index) =>
    event.kind === 'rest' ? event : { ...event, syllable: vowel, ...(index > 0 && { continues: true }) },
  );
  return { ...pattern, events };
}

/** The tune of a step as it is sung in a key of this height, with the syllables it has there. */
function tuneAt({ ladder, syllables, vowel }: RunStep, zone: RunKey['zone'], exercise?: Exercise): Pattern | undefined {
  const pattern = ladder?.pattern;
  const work = exercise?.work;
  if (pattern && vowel) return onOneVowel(pattern, vowel);
  if (!pattern || work?.kind !== 'pattern' || syllables !== undefined) return pattern;
  const there = work.syllablesAt[zone];
  if (there === undefined) return pattern;
  const sung = parsePattern(work.pattern, { mode: work.mode, syllables: there });
  // A tune that is sung smaller today keeps its own syllables.
  return sung.low === pattern.low && sung.high === pattern.high ? sung : pattern;
}

/** What is played and sung in this key, so that nobody has to remember it. */
export function TuneNow({ step, current, exercise, going }: TuneNowProps): ReactElement | null {
  const { zone, tonic, tempo, cueSeconds } = current;
  const [hasDegrees] = useDegrees();
  const tune = useMemo(() => tuneAt(step, zone, exercise), [step, zone, exercise]);
  const pattern = useMemo(() => (tune && hasDegrees ? withDegrees(tune) : tune), [tune, hasDegrees]);
  const now = useEventNow(pattern, going && { id: going.id, tempo, startsIn: cueSeconds - going.elapsed });
  return pattern ? <Staff pattern={pattern} tonic={tonic} look="piano" now={now} /> : null;
}
