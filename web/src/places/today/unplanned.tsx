import { Button, Modal, TextInput, UnstyledButton } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { studentsNamed, studentsQuery } from '../../api/students.queries.ts';
import { useDraftFor, useJustStart } from '../../api/use-new-routine.ts';
import { useShown } from '../../shell/use-shown.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import { KeyFor } from '../../ui/key-cap.tsx';
import { useKeys } from '../../ui/use-keys.ts';
import classes from './today.module.css';

/** Someone at the door who is not on the list: picked by a few letters, and a routine is drafted. */
export function Unplanned(): ReactElement {
  const { t } = useTranslation();
  const { mayShow } = useShown();
  const [isOpen, setOpen] = useState(false);
  const [letters, setLetters] = useState('');
  const students = useQuery(studentsQuery).data ?? [];
  const { draftFor, isPending, error } = useDraftFor();
  const { justStart } = useJustStart();
  const open = (): void => {
    setLetters('');
    setOpen(true);
  };
  useKeys({ place: 'today', single: { unplanned: open } });
  const shown = studentsNamed(students, letters).filter(({ id }) => mayShow(id));
  return (
    <>
      <Button onClick={open} rightSection={<KeyFor place="today" name="unplanned" />}>
        {t('today.unplanned')}
      </Button>
      <Modal
        opened={isOpen}
        onClose={() => {
          setOpen(false);
        }}
        title={t('today.whoIsThere')}
      >
        <form
          onSubmit={(event) => {
            event.preventDefault();
            const [first] = shown;
            if (first) draftFor(first.id);
          }}
        >
          <TextInput
            data-autofocus
            type="search"
            label={t('students.filter')}
            description={t('today.thenDrafted')}
            value={letters}
            onChange={({ currentTarget: { value } }) => {
              setLetters(value);
            }}
          />
        </form>
        <FormProblem error={error} />
        <ul className={classes['unplanned']}>
          {shown.map(({ id, name, voice }) => (
            <li key={id}>
              <UnstyledButton
                disabled={isPending}
                onClick={() => {
                  draftFor(id);
                }}
              >
                <bdi>{name}</bdi> <small>{t(`voices.${voice.type}`)}</small>
              </UnstyledButton>
              <Button
                variant="subtle"
                size="sm"
                aria-label={`${t('today.justStart')}, ${name}`}
                onClick={() => {
                  justStart(id);
                }}
              >
                {t('today.justStart')}
              </Button>
            </li>
          ))}
          {shown.length === 0 && <li>{t('today.nobodyNamed')}</li>}
        </ul>
      </Modal>
    </>
  );
}
