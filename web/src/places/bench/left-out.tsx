import { Button } from '@mantine/core';
import type { Exercise, Missing, PassedOver } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { say, sayMissing } from '../../text/say.ts';
import classes from './bench-panel.module.css';

interface LeftOutProps {
  readonly leftOut: readonly PassedOver[];
  readonly shelf: ReadonlyMap<string, Exercise>;
}

/** What a whole warm-up has and the last draft could not be given, each with what to do about it. */
export function MissingList({ missing }: { readonly missing: readonly Missing[] }): ReactElement | null {
  if (missing.length === 0) return null;
  return (
    <section className={classes['missing']} role="status">
      {missing.map((one) => {
        const { message, remedy } = sayMissing(one);
        return (
          <p key={message}>
            <b>{message}</b> {remedy}
          </p>
        );
      })}
    </section>
  );
}

/** What the last draft could not take at all, each with its reason, on request. */
export function LeftOut({ leftOut, shelf }: LeftOutProps): ReactElement | null {
  const { t } = useTranslation();
  const [isOpen, setOpen] = useState(false);
  if (leftOut.length === 0) return null;
  return (
    <section className={classes['drafted']}>
      <Button
        size="xs"
        variant="subtle"
        aria-expanded={isOpen}
        onClick={() => {
          setOpen(!isOpen);
        }}
      >
        {t('bench.think.leftOut', { count: leftOut.length })}
      </Button>
      {isOpen && (
        <ul className={classes['leftOut']} aria-label={t('bench.think.leftOutList')}>
          {leftOut.map(({ exerciseId, reason }) => (
            <li key={exerciseId} data-exercise={shelf.get(exerciseId)?.name}>
              {say(reason)}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
