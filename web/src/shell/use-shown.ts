import { useSharedScreen } from '../ui/shared-screen.ts';
import { useStudentInHand } from './student-in-hand.ts';

export interface Shown {
  readonly isShared: boolean;
  /** Whether what is about this student may be seen: on a shared screen only the one in hand. */
  readonly mayShow: (studentId: string) => boolean;
}

/** What this screen may show of the students. */
export function useShown(): Shown {
  const [isShared] = useSharedScreen();
  const inHand = useStudentInHand();
  return { isShared, mayShow: (studentId) => !isShared || studentId === inHand?.id };
}
