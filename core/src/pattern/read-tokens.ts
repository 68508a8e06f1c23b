import { PatternError } from '../errors.ts';
import { LONGEST_TEXT } from './longest-text.ts';
import { fraction, ONE, times, toBeats, type Fraction } from './beats.ts';
import { degreeSemitones } from './degree.ts';
import type { Mode } from './pattern.types.ts';

/** A token after its groups were opened: one point is a note, more are a glide, none is a rest. */
export interface ReadToken {
  readonly points: readonly number[];
  readonly duration: Fraction;
  readonly position: number;
}

const MOST_EVENTS = 256;
const MOST_TIMES = 32;
const LONGEST_BEATS = 1_000_000;

const DURATION = '(?::(\\d{1,15})(?:/(\\d{1,15}))?)?';
// Every part of these is taken in one way only, so that a text that does not fit is refused as fast as one that does.
const PITCH = "[#b]*(?:1[0-5]|[1-9])(?:'+|,+)?";
const PITCH_PARTS = /^([#b]*)(\d+)('+|,+)?$/;
const NOTE_OR_GLIDE = new RegExp(`^(${PITCH}(?:~${PITCH})*)${DURATION}$`);
const REST = new RegExp(`^r${DURATION}$`);
const GROUP_TAIL = new RegExp(`^(?:x(\\d{1,3}))?${DURATION}$`);
const WORD = /[^ ()]+/y;

const NOTE_HELP = 'a degree 1–15 such as 3, b3 or 5,:2, a glide such as 1~5, a rest r, or a group such as (1 2 3)x2';
const DURATION_HELP = 'a duration over zero, such as :2 or :1/2';

interface OpenGroup {
  readonly position: number;
  readonly tokens: ReadToken[];
}

function readDuration(whole: string | undefined, parts: string | undefined, position: number, word: string): Fraction {
  if (whole === undefined) return ONE;
  const numerator = BigInt(whole);
  const denominator = BigInt(parts ?? '1');
  if (numerator === 0n || denominator === 0n) {
    throw new PatternError('BAD_DURATION', position, `“${word}” lasts no time.`, DURATION_HELP, {
      context: 'nothing',
      word,
    });
  }
  return fraction(numerator, denominator);
}

function readPitch(text: string, mode: Mode): number {
  const [, accidentals = '', degree = '', marks = ''] = PITCH_PARTS.exec(text) ?? [];
  const octaves = marks.startsWith(',') ? -marks.length : marks.length;
  let semitones = degreeSemitones(mode, Number(degree) - 1) + 12 * octaves;
  for (const sign of accidentals) semitones += sign === '#' ? 1 : -1;
  return semitones;
}

function wrongWord(word: string, position: number): PatternError {
  const shown = word.slice(0, 40);
  if (/[\t\r\n\u00a0]/.test(word)) {
    return new PatternError('BAD_SPACE', position, 'Tabs and line breaks cannot part the notes.', 'plain spaces');
  }
  if (/:|\//.test(word)) {
    return new PatternError('BAD_DURATION', position, `“${shown}” has no duration that can be read.`, DURATION_HELP, {
      word: shown,
    });
  }
  if (/^[#b]*\d+[',~]*$/.test(word)) {
    return new PatternError(
      'BAD_DEGREE',
      position,
      `“${shown}” is not a degree of the scale.`,
      'a degree from 1 to 15',
      { word: shown },
    );
  }
  return new PatternError('BAD_TOKEN', position, `“${shown}” is not a note, rest, glide or group.`, NOTE_HELP, {
    word: shown,
  });
}

function readWord(word: string, position: number, mode: Mode): ReadToken {
  const note = NOTE_OR_GLIDE.exec(word);
  if (note) {
    const points = (note[1] ?? '').split('~').map((pitch) => readPitch(pitch, mode));
    return { points, duration: readDuration(note[2], note[3], position, word), position };
  }
  const rest = REST.exec(word);
  if (rest) return { points: [], duration: readDuration(rest[1], rest[2], position, word), position };
  throw wrongWord(word, position);
}

function countEvents(tokens: readonly ReadToken[]): number {
  return tokens.reduce((sum, token) => sum + Math.max(1, token.points.length - 1), 0);
}

function tooMany(position: number): PatternError {
  return new PatternError(
    'TOO_MANY_EVENTS',
    position,
    `The pattern grows past ${String(MOST_EVENTS)} notes here.`,
    `at most ${String(MOST_EVENTS)} notes, glides and rests`,
    { most: MOST_EVENTS },
  );
}

function openGroup(group: OpenGroup, tail: string): ReadToken[] {
  const { position, tokens } = group;
  const match = GROUP_TAIL.exec(tail);
  if (!match || tail === '') {
    throw new PatternError(
      'BAD_GROUP',
      position,
      `The group does not say what it is for.`,
      'x and a number, or a duration, right after the bracket: (1 2 3)x2',
      { context: 'factor' },
    );
  }
  if (tokens.length === 0) {
    throw new PatternError('BAD_GROUP', position, 'The group is empty.', 'at least one note between the brackets', {
      context: 'empty',
    });
  }
  const repeats = Number(match[1] ?? 1);
  if (repeats < 1 || repeats > MOST_TIMES) {
    throw new PatternError(
      'BAD_GROUP',
      position,
      `A group cannot be sung ${String(repeats)} times.`,
      `x1 to x${String(MOST_TIMES)}`,
      { context: 'times', times: repeats, most: MOST_TIMES },
    );
  }
  if (countEvents(tokens) * repeats > MOST_EVENTS) throw tooMany(position);
  const factor = readDuration(match[2], match[3], position, tail);
  const once = tokens.map((token) => ({ ...token, duration: times(token.duration, factor) }));
  return Array.from({ length: repeats }, () => once).flat();
}

function checkLengths(tokens: readonly ReadToken[]): void {
  for (const { duration, points, position } of tokens) {
    const beats = toBeats(times(duration, fraction(1n, BigInt(Math.max(1, points.length - 1)))));
    if (!(beats >= 1 / LONGEST_BEATS && beats <= LONGEST_BEATS)) {
      throw new PatternError(
        'BAD_DURATION',
        position,
        'A note here is too short or too long to be sung.',
        DURATION_HELP,
        { context: 'length' },
      );
    }
  }
}

/**
 * Reads pattern text into tokens with all groups opened.
 *
 * @throws PatternError with the position of the offending token
 */
export function readTokens(text: string, mode: Mode): readonly ReadToken[] {
  if (text.length > LONGEST_TEXT) {
    throw new PatternError(
      'TOO_LONG',
      LONGEST_TEXT,
      `The pattern is ${String(text.length)} characters long.`,
      `at most ${String(LONGEST_TEXT)} characters; a group such as (1 2 3)x4 says much in little`,
      { long: text.length, most: LONGEST_TEXT },
    );
  }
  const outer: OpenGroup = { position: 0, tokens: [] };
  const open: OpenGroup[] = [outer];
  let at = 0;
  const wordAt = (position: number): string => {
    WORD.lastIndex = position;
    return WORD.exec(text)?.[0] ?? '';
  };
  while (at < text.length) {
    const inner = open.at(-1) ?? outer;
    const sign = text[at] ?? '';
    if (sign === ' ') {
      at += 1;
    } else if (sign === '(') {
      open.push({ position: at, tokens: [] });
      at += 1;
    } else if (sign === ')') {
      if (open.length === 1) {
        throw new PatternError(
          'BAD_GROUP',
          at,
          'A bracket closes here that was never opened.',
          'an opening bracket before it',
          { context: 'closed' },
        );
      }
      open.pop();
      const tail = wordAt(at + 1);
      const target = open.at(-1) ?? outer;
      target.tokens.push(...openGroup(inner, tail));
      at += 1 + tail.length;
      if (text[at] === '(') throw wrongWord(text.slice(at, at + 8), at);
      if (countEvents(target.tokens) > MOST_EVENTS) throw tooMany(inner.position);
    } else {
      const word = wordAt(at);
      inner.tokens.push(readWord(word, at, mode));
      if (text[at + word.length] === '(') throw wrongWord(`${word}(`, at);
      if (countEvents(inner.tokens) > MOST_EVENTS) throw tooMany(at);
      at += word.length;
    }
  }
  const unclosed = open.length > 1 ? open.at(-1) : undefined;
  if (unclosed) {
    throw new PatternError(
      'BAD_GROUP',
      unclosed.position,
      'The bracket that opens here is never closed.',
      'a closing bracket with x2 or :1/2 after it',
      { context: 'open' },
    );
  }
  checkLengths(outer.tokens);
  return outer.tokens;
}
