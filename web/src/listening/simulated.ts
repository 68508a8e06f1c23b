import { SINGERS, singNote, speakLine, type PitchFrame, type SingerName, type SungNote } from '@soft-lark/core';

/** The simulated singer sings faster than a person, so that a check is soon shown. */
const SPEED = 4;
const TICK_MS = 33;
const BREATH_SECONDS = 0.5;

export interface SimulatedSinger {
  /** Talks until it is asked for a note. */
  readonly talk: () => void;
  readonly sing: (midi: number) => void;
  readonly stop: () => void;
}

/**
 * A singer that needs no microphone: its frames come as if they were heard, and it says how each note went.
 *
 * @param onAnswer what the singer says once a note is over
 */
export function startSimulated(
  name: SingerName,
  seed: number,
  onFrames: (frames: readonly PitchFrame[]) => void,
  onAnswer: (answer: SungNote['answer']) => void,
): SimulatedSinger {
  const singer = SINGERS[name];
  let waiting: readonly PitchFrame[] = [];
  let answer: SungNote['answer'] | null = null;
  let clock = 0;
  const timer = setInterval(() => {
    clock += (TICK_MS / 1000) * SPEED;
    const heard = waiting.filter(({ t }) => t <= clock);
    waiting = waiting.slice(heard.length);
    if (heard.length > 0) onFrames(heard);
    if (waiting.length > 0 || answer === null) return;
    const said = answer;
    answer = null;
    onAnswer(said);
  }, TICK_MS);
  return {
    talk: () => {
      waiting = speakLine(singer, seed, 16, clock + BREATH_SECONDS);
    },
    sing: (midi) => {
      const note = singNote(singer, midi, seed, clock + BREATH_SECONDS);
      waiting = note.frames;
      answer = note.answer;
    },
    stop: () => {
      clearInterval(timer);
    },
  };
}
