import { unpackedSounds, type LessonSound } from '@soft-lark/core';
import { useEffect, useEffectEvent, useState } from 'react';
import { lessonAddress } from '../../api/lesson-sounds.ts';
import { loadPiano, pianoTime, playPiano, stopPiano, tunePiano } from '../../sound/piano.ts';

/** What lessons use of the piano; the rest comes while nothing else goes on. */
const LESSON_PITCHES = Array.from({ length: 37 }, (_, index) => 43 + index);

export interface Lesson {
  readonly state: 'opening' | 'open' | 'lost' | 'over';
  /** What is on, as the teacher conducts it. */
  readonly shown: LessonSound['shown'] | null;
}

/**
 * Plays what the teacher lets sound, as it comes, for as long as the page shows it.
 *
 * @param octave semitones by which all that sounds is moved: not every phone plays low notes
 */
export function useLesson(token: string, octave: number): Lesson {
  const [lesson, setLesson] = useState<Lesson>({ state: 'opening', shown: null });
  const play = useEffectEvent(({ sounds, inSeconds, tuning }: LessonSound) => {
    tunePiano(tuning);
    const events = unpackedSounds(sounds).map((event) => ({ ...event, midi: event.midi + octave }));
    if (events.length === 0) stopPiano();
    else playPiano(events, pianoTime() + inSeconds);
  });
  useEffect(() => {
    void loadPiano(LESSON_PITCHES);
    let last = 0;
    const stream = new EventSource(lessonAddress(token));
    const become = (state: Lesson['state']): void => {
      setLesson((before) => ({ ...before, state }));
    };
    stream.onopen = () => {
      become('open');
    };
    stream.onerror = () => {
      become(stream.readyState === EventSource.CLOSED ? 'over' : 'lost');
    };
    stream.onmessage = ({ data }: MessageEvent<string>) => {
      const sound = JSON.parse(data) as LessonSound;
      // Two that were sent one after the other can come the other way round.
      if (sound.sentAt < last) return;
      last = sound.sentAt;
      setLesson({ state: 'open', shown: sound.shown });
      play(sound);
    };
    return () => {
      stream.close();
      stopPiano();
    };
  }, [token]);
  return lesson;
}
