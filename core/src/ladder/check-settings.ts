import { LadderError } from '../errors.ts';
import { formatPattern, narrowPattern } from '../pattern/index.ts';
import { writeNote } from '../pitch/index.ts';
import type { LadderInput } from './ladder.types.ts';

/** A setting of a ladder or a glide that is none, with the nearest that works. */
export function badSetting(setting: string, value: unknown, wanted: string, nearest: number): LadderError {
  return new LadderError(
    'BAD_SETTING',
    `${setting} is ${String(value)}; it must be ${wanted}.`,
    `Set ${setting} to ${String(nearest)}.`,
    {
      setting,
      value: nearest,
    },
    { setting, value: String(value), nearest, context: setting },
  );
}

function checkCounts(input: LadderInput): void {
  for (const setting of ['step', 'returnStep', 'maxKeys', 'timesPerKey'] as const) {
    const value = input[setting];
    if (value !== undefined && !(Number.isInteger(value) && value >= 1)) {
      const nearest = Number.isFinite(value) ? Math.max(1, Math.round(value)) : 1;
      throw badSetting(setting, value, 'a whole number from 1', nearest);
    }
  }
}

function checkClock(input: LadderInput): void {
  if (!(input.tempo > 0 && Number.isFinite(input.tempo))) throw badSetting('tempo', input.tempo, 'over 0', 84);
  for (const setting of ['cueBeats', 'restBeats'] as const) {
    const value = input[setting];
    if (value !== undefined && !(value >= 0 && Number.isFinite(value)))
      throw badSetting(setting, value, '0 or more', 0);
  }
  if (input.tempoStep !== undefined && !Number.isFinite(input.tempoStep)) {
    throw badSetting('tempoStep', input.tempoStep, 'a number', 0);
  }
}

function checkAgain({ again }: LadderInput): void {
  if (again && !(Number.isInteger(again.further) && again.further >= 0))
    throw badSetting('again.further', again.further, 'a whole number from 0', 0);
}

function checkNotes(input: LadderInput): void {
  for (const setting of ['start', 'floor', 'ceiling'] as const) {
    const value = input[setting];
    if (!Number.isInteger(value))
      throw badSetting(setting, value, 'a whole note', Number.isFinite(value) ? Math.round(value) : 60);
  }
}

function checkPlace({ pattern, start, floor, ceiling }: LadderInput): void {
  const span = pattern.high - pattern.low;
  if (span > ceiling - floor) {
    const narrow = narrowPattern(pattern, ceiling - floor);
    throw new LadderError(
      'SPAN_EXCEEDS_RANGE',
      `The pattern spans ${String(span)} semitones; ${writeNote(floor)} to ${writeNote(ceiling)} holds ${String(Math.max(0, ceiling - floor))}.`,
      narrow ? `Sing it smaller: ${formatPattern(narrow)}.` : 'Choose an exercise of a smaller span.',
      { setting: 'pattern', value: narrow && formatPattern(narrow) },
      {
        count: span,
        limits: { interval: { low: floor, high: ceiling } },
        holds: Math.max(0, ceiling - floor),
        ...(narrow && { smaller: formatPattern(narrow), context: 'smaller' }),
      },
    );
  }
  if (start + pattern.high > ceiling) {
    const nearest = ceiling - pattern.high;
    throw new LadderError(
      'START_ABOVE_CEILING',
      `From ${writeNote(start)} the first key already reaches ${writeNote(start + pattern.high)}, over ${writeNote(ceiling)}.`,
      `Start on ${writeNote(nearest)} or lower.`,
      { setting: 'start', value: nearest },
      {
        start: { note: start },
        reached: { note: start + pattern.high },
        limit: { note: ceiling },
        nearest: { note: nearest },
      },
    );
  }
  if (start + pattern.low < floor) {
    const nearest = floor - pattern.low;
    throw new LadderError(
      'START_BELOW_FLOOR',
      `From ${writeNote(start)} the first key already reaches ${writeNote(start + pattern.low)}, under ${writeNote(floor)}.`,
      `Start on ${writeNote(nearest)} or higher.`,
      { setting: 'start', value: nearest },
      {
        start: { note: start },
        reached: { note: start + pattern.low },
        limit: { note: floor },
        nearest: { note: nearest },
      },
    );
  }
}

/**
 * Refuses settings that give no ladder: single settings first, then span, then start.
 *
 * @throws LadderError with the nearest setting that works
 */
export function checkSettings(input: LadderInput): void {
  checkCounts(input);
  checkClock(input);
  checkAgain(input);
  checkNotes(input);
  checkPlace(input);
}

/** Refuses a tempo step that would bring a later key to a standstill. */
export function checkSlowestKey(input: LadderInput, plannedKeys: number): void {
  const tempoStep = input.tempoStep ?? 0;
  if (input.tempo + tempoStep * (plannedKeys - 1) > 0) return;
  const nearest = -Math.floor((input.tempo - 1) / (plannedKeys - 1));
  throw badSetting('tempoStep', tempoStep, `small enough for ${String(plannedKeys)} keys`, nearest);
}
