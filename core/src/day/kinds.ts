import type { Occasion } from '../voice/index.ts';

/** What a routine is for: it shapes a draft and decides what a review asks for. */
export const ROUTINE_KINDS = ['lesson', 'home', 'late', 'performance', 'cool-down'] as const;

export type RoutineKind = (typeof ROUTINE_KINDS)[number];

/** Kinds that do one thing and leave goals and songs to another day. */
const SHORT_KINDS: ReadonlySet<RoutineKind> = new Set(['late', 'cool-down']);

/**
 * The occasion the limits of a routine go by.
 *
 * @example occasionOf('late') // 'lesson'
 */
export function occasionOf(kind: RoutineKind): Occasion {
  return kind === 'home' || kind === 'performance' ? kind : 'lesson';
}

/** Whether a routine is for goals and songs at all. */
export function servesGoals(kind: RoutineKind = 'lesson'): boolean {
  return !SHORT_KINDS.has(kind);
}
