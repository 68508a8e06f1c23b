import type { Condition } from '../voice/index.ts';

/** The three answers before a run. No answer is not "fine". */
export interface GateAnswers {
  readonly tired: 0 | 1 | 2 | 3;
  readonly voice: 'normal' | 'rough' | 'gone';
  readonly pain: boolean;
}

export type GateOutcome =
  | { readonly open: true; readonly conditions: readonly Condition[] }
  | { readonly open: false; readonly reason: 'pain' | 'voice-gone' };

const TIRED_FROM = 2;

/**
 * Whether a run may begin, and in which condition. Answers add to what was chosen before; `fresh` yields to any other.
 *
 * @example gateOutcome({ tired: 2, voice: 'normal', pain: false }, ['fresh']) // open, ['tired']
 * Source: the cautions of the studio; pain or a lost voice means no singing today.
 */
export function gateOutcome(answers: GateAnswers, chosen: readonly Condition[]): GateOutcome {
  if (answers.pain) return { open: false, reason: 'pain' };
  if (answers.voice === 'gone') return { open: false, reason: 'voice-gone' };
  const found = new Set(chosen);
  if (answers.tired >= TIRED_FROM) found.add('tired');
  if (answers.voice === 'rough') found.add('recovering');
  if (found.size > 1) found.delete('fresh');
  return { open: true, conditions: [...found] };
}
