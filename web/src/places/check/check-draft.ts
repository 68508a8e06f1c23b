import { startCheck, type CheckState } from '@soft-lark/core';
import { dropFromDevice, isRecord, keepOnDevice, readParsed } from '../../device/device-store.ts';

const keyOf = (studentId: string): string => `soft-lark.check.${studentId}`;

function readCheck(value: unknown): CheckState | null {
  return isRecord(value) &&
    typeof value['phase'] === 'string' &&
    isRecord(value['sung']) &&
    Array.isArray(value['misses'])
    ? (value as unknown as CheckState)
    : null;
}

/** A check that was broken off on this device, or a new one. */
export function keptCheck(studentId: string): CheckState {
  return readParsed(keyOf(studentId), readCheck) ?? startCheck();
}

/** Keeps a check that has begun; nothing of it is on the server before it is confirmed. */
export function keepCheck(studentId: string, state: CheckState): void {
  if (state.phase === 'speaking') dropCheck(studentId);
  else keepOnDevice(keyOf(studentId), JSON.stringify(state));
}

export function dropCheck(studentId: string): void {
  dropFromDevice(keyOf(studentId));
}
