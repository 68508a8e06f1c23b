import { Button, Group, Title } from '@mantine/core';
import { useLocalStorage } from '@mantine/hooks';
import { IconCalendar, IconPrinter } from '@tabler/icons-react';
import { planDay, type DayFinding, type DayPlan } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { sessionQuery } from '../../api/session.queries.ts';
import type { Student } from '../../api/students.queries.ts';
import { dayText } from '../../text/times.ts';
import { decimalText } from '../../text/numbers.ts';
import { calendarText } from '../../ui/calendar.ts';
import { fileName, saveFile } from '../../ui/save-file.ts';
import { DayFields } from './day-fields.tsx';
import { DayRows } from './day-rows.tsx';
import { SungInThem } from './sung-in-them.tsx';
import { clockOf, USUAL_DAY, wishesOf, type TypedDay } from './day-wishes.ts';
import { WeeksBefore } from './weeks-before.tsx';
import classes from './day.module.css';

function Finding({ finding, plan }: { readonly finding: DayFinding; readonly plan: DayPlan }): ReactElement {
  const { t } = useTranslation();
  const nameOf = (id: string): string =>
    t(`students.day.kinds.${plan.blocks.find((one) => one.id === id)?.kind ?? 'ready'}`);
  switch (finding.code) {
    case 'NO_ROOM':
      return <>{t('students.day.findings.NO_ROOM', { kind: t(`students.day.kinds.${finding.kind}`) })}</>;
    case 'LONG_GAP':
      return (
        <>
          {t('students.day.findings.LONG_GAP', { kind: nameOf(finding.id), hours: decimalText(finding.minutes / 60) })}
        </>
      );
    case 'WOKEN_LATE':
      return <>{t('students.day.findings.WOKEN_LATE')}</>;
    case 'IN_THE_WAY':
      return <>{t('students.day.findings.IN_THE_WAY', { kind: nameOf(finding.id) })}</>;
  }
}

function Findings({ plan }: { readonly plan: DayPlan }): ReactElement {
  return (
    <ul className={classes['findings']} role="status">
      {plan.findings.map((finding, index) => (
        <li key={index}>
          <Finding finding={finding} plan={plan} />
        </li>
      ))}
    </ul>
  );
}

interface DayActsProps {
  readonly student: Student;
  readonly day: TypedDay;
  readonly plan: DayPlan;
  /** Lets go of every block that was moved by hand. */
  readonly onFree: () => void;
}

function DayActs({ student, day, plan, onFree }: DayActsProps): ReactElement {
  const { t } = useTranslation();
  const save = async (): Promise<void> => {
    const entries = plan.blocks.map(({ id, kind, at, minutes }) => ({
      ...{ id: `${student.id}-${day.date}-${id}`, version: 0, date: day.date, time: clockOf(at), minutes },
      title: t('students.day.entry', { kind: t(`students.day.kinds.${kind}`) }),
      description: t(`students.day.abouts.${kind}`),
    }));
    saveFile(
      `${fileName(t('students.day.title'))}.ics`,
      await calendarText(t('students.day.title'), entries),
      'text/calendar',
    );
  };
  return (
    <Group gap={8}>
      {Object.keys(day.held).length > 0 && <Button onClick={onFree}>{t('students.day.free')}</Button>}
      <Button
        leftSection={<IconPrinter size={17} aria-hidden />}
        onClick={() => {
          window.print();
        }}
      >
        {t('students.day.print')}
      </Button>
      <Button
        variant="filled"
        leftSection={<IconCalendar size={17} aria-hidden />}
        disabled={plan.blocks.length === 0}
        onClick={() => void save()}
      >
        {t('students.day.save')}
      </Button>
    </Group>
  );
}

/** The day of a performance: short blocks from waking to going on, what is fixed between them, a cool-down after. */
export function StudentDay({ student }: { readonly student: Student }): ReactElement {
  const { t } = useTranslation();
  const today = useQuery(sessionQuery).data?.today ?? new Date().toISOString().slice(0, 10);
  const [kept, keep] = useLocalStorage<TypedDay | null>({
    key: `soft-lark.day.${student.id}`,
    defaultValue: null,
    getInitialValueInEffect: false,
  });
  const day = useMemo(() => kept ?? { ...USUAL_DAY, date: today }, [kept, today]);
  const wishes = useMemo(() => wishesOf(day), [day]);
  const plan = useMemo(() => planDay(wishes), [wishes]);
  const change = (one: Partial<TypedDay>): void => {
    keep({ ...day, ...one });
  };
  return (
    <div className={classes['day']}>
      <DayFields day={day} onChange={change} />
      <section aria-label={t('students.day.title')} className={classes['plan']}>
        <header>
          <Title order={2} fz={21}>
            {t('students.day.title')}, {dayText(day.date)}
          </Title>
          <DayActs
            student={student}
            day={day}
            plan={plan}
            onFree={() => {
              change({ held: {} });
            }}
          />
        </header>
        {plan.findings.length > 0 && <Findings plan={plan} />}
        <SungInThem
          student={student}
          routineId={day.routineId}
          onChange={(routineId) => {
            change({ routineId });
          }}
        />
        <DayRows
          wishes={wishes}
          blocks={plan.blocks}
          onMove={(id, at) => {
            change({ held: { ...day.held, [id]: at } });
          }}
        />
        <p>{t('students.day.guide')}</p>
      </section>
      <WeeksBefore student={student} date={day.date} today={today} />
    </div>
  );
}
