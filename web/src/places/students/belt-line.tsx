import { useQuery } from '@tanstack/react-query';
import { easyBeltTopOf, voiceOf, type RuleTable } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { beltEvidenceQuery, type Student } from '../../api/students.queries.ts';
import { writeNote } from '../../text/note-names.ts';

interface BeltLineProps {
  readonly student: Student;
  readonly rules: RuleTable;
}

/** What the runs say of the belt ceiling; raising it stays the teacher’s word. */
export function BeltLine({ student, rules }: BeltLineProps): ReactElement | null {
  const { t } = useTranslation();
  const evidence = useQuery(beltEvidenceQuery(student.id)).data;
  if (!evidence || evidence.ceiling === null || evidence.easyDays.length === 0) return null;
  const highest = easyBeltTopOf(voiceOf(student.voice), rules) ?? evidence.ceiling;
  const mayRise = evidence.isEnough && evidence.ceiling < highest;
  return (
    <small>
      {t('students.beltEasy', { count: evidence.easyDays.length, note: writeNote(evidence.ceiling) })}{' '}
      {mayRise && t('students.beltRise', { note: writeNote(highest) })}
    </small>
  );
}
