import { Popover, UnstyledButton } from '@mantine/core';
import type { ReactElement, ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { TermName } from '../text/en-terms.ts';
import classes from './ui.module.css';

interface TermProps {
  readonly name: TermName;
  /** The word as it stands here. */
  readonly children: ReactNode;
}

/** A term of the trade; pressed, it says in one line what is meant. */
export function Term({ name, children }: TermProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Popover width={300} position="bottom-start" withArrow shadow="none" withRoles trapFocus={false}>
      <Popover.Target>
        <UnstyledButton className={classes['term'] ?? ''}>{children}</UnstyledButton>
      </Popover.Target>
      <Popover.Dropdown>
        <span className={classes['termSays']}>{t(`terms.${name}.says`)}</span>
      </Popover.Dropdown>
    </Popover>
  );
}
