import type { TFunction } from 'i18next';
import type { RunSummary } from '../../api/runs.queries.ts';

/** Keys sung against keys planned; a teacher who went on sang more than there were. */
export function keysWords(
  { sungKeys, plannedKeys }: Pick<RunSummary, 'sungKeys' | 'plannedKeys'>,
  t: TFunction,
): string {
  return sungKeys > plannedKeys
    ? t('log.keysOver', { sung: sungKeys, over: sungKeys - plannedKeys })
    : t('log.keysOf', { sung: sungKeys, planned: plannedKeys });
}
