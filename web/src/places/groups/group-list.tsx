import { Button, Modal, Title } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { groupsQuery } from '../../api/groups.queries.ts';
import { studentsQuery } from '../../api/students.queries.ts';
import { toldApart } from '../../ui/told-apart.ts';
import { GroupForm } from './group-form.tsx';
import classes from './groups.module.css';

/** The pairs and small groups of the studio, and a way to make one. */
export function GroupList(): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const [isOpen, { open, close }] = useDisclosure(false);
  const [newId, setNewId] = useState(() => v7());
  const groups = useQuery(groupsQuery).data ?? [];
  const students = useQuery(studentsQuery).data ?? [];
  const names = toldApart(students, t);
  return (
    <section className={classes['groups']}>
      <div>
        <Title order={2} fz={21}>
          {t('groups.heading')}
        </Title>
        <Button
          disabled={students.length < 2}
          onClick={() => {
            setNewId(v7());
            open();
          }}
        >
          {t('groups.add')}
        </Button>
      </div>
      {groups.length === 0 && <p>{t('groups.empty')}</p>}
      <ul>
        {groups.map(({ id, name, members }) => (
          <li key={id}>
            <Link to={`/groups/${id}`}>{name}</Link>
            <span>{members.map((one) => names.get(one) ?? '').join(', ')}</span>
          </li>
        ))}
      </ul>
      <Modal opened={isOpen} onClose={close} title={t('groups.add')} size="lg">
        <GroupForm
          key={newId}
          group={{ id: newId, name: '', members: [], version: 0 }}
          onDone={({ id }) => void navigate(`/groups/${id}`)}
          onCancel={close}
        />
      </Modal>
    </section>
  );
}
