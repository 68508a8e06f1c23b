import { Button, VisuallyHidden } from '@mantine/core';
import { closestCenter, DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import type { LaidStep, Severity } from '@soft-lark/core';
import { memo, useMemo, useState, type KeyboardEvent, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { KeyCap } from '../../ui/key-cap.tsx';
import { OrderRow } from './order-row.tsx';
import classes from './bench.module.css';

interface OrderListProps {
  readonly steps: readonly LaidStep[];
  readonly chosenId: string | undefined;
  readonly onChoose: (stepId: string) => void;
  readonly onMove: (stepId: string, to: number) => void;
  readonly onRemove: (step: LaidStep) => void;
  readonly onLock: (stepId: string, isLocked: boolean) => void;
  /** Ids of the steps that are pinned, parted by spaces. */
  readonly locked: string;
  readonly marked: ReadonlyMap<string, Severity>;
  readonly onAdd: () => void;
}

/** The steps in order: dragged, or moved with alt and the arrows; delete takes one off. */
export const OrderList = memo(function OrderList({
  steps,
  chosenId,
  onChoose,
  onMove,
  onRemove,
  onLock,
  locked,
  marked,
  onAdd,
}: OrderListProps): ReactElement {
  const { t } = useTranslation();
  const [said, setSaid] = useState('');
  const places = steps.map(({ id }) => id).join(' ');
  const items = useMemo(() => places.split(' '), [places]);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));

  const move = (step: LaidStep, to: number): void => {
    if (to < 0 || to >= steps.length) return;
    onMove(step.id, to);
    setSaid(t('bench.moved', { name: step.exercise.name, place: to + 1, count: steps.length }));
  };

  const onDragEnd = ({ active, over }: DragEndEvent): void => {
    const step = steps.find(({ id }) => id === active.id);
    const to = steps.findIndex(({ id }) => id === over?.id);
    if (step && over && to >= 0 && active.id !== over.id) move(step, to);
  };

  const focusRow = (list: HTMLElement, index: number): void => {
    list.querySelectorAll<HTMLElement>('[data-row]')[index]?.focus();
  };

  const onKeyDown = (event: KeyboardEvent<HTMLElement>): void => {
    const index = steps.findIndex(({ id }) => id === chosenId);
    const step = steps[index];
    const onRow = event.target instanceof HTMLElement && event.target.closest('[data-row]');
    if (!step || !onRow) return;
    const direction = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    if (event.key === 'l') {
      event.preventDefault();
      onLock(step.id, !locked.includes(step.id));
    } else if (event.key === 'Delete') {
      event.preventDefault();
      onRemove(step);
    } else if (direction !== 0 && event.altKey) {
      event.preventDefault();
      move(step, index + direction);
    } else if (direction !== 0) {
      event.preventDefault();
      const next = steps[index + direction];
      if (next) {
        onChoose(next.id);
        focusRow(event.currentTarget, index + direction);
      }
    }
  };

  return (
    <section aria-label={t('bench.order')} className={classes['order']}>
      <h2>
        {t('bench.order')}{' '}
        <small>
          {t('bench.orderHint')} <KeyCap>alt</KeyCap> {t('bench.orderHintEnd')} ↑ ↓
        </small>
      </h2>
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
        <SortableContext items={items} strategy={verticalListSortingStrategy}>
          <ol onKeyDown={onKeyDown}>
            {steps.map((step, index) => (
              <OrderRow
                key={step.id}
                step={step}
                number={index + 1}
                isChosen={step.id === chosenId}
                onChoose={onChoose}
                isLocked={locked.includes(step.id)}
                mark={marked.get(step.id)}
                onRemove={onRemove}
                onLock={onLock}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <VisuallyHidden role="status">{said}</VisuallyHidden>
      <Button mt="sm" onClick={onAdd} rightSection={<KeyCap>A</KeyCap>}>
        {t('bench.add')}
      </Button>
    </section>
  );
});
