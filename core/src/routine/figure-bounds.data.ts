/** House limit: the least time a step can be set to, seconds. */
export const LEAST_SECONDS = 5;

/**
 * Least and most of the figures that a step of breath, of glides or of words may have of its own. Source: house limits
 * inside the cautions; a breath is never held longer than eight counts.
 */
export const FIGURE_BOUNDS = {
  inCounts: [1, 12],
  holdCounts: [0, 8],
  outCounts: [1, 60],
  restCounts: [0, 30],
  countTempo: [30, 120],
  growsBy: [0, 12],
  growsTo: [1, 120],
  mostSeconds: [3, 60],
  secondsEach: [1, 60],
  restSeconds: [0, 120],
  lowShare: [0, 1],
  highShare: [0, 1],
  beats: [1, 64],
  quickening: [0, 0.2],
} as const satisfies Record<string, readonly [number, number]>;
export type FigureName = keyof typeof FIGURE_BOUNDS;
