import { Button, Group } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { notifications } from '@mantine/notifications';
import type { Exercise, Finding, LaidStep, RoutineStep, Severity } from '@soft-lark/core';
import { useCallback, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import type { Routine } from '../../api/routines.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { useCondition } from '../../api/use-condition.ts';
import { Flight } from '../../flight/flight.tsx';
import { useNow } from '../../ui/clock.ts';
import { AddStep } from './add-step.tsx';
import { BenchHead } from './bench-head.tsx';
import { History } from './history.tsx';
import { OrderList } from './order-list.tsx';
import { ReviewList } from './review-list.tsx';
import { StaleCard } from './stale-card.tsx';
import { StepPanel } from './step-panel.tsx';
import { StepReasons } from './step-reasons.tsx';
import { ThinkBar } from './think-bar.tsx';
import { useBench } from './use-bench.ts';
import { useThinking } from './use-thinking.ts';
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

function lockedIds(steps: readonly RoutineStep[]): string {
  return steps.flatMap(({ id, locked }) => (locked ? id : [])).join(' ');
}

/** Steps the review has something to say about, with how much it matters. */
function marksOf(findings: readonly Finding[]): ReadonlyMap<string, Severity> {
  return new Map(
    [...findings].reverse().flatMap(({ stepId, severity }) => (stepId ? [[stepId, severity] as const] : [])),
  );
}

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
  const [isReviewing, setReviewing] = useState(false);
  const thinking = useThinking(server.id, routine, today, shelf, now, act);
  const { laid, findings, drafting } = thinking;
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

  const lock = useCallback(
    (stepId: string, isLocked: boolean): void => {
      act({ type: 'lock', stepId, isLocked });
    },
    [act],
  );

  return (
    <>
      <BenchHead
        bench={bench}
        routine={server}
        laid={laid}
        shelf={shelf}
        history={<History routineId={server.id} routine={routine} laid={laid} context={thinking.context} act={act} />}
        conditions={conditions}
        onCondition={setCondition}
      />
      {bench.save.kind === 'stale' && <StaleCard onTake={bench.takeTheirs} onSave={bench.saveMine} />}
      <ThinkBar
        minutes={thinking.minutes}
        change={thinking.change}
        findings={findings}
        isReviewing={isReviewing}
        isBusy={drafting.isBusy}
        hasSteps={routine.steps.length > 0}
        onDraft={() => void thinking.draft()}
        onSlide={thinking.slide}
        onSlid={thinking.slid}
        onReview={() => {
          setReviewing(!isReviewing);
        }}
      />
      {routine.steps.length > 0 && (
        <Flight
          routine={laid}
          voice={student.voice}
          budgetSeconds={thinking.minutes * 60}
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
          onLock={lock}
          locked={lockedIds(steps)}
          marked={marksOf(findings)}
          onAdd={openShelf}
        />
        {chosen ? (
          <>
            <StepPanel
              step={chosen}
              routineId={server.id}
              context={thinking.context}
              sungSteps={laid.steps.slice(0, laid.steps.indexOf(chosen)).filter(({ lowest }) => lowest !== null).length}
              act={act}
            />
            <div>
              {isReviewing && (
                <ReviewList
                  findings={findings}
                  mutes={thinking.mutes}
                  routineId={server.id}
                  studentId={student.id}
                  onChoose={setChosenId}
                  onFix={thinking.fix}
                />
              )}
              <StepReasons step={chosen} said={drafting.reasons.get(chosen.id)} shelf={shelf} act={act} />
            </div>
          </>
        ) : (
          <div className={classes['empty']}>
            <p className="heading">{t('bench.empty')}</p>
            <Group>
              <Button onClick={openShelf}>{t('bench.addFirst')}</Button>
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
