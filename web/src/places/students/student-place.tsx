import { Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useParams } from 'react-router';
import { studentTodayQuery } from '../../api/students.queries.ts';
import { useTakeInHand } from '../../shell/student-in-hand.ts';
import { useShown } from '../../shell/use-shown.ts';
import { Failure } from '../../ui/failure.tsx';
import { Shape } from '../../ui/shape.tsx';
import { StudentActs } from './student-acts.tsx';
import { StudentDay } from './student-day.tsx';
import { StudentProgress } from './student-progress.tsx';
import { StudentRoutines } from './student-routines.tsx';
import { StudentRules } from './student-rules.tsx';
import { StudentRuns } from './student-runs.tsx';
import { StudentSong } from './student-song.tsx';
import { VoiceFlags } from './voice-flags.tsx';
import { VoiceForm } from './voice-form.tsx';
import { VoiceView } from './voice-view.tsx';
import classes from './students.module.css';

const TABS = ['voice', 'routines', 'runs', 'progress', 'rules'] as const;
/** What nobody else in the room is to read. */
const NEVER_SHARED: readonly string[] = ['progress', 'rules'];

/** One student: the voice file, routines and runs. */
export function StudentPlace(): ReactElement {
  const { t } = useTranslation();
  const { studentId = '', tab = 'voice' } = useParams();
  const today = useQuery(studentTodayQuery(studentId));
  const [isEditing, setEditing] = useState(false);
  const { isShared, mayShow } = useShown();
  useTakeInHand(today.data?.student.id);
  if (today.error && !today.data) return <Failure error={today.error} onRetry={() => void today.refetch()} />;
  if (!today.data) return <Shape rows={3} height={140} />;
  const { student } = today.data;
  if (!mayShow(student.id)) return <p>{t('app.notShared')}</p>;
  const { voice } = student;
  const about = [
    t(`voices.${voice.type}`),
    ...(voice.age === undefined ? [] : [String(voice.age)]),
    ...[voice.style, ...(voice.otherStyles ?? [])].map((style) => t(`styles.${style}`)),
  ].join(' · ');
  return (
    <>
      <div className={classes['person']}>
        <Title order={1} fz={32}>
          <bdi>{student.name}</bdi>
        </Title>
        <small>{about}</small>
      </div>
      <div className={classes['tabs']}>
        <nav aria-label={student.name}>
          {TABS.filter((name) => !isShared || !NEVER_SHARED.includes(name)).map((name) => (
            <Link
              key={name}
              to={name === 'voice' ? `/students/${studentId}` : `/students/${studentId}/${name}`}
              aria-current={tab === name ? 'page' : undefined}
            >
              {t(`students.tabs.${name}`)}
            </Link>
          ))}
        </nav>
        <StudentActs
          today={today.data}
          onEdit={
            tab === 'voice' && !isEditing && !isShared
              ? () => {
                  setEditing(true);
                }
              : undefined
          }
        />
      </div>
      {tab === 'routines' && <StudentRoutines today={today.data} />}
      {tab === 'runs' && <StudentRuns studentId={studentId} />}
      {tab === 'progress' && !isShared && <StudentProgress student={student} />}
      {tab === 'day' && !isShared && <StudentDay student={student} />}
      {tab === 'song' && <StudentSong student={student} />}
      {tab === 'rules' && !isShared && <StudentRules key={student.version} student={student} />}
      {tab === 'voice' && !isEditing && (
        <>
          {!isShared && <VoiceFlags today={today.data} />}
          <VoiceView today={today.data} />
        </>
      )}
      {tab === 'voice' && isEditing && !isShared && (
        <VoiceForm
          student={student}
          onDone={() => {
            setEditing(false);
          }}
        />
      )}
    </>
  );
}
