import type { PitchRange } from '../voice/index.ts';
import { heldNotes } from './held-notes.ts';
import type { Crack, PitchFrame, RangeFinding, Turnover } from './listening.types.ts';
import { medianOf, voicedStretches, type Moment } from './voiced.ts';

/** A crack is a leap of more than four semitones within 120 ms. */
const CRACK = { leastSemitones: 4, withinSeconds: 0.12 };
/** House choice: the level falls under half of what it was, for a moment, while the pitch goes on. */
const DIP = { share: 0.5, aroundSeconds: 0.3, restSeconds: 0.4 };
const LEAST_GAP = 2;

/** Breaks of the voice in one stretch of sound. */
export function cracksOf(stretch: readonly Moment[]): readonly Crack[] {
  const cracks: Crack[] = [];
  for (const [index, moment] of stretch.entries()) {
    const landed = stretch
      .slice(index + 1)
      .find(
        ({ t, pitch }) => t - moment.t <= CRACK.withinSeconds && Math.abs(pitch - moment.pitch) > CRACK.leastSemitones,
      );
    const last = cracks.at(-1);
    if (landed && (last === undefined || moment.t - last.t > CRACK.withinSeconds))
      cracks.push({ t: moment.t, from: moment.pitch, to: landed.pitch });
  }
  return cracks;
}

function turnoversOf(stretch: readonly Moment[]): readonly Turnover[] {
  const turnovers: Turnover[] = [];
  const loudest = Math.max(...stretch.map(({ level }) => level));
  for (const { t, pitch, level } of stretch) {
    if (level >= DIP.share * loudest) continue;
    const near = stretch.filter((other) => Math.abs(other.t - t) <= DIP.aroundSeconds);
    const isInside = near.some((other) => other.t < t - 0.1) && near.some((other) => other.t > t + 0.1);
    const last = turnovers.at(-1);
    const isNew = last === undefined || t - last.t > DIP.restSeconds;
    if (isInside && isNew && level < DIP.share * medianOf(near.map((other) => other.level)))
      turnovers.push({ t, at: pitch });
  }
  return turnovers;
}

/** Runs of missing notes between the lowest and the highest of a set. */
function gapsBetween(notes: readonly number[]): readonly PitchRange[] {
  const sorted = [...new Set(notes)].sort((a, b) => a - b);
  return sorted.flatMap((note, index) => {
    const before = sorted[index - 1];
    return before !== undefined && note - before > LEAST_GAP ? [{ low: before + 1, high: note - 1 }] : [];
  });
}

/**
 * Lowest and highest held note, cracks, turnovers and missing notes.
 *
 * @param frames in order of time, 20 ms apart or less
 * @returns `lowest` and `highest` MIDI, `null` where nothing was held
 */
export function findRange(frames: readonly PitchFrame[]): RangeFinding {
  const held = heldNotes(frames);
  const notes = held.map(({ midi }) => midi);
  const stretches = voicedStretches(frames);
  return {
    lowest: notes.length > 0 ? Math.min(...notes) : null,
    highest: notes.length > 0 ? Math.max(...notes) : null,
    held,
    cracks: stretches.flatMap(cracksOf),
    turnovers: stretches.flatMap(turnoversOf),
    gaps: gapsBetween(notes),
  };
}
