import { ActionIcon } from '@mantine/core';
import { IconX } from '@tabler/icons-react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { dropRecording, KEPT_DAYS, recordingsOf, type Recording } from '../../listening/recordings.ts';
import { momentText } from '../../text/times.ts';
import classes from './students.module.css';

function Sound({ sound }: Pick<Recording, 'sound'>): ReactElement {
  const [address, setAddress] = useState<string>();
  useEffect(() => {
    const made = URL.createObjectURL(sound);
    // The address exists only while the recording is shown.
    const timer = setTimeout(() => {
      setAddress(made);
    });
    return () => {
      clearTimeout(timer);
      URL.revokeObjectURL(made);
    };
  }, [sound]);
  return <audio controls src={address} />;
}

/** Recordings of a student on this device; nothing of it is on the server. */
export function Recordings({ studentId }: { readonly studentId: string }): ReactElement | null {
  const { t } = useTranslation();
  const queries = useQueryClient();
  const queryKey = ['recordings', studentId];
  const recordings = useQuery({ queryKey, queryFn: () => recordingsOf(studentId), staleTime: 0 }).data ?? [];
  if (recordings.length === 0) return null;
  return (
    <section className={classes['block']}>
      <h2>{t('students.recordings')}</h2>
      <p>{t('students.recordingsHint', { count: KEPT_DAYS })}</p>
      <ul className={classes['lessons']}>
        {recordings.map(({ id, keptAt, sound }) => (
          <li key={id}>
            {momentText(keptAt)} <Sound sound={sound} />
            <ActionIcon
              aria-label={t('students.dropRecording', { when: momentText(keptAt) })}
              onClick={() => {
                void dropRecording(id).then(() => queries.invalidateQueries({ queryKey }));
              }}
            >
              <IconX size={16} />
            </ActionIcon>
          </li>
        ))}
      </ul>
    </section>
  );
}
