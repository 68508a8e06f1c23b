import { gateOutcome, isCleared, type GateOutcome } from '@soft-lark/core';
import type { Day } from '../../api/lay.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import type { Answers } from './gate-questions.tsx';

/** What the gate comes to for one singer, as far as it is answered. */
export interface GateDay {
  /** What the answers come to; nothing while one is missing. */
  readonly outcome: GateOutcome | null;
  /** The day as the answers leave it. */
  readonly day: Day & Pick<StudentToday, 'student'>;
  /** Locked until the teacher opens it again. */
  readonly isShut: boolean;
  /** A run that hurt today leaves gentle work for today. */
  readonly isSpared: boolean;
  /** To be seen by someone; until then there is gentle work. */
  readonly isReferred: boolean;
}

/** What these answers come to on this day; `todaysDate` as the studio has it. */
export function gateDay(today: StudentToday, answers: Answers, todaysDate: string): GateDay {
  const { student, conditions, lock, painOn } = today;
  const answered = gateOutcome(answers, conditions, isCleared(student.voice.clearedOn, todaysDate));
  const isReferred = lock?.level === 'see-someone';
  // A run that hurt today leaves gentle work for today, whatever the answers are now.
  const isSpared = isReferred || (painOn !== null && painOn === todaysDate);
  const outcome = answered?.open && isSpared ? { ...answered, allowance: 'gentle' as const } : answered;
  const day = outcome?.open ? { ...today, ...outcome, conditions: [...outcome.conditions] } : today;
  return { outcome, day, isShut: lock !== null && !isReferred, isSpared, isReferred };
}
