import { guideTrack, neverSounded, startRun, type GuideTrack } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useRef, useState } from 'react';
import { sessionQuery } from '../../api/session.queries.ts';
import { decodedSamples } from '../../sound/samples.ts';
import { useSoundChoices } from '../../sound/sound-choices.ts';
import { clockText } from '../../text/times.ts';
import { fileName, saveFile } from '../../ui/save-file.ts';
import { startTrack, type Rendering } from '../../workers/track.ts';
import type { SoundFormat } from '../../workers/track-order.ts';
import type { SheetProps } from './use-laid-for.ts';
import type { LaidRoutine } from '@soft-lark/core';

/** How a sound track is wanted. */
export interface TrackWishes {
  readonly format: SoundFormat;
  readonly isSplit: boolean;
  readonly gapSeconds: number;
  readonly asPlanned: boolean;
}

const TYPES = { mp3: 'audio/mpeg', wav: 'audio/wav' } as const;

interface TrackMaking {
  readonly track: GuideTrack;
  /** Share that is written; null while nothing is. */
  readonly progress: number | null;
  readonly hasFailed: boolean;
  readonly make: () => Promise<void>;
  readonly stop: () => void;
}

/** The sound track of a routine, and what writes it to a file beside the page. */
export function useTrack(
  { routine, today, laid }: Pick<SheetProps, 'routine' | 'today'> & { readonly laid: LaidRoutine },
  { format, isSplit, gapSeconds, asPlanned }: TrackWishes,
): TrackMaking {
  const [choices] = useSoundChoices();
  const session = useQuery(sessionQuery).data;
  const [progress, setProgress] = useState<number | null>(null);
  const [hasFailed, setFailed] = useState(false);
  const rendering = useRef<Rendering | null>(null);
  const { voice } = today.student;
  const track = useMemo(
    () => guideTrack(startRun(laid).steps, { avoid: neverSounded(voice), gapSeconds, choices, asPlanned }),
    [laid, voice, gapSeconds, choices, asPlanned],
  );
  const make = async (): Promise<void> => {
    setFailed(false);
    setProgress(0);
    try {
      const samples = await decodedSamples(track.events.filter(({ role }) => role !== 'click').map(({ midi }) => midi));
      const contents = track.steps.map(({ name, startsAt }) => `${clockText(startsAt)}  ${name}`).join('\n');
      const order = {
        track,
        samples,
        format,
        isSplit,
        title: routine.name,
        studio: session?.studioName ?? '',
        contents,
      };
      rendering.current = startTrack({ ...order, tuning: choices.tuning }, setProgress);
      const bytes = await rendering.current.bytes;
      if (bytes)
        saveFile(
          `${fileName(routine.name)}.${isSplit ? 'zip' : format}`,
          bytes,
          isSplit ? 'application/zip' : TYPES[format],
        );
    } catch {
      setFailed(true);
    }
    setProgress(null);
  };
  return { track, progress, hasFailed, make, stop: () => rendering.current?.stop() };
}
