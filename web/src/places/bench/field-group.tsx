import type { Exercise, StepSettings } from '@soft-lark/core';
import { useId, type ReactElement, type ReactNode } from 'react';
import type { SetSetting } from './ladder-fields.tsx';
import classes from './bench.module.css';

/** What the fields of a step show and set. */
export interface StepFieldsProps {
  readonly stepId: string;
  readonly exercise: Exercise;
  /** As it stands on the shelf. */
  readonly written: Exercise;
  readonly settings: StepSettings;
  /** Whether a song of the piece in hand is kept. */
  readonly hasSong: boolean;
  readonly set: SetSetting;
}

/** Fields that belong together, under their title. */
export function FieldGroup({
  title,
  children,
}: {
  readonly title: string;
  readonly children: ReactNode;
}): ReactElement {
  const id = useId();
  return (
    <div className={classes['fieldGroup']} role="group" aria-labelledby={id}>
      <h3 id={id}>{title}</h3>
      <div className={classes['groupFields']}>{children}</div>
    </div>
  );
}
