import { draftRoutine, type DraftContext, type DraftedRoutine } from '@soft-lark/core';
import { expose } from 'comlink';

const drafts = {
  draft: (context: DraftContext): DraftedRoutine => draftRoutine(context),
};

export type DraftWorker = typeof drafts;
expose(drafts);
