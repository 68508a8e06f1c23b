/** Whom a sheet is for. */
export const READERS = ['teacher', 'student'] as const;
export type Reader = (typeof READERS)[number];
