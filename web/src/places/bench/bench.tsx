import type { Exercise, LaidStep } from '@soft-lark/core';
import type { Dispatch, ReactElement } from 'react';
import { useSearchParams } from 'react-router';
import type { Routine } from '../../api/routines.queries.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { useCondition } from '../../api/use-condition.ts';
import { Flight } from '../../flight/flight.tsx';
import { useNow } from '../../ui/clock.ts';
import { useKeys } from '../../ui/use-keys.ts';
import { AddStep } from './add-step.tsx';
import { BenchHead } from './bench-head.tsx';
import type { BenchAction } from './bench.reducer.ts';
import { ChosenStep } from './chosen-step.tsx';
import { EmptyBench } from './empty-bench.tsx';
import { MissingList } from './left-out.tsx';
import { OrderList } from './order-list.tsx';
import { StaleCard } from './stale-card.tsx';
import { UndoRedo } from './undo-redo.tsx';
import { useAdding } from './use-adding.ts';
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

/** The chosen step, or the first that sounds. */
function stepToShow(steps: readonly LaidStep[], chosenId: string | undefined): LaidStep | undefined {
  return steps.find(({ id }) => id === chosenId) ?? steps.find(({ lowest }) => lowest !== null) ?? steps[0];
}

function useBenchKeys(act: Dispatch<BenchAction>, add: () => void): void {
  useKeys({
    place: 'bench',
    single: { add: add },
    other: {
      'mod+z': () => {
        act({ type: 'undo' });
      },
      'mod+shift+z': () => {
        act({ type: 'redo' });
      },
    },
  });
}

/** The bench: order at the left, flight on top, the chosen step below it, the reasons at the right. */
export function Bench({ routine: server, today, shelf }: BenchProps): ReactElement {
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
  const adding = useAdding(shelf, act, choose);
  const thinking = useThinking(server.id, routine, today, shelf, now, act);
  const { shown, settled, drafting } = thinking;
  const chosen = stepToShow(settled.laid.steps, chosenId);
  useBenchKeys(act, adding.open);
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
          selection={selection}
          acts={acts}
          onAdd={adding.open}
          tools={<UndoRedo bench={bench} shelf={shelf} />}
        />
        {chosen ? (
          <ChosenStep
            step={chosen}
            routineId={server.id}
            studentId={student.id}
            thinking={thinking}
            shelf={shelf}
            act={act}
            selection={selection}
          />
        ) : (
          <EmptyBench adding={adding} />
        )}
      </div>
      <AddStep
        isOpen={adding.isOpen}
        shelf={shelf}
        onAdd={(id) => {
          adding.add([id]);
        }}
        onClose={adding.close}
      />
    </>
  );
}
