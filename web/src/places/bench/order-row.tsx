import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { IconGripVertical, IconLock, IconLockOpen, IconX } from '@tabler/icons-react';
import type { LaidStep, Severity } from '@soft-lark/core';
import { memo, type MouseEvent, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { clockText } from '../../text/times.ts';
import { writeNote } from '../../text/note-names.ts';
import type { OrderActs } from './use-order-acts.ts';
import type { Reach } from './use-selection.ts';
import classes from './bench.module.css';

interface OrderRowProps {
  readonly step: LaidStep;
  readonly number: number;
  readonly isChosen: boolean;
  readonly isSelected: boolean;
  /** The name of the block that begins with it; empty inside a block, left out where it is in none. */
  readonly blockStart: string | undefined;
  readonly onChoose: (stepId: string, reach: Reach) => void;
  readonly onShow: (stepId: string) => void;
  readonly isLocked: boolean;
  /** What the review makes of it. */
  readonly mark: Severity | undefined;
  readonly acts: Pick<OrderActs, 'remove' | 'lock'>;
}

/** Pins a step or takes it off. */
function RowActs({
  step: { id, exercise },
  isLocked,
  acts,
}: Pick<OrderRowProps, 'step' | 'isLocked' | 'acts'>): ReactElement {
  const { t } = useTranslation();
  const { name } = exercise;
  return (
    <span className={classes['rowActs']}>
      <button
        type="button"
        aria-pressed={isLocked}
        aria-label={t('bench.pin', { name })}
        title={t('bench.pinHint')}
        onClick={() => {
          acts.lock([id], !isLocked);
        }}
      >
        {isLocked ? <IconLock size={15} /> : <IconLockOpen size={15} />}
      </button>
      <button
        type="button"
        aria-label={t('bench.remove', { name })}
        title={t('bench.remove', { name })}
        onClick={() => {
          acts.remove([id]);
        }}
      >
        <IconX size={15} />
      </button>
    </span>
  );
}

/** One step in the order: its place, what it spans today, and its time. */
export const OrderRow = memo(function OrderRow({
  step,
  number,
  isChosen,
  isSelected,
  blockStart,
  onChoose,
  onShow,
  isLocked,
  mark,
  acts,
}: OrderRowProps): ReactElement {
  const { t } = useTranslation();
  const { setNodeRef, setActivatorNodeRef, listeners, transform, transition, isDragging } = useSortable({
    id: step.id,
  });
  const { exercise, lowest, highest, problem } = step;
  const choose = ({ shiftKey, metaKey, ctrlKey }: MouseEvent): void => {
    onChoose(step.id, shiftKey ? 'up-to' : metaKey || ctrlKey ? 'besides' : 'alone');
  };
  const span =
    lowest !== null && highest !== null ? `${writeNote(lowest)}–${writeNote(highest)}` : t(`stages.${exercise.stage}`);
  return (
    <li
      ref={setNodeRef}
      className={classes['orderRow']}
      data-chosen={isChosen}
      data-selected={isSelected}
      data-block={blockStart !== undefined}
      data-dragging={isDragging}
      data-problem={problem !== undefined}
      data-mark={mark}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      {blockStart && <span className={classes['blockName']}>{blockStart}</span>}
      <span ref={setActivatorNodeRef} className={classes['grip']} title={t('bench.drag')} aria-hidden {...listeners}>
        <IconGripVertical size={15} />
      </span>
      <button
        type="button"
        className={classes['orderName']}
        data-row
        aria-current={isChosen ? 'step' : undefined}
        onClick={choose}
        onFocus={() => {
          onShow(step.id);
        }}
      >
        <span className={classes['number']}>{isLocked ? <IconLock size={14} aria-hidden /> : number}</span>
        <span className={classes['stepName']}>{exercise.name}</span>
        <span className={classes['span']}>{problem ? t('bench.leftOut') : span}</span>
        <b>{clockText(step.seconds)}</b>
      </button>
      <RowActs step={step} isLocked={isLocked} acts={acts} />
    </li>
  );
});
