/** Where a run was sung: with the teacher, or alone by a link. */
export const RUN_PLACES = ['lesson', 'home'] as const;
export type RunPlace = (typeof RUN_PLACES)[number];
