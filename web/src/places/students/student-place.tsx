import { Button, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate, useParams } from 'react-router';
import { studentTodayQuery } from '../../api/students.queries.ts';
import { useNewRoutine } from '../../api/use-new-routine.ts';
import { useTakeInHand } from '../../shell/student-in-hand.ts';
import { useShown } from '../../shell/use-shown.ts';
import { Failure } from '../../ui/failure.tsx';
import { Shape } from '../../ui/shape.tsx';
import { RecipeMenu } from './recipe-menu.tsx';
import { StudentRoutines } from './student-routines.tsx';
import { StudentRules } from './student-rules.tsx';
import { StudentRuns } from './student-runs.tsx';
import { VoiceFlags } from './voice-flags.tsx';
import { VoiceForm } from './voice-form.tsx';
import { VoiceView } from './voice-view.tsx';
import classes from './students.module.css';

const TABS = ['voice', 'routines', 'runs', 'rules'] as const;

/** One student: the voice file, routines and runs. */
export function StudentPlace(): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const { studentId = '', tab = 'voice' } = useParams();
  const today = useQuery(studentTodayQuery(studentId));
  const build = useNewRoutine();
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
      <div className={classes['heading']}>
        <div>
          <Title order={1} fz={32}>
            {student.name}
          </Title>
          <small>{about}</small>
        </div>
        <nav aria-label={student.name}>
          {TABS.filter((name) => !isShared || name !== 'rules').map((name) => (
            <Link
              key={name}
              to={name === 'voice' ? `/students/${studentId}` : `/students/${studentId}/${name}`}
              aria-current={tab === name ? 'page' : undefined}
            >
              {t(`students.tabs.${name}`)}
            </Link>
          ))}
        </nav>
        {tab === 'voice' && !isEditing && (
          <Button component={Link} to={`/students/${studentId}/check`}>
            {t('students.check')}
          </Button>
        )}
        {tab === 'voice' && !isEditing && !isShared && (
          <Button
            onClick={() => {
              setEditing(true);
            }}
          >
            {t('students.edit')}
          </Button>
        )}
        <RecipeMenu
          today={today.data}
          onFilled={(start) => {
            build.mutate({ id: student.id, start }, { onSuccess: ({ id }) => void navigate(`/routines/${id}`) });
          }}
        />
        <Button
          loading={build.isPending}
          onClick={() => {
            build.mutate({ id: student.id }, { onSuccess: ({ id }) => void navigate(`/routines/${id}`) });
          }}
        >
          {t('students.newRoutine')}
        </Button>
        <Button
          variant="filled"
          loading={build.isPending}
          onClick={() => {
            build.mutate({ id: student.id }, { onSuccess: ({ id }) => void navigate(`/routines/${id}?draft=1`) });
          }}
        >
          {t('students.draftRoutine')}
        </Button>
      </div>
      {tab === 'routines' && <StudentRoutines today={today.data} />}
      {tab === 'runs' && <StudentRuns studentId={studentId} />}
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
