import type { Work } from '@soft-lark/core';

/** What the fields of one kind of work are given. */
export interface WorkFieldsProps<T extends Work> {
  readonly work: T;
  readonly change: (work: T) => void;
  /** What is wrong at a place of the work, in words. */
  readonly problemAt: (path: string) => string | undefined;
}
