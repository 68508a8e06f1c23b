import {
  issueSentence,
  exerciseSchema,
  parsePattern,
  patternOfWork,
  type Exercise,
  type Pattern,
  type PatternError,
  type PatternWork,
} from '@soft-lark/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { patternErrorOf } from './pattern-field.tsx';

export interface Draft {
  readonly exercise: Exercise;
  readonly isChanged: boolean;
  /** What is wrong with the pattern as it stands. */
  readonly error: PatternError | null;
  /** The first thing besides the pattern that cannot be kept, as a sentence. */
  readonly problem: string | null;
  /** The last pattern that could be read; the pictures keep it while the text is broken. */
  readonly pattern: Pattern | null;
  /** The exercise with the last pattern that could be read. */
  readonly readable: Exercise;
  readonly change: (change: Partial<Exercise>) => void;
  readonly changeWork: (change: Partial<PatternWork>) => void;
  readonly reset: () => void;
}

function problemOf(exercise: Exercise): string | null {
  const result = exerciseSchema.safeParse(exercise);
  return result.success ? null : issueSentence(result.error);
}

/** Marks belong to events; those whose events are gone go with them. */
function withMarksInside(work: PatternWork): PatternWork {
  const { events } = parsePattern(work.pattern, { mode: work.mode });
  const marks = work.marks.filter(({ last }) => last < events.length);
  return marks.length === work.marks.length ? work : { ...work, marks };
}

/** An exercise as it is being changed; nothing is kept before the teacher says where. */
export function useDraft(stored: Exercise): Draft {
  const [draft, setDraft] = useState<{
    readonly of: Exercise;
    readonly exercise: Exercise;
    readonly readable: Exercise;
  }>({
    of: stored,
    exercise: stored,
    readable: stored,
  });
  // What is stored has changed under an untouched draft: follow it.
  const current =
    draft.of !== stored && draft.exercise === draft.of ? { of: stored, exercise: stored, readable: stored } : draft;
  const { exercise } = current;
  const { work } = exercise;
  const error = useMemo(
    () =>
      work.kind === 'pattern'
        ? ([work.syllables, ...Object.values(work.syllablesAt)]
            .map((syllables) => patternErrorOf(work.pattern, work.mode, syllables ?? ''))
            .find((found) => found !== null) ?? null)
        : null,
    [work],
  );
  const put = (next: Exercise): void => {
    const { work: wanted } = next;
    if (wanted.kind !== 'pattern') {
      setDraft({ of: current.of, exercise: next, readable: next });
      return;
    }
    const isReadable = patternErrorOf(wanted.pattern, wanted.mode, wanted.syllables) === null;
    const kept = isReadable ? { ...next, work: withMarksInside(wanted) } : next;
    setDraft({ of: current.of, exercise: kept, readable: isReadable ? kept : current.readable });
  };
  const readable = useDeferredValue(current.readable);
  const pattern = useMemo(() => (readable.work.kind === 'pattern' ? patternOfWork(readable.work) : null), [readable]);
  return {
    exercise,
    isChanged: exercise !== current.of,
    error,
    problem: useMemo(() => problemOf(exercise), [exercise]),
    pattern,
    readable,
    change: (change) => {
      put({ ...exercise, ...change });
    },
    changeWork: (change) => {
      if (work.kind === 'pattern') put({ ...exercise, work: { ...work, ...change } });
    },
    reset: () => {
      setDraft({ of: stored, exercise: stored, readable: stored });
    },
  };
}
