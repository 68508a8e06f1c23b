import { Button, CopyButton, Group, Modal, SegmentedControl, Stack, TextInput } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { QRCodeSVG } from 'qrcode.react';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 } from 'uuid';
import {
  homeAddress,
  homeLinksQuery,
  makeHomeLink,
  revokeHomeLink,
  type HomeLink,
  type MadeHomeLink,
} from '../../api/home.queries.ts';
import { dayText } from '../../text/times.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import classes from './students.module.css';

const WEEKS = ['2', '4', '12'] as const;

/** A link just made: to copy, to scan, and not shown again. */
function NewLink({ made }: { readonly made: MadeHomeLink }): ReactElement {
  const { t } = useTranslation();
  const address = homeAddress(made);
  return (
    <Stack gap="sm" align="flex-start">
      <p>{t('home.links.made')}</p>
      <QRCodeSVG value={address} size={168} marginSize={2} title={t('home.links.qr')} />
      <Group w="100%" wrap="nowrap">
        <TextInput flex={1} readOnly aria-label={t('home.links.open')} value={address} />
        <CopyButton value={address}>
          {({ copied, copy }) => <Button onClick={copy}>{t(copied ? 'home.links.copied' : 'home.links.copy')}</Button>}
        </CopyButton>
      </Group>
    </Stack>
  );
}

interface LinkRowProps {
  readonly link: HomeLink;
  readonly onRevoke: () => void;
}

function LinkRow({ link, onRevoke }: LinkRowProps): ReactElement {
  const { t } = useTranslation();
  return (
    <li>
      <span>
        {t('home.links.until', { day: dayText(link.expiresAt) })}
        {' · '}
        {link.openedAt === null ? t('home.links.never') : t('home.links.opened', { day: dayText(link.openedAt) })}
      </span>
      <Button
        size="sm"
        variant="subtle"
        aria-label={t('home.links.revokeOne', { day: dayText(link.createdAt) })}
        onClick={onRevoke}
      >
        {t('home.links.revoke')}
      </Button>
    </li>
  );
}

interface HomeLinksProps {
  readonly studentId: string;
  readonly isOpen: boolean;
  readonly onClose: () => void;
}

/** The links a student practises by: one is made in a press, handed over, and taken back at any time. */
export function HomeLinks({ studentId, isOpen, onClose }: HomeLinksProps): ReactElement {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const [weeks, setWeeks] = useState<string>('4');
  const links = useQuery({ ...homeLinksQuery(studentId), enabled: isOpen }).data ?? [];
  const shown = async (): Promise<void> => {
    await queries.invalidateQueries({ queryKey: ['home-links', studentId] });
  };
  const making = useMutation({ mutationFn: () => makeHomeLink(studentId, v7(), Number(weeks)), onSuccess: shown });
  const revoking = useMutation({ mutationFn: (id: string) => revokeHomeLink(studentId, id), onSuccess: shown });
  const made = links.some(({ id }) => id === making.data?.id) ? making.data : undefined;
  return (
    <Modal opened={isOpen} onClose={onClose} title={t('home.links.open')} size="lg">
      <p>{t('home.links.about')}</p>
      {made ? (
        <NewLink made={made} />
      ) : (
        <Group>
          <span>{t('home.links.weeks')}</span>
          <SegmentedControl
            aria-label={t('home.links.weeks')}
            data={WEEKS.map((value) => ({ value, label: t('home.links.weeksOf', { count: Number(value) }) }))}
            value={weeks}
            onChange={setWeeks}
          />
          <Button
            variant="filled"
            loading={making.isPending}
            onClick={() => {
              making.mutate();
            }}
          >
            {t('home.links.make')}
          </Button>
        </Group>
      )}
      <FormProblem error={making.error ?? revoking.error} />
      <ul className={classes['links']}>
        {links.map((link) => (
          <LinkRow
            key={link.id}
            link={link}
            onRevoke={() => {
              revoking.mutate(link.id);
            }}
          />
        ))}
        {links.length === 0 && <li>{t('home.links.none')}</li>}
      </ul>
    </Modal>
  );
}
