import { useLocalStorage } from '@mantine/hooks';
import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { studentsQuery, type Student } from '../api/students.queries.ts';

const KEY = 'soft-lark.student-in-hand';

/** The student last worked with; remembered on this device. */
export function useStudentInHand(): Student | undefined {
  const [id] = useLocalStorage({ key: KEY, defaultValue: '' });
  return useQuery({ ...studentsQuery, enabled: id !== '' }).data?.find((student) => student.id === id);
}

/** Takes a student in hand while a page of theirs is shown. */
export function useTakeInHand(studentId: string | undefined): void {
  const [, setId] = useLocalStorage({ key: KEY, defaultValue: '' });
  useEffect(() => {
    if (studentId !== undefined) setId(studentId);
  }, [studentId, setId]);
}
