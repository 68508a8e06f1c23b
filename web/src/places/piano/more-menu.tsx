import { ActionIcon, Menu } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { IconArrowDownRight, IconDots, IconKeyboard, IconNumbers, IconPlus } from '@tabler/icons-react';
import { useDisclosure } from '@mantine/hooks';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { shelfQuery } from '../../api/shelf.queries.ts';
import { KeyFor } from '../../ui/key-cap.tsx';
import { useKeySheet } from '../../ui/key-sheet.tsx';
import { useKeys } from '../../ui/use-keys.ts';
import { AddStep } from '../bench/add-step.tsx';
import { useCallUp, type CallUp } from './use-call-up.ts';
import { useDegrees } from './use-degrees.ts';
import { useEasier } from './use-easier.ts';
import classes from './run.module.css';

/** What is wanted less often: an easier relative at once, an exercise that was not planned, the sheet of keys. */
export function MoreMenu(props: CallUp): ReactElement {
  const { running, run, today, shelf } = props;
  const { t } = useTranslation();
  const keys = useKeySheet();
  const [isAdding, { open, close }] = useDisclosure(false);
  const easier = useEasier(run, today, shelf);
  const whole = useQuery(shelfQuery).data;
  const callUp = useCallUp(props);
  const [hasDegrees, setDegrees] = useDegrees();
  const swap = (): void => {
    if (easier) running.swap(easier);
  };
  useKeys({ place: 'piano', single: { easier: swap, addStep: open } });
  return (
    <>
      <Menu position="bottom-end" width={400}>
        <Menu.Target>
          <ActionIcon className={classes['keys'] ?? ''} aria-label={t('piano.moreActs')}>
            <IconDots size={22} />
          </ActionIcon>
        </Menu.Target>
        <Menu.Dropdown>
          <Menu.Item
            disabled={!easier}
            leftSection={<IconArrowDownRight size={18} aria-hidden />}
            rightSection={<KeyFor place="piano" name="easier" />}
            onClick={swap}
          >
            {easier ? t('piano.easierNow', { name: easier.name }) : t('piano.noEasier')}
          </Menu.Item>
          <Menu.Item
            leftSection={<IconPlus size={18} aria-hidden />}
            rightSection={<KeyFor place="piano" name="addStep" />}
            onClick={open}
          >
            {t('piano.addStep')}
          </Menu.Item>
          <Menu.Item
            leftSection={<IconNumbers size={18} aria-hidden />}
            onClick={() => {
              setDegrees(!hasDegrees);
            }}
          >
            {t(hasDegrees ? 'piano.syllables' : 'piano.degrees')}
          </Menu.Item>
          <Menu.Item leftSection={<IconKeyboard size={18} aria-hidden />} onClick={keys.open}>
            {t('keySheet.title')}
          </Menu.Item>
        </Menu.Dropdown>
      </Menu>
      {keys.sheet}
      {whole && (
        <AddStep
          isOpen={isAdding}
          shelf={whole}
          onClose={close}
          onAdd={(exerciseId) => {
            if (callUp(exerciseId)) close();
            else notifications.show({ message: t('piano.open.refused', { name: shelf.get(exerciseId)?.name ?? '' }) });
          }}
        />
      )}
    </>
  );
}
