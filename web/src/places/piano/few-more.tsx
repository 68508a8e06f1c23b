import { UnstyledButton } from '@mantine/core';
import { fewMore, type RunState } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { say } from '../../text/say.ts';
import { keyOf, useKeyChoice } from '../../ui/use-keys.ts';
import { FEW_MORE } from './use-run-keys.ts';
import type { Running } from './use-run.ts';
import { letGo } from './let-go.ts';
import classes from './run.module.css';

const CHOICES = [1, 2, 3] as const;

/** “Two more, then home”: offered while note and time allow it; what cannot be says why when it is pressed. */
export function FewMore({
  running,
  state,
}: {
  readonly running: Running;
  readonly state: RunState;
}): ReactElement | null {
  const { t } = useTranslation();
  const [keys] = useKeyChoice();
  const moment = `${String(state.stepIndex)}/${String(state.sung.length)}`;
  const [refused, setRefused] = useState({ moment: '', reason: '' });
  if (fewMore(state, 0, Infinity) === undefined) return null;
  const said = refused.moment === moment ? refused.reason : '';
  return (
    <div className={classes['fewMore']}>
      <small role="status">{said || t('piano.thenHomeHint')}</small>
      <p>
        {CHOICES.map((more) => {
          const found = fewMore(state, more, running.room);
          return (
            <UnstyledButton
              key={more}
              aria-label={t('piano.thenHome', { count: more })}
              aria-keyshortcuts={keyOf(keys, 'piano', FEW_MORE[more - 1] ?? 'oneMore') ?? undefined}
              data-refused={!found?.canBe}
              onPointerUp={letGo}
              onClick={() => {
                if (found?.canBe) running.thenHome(more);
                else setRefused({ moment, reason: found ? say(found.reason) : '' });
              }}
            >
              {more}
            </UnstyledButton>
          );
        })}
      </p>
    </div>
  );
}
