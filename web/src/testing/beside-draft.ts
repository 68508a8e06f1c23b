import { draftRoutine, type DraftContext, type DraftedRoutine } from '@soft-lark/core';

/** The draft worker, in the page. */
export function draftBeside(context: DraftContext): Promise<DraftedRoutine> {
  return Promise.resolve(draftRoutine(context));
}
