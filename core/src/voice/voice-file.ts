import { VoiceError, type VoiceErrorCode } from '../errors.ts';
import { referenceNameOf, referenceOf } from './reference.ts';
import { SPEAKING_NOTES } from './reference-ranges.data.ts';
import type { PitchRange, VoiceFile } from './voice-file.schema.ts';
import type { Voice } from './voice.types.ts';

/** The lower edge counts as the turnover, so that a rung that touches the change is already at the bridge. */
export function voiceOf(file: VoiceFile): Voice {
  const { bridges, type, age, changingStage, measured } = file;
  const { hardFloor, hardCeiling, beltCeiling, gritAllowed, margin, gaps = [] } = file;
  const closed = [...neverSounded(file), ...gaps];
  return {
    type,
    ...(age !== undefined && { age }),
    ...(changingStage !== undefined && { changingStage }),
    ...(bridges.length > 0 && { bridges: bridges.map(({ low }) => low).sort((a, b) => a - b) }),
    speakingNote: file.speakingNote ?? SPEAKING_NOTES[referenceNameOf(file)],
    ...(measured !== undefined && { measured }),
    ...(hardFloor !== undefined && { hardFloor }),
    ...(hardCeiling !== undefined && { hardCeiling }),
    ...(beltCeiling !== undefined && { beltCeiling }),
    ...(gritAllowed !== undefined && { gritAllowed }),
    ...(margin !== undefined && { margin }),
    ...(closed.length > 0 && { closed }),
  };
}

/** The zones that must never sound, as the ladder takes them. */
export function neverSounded(file: Pick<VoiceFile, 'avoid'>): readonly PitchRange[] {
  return file.avoid.filter(({ kind }) => kind === 'never-sounded').map(({ low, high }) => ({ low, high }));
}

interface Check {
  readonly isBroken: (file: VoiceFile, today?: string) => boolean;
  readonly code: VoiceErrorCode;
  /** Tells the checks of one code apart. */
  readonly context: 'order' | 'reach' | 'hard' | 'zone' | 'zones' | 'gaps' | 'stage' | 'future';
  readonly message: string;
  readonly remedy: string;
}

/** Whether intervals together hold every note of a range. */
function holdAll(range: PitchRange, intervals: readonly PitchRange[]): boolean {
  for (let note = range.low; note <= range.high; note += 1)
    if (!intervals.some(({ low, high }) => note >= low && note <= high)) return false;
  return true;
}

function comfortableOf(file: VoiceFile): PitchRange {
  return file.measured ?? referenceOf(file).comfortable;
}

const CHECKS: readonly Check[] = [
  {
    isBroken: ({ measured }) => measured !== undefined && measured.low >= measured.high,
    code: 'BAD_RANGE',
    context: 'order',
    message: 'The lowest comfortable note is not below the highest.',
    remedy: 'Swap them or measure again.',
  },
  {
    isBroken: ({ measured }) =>
      measured !== undefined &&
      ((measured.reachLow ?? measured.low) > measured.low || (measured.reachHigh ?? measured.high) < measured.high),
    code: 'BAD_RANGE',
    context: 'reach',
    message: 'The comfortable range goes past the reach.',
    remedy: 'Widen the reach or narrow the comfortable range.',
  },
  {
    isBroken: ({ hardFloor, hardCeiling }) =>
      hardFloor !== undefined && hardCeiling !== undefined && hardFloor >= hardCeiling,
    code: 'BAD_RANGE',
    context: 'hard',
    message: 'The hard floor is not below the hard ceiling.',
    remedy: 'Lower the floor or raise the ceiling.',
  },
  {
    isBroken: ({ avoid, bridges, gaps = [] }) => [...avoid, ...bridges, ...gaps].some(({ low, high }) => low > high),
    code: 'BAD_RANGE',
    context: 'zone',
    message: 'A zone, a gap or a bridge ends below where it begins.',
    remedy: 'Give the lower note first.',
  },
  {
    isBroken: (file) => holdAll(comfortableOf(file), neverSounded(file)),
    code: 'NOTHING_LEFT',
    context: 'zones',
    message: 'The zones that are never sounded leave no note of the comfortable range.',
    remedy: 'Make a zone smaller.',
  },
  {
    isBroken: (file) => holdAll(comfortableOf(file), file.gaps ?? []),
    code: 'NOTHING_LEFT',
    context: 'gaps',
    message: 'The gaps leave no note of the comfortable range.',
    remedy: 'Make a gap smaller, or measure again.',
  },
  {
    isBroken: ({ type, changingStage }) => type === 'changing' && changingStage === undefined,
    code: 'BAD_VOICE',
    context: 'stage',
    message: 'A changing voice has no stage.',
    remedy: 'Choose the stage that fits best; it can be changed at any time.',
  },
  {
    isBroken: ({ measured, bridges, clearedOn, beltEaseOn, holdsOnSince, consentOn }, today) =>
      today !== undefined &&
      [measured?.date, ...bridges.map(({ date }) => date), clearedOn, beltEaseOn, holdsOnSince, consentOn].some(
        (day) => day !== undefined && day > today,
      ),
    code: 'BAD_DATE',
    context: 'future',
    message: 'A date of the voice file lies in the future.',
    remedy: 'Give the day on which it was done.',
  },
];

/**
 * Checks that the figures of a voice file do not contradict each other.
 *
 * @param today ISO day in the studio's zone; without it dates are not looked at
 * @throws VoiceError `BAD_RANGE`, `NOTHING_LEFT`, `BAD_VOICE`, `BAD_DATE`
 */
export function checkVoiceFile(file: VoiceFile, today?: string): void {
  const broken = CHECKS.find(({ isBroken }) => isBroken(file, today));
  if (broken) throw new VoiceError(broken.code, broken.message, broken.remedy, { context: broken.context });
}
