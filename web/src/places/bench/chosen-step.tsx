import { sungBefore, type Exercise, type LaidStep } from '@soft-lark/core';
import { useCallback, type Dispatch, type ReactElement } from 'react';
import type { BenchAction } from './bench.reducer.ts';
import { BenchPanel } from './bench-panel.tsx';
import { StepPanel } from './step-panel.tsx';
import type { Selection } from './use-selection.ts';
import type { Thinking } from './use-thinking.ts';

interface ChosenStepProps {
  readonly step: LaidStep;
  readonly routineId: string;
  readonly studentId: string;
  readonly thinking: Thinking;
  readonly shelf: ReadonlyMap<string, Exercise>;
  readonly act: Dispatch<BenchAction>;
  readonly selection: Selection;
}

/** The chosen step below the flight, and what the bench says of it at its right. */
export function ChosenStep(props: ChosenStepProps): ReactElement {
  const { step, routineId, studentId, thinking, shelf, act, selection } = props;
  const { laid, minutes } = thinking.settled;
  const { show, choose } = selection;
  // A figure that leaves the step nothing to sing must not bring another under the hand that types it.
  const setHere = useCallback(
    (action: BenchAction): void => {
      if (action.type === 'set') show(action.stepId);
      act(action);
    },
    [act, show],
  );
  return (
    <>
      <StepPanel
        step={step}
        routineId={routineId}
        studentId={studentId}
        context={thinking.context}
        sungSteps={sungBefore(laid.steps, step.id)}
        room={minutes * 60 - laid.seconds + step.seconds}
        act={setHere}
      />
      <BenchPanel
        step={step}
        routineId={routineId}
        studentId={studentId}
        thinking={thinking}
        shelf={shelf}
        onChoose={choose}
      />
    </>
  );
}
