import { startCheck, type CheckState } from '@soft-lark/core';

/** How notes come in; all four lead to the same result. */
export const WAYS = ['microphone', 'keys', 'midi', 'simulated'] as const;
export type Way = (typeof WAYS)[number];

const keyOf = (studentId: string): string => `soft-lark.check.${studentId}`;

/** A check that was broken off on this device, or a new one. */
export function keptCheck(studentId: string): CheckState {
  const text = localStorage.getItem(keyOf(studentId));
  return text === null ? startCheck() : (JSON.parse(text) as CheckState);
}

/** Keeps a check that has begun; nothing of it is on the server before it is confirmed. */
export function keepCheck(studentId: string, state: CheckState): void {
  if (state.phase === 'speaking') dropCheck(studentId);
  else localStorage.setItem(keyOf(studentId), JSON.stringify(state));
}

export function dropCheck(studentId: string): void {
  localStorage.removeItem(keyOf(studentId));
}
