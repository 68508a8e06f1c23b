import { ActionIcon, Button, NumberInput, Select, TextInput, Tooltip } from '@mantine/core';
import { IconArrowBackUp, IconArrowForwardUp } from '@tabler/icons-react';
import { ROUTINE_KINDS, type Condition, type Exercise, type RoutineKind } from '@soft-lark/core';
import { memo, type Dispatch, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import type { Routine } from '../../api/routines.queries.ts';
import { ConditionPicker } from '../../ui/condition-picker.tsx';
import { clockText } from '../../ui/format.ts';
import { actionWords } from './action-words.ts';
import type { BenchAction, BenchState } from './bench.reducer.ts';
import { DeleteRoutine } from './delete-routine.tsx';
import type { Bench } from './use-bench.ts';
import type { WorkedOut } from './use-thinking.ts';
import classes from './bench.module.css';

interface BenchHeadProps {
  readonly bench: Bench;
  readonly routine: Routine;
  readonly shown: Pick<WorkedOut, 'minutes' | 'laid'>;
  readonly shelf: ReadonlyMap<string, Exercise>;
  readonly conditions: readonly Condition[];
  readonly onCondition: (conditions: readonly Condition[]) => void;
}

function SaveLine({ bench }: { readonly bench: Bench }): ReactElement {
  const { t } = useTranslation();
  const { save } = bench;
  const word =
    save.kind === 'refused' ? t('bench.save.refused', { reason: save.reason }) : t(`bench.save.${save.kind}`);
  return (
    <span role="status" data-save={save.kind} className={classes['save']}>
      {word} · {t('bench.version', { version: save.version })}
    </span>
  );
}

function Budget({ minutes, laid }: BenchHeadProps['shown']): ReactElement {
  const { t } = useTranslation();
  const budget = minutes * 60;
  const over = laid.seconds - budget;
  return (
    <div className={classes['budget']}>
      <div
        className={classes['meter']}
        data-over={over > 0}
        role="img"
        aria-label={t('bench.of', { length: clockText(laid.seconds), budget: clockText(budget) })}
      >
        <span style={{ width: `${String(Math.min(100, (laid.seconds / budget) * 100))}%` }} />
      </div>
      <p>
        <b>{t('bench.of', { length: clockText(laid.seconds), budget: clockText(budget) })}</b> ·{' '}
        {over > 0 ? t('bench.over', { over: clockText(over) }) : t('bench.room', { left: clockText(-over) })}
      </p>
    </div>
  );
}

interface HeadControlsProps {
  readonly minutes: number;
  readonly kind: RoutineKind;
  /** What would be taken back and done again; nothing where there is none. */
  readonly undoes: string | undefined;
  readonly redoes: string | undefined;
  readonly routine: Routine;
  readonly act: Dispatch<BenchAction>;
}

/** Minutes, kind, undo, redo and delete: what the day's condition leaves alone. */
const HeadControls = memo(function HeadControls(props: HeadControlsProps): ReactElement {
  const { t } = useTranslation();
  const { minutes, kind, undoes, redoes, routine, act } = props;
  return (
    <>
      <NumberInput
        w={66}
        size="sm"
        aria-label={t('bench.minutes')}
        min={1}
        max={120}
        allowDecimal={false}
        value={minutes}
        onChange={(value) => {
          if (typeof value === 'number' && value >= 1 && value <= 120) act({ type: 'minutes', minutes: value });
        }}
      />
      <Select
        w={128}
        size="sm"
        aria-label={t('bench.occasion')}
        data={ROUTINE_KINDS.map((value) => ({ value, label: t(`bench.kind.${value}`).split(' ')[0] ?? value }))}
        value={kind}
        onChange={(value) => {
          const chosen = ROUTINE_KINDS.find((known) => known === value);
          if (chosen) act({ type: 'kind', kind: chosen });
        }}
      />
      <ActionIcon.Group>
        <Tooltip label={undoes === undefined ? t('bench.undo') : t('bench.undoWhat', { what: undoes })}>
          <ActionIcon
            aria-label={t('bench.undo')}
            disabled={undoes === undefined}
            onClick={() => {
              act({ type: 'undo' });
            }}
          >
            <IconArrowBackUp size={19} />
          </ActionIcon>
        </Tooltip>
        <Tooltip label={redoes === undefined ? t('bench.redo') : t('bench.redoWhat', { what: redoes })}>
          <ActionIcon
            aria-label={t('bench.redo')}
            disabled={redoes === undefined}
            onClick={() => {
              act({ type: 'redo' });
            }}
          >
            <IconArrowForwardUp size={19} />
          </ActionIcon>
        </Tooltip>
        <DeleteRoutine routine={routine} />
      </ActionIcon.Group>
    </>
  );
});

/** The head of the bench: name and saving, today's condition, minutes against the budget, and the one main action. */
export function BenchHead({ bench, routine, shown, shelf, conditions, onCondition }: BenchHeadProps): ReactElement {
  const { t } = useTranslation();
  const { state, act } = bench;
  const { name, kind } = state.routine;
  const words = (change: BenchState['past'][number] | undefined): string | undefined =>
    change && actionWords(change.action, state.routine, shelf, t);
  return (
    <div className={classes['head']}>
      <div className={classes['title']}>
        <TextInput
          variant="unstyled"
          aria-label={t('bench.name')}
          value={name}
          maxLength={120}
          onChange={({ currentTarget }) => {
            if (currentTarget.value.trim() !== '') act({ type: 'name', name: currentTarget.value });
          }}
        />
        <p>
          <SaveLine bench={bench} />
        </p>
      </div>
      <ConditionPicker value={conditions} onChange={onCondition} />
      <Budget minutes={shown.minutes} laid={shown.laid} />
      <HeadControls
        minutes={shown.minutes}
        kind={kind}
        undoes={words(state.past.at(-1))}
        redoes={words(state.future.at(-1))}
        routine={routine}
        act={act}
      />
      <Button component={Link} to={`/sing/${routine.id}`} variant="filled" disabled={shown.laid.steps.length === 0}>
        {t('bench.sing')}
      </Button>
    </div>
  );
}
