import { Button, Group, TextInput, Title } from '@mantine/core';
import type { Condition } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import type { Routine } from '../../api/routines.queries.ts';
import type { Student } from '../../api/students.queries.ts';
import { ConditionPicker } from '../../ui/condition-picker.tsx';
import { BenchMenu } from './bench-menu.tsx';
import { MinutesMeter } from './minutes-meter.tsx';
import type { Bench } from './use-bench.ts';
import type { Thinking } from './use-thinking.ts';
import classes from './bench-head.module.css';

interface BenchHeadProps {
  readonly bench: Bench;
  readonly routine: Routine;
  readonly student: Student;
  readonly thinking: Thinking;
  readonly conditions: readonly Condition[];
  readonly onCondition: (conditions: readonly Condition[]) => void;
}

function SaveLine({ bench: { save } }: Pick<BenchHeadProps, 'bench'>): ReactElement {
  const { t } = useTranslation();
  const word =
    save.kind === 'refused' ? t('bench.save.refused', { reason: save.reason }) : t(`bench.save.${save.kind}`);
  return (
    <span role="status" data-save={save.kind} className={classes['save']}>
      {word}
    </span>
  );
}

/** Whose routine it is, what it is called and whether it is kept. */
function Names({ bench, student }: Pick<BenchHeadProps, 'bench' | 'student'>): ReactElement {
  const { t } = useTranslation();
  const { name } = bench.state.routine;
  return (
    <div className={classes['names']}>
      <Title order={1} fz={27} data-title={`${name}, ${student.name}`}>
        <Link to={`/students/${student.id}`} title={student.name}>
          <bdi>{student.name}</bdi>
        </Link>
      </Title>
      <div className={classes['line']}>
        <span className={classes['name']} data-typed={name}>
          <TextInput
            variant="unstyled"
            aria-label={t('bench.name')}
            value={name}
            title={name}
            maxLength={120}
            onChange={({ currentTarget: { value } }) => {
              if (value.trim() !== '') bench.act({ type: 'name', name: value });
            }}
          />
        </span>
        <SaveLine bench={bench} />
      </div>
    </div>
  );
}

/** The head of the bench: whose it is, today's condition, the minutes, and the one main action. */
export function BenchHead(props: BenchHeadProps): ReactElement {
  const { t } = useTranslation();
  const { bench, routine, student, thinking, conditions, onCondition } = props;
  const { state, act } = bench;
  const { drafting, shown } = thinking;
  const hasSteps = state.routine.steps.length > 0;
  return (
    <div className={classes['head']}>
      <Names bench={bench} student={student} />
      <ConditionPicker value={conditions} onChange={onCondition} />
      <MinutesMeter
        shown={shown}
        change={thinking.change}
        hasSteps={hasSteps}
        onMinutes={(minutes) => {
          act({ type: 'minutes', minutes });
        }}
        onSlide={thinking.slide}
        onSlid={thinking.slid}
      />
      <Group gap={10} wrap="nowrap" className={classes['acts'] ?? ''}>
        <Button
          variant={hasSteps ? 'default' : 'filled'}
          loading={drafting.isBusy}
          onClick={() => void thinking.draft()}
        >
          {t(hasSteps ? 'bench.think.another' : 'bench.think.draft')}
        </Button>
        <BenchMenu routine={routine} edited={state.routine} context={thinking.context} act={act} />
        <Button component={Link} to={`/sing/${routine.id}`} variant="filled" disabled={shown.laid.steps.length === 0}>
          {t('bench.sing')}
        </Button>
      </Group>
    </div>
  );
}
