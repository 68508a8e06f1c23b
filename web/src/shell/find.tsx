import { UnstyledButton } from '@mantine/core';
import { IconSearch } from '@tabler/icons-react';
import { Spotlight, openSpotlight, type SpotlightActionData } from '@mantine/spotlight';
import { useQuery } from '@tanstack/react-query';
import { memo, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { routinesQuery } from '../api/routines.queries.ts';
import { shelfQuery } from '../api/shelf.queries.ts';
import { studentsQuery } from '../api/students.queries.ts';
import { TERM_NAMES } from '../text/en-terms.ts';
import { KeyFor } from '../ui/key-cap.tsx';
import { useKeys } from '../ui/use-keys.ts';
import { useShown } from './use-shown.ts';
import classes from './shell.module.css';

/** One search for students, routines, exercises and the words of the trade. A shelf may have thousands: it is not gone through at every address. */
export const Find = memo(function Find(): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const { mayShow } = useShown();
  useKeys({ place: 'everywhere', single: { find: openSpotlight } });
  const students = (useQuery(studentsQuery).data ?? []).filter(({ id }) => mayShow(id));
  const routines = (useQuery(routinesQuery()).data ?? []).filter(({ studentId }) => mayShow(studentId));
  const shelf = useQuery(shelfQuery).data;
  const nameOf = (id: string): string => students.find((student) => student.id === id)?.name ?? '';
  const action = (id: string, label: string, description: string, to: string): SpotlightActionData => ({
    id,
    label,
    description,
    onClick: () => {
      void navigate(to);
    },
  });
  const actions = [
    ...students.map(({ id, name }) => action(id, name, t('app.studentHint'), `/students/${id}`)),
    ...routines.map(({ id, name, studentId }) =>
      action(id, name, t('app.routineHint', { name: nameOf(studentId) }), `/routines/${id}`),
    ),
    ...[...(shelf?.values() ?? [])].map(({ id, name }) => action(id, name, t('app.exerciseHint'), `/shelf/${id}`)),
    ...TERM_NAMES.map((name) => action(name, t(`terms.${name}.word`), t(`terms.${name}.says`), `/about#${name}`)),
  ];
  return (
    <>
      <UnstyledButton className={classes['find'] ?? ''} aria-label={t('app.find')} onClick={openSpotlight}>
        <IconSearch size={18} aria-hidden />
        <span>{t('app.find')}</span> <KeyFor place="everywhere" name="find" />
      </UnstyledButton>
      <Spotlight
        actions={actions}
        shortcut="mod + K"
        limit={9}
        scrollable
        radius="lg"
        maxHeight={420}
        nothingFound={t('app.findNothing')}
        searchProps={{ placeholder: t('app.find'), 'aria-label': t('app.find') }}
      />
    </>
  );
});
