import { Popover, UnstyledButton } from '@mantine/core';
import { currentKey, OWN_MARKS, STOP_MARKS, type Exercise, type RunState } from '@soft-lark/core';
import { useState, type ReactElement, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { markText } from '../../text/mark-text.ts';
import { KeyFor } from '../../ui/key-cap.tsx';
import { letGo } from './let-go.ts';
import { MARKS_ASKED, OVER_LIMIT, SOUND_MARKS, type AskedMark } from './use-run-keys.ts';
import type { Running } from './use-run.ts';
import classes from './run.module.css';

interface MarkButtonsProps {
  readonly running: Running;
  readonly state: RunState;
  /** What is asked in this step; the others keep their place and are not pressed. */
  readonly asked: readonly AskedMark[];
  readonly exercise: Exercise | undefined;
}

/** One mark, as a press. */
function MarkButton({
  mark,
  running,
  state,
  asked,
  exercise,
}: MarkButtonsProps & { readonly mark: AskedMark }): ReactElement {
  const { t } = useTranslation();
  const hasKeys = currentKey(state) !== undefined;
  return (
    <UnstyledButton
      className={classes['mark'] ?? ''}
      data-stops={STOP_MARKS.has(mark)}
      disabled={(!hasKeys && !STOP_MARKS.has(mark)) || !asked.includes(mark)}
      title={asked.includes(mark) ? undefined : t('piano.onlyEase')}
      aria-pressed={state.marks.includes(mark)}
      onPointerUp={letGo}
      onClick={() => {
        running.mark(mark);
      }}
    >
      {markText(mark, exercise)} <KeyFor place="piano" name={mark} />
    </UnstyledButton>
  );
}

interface MoreMarksProps {
  readonly state: RunState;
  readonly among: readonly AskedMark[];
  readonly children: ReactNode;
}

/** Marks told less often, behind one press; it lights while one of them is on the key. */
function MoreMarks({ state, among, children }: MoreMarksProps): ReactElement {
  const { t } = useTranslation();
  const [isOpen, setOpen] = useState(false);
  return (
    <Popover opened={isOpen} onChange={setOpen} position="top" shadow="none" withArrow>
      <Popover.Target>
        <UnstyledButton
          className={classes['mark'] ?? ''}
          aria-pressed={among.some((mark) => state.marks.includes(mark))}
          onPointerUp={letGo}
          onClick={() => {
            setOpen(!isOpen);
          }}
        >
          {t('piano.moreMarks')}
        </UnstyledButton>
      </Popover.Target>
      <Popover.Dropdown
        className={classes['marks'] ?? ''}
        onClick={() => {
          setOpen(false);
        }}
      >
        {children}
      </Popover.Dropdown>
    </Popover>
  );
}

/** Marks on the key being sung; those that stop stand apart. */
export function MarkButtons(props: MarkButtonsProps): ReactElement {
  const { running, state, asked } = props;
  const { t } = useTranslation();
  const button = (mark: AskedMark): ReactElement => <MarkButton key={mark} mark={mark} {...props} />;
  const more = [...SOUND_MARKS, ...OWN_MARKS.filter((mark) => asked.includes(mark))];
  const usual = MARKS_ASKED.filter((mark) => !SOUND_MARKS.includes(mark));
  return (
    <div className={classes['marks']}>
      {usual.filter((mark) => !STOP_MARKS.has(mark)).map(button)}
      <MoreMarks state={state} among={more}>
        {more.map(button)}
      </MoreMarks>
      {usual.filter((mark) => STOP_MARKS.has(mark)).map(button)}
      <UnstyledButton
        className={classes['mark'] ?? ''}
        data-stops
        onPointerUp={letGo}
        onClick={() => {
          running.effort(OVER_LIMIT);
        }}
      >
        {t('piano.effort')} <KeyFor place="piano" name="effort" />
      </UnstyledButton>
      <span className={classes['marksHint']}>{t('piano.marksHint')}</span>
    </div>
  );
}
