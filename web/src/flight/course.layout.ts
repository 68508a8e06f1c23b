import type { StillCourse, StillPart } from '@soft-lark/core';

/** One part of a course as it is drawn: its curve from the base line, and where its words stand. */
interface CourseShape {
  readonly part: StillPart;
  readonly path: string;
  readonly x: number;
  readonly width: number;
  /** Lies on the base line, as a rest does. */
  readonly isFlat: boolean;
  /** Where words stand in it, where it has some. */
  readonly wordsY: number;
}

/** Whether a course has nothing but words, and so needs little height. */
export function isOfWords({ parts }: StillCourse): boolean {
  return parts.every(({ act }) => act === 'prompt' || act === 'say' || act === 'rest');
}

export interface CoursePath {
  readonly shapes: readonly CourseShape[];
  readonly base: number;
  /** Parts that had no room, before and after those shown. */
  readonly before: number;
  readonly after: number;
}

const GAP = 6;
/** Its words have room. */
const LEAST_WIDTH = 56;
/** House choice: no part takes more than so many times the room of the shortest, or a long rest leaves nothing to the rest. */
const MOST_TIMES = 4;
const LABEL_ROOM = 34;
const PAD = 4;
/** Height and corners of what is said. */
const BLOCK = 46;
const CORNER = 9;

/** The curve of one part: breath comes in and goes out, a go is a hump, what is held stays up, a rest lies flat. */
function curveOf({ act }: StillPart, x: number, width: number, base: number, top: number): string {
  const end = x + width;
  const middle = x + width / 2;
  const from = `M${String(x)} ${String(base)}`;
  switch (act) {
    case 'in':
      return `${from}C${String(middle)} ${String(base)} ${String(middle)} ${String(top)} ${String(end)} ${String(top)}V${String(base)}Z`;
    case 'out':
    case 'longest':
      return `${from}V${String(top)}C${String(middle)} ${String(top)} ${String(middle)} ${String(base)} ${String(end)} ${String(base)}Z`;
    case 'go':
      return `${from}C${String(x + width * 0.32)} ${String(base)} ${String(x + width * 0.32)} ${String(top)} ${String(middle)} ${String(top)}S${String(x + width * 0.68)} ${String(base)} ${String(end)} ${String(base)}Z`;
    case 'hold':
      return `${from}V${String(top)}H${String(end)}V${String(base)}Z`;
    case 'prompt':
    case 'say': {
      const height = base - BLOCK;
      return `${from}V${String(height + CORNER)}Q${String(x)} ${String(height)} ${String(x + CORNER)} ${String(height)}H${String(end - CORNER)}Q${String(end)} ${String(height)} ${String(end)} ${String(height + CORNER)}V${String(base)}Z`;
    }
    case 'rest':
      return `${from}V${String(base - 7)}H${String(end)}V${String(base)}Z`;
  }
}

/** As many parts as have room, those round the one that is on first. */
function windowOf(parts: readonly StillPart[], at: number, width: number): readonly [number, number] {
  const most = Math.max(1, Math.floor((width + GAP) / (LEAST_WIDTH + GAP)));
  if (parts.length <= most) return [0, parts.length];
  const first = Math.max(0, Math.min(at - 1, parts.length - most));
  return [first, first + most];
}

/**
 * Lays a course out along a line.
 *
 * @param at index of the part that is on; 0 before it begins
 */
export function layCourse({ parts }: StillCourse, at: number, width: number, height: number): CoursePath {
  const [first, end] = windowOf(parts, at, width);
  const shown = parts.slice(first, end);
  const shortest = Math.min(...shown.map(({ seconds }) => seconds));
  const weightOf = ({ seconds }: StillPart): number => Math.min(MOST_TIMES, seconds / shortest);
  const room = width - GAP * (shown.length - 1) - LEAST_WIDTH * shown.length;
  const weights = shown.reduce((sum, part) => sum + weightOf(part), 0);
  const base = height - LABEL_ROOM;
  let x = 0;
  const shapes = shown.map((part) => {
    const wide = LEAST_WIDTH + (Math.max(0, room) * weightOf(part)) / weights;
    const shape = {
      part,
      x,
      width: wide,
      isFlat: part.act === 'rest',
      wordsY: base - BLOCK / 2 + 5,
      path: curveOf(part, x, wide, base, PAD),
    };
    x += wide + GAP;
    return shape;
  });
  return { shapes, base, before: first, after: parts.length - end };
}
