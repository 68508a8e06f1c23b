import { UnstyledButton } from '@mantine/core';
import { keyName, type RunState } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { KeyFor } from '../../ui/key-cap.tsx';
import { useKeys } from '../../ui/use-keys.ts';
import { letGo } from './let-go.ts';
import { useIsFresh } from './take-back.tsx';
import type { HeardKey } from './use-ear.ts';
import type { Running } from './use-run.ts';
import classes from './run.module.css';

interface KeepHeardProps {
  readonly running: Running;
  readonly state: RunState;
  readonly heard: HeardKey | null;
}

/** A mark that was heard, and the press that keeps it; what nobody keeps is gone in ten seconds. */
export function KeepHeard({ running, state, heard }: KeepHeardProps): ReactElement | null {
  const { t } = useTranslation();
  const isFresh = useIsFresh(heard?.id);
  const left = heard ? state.sung[heard.sungBefore] : undefined;
  const has = left?.marks ?? state.marks;
  const mark = heard?.marks.find((one) => !has.includes(one));
  const isOffered = isFresh && mark !== undefined;
  const keep = (): void => {
    if (mark === undefined) return;
    if (left) running.does({ type: 'mark-left', keyId: left.id, mark });
    else running.mark(mark);
  };
  useKeys({ place: 'piano', ...(isOffered && { single: { keepHeard: keep } }) });
  if (!isOffered) return null;
  return (
    <UnstyledButton className={classes['takeBack'] ?? ''} onPointerUp={letGo} onClick={keep}>
      {t('piano.ear.keep', { mark: t(`piano.marks.${mark}`), key: keyName(heard?.tonic ?? 0) })}{' '}
      <KeyFor place="piano" name="keepHeard" />
    </UnstyledButton>
  );
}
