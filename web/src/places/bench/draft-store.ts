import type { EditedRoutine } from './bench.reducer.ts';

/** An edit that the server does not have yet, kept on this device, with the version it was made on. */
export interface KeptDraft {
  readonly version: number;
  readonly routine: EditedRoutine;
  /** The routine as it was in that version: what both windows began with, should another have saved. */
  readonly base: EditedRoutine;
}

const keyOf = (routineId: string): string => `soft-lark.draft.${routineId}`;

export function keepDraft(routineId: string, draft: KeptDraft): void {
  localStorage.setItem(keyOf(routineId), JSON.stringify(draft));
}

export function dropDraft(routineId: string): void {
  localStorage.removeItem(keyOf(routineId));
}

export function keptDraft(routineId: string): KeptDraft | null {
  const kept = localStorage.getItem(keyOf(routineId));
  return kept === null ? null : (JSON.parse(kept) as KeptDraft);
}
