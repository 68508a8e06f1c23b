import { MARKS, RUN_PLACES, type Mark, type RunPlace } from '@soft-lark/core';
import { useSearchParams } from 'react-router';

/** Stands for no choice. */
export const ALL = 'all';
export type SoughtField = 'student' | 'words' | 'mark' | 'place';

/** What is looked for in the log, as the address has it, so that it can be kept and gone back to. */
export function useSought(): {
  readonly student: string | null;
  readonly words: string;
  readonly mark: Mark | undefined;
  readonly place: RunPlace | undefined;
  readonly seek: (field: SoughtField, value: string | null) => void;
} {
  const [address, setAddress] = useSearchParams();
  const seek = (field: SoughtField, value: string | null): void => {
    setAddress(
      (before) => {
        const next = new URLSearchParams(before);
        // All students is a choice of its own: on a shared screen the usual one is the student in hand.
        if (value === null || value === '' || (value === ALL && field !== 'student')) next.delete(field);
        else next.set(field, value);
        return next;
      },
      { replace: true },
    );
  };
  return {
    student: address.get('student'),
    words: address.get('words') ?? '',
    mark: MARKS.find((one) => one === address.get('mark')),
    place: RUN_PLACES.find((one) => one === address.get('place')),
    seek,
  };
}
