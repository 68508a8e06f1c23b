import { ActionIcon, Menu, useComputedColorScheme, useMantineColorScheme } from '@mantine/core';
import {
  IconAdjustments,
  IconAlertTriangle,
  IconInfoCircle,
  IconKeyboard,
  IconLogout,
  IconMoon,
  IconScreenShare,
  IconSun,
  IconUserCircle,
} from '@tabler/icons-react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate } from 'react-router';
import { signOut, type Session } from '../api/session.queries.ts';
import { useKeySheet } from '../ui/key-sheet.tsx';
import { useSharedScreen } from '../ui/shared-screen.ts';

export function AccountMenu({ session }: { readonly session: Session | undefined }): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const { setColorScheme } = useMantineColorScheme();
  const [isShared, setShared] = useSharedScreen();
  const keys = useKeySheet();
  const isDark = useComputedColorScheme('light') === 'dark';
  const leave = useMutation({
    mutationFn: signOut,
    onSuccess: async () => {
      await navigate('/enter');
      queries.clear();
    },
  });
  return (
    <>
      <Menu position="bottom-end" width={230} radius="md">
        <Menu.Target>
          <ActionIcon aria-label={t('app.account')}>
            <IconUserCircle size={22} stroke={1.6} />
          </ActionIcon>
        </Menu.Target>
        <Menu.Dropdown>
          {session && <Menu.Label>{`${session.name} · ${session.studioName}`}</Menu.Label>}
          <Menu.Item
            leftSection={isDark ? <IconSun size={18} /> : <IconMoon size={18} />}
            onClick={() => {
              setColorScheme(isDark ? 'light' : 'dark');
            }}
          >
            {isDark ? t('app.light') : t('app.dark')}
          </Menu.Item>
          <Menu.Item
            leftSection={<IconScreenShare size={18} />}
            onClick={() => {
              setShared(!isShared);
            }}
          >
            {isShared ? t('app.ownScreen') : t('app.sharedScreen')}
          </Menu.Item>
          <Menu.Item leftSection={<IconKeyboard size={18} />} onClick={keys.open}>
            {t('keySheet.title')}
          </Menu.Item>
          <Menu.Item component={Link} to="/settings" leftSection={<IconAdjustments size={18} />}>
            {t('settings.heading')}
          </Menu.Item>
          <Menu.Item component={Link} to="/cautions" leftSection={<IconAlertTriangle size={18} />}>
            {t('cautions.heading')}
          </Menu.Item>
          <Menu.Item component={Link} to="/about" leftSection={<IconInfoCircle size={18} />}>
            {t('app.about')}
          </Menu.Item>
          <Menu.Item
            leftSection={<IconLogout size={18} />}
            onClick={() => {
              leave.mutate();
            }}
          >
            {t('app.signOut')}
          </Menu.Item>
        </Menu.Dropdown>
      </Menu>
      {keys.sheet}
    </>
  );
}
