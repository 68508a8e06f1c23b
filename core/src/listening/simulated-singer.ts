import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { chanceFrom } from '../chance.ts';
import { frequencyOf } from '../pitch/index.ts';
import type { PitchFrame } from './listening.types.ts';
import { HOP_SECONDS } from './pitch-frames.ts';
import type { Singer } from './singers.data.ts';
import { endOf, type WantedNote } from './wanted-notes.ts';

/** One attempt at a note: what is heard, and what the singer would say of it. */
export interface SungNote {
  readonly frames: readonly PitchFrame[];
  readonly answer: 'easy' | 'possible' | 'no';
}

interface Chance {
  /** 0–1. */
  readonly share: () => number;
  /** About −1–1, most often near 0. */
  readonly spread: () => number;
}

const VOICE_LEVEL = 0.12;
const ONSET_SECONDS = 0.08;
const CRACK = { atSeconds: 0.28, seconds: 0.075, semitones: 7 };
const DIP = { atSeconds: 0.5, seconds: 0.08, share: 0.3 };
const HOLD_SECONDS = { easy: 1.3, possible: 0.85, no: 0.3 };

function chanceOf(seed: number): Chance {
  const generator = chanceFrom(seed);
  const share = (): number => uniformFloat64(generator);
  return { share, spread: () => (share() + share() + share()) / 1.5 - 1 };
}

function answerOf({ comfortable, reach, gap }: Singer, midi: number): SungNote['answer'] {
  if (gap && midi >= gap.low && midi <= gap.high) return 'no';
  if (midi >= comfortable.low && midi <= comfortable.high) return 'easy';
  return midi >= reach.low && midi <= reach.high ? 'possible' : 'no';
}

function isBetween(t: number, from: number, seconds: number): boolean {
  return t >= from && t < from + seconds;
}

/** Semitones off the aim at a moment: scoop, vibrato, and for a note that fails the way it slips off. */
function driftAt(singer: Singer, answer: SungNote['answer'], t: number, cracks: boolean): number {
  const scoop = t < ONSET_SECONDS ? -1 + t / ONSET_SECONDS : 0;
  const swing = t > 0.3 ? Math.sin(2 * Math.PI * singer.vibratoHz * t) * (singer.vibratoCents / 100) : 0;
  const fails = answer === 'no' ? -t * 12 : 0;
  const crack = cracks && isBetween(t, CRACK.atSeconds, CRACK.seconds) ? CRACK.semitones : 0;
  return scoop + swing + fails + crack;
}

/**
 * One attempt of the simulated singer at a note.
 *
 * @param midi the note asked for
 * @param seed a whole number; the same seed gives the same frames
 * @param startSeconds time of the first frame
 * @param seconds how long it is to last; left out as long as an attempt does. A note that does not come is soon given up
 */
export function singNote(singer: Singer, midi: number, seed: number, startSeconds = 0, seconds?: number): SungNote {
  const chance = chanceOf(seed * 131 + midi);
  const answer = answerOf(singer, midi);
  const isAtBridge = midi >= singer.bridge.low && midi <= singer.bridge.high;
  const cracks = isAtBridge && answer !== 'no' && chance.share() < singer.crackShare;
  const aim = midi + (chance.spread() * singer.missCents) / 100;
  const wobble = (singer.wobbleCents / 100) * (answer === 'possible' ? 1.5 : 1);
  const usual = HOLD_SECONDS[answer];
  const lasts = answer === 'no' ? Math.min(seconds ?? usual, usual) : (seconds ?? usual);
  const count = Math.round(lasts / HOP_SECONDS);
  const frames = Array.from({ length: count }, (_, index): PitchFrame => {
    const t = index * HOP_SECONDS;
    const pitch = aim + driftAt(singer, answer, t, cracks) + chance.spread() * wobble;
    const dips = isAtBridge && !cracks && isBetween(t, DIP.atSeconds, DIP.seconds);
    return {
      t: startSeconds + t,
      hz: frequencyOf(pitch),
      clarity: Math.max(0, 0.99 - singer.breathiness * 0.2 - chance.share() * 0.06 * (answer === 'easy' ? 1 : 1.5)),
      level: VOICE_LEVEL * (dips ? DIP.share : 1) * (0.95 + chance.share() * 0.1),
    };
  });
  return { frames, answer };
}

/** Between two notes of a tune the pitch moves over so long. */
const STEP_SECONDS = 0.06;

/**
 * A tune as the simulated singer sings it, in one breath: a note that does not come slips away, one at the bridge may crack.
 *
 * @param wanted the notes, seconds from the start of the tune
 * @param seed a whole number; the same seed gives the same frames
 * @returns frames, seconds from the start of the tune
 */
export function singTune(singer: Singer, wanted: readonly WantedNote[], seed: number): readonly PitchFrame[] {
  return wanted.flatMap(({ midi, startSeconds, seconds }, index) => {
    const { frames } = singNote(singer, midi, seed + index, startSeconds, seconds);
    const before = wanted[index - 1];
    const isJoined = before && startSeconds - endOf(before) < STEP_SECONDS;
    return frames.filter(({ t }) => !isJoined || t - startSeconds >= STEP_SECONDS);
  });
}

const HISS = { level: 0.05, clarity: 0.2, startsAfter: 0.1 };

/**
 * A hiss of the simulated singer: as long as it is to be, or as the breath lasts.
 *
 * @param seconds how long it is to last
 * @param seed a whole number; the same seed gives the same frames
 * @returns frames, seconds from the start of the breath out
 */
export function breatheOut(singer: Singer, seconds: number, seed: number): readonly PitchFrame[] {
  const chance = chanceOf(seed);
  const lasts = Math.min(seconds, singer.breathSeconds * (1 + 0.08 * chance.spread())) - HISS.startsAfter;
  return Array.from({ length: Math.max(0, Math.round(lasts / HOP_SECONDS)) }, (_, index): PitchFrame => {
    const t = index * HOP_SECONDS;
    // It is let go of a little faster at first than at the end.
    const level = HISS.level * (1.15 - (0.3 * t) / Math.max(1, lasts)) * (0.9 + chance.share() * 0.2);
    return { t: HISS.startsAfter + t, hz: 0, clarity: HISS.clarity * chance.share(), level };
  });
}

const SYLLABLE_SECONDS = 0.19;
const PAUSE_SECONDS = 0.09;

/**
 * A spoken line of so many syllables, its tune sinking about the speaking note.
 *
 * @returns frames; their median pitch is the speaking note within a semitone
 */
export function speakLine(singer: Singer, seed: number, syllables = 16, startSeconds = 0): readonly PitchFrame[] {
  const chance = chanceOf(seed);
  const each = SYLLABLE_SECONDS + PAUSE_SECONDS;
  return Array.from({ length: syllables }, (_, syllable) => {
    const from = singer.speakingNote + 2 - (4 * syllable) / Math.max(1, syllables - 1) + chance.spread() * 0.6;
    const count = Math.round(SYLLABLE_SECONDS / HOP_SECONDS);
    return Array.from({ length: count }, (_, index): PitchFrame => {
      const t = index * HOP_SECONDS;
      return {
        t: startSeconds + syllable * each + t,
        hz: frequencyOf(from - t * 5),
        clarity: 0.96 - singer.breathiness * 0.15,
        level: VOICE_LEVEL * 0.8,
      };
    });
  }).flat();
}
