import { Button, Menu, Modal } from '@mantine/core';
import { IconChevronDown, IconHistory, IconPrinter, IconTemplate, IconTrash, IconUserPlus } from '@tabler/icons-react';
import { ROUTINE_KINDS, type RoutineContext } from '@soft-lark/core';
import { useState, type Dispatch, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import type { Routine } from '../../api/routines.queries.ts';
import type { BenchAction, EditedRoutine } from './bench.reducer.ts';
import { CopyTo } from './copy-to.tsx';
import { DeleteRoutine } from './delete-routine.tsx';
import { History } from './history.tsx';
import { Templates } from './templates.tsx';
import classes from './bench-head.module.css';

interface BenchMenuProps {
  readonly routine: Routine;
  /** As it stands on the bench. */
  readonly edited: EditedRoutine;
  readonly context: RoutineContext;
  readonly act: Dispatch<BenchAction>;
}

const DIALOGS = [
  { name: 'copyTo', icon: IconUserPlus, size: 'lg' },
  { name: 'templates', icon: IconTemplate, size: 'lg' },
  { name: 'history', icon: IconHistory, size: 860 },
] as const;

type Dialog = (typeof DIALOGS)[number]['name'] | 'delete';

/** What it is for, and what can be done with a routine as a whole: each in words, the seldom ones out of the way. */
export function BenchMenu({ routine, edited, context, act }: BenchMenuProps): ReactElement {
  const { t } = useTranslation();
  const [open, setOpen] = useState<Dialog | null>(null);
  const close = (): void => {
    setOpen(null);
  };
  const holds = {
    copyTo: () => <CopyTo routine={edited} studentId={routine.studentId} context={context} close={close} />,
    templates: () => <Templates routine={edited} shelf={context.exercises} close={close} />,
    history: () => <History routineId={routine.id} routine={edited} context={context} act={act} close={close} />,
  };
  const shown = DIALOGS.find(({ name }) => name === open);
  return (
    <>
      <Menu position="bottom-end" width={250}>
        <Menu.Target>
          <Button rightSection={<IconChevronDown size={16} aria-hidden />}>{t('bench.more')}</Button>
        </Menu.Target>
        <Menu.Dropdown>
          <Menu.Label>{t('bench.occasion')}</Menu.Label>
          <Menu.RadioGroup
            value={edited.kind}
            onChange={(value) => {
              const kind = ROUTINE_KINDS.find((known) => known === value);
              if (kind) act({ type: 'kind', kind });
            }}
          >
            {ROUTINE_KINDS.map((kind) => (
              <Menu.RadioItem
                key={kind}
                value={kind}
                closeMenuOnClick
                classNames={{ itemLabel: classes['kind'] ?? '' }}
              >
                {t(`bench.kind.${kind}`)}
              </Menu.RadioItem>
            ))}
          </Menu.RadioGroup>
          <Menu.Divider />
          <Menu.Item
            component={Link}
            to={`/routines/${routine.id}/hand-out`}
            leftSection={<IconPrinter size={16} aria-hidden />}
          >
            {t('handOut.open')}
          </Menu.Item>
          {DIALOGS.map(({ name, icon: Picture }) => (
            <Menu.Item
              key={name}
              leftSection={<Picture size={16} aria-hidden />}
              onClick={() => {
                setOpen(name);
              }}
            >
              {t(`bench.${name}.open`)}
            </Menu.Item>
          ))}
          <Menu.Item
            color="brick"
            leftSection={<IconTrash size={16} aria-hidden />}
            onClick={() => {
              setOpen('delete');
            }}
          >
            {t('bench.delete')}
          </Menu.Item>
        </Menu.Dropdown>
      </Menu>
      <Modal
        opened={shown !== undefined}
        onClose={close}
        title={shown && t(`bench.${shown.name}.open`)}
        size={shown?.size ?? 'lg'}
      >
        {shown && holds[shown.name]()}
      </Modal>
      <DeleteRoutine routine={routine} isOpen={open === 'delete'} onClose={close} />
    </>
  );
}
