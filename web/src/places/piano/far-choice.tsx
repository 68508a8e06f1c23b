import { Button, Switch } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { Student } from '../../api/students.queries.ts';
import { HomeLinks } from '../students/home-links.tsx';
import type { FarSide } from './use-far-side.ts';
import classes from './sound-button.module.css';

interface FarChoiceProps {
  readonly far: FarSide;
  readonly student: Student;
}

/** Where a run sounds: here, or at the student’s side in a lesson over video. */
export function FarChoice({ far, student }: FarChoiceProps): ReactElement {
  const { t } = useTranslation();
  const [isOpen, { open, close }] = useDisclosure(false);
  return (
    <div className={classes['far']}>
      <Switch
        label={t('piano.far.turnOn')}
        description={t('piano.far.hint')}
        checked={far.isOn}
        onChange={({ currentTarget }) => {
          far.onChange(currentTarget.checked);
        }}
      />
      {far.isOn && (
        <p role="status" className={classes['state']} data-there={far.isThere}>
          {t(far.isThere ? 'piano.far.isThere' : 'piano.far.how', { name: student.name })}{' '}
          <Button size="sm" variant="subtle" onClick={open}>
            {t('home.links.open')}
          </Button>
        </p>
      )}
      <HomeLinks studentId={student.id} isOpen={isOpen} onClose={close} />
    </div>
  );
}
