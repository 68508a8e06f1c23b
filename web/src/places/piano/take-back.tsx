import { UnstyledButton } from '@mantine/core';
import { useTimeout } from '@mantine/hooks';
import { keyName, type Exercise, type RunState } from '@soft-lark/core';
import { useEffect, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { markText } from '../../text/mark-text.ts';
import { KeyFor } from '../../ui/key-cap.tsx';
import { useKeys } from '../../ui/use-keys.ts';
import { letGo } from './let-go.ts';
import type { Running } from './use-run.ts';
import classes from './run.module.css';

/** So long a mark or a stop can be taken back after its key was left; later it is remembered. */
const MISTAKE_MILLISECONDS = 10_000;

interface TakeBackProps {
  readonly running: Running;
  readonly state: RunState;
  readonly exercise: Exercise | undefined;
}

/** Whether something is young enough to be taken back; another `id` is young again. */
export function useIsFresh(id: string | undefined): boolean {
  const [old, setOld] = useState<string | undefined>(undefined);
  const fade = useTimeout(() => {
    setOld(id);
  }, MISTAKE_MILLISECONDS);
  useEffect(() => {
    fade.start();
    return fade.clear;
  }, [fade, id]);
  return id !== undefined && old !== id;
}

/** The last mark of the key that was just left, and the press that takes it back. */
export function TakeBack({ running, state, exercise }: TakeBackProps): ReactElement | null {
  const { t } = useTranslation();
  const last = state.sung.at(-1);
  const mark = last?.marks.at(-1);
  const isFresh = useIsFresh(mark === undefined ? undefined : last?.id);
  const isOffered = isFresh && state.marks.length === 0;
  const takeBack = (): void => {
    if (last && mark !== undefined) running.does({ type: 'unmark', keyId: last.id, mark });
  };
  useKeys({ place: 'piano', ...(isOffered && { single: { takeBack } }) });
  if (!isOffered || mark === undefined) return null;
  return (
    <UnstyledButton className={classes['takeBack'] ?? ''} onPointerUp={letGo} onClick={takeBack}>
      {t('piano.takeBack', { mark: markText(mark, exercise), key: keyName(last?.tonic ?? 0) })}{' '}
      <KeyFor place="piano" name="takeBack" />
    </UnstyledButton>
  );
}
