import { ActionIcon, Button, Tooltip, VisuallyHidden } from '@mantine/core';
import { IconArrowDown, IconArrowUp } from '@tabler/icons-react';
import { closestCenter, DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import type { LaidStep } from '@soft-lark/core';
import { useState, type KeyboardEvent, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { KeyFor } from '../../ui/key-cap.tsx';
import { keyOf, useKeyChoice } from '../../ui/use-keys.ts';
import { OrderRow } from './order-row.tsx';
import { SelectedBar } from './selected-bar.tsx';
import type { OrderActs } from './use-order-acts.ts';
import type { Selection } from './use-selection.ts';
import type { WorkedOut } from './use-working.ts';
import classes from './bench.module.css';

interface OrderListProps {
  readonly routine: WorkedOut;
  readonly chosenId: string | undefined;
  readonly selection: Selection;
  readonly acts: OrderActs;
  readonly onAdd: () => void;
  /** What stands beside the title: undo and redo. */
  readonly tools: ReactElement;
}

const MOVES = [
  { key: 'moveUp', icon: IconArrowUp, by: -1 },
  { key: 'moveDown', icon: IconArrowDown, by: 1 },
] as const;

/** Moves the chosen step by one place: what dragging does, for whoever does not drag. */
function MoveButtons({
  steps,
  chosenId,
  onMove,
}: {
  readonly steps: readonly LaidStep[];
  readonly chosenId: string | undefined;
  readonly onMove: (step: LaidStep, to: number) => void;
}): ReactElement | null {
  const { t } = useTranslation();
  const at = steps.findIndex(({ id }) => id === chosenId);
  const step = steps[at];
  if (!step) return null;
  return (
    <ActionIcon.Group>
      {MOVES.map(({ key, icon: Picture, by }) => {
        const label = t(`bench.${key}`, { name: step.exercise.name });
        return (
          <Tooltip key={key} label={t(`bench.${key}Keys`)}>
            <ActionIcon
              variant="default"
              aria-label={label}
              disabled={steps[at + by] === undefined}
              onClick={() => {
                onMove(step, at + by);
              }}
            >
              <Picture size={17} />
            </ActionIcon>
          </Tooltip>
        );
      })}
    </ActionIcon.Group>
  );
}

function focusRow(list: HTMLElement, index: number): void {
  list.querySelectorAll<HTMLElement>('[data-row]')[index]?.focus();
}

interface RowKeys extends Pick<OrderListProps, 'chosenId' | 'acts'> {
  /** Ids of the steps that are chosen together. */
  readonly selected: readonly string[];
  readonly onChoose: Selection['choose'];
  readonly steps: readonly LaidStep[];
  readonly isLocked: (id: string) => boolean;
  readonly move: (step: LaidStep, to: number) => void;
}

/** Arrows choose, with shift several; with alt they move; a key each pins, copies and takes off. */
function useRowKeys({
  steps,
  chosenId,
  selected,
  onChoose,
  acts,
  isLocked,
  move,
}: RowKeys): (event: KeyboardEvent<HTMLElement>) => void {
  const [keys] = useKeyChoice();
  return (event) => {
    const index = steps.findIndex(({ id }) => id === chosenId);
    const step = steps[index];
    const onRow = event.target instanceof HTMLElement && event.target.closest('[data-row]');
    if (!step || !onRow) return;
    const ids = selected.length === 0 ? [step.id] : selected;
    const direction = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    const next = steps[index + direction];
    if (direction !== 0 && event.altKey) {
      if (ids.length > 1) acts.shift(ids, direction);
      else move(step, index + direction);
    } else if (direction !== 0) {
      if (next) onChoose(next.id, event.shiftKey ? 'up-to' : 'alone');
      focusRow(event.currentTarget, index + direction);
    } else if (event.key === keyOf(keys, 'bench', 'pin')) acts.lock(ids, !isLocked(step.id));
    else if (event.key === keyOf(keys, 'bench', 'copy')) acts.copy(ids);
    else if (event.key === 'Delete') acts.remove(ids);
    else return;
    event.preventDefault();
  };
}

/** The steps in order: dragged, or moved with alt and the arrows; shift chooses several, and delete takes off what is chosen. */
export function OrderList({ routine, chosenId, selection, acts, onAdd, tools }: OrderListProps): ReactElement {
  const { t } = useTranslation();
  const [said, setSaid] = useState('');
  const { ids: selected, choose: onChoose, show: onShow } = selection;
  const { steps } = routine.laid;
  const items = steps.map(({ id }) => id);
  // A step whose exercise is gone is kept, but not laid out: the two lists are matched by id.
  const kept = new Map(routine.steps.map((step) => [step.id, step]));
  const isLocked = (id: string): boolean => kept.get(id)?.locked ?? false;
  const blockOf = steps.map(({ id }) => kept.get(id)?.block);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));

  const move = (step: LaidStep, to: number): void => {
    if (to < 0 || to >= steps.length) return;
    acts.move(step.id, to);
    setSaid(t('bench.moved', { name: step.exercise.name, place: to + 1, count: steps.length }));
  };

  const onDragEnd = ({ active, over }: DragEndEvent): void => {
    const step = steps.find(({ id }) => id === active.id);
    const to = steps.findIndex(({ id }) => id === over?.id);
    if (step && over && to >= 0 && active.id !== over.id) move(step, to);
  };

  const onKeyDown = useRowKeys({ steps, chosenId, selected, onChoose, acts, isLocked, move });

  const theirs = new Set(steps.flatMap(({ id }, index) => (selected.includes(id) ? [blockOf[index]] : [])));
  const [shared] = theirs.size === 1 ? theirs : [];

  return (
    <section aria-label={t('bench.order')} className={classes['order']}>
      <div className={classes['orderHead']}>
        <h2>{t('bench.order')}</h2>
        {tools}
      </div>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={onDragEnd}
        accessibility={{ screenReaderInstructions: { draggable: t('bench.moveHelp') } }}
      >
        <SortableContext items={items} strategy={verticalListSortingStrategy}>
          <ol onKeyDown={onKeyDown}>
            {steps.map((step, index) => (
              <OrderRow
                key={step.id}
                step={step}
                number={index + 1}
                isChosen={step.id === chosenId}
                isSelected={selected.includes(step.id)}
                blockStart={!blockOf[index] ? undefined : blockOf[index] === blockOf[index - 1] ? '' : blockOf[index]}
                onChoose={onChoose}
                onShow={onShow}
                isLocked={isLocked(step.id)}
                mark={routine.marks.get(step.id)}
                acts={acts}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <SelectedBar ids={selected} block={shared} isLocked={selected.every(isLocked)} acts={acts} />
      <VisuallyHidden role="status">{said}</VisuallyHidden>
      <div className={classes['addStep']}>
        <Button size="sm" onClick={onAdd} rightSection={<KeyFor place="bench" name="add" />}>
          {t('bench.add')}
        </Button>
        <MoveButtons steps={steps} chosenId={chosenId} onMove={move} />
      </div>
    </section>
  );
}
