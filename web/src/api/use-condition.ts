import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { Condition } from '@soft-lark/core';
import { sessionQuery } from './session.queries.ts';
import { setCondition, studentTodayQuery, todayQuery } from './students.queries.ts';

/** Sets today's condition of a student: shown at once everywhere, sent until the server has it. */
export function useCondition(studentId: string): (conditions: readonly Condition[]) => void {
  const queries = useQueryClient();
  const day = useQuery(sessionQuery).data?.today ?? '';
  const send = useMutation({
    mutationFn: (conditions: readonly Condition[]) => setCondition(studentId, day, conditions),
    onMutate: async (conditions) => {
      const own = studentTodayQuery(studentId).queryKey;
      // An answer on its way would bring the old condition back; without one the new picture need not wait.
      for (const queryKey of [todayQuery.queryKey, own])
        if (queries.isFetching({ queryKey }) > 0) await queries.cancelQueries({ queryKey });
      queries.setQueryData(own, (old) => old && { ...old, conditions: [...conditions] });
      queries.setQueryData(
        todayQuery.queryKey,
        (old) =>
          old && {
            ...old,
            lessons: old.lessons.map((lesson) =>
              lesson.student.id === studentId ? { ...lesson, conditions: [...conditions] } : lesson,
            ),
          },
      );
    },
    scope: { id: `condition-${studentId}` },
  });
  return send.mutate;
}
