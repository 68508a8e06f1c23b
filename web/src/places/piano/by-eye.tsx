import { Popover, UnstyledButton } from '@mantine/core';
import { BY_EYE, byEyeAt, currentKey, type RunState, type SeenByEye } from '@soft-lark/core';
import { IconVideo } from '@tabler/icons-react';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { markText } from '../../text/mark-text.ts';
import { letGo } from './let-go.ts';
import type { FarSide } from './use-far-side.ts';
import type { Running } from './use-run.ts';
import classes from './by-eye.module.css';

interface ByEyeProps {
  readonly running: Running;
  readonly state: RunState;
  readonly far: FarSide;
}

/** One thing to look at; a press marks the key with what stands for it. */
function Seen({ seen, running, state }: Omit<ByEyeProps, 'far'> & { readonly seen: SeenByEye }): ReactElement {
  const { t } = useTranslation();
  return (
    <UnstyledButton
      className={classes['seen'] ?? ''}
      disabled={currentKey(state) === undefined}
      aria-pressed={state.marks.includes(seen.mark)}
      onPointerUp={letGo}
      onClick={() => {
        running.mark(seen.mark);
      }}
    >
      {t(`piano.far.eye.${seen.id}`)} <small>{markText(seen.mark, undefined)}</small>
    </UnstyledButton>
  );
}

/** In a lesson over video: whether the sound gets there, and what to look at in this key. */
export function ByEye({ running, state, far }: ByEyeProps): ReactElement {
  const { t } = useTranslation();
  const [isOpen, setOpen] = useState(false);
  const trouble = far.hasFailed ? 'piano.far.lost' : far.isThere ? null : 'piano.far.nobody';
  return (
    <div className={classes['line']}>
      <IconVideo size={20} aria-hidden />
      {trouble && (
        <b role="status" className={classes['trouble']}>
          {t(trouble)}
        </b>
      )}
      {!trouble && (
        <>
          <span>{t('piano.far.lookFor')}</span>
          <Seen seen={byEyeAt(state.keyIndex)} running={running} state={state} />
        </>
      )}
      <Popover opened={isOpen} onChange={setOpen} position="top-start" width={420} shadow="none" withArrow trapFocus>
        <Popover.Target>
          <UnstyledButton
            className={classes['all'] ?? ''}
            onClick={() => {
              setOpen(!isOpen);
            }}
          >
            {t('piano.far.all')}
          </UnstyledButton>
        </Popover.Target>
        <Popover.Dropdown>
          <p className={classes['hint']}>{t('piano.far.eyeHint')}</p>
          {BY_EYE.map((seen) => (
            <Seen key={seen.id} seen={seen} running={running} state={state} />
          ))}
        </Popover.Dropdown>
      </Popover>
    </div>
  );
}
