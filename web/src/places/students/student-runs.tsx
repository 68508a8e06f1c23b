import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Failure } from '../../ui/failure.tsx';
import { Shape } from '../../ui/shape.tsx';
import { RunTable } from '../log/run-table.tsx';
import { useRuns } from '../log/use-runs.ts';

export function StudentRuns({ studentId }: { readonly studentId: string }): ReactElement {
  const { t } = useTranslation();
  const logged = useRuns({ studentId });
  if (logged.error && !logged.runs) return <Failure error={logged.error} onRetry={logged.retry} />;
  if (!logged.runs) return <Shape rows={4} height={40} />;
  return logged.runs.length === 0 ? <p>{t('students.noRuns')}</p> : <RunTable {...logged} />;
}
