import { ActionIcon, Button, NumberInput, Select } from '@mantine/core';
import { IconX } from '@tabler/icons-react';
import { MARK_KINDS, parsePattern, type PatternWork } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import classes from './sheet.module.css';

type Mark = PatternWork['marks'][number];

interface MarkFieldsProps {
  readonly work: PatternWork;
  readonly change: (change: Partial<PatternWork>) => void;
}

/** Number of events a mark may lie over; none while the pattern cannot be read. */
function eventsOf({ pattern, mode }: PatternWork): number {
  try {
    return parsePattern(pattern, { mode }).events.length;
  } catch {
    return 0;
  }
}

/** How notes are sung: marks from one note of the pattern to another. Counted from one, as people do. */
export function MarkFields({ work, change }: MarkFieldsProps): ReactElement {
  const { t } = useTranslation();
  const events = eventsOf(work);
  const { marks } = work;
  const set = (index: number, mark: Mark): void => {
    change({ marks: marks.map((old, at) => (at === index ? mark : old)) });
  };
  return (
    <div className={classes['wide']}>
      {marks.map((mark, index) => (
        <div key={index} className={classes['markRow']}>
          <Select
            allowDeselect={false}
            aria-label={t('shelf.sheet.mark', { number: index + 1 })}
            data={MARK_KINDS.map((value) => ({ value, label: t(`shelf.marks.${value}`) }))}
            value={mark.kind}
            onChange={(value) => {
              const kind = MARK_KINDS.find((known) => known === value);
              if (kind) set(index, { ...mark, kind });
            }}
          />
          <NumberInput
            aria-label={t('shelf.sheet.markFrom', { number: index + 1 })}
            min={1}
            max={mark.last + 1}
            value={mark.first + 1}
            onChange={(value) => {
              if (typeof value === 'number' && value >= 1 && value <= mark.last + 1)
                set(index, { ...mark, first: value - 1 });
            }}
          />
          <NumberInput
            aria-label={t('shelf.sheet.markTo', { number: index + 1 })}
            min={mark.first + 1}
            max={events}
            value={mark.last + 1}
            onChange={(value) => {
              if (typeof value === 'number' && value > mark.first && value <= events)
                set(index, { ...mark, last: value - 1 });
            }}
          />
          <ActionIcon
            aria-label={t('shelf.sheet.removeMark', { number: index + 1 })}
            onClick={() => {
              change({ marks: marks.filter((_, at) => at !== index) });
            }}
          >
            <IconX size={16} />
          </ActionIcon>
        </div>
      ))}
      <Button
        size="sm"
        disabled={events === 0}
        onClick={() => {
          change({ marks: [...marks, { kind: 'staccato', first: 0, last: Math.max(0, events - 1) }] });
        }}
      >
        {t('shelf.sheet.addMark')}
      </Button>
    </div>
  );
}
