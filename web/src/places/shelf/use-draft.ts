import {
  exerciseSchema,
  faultsOf,
  firstFault,
  parsePattern,
  patternOfWork,
  type Exercise,
  type Pattern,
  type PatternError,
  type PatternWork,
  type Work,
} from '@soft-lark/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { say } from '../../text/say.ts';
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
  /** Other work in its place. */
  readonly putWork: (work: Work) => void;
  /** What is wrong at a place of the work, in words. */
  readonly problemAt: (path: string) => string | undefined;
  readonly reset: () => void;
}

/** What cannot be kept of an exercise: the first thing as a sentence, and each by its place. */
interface Problems {
  readonly sentence: string | null;
  readonly at: ReadonlyMap<string, string>;
}

function problemsOf(exercise: Exercise): Problems {
  const result = exerciseSchema.safeParse(exercise);
  if (result.success) return { sentence: null, at: new Map() };
  const at = faultsOf(result.error).map(({ path, ...fault }) => [path.join('.'), say(fault)] as const);
  return { sentence: say(firstFault(result.error)), at: new Map(at) };
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
      // Pictures keep the last figures that can be laid out.
      const isReadable = exerciseSchema.shape.work.safeParse(wanted).success;
      setDraft({ of: current.of, exercise: next, readable: isReadable ? next : current.readable });
      return;
    }
    const isReadable = patternErrorOf(wanted.pattern, wanted.mode, wanted.syllables) === null;
    const kept = isReadable ? { ...next, work: withMarksInside(wanted) } : next;
    setDraft({ of: current.of, exercise: kept, readable: isReadable ? kept : current.readable });
  };
  const readable = useDeferredValue(current.readable);
  const problems = useMemo(() => problemsOf(exercise), [exercise]);
  const pattern = useMemo(() => (readable.work.kind === 'pattern' ? patternOfWork(readable.work) : null), [readable]);
  return {
    exercise,
    isChanged: exercise !== current.of,
    error,
    problem: problems.sentence,
    problemAt: (path) => problems.at.get(`work.${path}`),
    pattern,
    readable,
    change: (change) => {
      put({ ...exercise, ...change });
    },
    changeWork: (change) => {
      if (work.kind === 'pattern') put({ ...exercise, work: { ...work, ...change } });
    },
    putWork: (next) => {
      put({ ...exercise, work: next });
    },
    reset: () => {
      setDraft({ of: stored, exercise: stored, readable: stored });
    },
  };
}
