import { Button, Group, TextInput, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { studentsNamed, studentsQuery } from '../../api/students.queries.ts';
import { unreadableQuery } from '../../api/unreadable.queries.ts';
import { useShown } from '../../shell/use-shown.ts';
import { Failure } from '../../ui/failure.tsx';
import { Shape } from '../../ui/shape.tsx';
import { UnreadableRows } from '../../ui/unreadable-rows.tsx';
import { GroupList } from '../groups/group-list.tsx';
import { AddStudent } from './add-student.tsx';
import { StudentTable } from './student-table.tsx';
import classes from './students.module.css';

/** Up to so many are seen at a glance. */
const FEW = 10;

/** Everyone the studio teaches. */
export function StudentsPlace(): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const students = useQuery(studentsQuery);
  const unreadable = [
    ...(useQuery(unreadableQuery('students')).data ?? []),
    ...(useQuery(unreadableQuery('routines')).data ?? []),
  ];
  const { isShared, mayShow } = useShown();
  const [letters, setLetters] = useState('');
  const [address, setAddress] = useSearchParams();
  const setAdding = (isAdding: boolean): void => {
    setAddress(isAdding ? { add: '1' } : {}, { replace: true });
  };
  if (students.error && !students.data)
    return <Failure error={students.error} onRetry={() => void students.refetch()} />;
  if (!students.data) return <Shape rows={8} height={44} />;
  const shown = studentsNamed(students.data, letters).filter(({ id }) => mayShow(id));
  return (
    <>
      <div className={classes['heading']}>
        <Title order={1} fz={32}>
          {t('students.heading', { count: students.data.length })}
        </Title>
        <Group gap={10}>
          {!isShared && (
            <Button component={Link} to="/students/table">
              {t('students.table.open')}
            </Button>
          )}
          <Button
            variant="filled"
            onClick={() => {
              setAdding(true);
            }}
          >
            {t('students.add')}
          </Button>
        </Group>
      </div>
      <UnreadableRows rows={unreadable} />
      <AddStudent
        isOpen={address.get('add') !== null}
        onClose={() => {
          setAdding(false);
        }}
        onAdded={(id) => void navigate(`/students/${id}`)}
      />
      {students.data.length === 0 && <p>{t('students.empty')}</p>}
      {students.data.length > FEW && (
        <TextInput
          type="search"
          maw={340}
          mb="xs"
          aria-label={t('students.filter')}
          placeholder={t('students.filter')}
          value={letters}
          onChange={({ currentTarget: { value } }) => {
            setLetters(value);
          }}
        />
      )}
      <StudentTable students={shown} />
      {!isShared && <GroupList />}
    </>
  );
}
