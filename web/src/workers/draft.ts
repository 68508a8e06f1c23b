import type { DraftContext, DraftedRoutine } from '@soft-lark/core';
import { wrap, type Remote } from 'comlink';
import type { DraftWorker } from './draft.worker.ts';

let worker: Remote<DraftWorker> | undefined;

/** Drafts a routine beside the page; the worker stays for the next one. */
export async function draftBeside(context: DraftContext): Promise<DraftedRoutine> {
  worker ??= wrap<DraftWorker>(new Worker(new URL('./draft.worker.ts', import.meta.url), { type: 'module' }));
  return worker.draft(context);
}
