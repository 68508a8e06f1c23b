import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { runsQuery } from '../../api/runs.queries.ts';
import { Shape } from '../../ui/shape.tsx';
import { RunTable } from '../log/run-table.tsx';

export function StudentRuns({ studentId }: { readonly studentId: string }): ReactElement {
  const { t } = useTranslation();
  const runs = useQuery(runsQuery(studentId)).data;
  if (!runs) return <Shape rows={4} height={40} />;
  return runs.length === 0 ? <p>{t('students.noRuns')}</p> : <RunTable runs={runs} />;
}
