import { Popover, UnstyledButton } from '@mantine/core';
import { type LimitContext, type Limits } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Ledger } from './ledger.tsx';
import { writeNote } from '../text/note-names.ts';
import classes from './ui.module.css';

interface LimitNoteProps {
  readonly limits: Limits;
  readonly note: number;
  readonly context?: LimitContext | undefined;
}

/** A note that is a limit: one press tells why. */
export function LimitNote({ limits, note, context }: LimitNoteProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Popover width={330} position="bottom" withArrow radius="lg" shadow="none" withinPortal>
      <Popover.Target>
        <UnstyledButton className={classes['limitNote'] ?? ''} aria-label={t('bench.why', { note: writeNote(note) })}>
          {writeNote(note)}
        </UnstyledButton>
      </Popover.Target>
      <Popover.Dropdown>
        <Ledger limits={limits} context={context} />
      </Popover.Dropdown>
    </Popover>
  );
}
