import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { IconLock, IconLockOpen, IconX } from '@tabler/icons-react';
import type { LaidStep, Severity } from '@soft-lark/core';
import { memo, type MouseEvent, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { clockText } from '../../ui/format.ts';
import { writeNote } from '../../text/note-names.ts';
import type { OrderActs } from './use-order-acts.tsx';
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
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({ id: step.id });
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
      <button
        type="button"
        className={classes['orderName']}
        data-row
        aria-current={isChosen ? 'step' : undefined}
        onClick={choose}
        onFocus={() => {
          onShow(step.id);
        }}
        {...listeners}
      >
        <span className={classes['number']}>{isLocked ? <IconLock size={14} aria-hidden /> : number}</span>
        <span className={classes['stepName']}>{exercise.name}</span>
        <span className={classes['span']}>{problem ? t('bench.leftOut') : span}</span>
        <b>{clockText(step.seconds)}</b>
      </button>
      <button
        type="button"
        className={classes['pin']}
        aria-pressed={isLocked}
        aria-label={t('bench.pin', { name: exercise.name })}
        title={t('bench.pinHint')}
        onClick={() => {
          acts.lock([step.id], !isLocked);
        }}
      >
        {isLocked ? <IconLock size={15} /> : <IconLockOpen size={15} />}
      </button>
      <button
        type="button"
        className={classes['removeStep']}
        aria-label={t('bench.remove', { name: exercise.name })}
        onClick={() => {
          acts.remove([step.id]);
        }}
      >
        <IconX size={15} />
      </button>
    </li>
  );
});
