import { Button } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { unmuteRule, type Mute } from '../../api/mutes.queries.ts';
import type { ruleNames } from '../../text/en-rules.ts';
import classes from './bench-panel.module.css';

/** What is muted here, why, and the way to hear it again. */
export function MutedList({ mutes }: { readonly mutes: readonly Mute[] }): ReactElement | null {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const unmute = useMutation({
    mutationFn: unmuteRule,
    onSuccess: () => queries.invalidateQueries({ queryKey: ['mutes'] }),
  });
  if (mutes.length === 0) return null;
  return (
    <>
      <p className={classes['source']}>{t('bench.mute.list')}</p>
      <ul>
        {mutes.map(({ id, rule, reason, studentId, routineId }) => (
          <li key={id}>
            <p>
              <b>{t(`ruleNames.${rule as keyof typeof ruleNames}`)}</b> ·{' '}
              {t(`bench.mute.scopes.${routineId !== null ? 'routine' : studentId !== null ? 'student' : 'studio'}`)} ·{' '}
              {reason}
            </p>
            <Button
              size="xs"
              variant="subtle"
              onClick={() => {
                unmute.mutate(id);
              }}
            >
              {t('bench.mute.undo')}
            </Button>
          </li>
        ))}
      </ul>
    </>
  );
}
