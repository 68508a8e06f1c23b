import { Button, Group } from '@mantine/core';
import { sungBefore, type Exercise } from '@soft-lark/core';
import { useCallback, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { v7 } from 'uuid';
import type { Routine } from '../../api/routines.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { useCondition } from '../../api/use-condition.ts';
import { Flight } from '../../flight/flight.tsx';
import { useNow } from '../../ui/clock.ts';
import { useKeys } from '../../ui/use-keys.ts';
import { AddStep } from './add-step.tsx';
import { BenchHead } from './bench-head.tsx';
import type { BenchAction } from './bench.reducer.ts';
import { BenchPanel } from './bench-panel.tsx';
import { MissingList } from './left-out.tsx';
import { OrderList } from './order-list.tsx';
import { StaleCard } from './stale-card.tsx';
import { StepPanel } from './step-panel.tsx';
import { UndoRedo } from './undo-redo.tsx';
import { useBench } from './use-bench.ts';
import { useOrderActs } from './use-order-acts.ts';
import { useSelection } from './use-selection.ts';
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

/** The bench: order at the left, flight on top, the chosen step below it, the reasons at the right. */
export function Bench({ routine: server, today, shelf }: BenchProps): ReactElement {
  const { t } = useTranslation();
  const { student, conditions } = today;
  const bench = useBench(server);
  const { state, act } = bench;
  const { routine } = state;
  const setCondition = useCondition(student.id);
  const now = useNow(600);
  const { steps } = routine;
  const [address] = useSearchParams();
  const selection = useSelection(
    steps.map(({ id }) => id),
    address.get('step') ?? undefined,
  );
  const { chosenId, choose } = selection;
  const acts = useOrderActs(steps, shelf, selection, act);
  const [isAdding, setAdding] = useState(false);
  const thinking = useThinking(server.id, routine, today, shelf, now, act);
  const { shown, settled, drafting } = thinking;
  const { laid } = settled;
  const chosen =
    laid.steps.find(({ id }) => id === chosenId) ?? laid.steps.find(({ lowest }) => lowest !== null) ?? laid.steps[0];
  const { show } = selection;
  // A figure that leaves the step nothing to sing must not bring another under the hand that types it.
  const setHere = useCallback(
    (action: BenchAction): void => {
      if (action.type === 'set') show(action.stepId);
      act(action);
    },
    [act, show],
  );
  const openShelf = useCallback(() => {
    setAdding(true);
  }, []);
  useKeys({
    place: 'bench',
    single: { add: openShelf },
    other: {
      'mod+z': () => {
        act({ type: 'undo' });
      },
      'mod+shift+z': () => {
        act({ type: 'redo' });
      },
    },
  });

  const add = (exerciseIds: readonly string[]): void => {
    const added = exerciseIds.map((exerciseId) => ({ id: v7(), exerciseId, settings: {} }));
    act({ type: 'add', steps: added, shelf });
    choose(added.at(-1)?.id);
    setAdding(false);
  };

  return (
    <>
      <BenchHead
        bench={bench}
        routine={server}
        student={student}
        thinking={thinking}
        conditions={conditions}
        onCondition={setCondition}
      />
      {bench.merged && (
        <StaleCard merged={bench.merged} shelf={shelf} onTake={bench.takeTheirs} onSettle={bench.settle} />
      )}
      <MissingList missing={drafting.missing} />
      {routine.steps.length > 0 && (
        <Flight
          routine={shown.laid}
          voice={student.voice}
          budgetSeconds={shown.minutes * 60}
          chosenId={chosen?.id}
          marked={shown.marks}
          onChoose={choose}
        />
      )}
      <div className={classes['columns']}>
        <OrderList
          routine={settled}
          chosenId={chosen?.id}
          selected={selection.ids}
          onChoose={choose}
          onShow={selection.show}
          acts={acts}
          onAdd={openShelf}
          tools={<UndoRedo bench={bench} shelf={shelf} />}
        />
        {chosen ? (
          <>
            <StepPanel
              step={chosen}
              routineId={server.id}
              studentId={student.id}
              context={thinking.context}
              sungSteps={sungBefore(laid.steps, chosen.id)}
              room={settled.minutes * 60 - laid.seconds + chosen.seconds}
              act={setHere}
            />
            <BenchPanel
              step={chosen}
              routineId={server.id}
              studentId={student.id}
              thinking={thinking}
              shelf={shelf}
              onChoose={choose}
            />
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
