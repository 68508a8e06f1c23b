import { Button, Chip, Group, Modal, NumberInput, Stack } from '@mantine/core';
import { DateInput, TimePicker } from '@mantine/dates';
import '@mantine/dates/styles.layer.css';
import { PRACTICE, practicePlan, weightedMinutes, type LaidRoutine, type PracticeFinding } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { historyQuery } from '../../api/history.queries.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import { dayText, timeText, weekdayText } from '../../text/times.ts';
import { decimalText } from '../../text/numbers.ts';
import { fileName, saveFile } from '../../ui/save-file.ts';
import { calendarOf } from './calendar-file.ts';
import type { SheetProps } from './use-laid-for.ts';
import classes from './hand-out.module.css';

const WEEK = [1, 2, 3, 4, 5, 6, 7] as const;
/** What is asked for where nothing was said yet: little, and often. */
const USUAL = { weekdays: ['1', '3', '5'], times: ['07:30', '', ''], weeks: 4 };

type PlanDialogProps = SheetProps & { readonly laid: LaidRoutine; readonly onClose: () => void };

function Finding({ finding }: { readonly finding: PracticeFinding }): ReactElement {
  const { t } = useTranslation();
  if (finding.code === 'TOO_CLOSE') {
    const [first, second] = finding.times.map(timeText);
    return <>{t('handOut.plan.tooClose', { first, second, count: finding.leastGapHours })}</>;
  }
  return <>{t(`handOut.plan.tooMuch.${finding.mark}`, { share: decimalText(finding.share) })}</>;
}

function Findings({ findings }: { readonly findings: readonly PracticeFinding[] }): ReactElement | null {
  if (findings.length === 0) return null;
  return (
    <ul className={classes['findings']}>
      {findings.map((finding, index) => (
        <li key={index}>
          <Finding finding={finding} />
        </li>
      ))}
    </ul>
  );
}

function DaysAsked({
  weekdays,
  onChange,
}: {
  readonly weekdays: string[];
  readonly onChange: (weekdays: string[]) => void;
}): ReactElement {
  const { t } = useTranslation();
  return (
    <div className={classes['asked']}>
      <span id="practice-days">{t('handOut.plan.days')}</span>
      <Chip.Group multiple value={weekdays} onChange={onChange}>
        <Group gap={6} role="group" aria-labelledby="practice-days">
          {WEEK.map((day) => (
            <Chip key={day} value={String(day)}>
              {weekdayText(day)}
            </Chip>
          ))}
        </Group>
      </Chip.Group>
    </div>
  );
}

interface TimesAskedProps {
  /** A time for each go of a day, "" for none. */
  readonly times: readonly string[];
  readonly onChange: (times: readonly string[]) => void;
}

function TimesAsked({ times, onChange }: TimesAskedProps): ReactElement {
  const { t } = useTranslation();
  const session = useQuery(sessionQuery).data;
  return (
    <div className={classes['asked']}>
      <span id="practice-times">{t('handOut.plan.times')}</span>
      <Group gap={8} role="group" aria-labelledby="practice-times">
        {times.map((time, index) => (
          <TimePicker
            key={index}
            aria-label={t('handOut.plan.go', { count: index + 1 })}
            format={session?.clock === '12' ? '12h' : '24h'}
            hoursInputLabel={t('students.hours')}
            minutesInputLabel={t('students.minutesOfHour')}
            amPmInputLabel={t('students.halfOfDay')}
            value={time}
            clearable
            clearButtonProps={{ 'aria-label': t('handOut.plan.clear', { count: index + 1 }) }}
            onChange={(value) => {
              onChange(times.map((one, at) => (at === index ? value.slice(0, 5) : one)));
            }}
          />
        ))}
      </Group>
    </div>
  );
}

/** How often and when a student practises a routine, held against what the voice is used to, as entries of a calendar. */
export function PlanDialog({ routine, laid, onClose }: PlanDialogProps): ReactElement {
  const { t } = useTranslation();
  const session = useQuery(sessionQuery).data;
  const today = session?.today ?? new Date().toISOString().slice(0, 10);
  const usual = useQuery(historyQuery(routine.studentId)).data?.usualWeekMinutes;
  const [weekdays, setWeekdays] = useState<string[]>(USUAL.weekdays);
  const [times, setTimes] = useState<readonly string[]>(USUAL.times);
  const [weeks, setWeeks] = useState(USUAL.weeks);
  const [from, setFrom] = useState(today);
  const minutesAGo = Math.max(1, Math.round(laid.seconds / 60));
  const plan = useMemo(() => {
    const chosen = { weekdays: weekdays.map(Number), times: times.filter((time) => time !== '') };
    return practicePlan({ from, weeks, ...chosen, minutesAGo, loadAGo: weightedMinutes(laid.steps) }, usual);
  }, [from, weeks, weekdays, times, minutesAGo, laid.steps, usual]);
  const save = async (): Promise<void> => {
    const words = {
      title: t('handOut.plan.entry', { name: routine.name }),
      description: t('handOut.plan.description'),
      review: t('handOut.plan.review', { name: routine.name }),
    };
    const days = weekdays.map(Number);
    const text = await calendarOf({
      id: routine.id,
      version: routine.version,
      plan,
      weekdays: days,
      minutesAGo,
      words,
    });
    saveFile(`${fileName(routine.name)}.ics`, text, 'text/calendar');
    onClose();
  };
  return (
    <Modal opened onClose={onClose} title={t('handOut.dialogs.plan')} size="lg">
      <Stack gap="sm">
        <DaysAsked weekdays={weekdays} onChange={setWeekdays} />
        <TimesAsked times={times} onChange={setTimes} />
        <Group align="flex-end">
          <DateInput
            label={t('handOut.plan.from')}
            value={from}
            valueFormat="D MMMM YYYY"
            minDate={today}
            onChange={(value) => {
              if (value !== null) setFrom(value);
            }}
          />
          <NumberInput
            label={t('handOut.plan.weeks')}
            value={weeks}
            min={PRACTICE.weeks[0]}
            max={PRACTICE.weeks[1]}
            allowDecimal={false}
            clampBehavior="strict"
            onChange={(value) => {
              if (typeof value === 'number') setWeeks(value);
            }}
          />
        </Group>
        <p className={classes['sum']}>
          {t('handOut.plan.sum', { count: plan.goesAWeek, minutes: minutesAGo, day: dayText(plan.reviewOn) })}
        </p>
        <Findings findings={plan.findings} />
        <Group justify="flex-end">
          <Button onClick={onClose}>{t('app.cancel')}</Button>
          <Button variant="filled" disabled={plan.goes.length === 0} onClick={() => void save()}>
            {t('handOut.plan.save')}
          </Button>
        </Group>
      </Stack>
    </Modal>
  );
}
