import { z } from 'zod';
import { broken } from '../faults.ts';
import { ruleChangesSchema } from '../limits/index.ts';
import { voiceFileSchema } from '../voice/index.ts';
import { APPROACH_CHOICES } from './approach.data.ts';

/** Answers on which schools differ, by question. */
export const approachSchema = z.record(z.string(), z.string()).superRefine((answers, context) => {
  for (const [question, answer] of Object.entries(answers))
    if (!Object.hasOwn(APPROACH_CHOICES, question) || !APPROACH_CHOICES[question]?.includes(answer))
      context.addIssue({ code: 'custom', path: [question], ...broken('not-offered') });
});

/** A voice file as it is kept: its own approach and figures are such as there are. */
export const keptVoiceSchema = voiceFileSchema.extend({
  approach: approachSchema.exactOptional(),
  rules: ruleChangesSchema.exactOptional(),
});
