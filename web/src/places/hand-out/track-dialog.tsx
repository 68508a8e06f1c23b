import { Button, Group, Modal, Progress, SegmentedControl, Stack } from '@mantine/core';
import { GAPS, type LaidRoutine } from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { clockText } from '../../text/times.ts';
import { MP3_KBPS, SOUND_FORMATS, SOUND_RATE } from '../../workers/track-order.ts';
import type { SheetProps } from './use-laid-for.ts';
import { useTrack, type TrackWishes } from './use-track.ts';
import classes from './hand-out.module.css';

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly among: Readonly<Record<T, string>>;
  readonly value: T;
  readonly onChange: (value: T) => void;
}

function Choice<T extends string>({ label, among, value, onChange }: ChoiceProps<T>): ReactElement {
  return (
    <div className={classes['choice']}>
      <span>{label}</span>
      <SegmentedControl<T>
        aria-label={label}
        data={(Object.keys(among) as T[]).map((one) => ({ value: one, label: among[one] }))}
        value={value}
        onChange={onChange}
      />
    </div>
  );
}

const BYTES_A_SECOND = { mp3: (MP3_KBPS * 1000) / 8, wav: SOUND_RATE * 2 } as const;
const MEGABYTE = 1_000_000;

type TrackDialogProps = SheetProps & { readonly laid: LaidRoutine; readonly onClose: () => void };

interface WishesProps {
  readonly wishes: TrackWishes;
  readonly onChange: (change: Partial<TrackWishes>) => void;
}

function Wishes({ wishes, onChange }: WishesProps): ReactElement {
  const { t } = useTranslation();
  const gaps = Object.fromEntries(GAPS.map((gap) => [String(gap), t('handOut.track.seconds', { count: gap })]));
  return (
    <>
      <Choice
        label={t('handOut.track.format')}
        among={
          Object.fromEntries(SOUND_FORMATS.map((one) => [one, t(`handOut.track.formats.${one}`)])) as Record<
            TrackWishes['format'],
            string
          >
        }
        value={wishes.format}
        onChange={(format) => {
          onChange({ format });
        }}
      />
      <Choice
        label={t('handOut.track.files')}
        among={{ one: t('handOut.track.whole'), many: t('handOut.track.split') }}
        value={wishes.isSplit ? 'many' : 'one'}
        onChange={(files) => {
          onChange({ isSplit: files === 'many' });
        }}
      />
      <Choice
        label={t('handOut.track.tune')}
        among={{ always: t('handOut.track.always'), planned: t('handOut.track.planned') }}
        value={wishes.asPlanned ? 'planned' : 'always'}
        onChange={(tune) => {
          onChange({ asPlanned: tune === 'planned' });
        }}
      />
      <Choice
        label={t('handOut.track.gap')}
        among={gaps}
        value={String(wishes.gapSeconds)}
        onChange={(gap) => {
          onChange({ gapSeconds: Number(gap) });
        }}
      />
    </>
  );
}

/** The sound track of a routine: how it is wanted, how long it comes to, and the writing of it. */
export function TrackDialog(props: TrackDialogProps): ReactElement {
  const { t } = useTranslation();
  const [wishes, setWishes] = useState<TrackWishes>({
    format: 'mp3',
    isSplit: false,
    gapSeconds: GAPS[1],
    asPlanned: false,
  });
  const change = (one: Partial<TrackWishes>): void => {
    setWishes({ ...wishes, ...one });
  };
  const { track, progress, hasFailed, make, stop } = useTrack(props, wishes);
  const close = (): void => {
    stop();
    props.onClose();
  };
  const megabytes = (track.seconds * BYTES_A_SECOND[wishes.format]) / MEGABYTE;
  return (
    <Modal opened onClose={close} title={t('handOut.dialogs.track')} size="lg">
      <Stack gap="sm">
        <Wishes wishes={wishes} onChange={change} />
        <p className={classes['sum']}>
          {t('handOut.track.sum', {
            count: track.steps.length,
            time: clockText(track.seconds),
            size: Math.max(1, Math.round(megabytes)),
          })}
        </p>
        {hasFailed && <p role="alert">{t('handOut.track.failed')}</p>}
        {progress === null ? (
          <Group justify="flex-end">
            <Button onClick={close}>{t('app.cancel')}</Button>
            <Button variant="filled" disabled={track.steps.length === 0} onClick={() => void make()}>
              {t('handOut.track.make')}
            </Button>
          </Group>
        ) : (
          <Group wrap="nowrap">
            <Progress value={progress * 100} aria-label={t('handOut.track.making')} flex={1} />
            <Button onClick={stop}>{t('handOut.track.stop')}</Button>
          </Group>
        )}
      </Stack>
    </Modal>
  );
}
