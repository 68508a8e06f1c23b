import { NumberInput, SegmentedControl, Stack } from '@mantine/core';
import { DateInput, TimePicker } from '@mantine/dates';
import '@mantine/dates/styles.layer.css';
import { PROGRAMMES, type BlockCount, type Programme } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { sessionQuery } from '../../api/session.queries.ts';
import type { TypedDay, TypedTime } from './day-wishes.ts';
import classes from './day.module.css';

const BLOCKS = ['1', '2', '3', '4'] as const;
const LONGEST = 300;

interface TimeProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (time: string) => void;
}

function Time({ label, value, onChange }: TimeProps): ReactElement {
  const { t } = useTranslation();
  const session = useQuery(sessionQuery).data;
  return (
    <TimePicker
      w={132}
      clearable
      clearButtonProps={{ 'aria-label': t('students.day.clear', { label }) }}
      label={label}
      format={session?.clock === '12' ? '12h' : '24h'}
      hoursInputLabel={`${label}, ${t('students.hours')}`}
      minutesInputLabel={`${label}, ${t('students.minutesOfHour')}`}
      amPmInputLabel={t('students.halfOfDay')}
      value={value}
      onChange={(time) => {
        onChange(time.slice(0, 5));
      }}
    />
  );
}

interface TimesProps {
  readonly label: string;
  readonly times: readonly TypedTime[];
  readonly onChange: (times: readonly TypedTime[]) => void;
}

/** Times that last; an empty one is none. */
function Times({ label, times, onChange }: TimesProps): ReactElement {
  const { t } = useTranslation();
  const change = (index: number, one: Partial<TypedTime>): void => {
    onChange(times.map((time, at) => (at === index ? { ...time, ...one } : time)));
  };
  return (
    <>
      {times.map(({ time, minutes }, index) => {
        const name = times.length > 1 ? `${label} ${String(index + 1)}` : label;
        return (
          <div key={index} className={classes['pair']}>
            <Time
              label={name}
              value={time}
              onChange={(value) => {
                change(index, { time: value });
              }}
            />
            <NumberInput
              w={92}
              label={t('students.minutes')}
              aria-label={`${name}, ${t('students.minutes')}`}
              min={5}
              max={LONGEST}
              step={5}
              value={minutes}
              onChange={(value) => {
                if (typeof value === 'number') change(index, { minutes: value });
              }}
            />
          </div>
        );
      })}
    </>
  );
}

interface DayFieldsProps {
  readonly day: TypedDay;
  readonly onChange: (change: Partial<TypedDay>) => void;
}

/** What of the day is fixed, and how much singing it is to have. */
export function DayFields({ day, onChange }: DayFieldsProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Stack gap={10} className={classes['fields'] ?? ''}>
      <DateInput
        label={t('students.day.date')}
        valueFormat="D MMMM YYYY"
        value={day.date}
        onChange={(date) => {
          if (date !== null) onChange({ date });
        }}
      />
      <div className={classes['pair']}>
        <Time
          label={t('students.day.waking')}
          value={day.waking}
          onChange={(waking) => {
            if (waking !== '') onChange({ waking });
          }}
        />
        <Time
          label={t('students.day.call')}
          value={day.call}
          onChange={(call) => {
            onChange({ call });
          }}
        />
      </div>
      <Times
        label={t('students.day.performance')}
        times={day.performances}
        onChange={(performances) => {
          onChange({ performances });
        }}
      />
      <Times
        label={t('students.day.meal')}
        times={day.meals}
        onChange={(meals) => {
          onChange({ meals });
        }}
      />
      <Times
        label={t('students.day.travel')}
        times={day.travel}
        onChange={(travel) => {
          onChange({ travel });
        }}
      />
      <div>
        <span>{t('students.day.programme')}</span>
        <SegmentedControl<Programme>
          fullWidth
          // Three wordings beside one another: large letters take two lines.
          styles={{ root: { overflow: 'visible' }, label: { overflow: 'visible', whiteSpace: 'normal' } }}
          aria-label={t('students.day.programme')}
          data={PROGRAMMES.map((value) => ({ value, label: t(`students.day.programmes.${value}`) }))}
          value={day.programme}
          onChange={(programme) => {
            onChange({ programme, held: {} });
          }}
        />
      </div>
      <div>
        <span>{t('students.day.blocks')}</span>
        <SegmentedControl
          fullWidth
          aria-label={t('students.day.blocks')}
          data={[...BLOCKS]}
          value={String(day.blocks)}
          onChange={(blocks) => {
            onChange({ blocks: Number(blocks) as BlockCount, held: {} });
          }}
        />
      </div>
    </Stack>
  );
}
