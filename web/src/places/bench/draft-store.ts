import { dropFromDevice, isRecord, keepOnDevice, readParsed } from '../../device/device-store.ts';
import type { EditedRoutine } from './bench.reducer.ts';

/** An edit that the server does not have yet, kept on this device, with the version it was made on. */
export interface KeptDraft {
  readonly version: number;
  readonly routine: EditedRoutine;
  /** The routine as it was in that version: what both windows began with, should another have saved. */
  readonly base: EditedRoutine;
}

const PREFIX = 'soft-lark.draft.';
const keyOf = (routineId: string): string => PREFIX + routineId;

function isRoutine(value: unknown): boolean {
  return isRecord(value) && typeof value['name'] === 'string' && Array.isArray(value['steps']);
}

function readDraft(value: unknown): KeptDraft | null {
  if (!isRecord(value) || !Number.isInteger(value['version'])) return null;
  return isRoutine(value['routine']) && isRoutine(value['base']) ? (value as unknown as KeptDraft) : null;
}

export function keepDraft(routineId: string, draft: KeptDraft): void {
  keepOnDevice(keyOf(routineId), JSON.stringify(draft));
}

export function dropDraft(routineId: string): void {
  dropFromDevice(keyOf(routineId));
}

export function keptDraft(routineId: string): KeptDraft | null {
  return readParsed(keyOf(routineId), readDraft);
}
