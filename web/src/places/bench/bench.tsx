import { Button, Group } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { notifications } from '@mantine/notifications';
import type { Exercise, LaidStep } from '@soft-lark/core';
import { useCallback, useMemo, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import { useLay } from '../../api/lay.ts';
import type { Routine } from '../../api/routines.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { useCondition } from '../../api/use-condition.ts';
import { Flight } from '../../flight/flight.tsx';
import { useNow } from '../../ui/clock.ts';
import { AddStep } from './add-step.tsx';
import { BenchHead } from './bench-head.tsx';
import { OrderList } from './order-list.tsx';
import { StaleCard } from './stale-card.tsx';
import { StepPanel } from './step-panel.tsx';
import { StepReasons } from './step-reasons.tsx';
import { useBench } from './use-bench.ts';
import classes from './bench.module.css';

interface BenchProps {
  readonly routine: Routine;
  readonly today: StudentToday;
  readonly shelf: ReadonlyMap<string, Exercise>;
}

const PLAIN_STEPS = [
  'standing-check',
  'long-hiss',
  'lip-trill-on-five',
  'hum-on-the-chord',
  'up-and-down-five',
  'falling-hum',
];

/** The bench: order at the left, flight on top, the chosen step below it, the reasons at the right. */
export function Bench({ routine: server, today, shelf }: BenchProps): ReactElement {
  const { t } = useTranslation();
  const { student, conditions } = today;
  const bench = useBench(server);
  const { state, act } = bench;
  const { routine } = state;
  const setCondition = useCondition(student.id);
  const now = useNow(600);
  const [chosenId, setChosenId] = useState<string>();
  const [isAdding, setAdding] = useState(false);
  const lay = useLay();
  const laid = useMemo(() => lay(routine, today, shelf, now), [lay, routine, today, shelf, now]);
  const chosen =
    laid.steps.find(({ id }) => id === chosenId) ?? laid.steps.find(({ lowest }) => lowest !== null) ?? laid.steps[0];
  const openShelf = useCallback(() => {
    setAdding(true);
  }, []);
  useHotkeys([
    [
      'mod+Z',
      () => {
        act({ type: 'undo' });
      },
    ],
    [
      'mod+shift+Z',
      () => {
        act({ type: 'redo' });
      },
    ],
    ['a', openShelf],
  ]);

  const add = (exerciseIds: readonly string[]): void => {
    const steps = exerciseIds.map((exerciseId) => ({ id: v7(), exerciseId, settings: {} }));
    act({ type: 'add', steps, shelf });
    setChosenId(steps.at(-1)?.id);
    setAdding(false);
  };

  const { steps } = routine;
  const remove = useCallback(
    (step: LaidStep): void => {
      const index = steps.findIndex(({ id }) => id === step.id);
      act({ type: 'remove', stepId: step.id });
      setChosenId((steps[index + 1] ?? steps[index - 1])?.id);
      const note = notifications.show({
        message: (
          <Group justify="space-between">
            {t('bench.removed', { name: step.exercise.name })}
            <Button
              size="xs"
              onClick={() => {
                act({ type: 'undo' });
                setChosenId(step.id);
                notifications.hide(note);
              }}
            >
              {t('app.undo')}
            </Button>
          </Group>
        ),
      });
    },
    [steps, act, t],
  );
  const move = useCallback(
    (stepId: string, to: number): void => {
      act({ type: 'move', stepId, to });
    },
    [act],
  );

  return (
    <>
      <BenchHead bench={bench} routine={server} laid={laid} conditions={conditions} onCondition={setCondition} />
      {bench.save.kind === 'stale' && <StaleCard onTake={bench.takeTheirs} onSave={bench.saveMine} />}
      {routine.steps.length > 0 && (
        <Flight
          routine={laid}
          voice={student.voice}
          budgetSeconds={routine.minutes * 60}
          chosenId={chosen?.id}
          onChoose={setChosenId}
        />
      )}
      <div className={classes['columns']}>
        <OrderList
          steps={laid.steps}
          chosenId={chosen?.id}
          onChoose={setChosenId}
          onMove={move}
          onRemove={remove}
          onAdd={openShelf}
        />
        {chosen ? (
          <>
            <StepPanel step={chosen} routineId={server.id} act={act} />
            <StepReasons step={chosen} act={act} />
          </>
        ) : (
          <div className={classes['empty']}>
            <p className="heading">{t('bench.empty')}</p>
            <Group>
              <Button variant="filled" onClick={openShelf}>
                {t('bench.addFirst')}
              </Button>
              <Button
                onClick={() => {
                  add(PLAIN_STEPS);
                }}
              >
                {t('bench.suggestion')}
              </Button>
            </Group>
          </div>
        )}
      </div>
      <AddStep
        isOpen={isAdding}
        shelf={shelf}
        onAdd={(id) => {
          add([id]);
        }}
        onClose={() => {
          setAdding(false);
        }}
      />
    </>
  );
}
