// Source: house list of what usually stands in the way of a warm-up exercise.

/** What can stand in the way of an exercise. */
export const OBSTACLES = [
  'cannot-trill',
  'no-straw',
  'thin-walls',
  'seated',
  'video-call',
  'in-the-car',
  'sore-lip',
] as const;
export type Obstacle = (typeof OBSTACLES)[number];

/** Those that stand in the way for good, and so on the voice file. */
export const LASTING_OBSTACLES = [
  'cannot-trill',
  'no-straw',
  'seated',
  'thin-walls',
] as const satisfies readonly Obstacle[];
export type LastingObstacle = (typeof LASTING_OBSTACLES)[number];
