import { UnstyledButton } from '@mantine/core';
import { STAGES, type Exercise, type Stage } from '@soft-lark/core';
import { useMemo, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import classes from './shelf.module.css';

interface StageFilterProps {
  readonly exercises: readonly Exercise[];
  readonly value: Stage | null;
  readonly onChange: (stage: Stage | null) => void;
}

/** The stages in the order they are sung, each with how many exercises it has. */
export function StageFilter({ exercises, value, onChange }: StageFilterProps): ReactElement {
  const { t } = useTranslation();
  const counts = useMemo(() => {
    const found = new Map<Stage, number>();
    for (const { stage } of exercises) found.set(stage, (found.get(stage) ?? 0) + 1);
    return found;
  }, [exercises]);
  return (
    <div className={classes['stages']} role="group" aria-label={t('shelf.all')}>
      {[null, ...STAGES].map((stage) => (
        <UnstyledButton
          key={stage ?? 'all'}
          className={classes['stage'] ?? ''}
          aria-pressed={value === stage}
          onClick={() => {
            onChange(stage);
          }}
        >
          {stage ? t(`stages.${stage}`) : t('shelf.all')}{' '}
          <small>{stage === null ? exercises.length : (counts.get(stage) ?? 0)}</small>
        </UnstyledButton>
      ))}
    </div>
  );
}
