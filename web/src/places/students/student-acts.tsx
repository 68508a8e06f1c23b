import { Button, Group, Menu, Modal } from '@mantine/core';
import {
  IconCalendar,
  IconChevronDown,
  IconHome,
  IconListDetails,
  IconMusic,
  IconPlus,
  IconRulerMeasure,
} from '@tabler/icons-react';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate } from 'react-router';
import type { StudentToday } from '../../api/students.queries.ts';
import { useDraftFor, useJustStart, useNewRoutine, type NewRoutine } from '../../api/use-new-routine.ts';
import { HomeLinks } from './home-links.tsx';
import { RecipeList } from './recipe-list.tsx';
import { RoutineFromFile } from './routine-from-file.tsx';

interface MoreActsProps {
  readonly id: string;
  readonly onReadyMade: () => void;
  readonly onLinks: () => void;
  readonly onNew: () => void;
}

function MoreActs({ id, onReadyMade, onLinks, onNew }: MoreActsProps): ReactElement {
  const { t } = useTranslation();
  const { justStart } = useJustStart();
  return (
    <Menu position="bottom-end" width={240}>
      <Menu.Target>
        <Button rightSection={<IconChevronDown size={16} aria-hidden />}>{t('students.more')}</Button>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Item
          component={Link}
          to={`/students/${id}/check`}
          leftSection={<IconRulerMeasure size={16} aria-hidden />}
        >
          {t('students.check')}
        </Menu.Item>
        <Menu.Item leftSection={<IconListDetails size={16} aria-hidden />} onClick={onReadyMade}>
          {t('students.readyMade')}
        </Menu.Item>
        <Menu.Item leftSection={<IconHome size={16} aria-hidden />} onClick={onLinks}>
          {t('home.links.open')}
        </Menu.Item>
        <Menu.Item component={Link} to={`/students/${id}/day`} leftSection={<IconCalendar size={16} aria-hidden />}>
          {t('students.day.title')}
        </Menu.Item>
        <Menu.Item
          leftSection={<IconMusic size={16} aria-hidden />}
          onClick={() => {
            justStart(id);
          }}
        >
          {t('students.justStart')}
        </Menu.Item>
        <Menu.Item leftSection={<IconPlus size={16} aria-hidden />} onClick={onNew}>
          {t('students.newRoutine')}
        </Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}

interface StudentActsProps {
  readonly today: StudentToday;
  /** Opens the voice file for a change; nothing where it is not shown. */
  readonly onEdit: (() => void) | undefined;
}

/** What is done with a student: the two usual things at hand, the rest in a menu. */
export function StudentActs({ today, onEdit }: StudentActsProps): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const build = useNewRoutine();
  const draft = useDraftFor();
  const [isChoosing, setChoosing] = useState(false);
  const [isLinking, setLinking] = useState(false);
  const { id } = today.student;
  const make = (start?: NewRoutine['start']): void => {
    build.mutate({ id, ...(start && { start }) }, { onSuccess: (routine) => void navigate(`/routines/${routine.id}`) });
  };
  return (
    <Group gap={10} wrap="nowrap">
      {onEdit && <Button onClick={onEdit}>{t('students.edit')}</Button>}
      <MoreActs
        id={id}
        onReadyMade={() => {
          setChoosing(true);
        }}
        onLinks={() => {
          setLinking(true);
        }}
        onNew={() => {
          make();
        }}
      />
      <Button
        variant="filled"
        loading={build.isPending || draft.isPending}
        onClick={() => {
          draft.draftFor(id);
        }}
      >
        {t('students.draftRoutine')}
      </Button>
      <HomeLinks
        studentId={id}
        isOpen={isLinking}
        onClose={() => {
          setLinking(false);
        }}
      />
      <Modal
        opened={isChoosing}
        onClose={() => {
          setChoosing(false);
        }}
        title={t('students.readyMade')}
      >
        <RecipeList today={today} onFilled={make} />
        <RoutineFromFile onOpened={make} />
      </Modal>
    </Group>
  );
}
