import { UnstyledButton } from '@mantine/core';
import {
  canGoHome,
  canTurnBack,
  currentKey,
  currentStep,
  otherWay,
  turnsAtEffort,
  type Approach,
  type RunState,
} from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { KeyCap, KeyFor } from '../../ui/key-cap.tsx';
import type { Running } from './use-run.ts';
import { letGo } from './let-go.ts';
import classes from './run.module.css';

interface ActButtonProps {
  readonly label: string;
  readonly keyCap: ReactElement;
  readonly onPress: () => void;
  readonly isOff?: boolean;
  readonly look?: 'main' | 'turn' | 'turn-here';
}

function ActButton({ label, keyCap, onPress, isOff = false, look }: ActButtonProps): ReactElement {
  return (
    <UnstyledButton
      className={classes['act'] ?? ''}
      data-look={look}
      disabled={isOff}
      aria-label={label}
      onPointerUp={letGo}
      onClick={onPress}
    >
      <span>{label}</span>
      {keyCap}
    </UnstyledButton>
  );
}

interface ActButtonsProps {
  readonly running: Running;
  readonly state: RunState;
  readonly approach: Approach;
}

/** What the teacher can do, one tap each; the main act is the widest. */
export function ActButtons({ running, state, approach }: ActButtonsProps): ReactElement {
  const { t } = useTranslation();
  const hasKeys = currentKey(state) !== undefined;
  const { act, isHeld, isLasting } = running;
  // By most schools the first sign of effort is where a ladder turns.
  const isTurn = turnsAtEffort(approach) && state.marks.includes('strain') && canTurnBack(state);
  const instead = otherWay(state, running.room);
  const insteadWord = t(currentKey(state)?.leg === 'down' ? 'piano.acts.upInstead' : 'piano.acts.downInstead');
  const turnWord = isTurn ? t('piano.acts.turnHere') : instead ? insteadWord : t('piano.acts.turn');
  const isLastKey = state.keyIndex === (currentStep(state)?.keys.length ?? 0) - 1;
  const isLastStep = state.stepIndex === state.steps.length - 1;
  const goesOn = hasKeys && !isLastKey;
  const onward = isLastStep ? t('piano.acts.end') : t('piano.acts.nextStep');
  const goesOnWord = goesOn ? t('piano.acts.next') : onward;
  const begunWord = isHeld ? t('piano.acts.letGo') : isLasting ? t('piano.acts.breathOut') : goesOnWord;
  const mainWord = state.begun ? begunWord : t('piano.acts.start');
  return (
    <div className={classes['acts']}>
      <ActButton
        label={t('piano.acts.again')}
        keyCap={<KeyFor place="piano" name="again" />}
        isOff={!hasKeys}
        onPress={() => {
          act('again');
        }}
      />
      <ActButton
        label={t('piano.acts.skip')}
        keyCap={<KeyFor place="piano" name="skip" />}
        isOff={!hasKeys}
        onPress={() => {
          act('skip');
        }}
      />
      <ActButton
        label={turnWord}
        keyCap={<KeyCap>↓</KeyCap>}
        {...(!instead && { look: isTurn ? 'turn-here' : 'turn' })}
        isOff={!canTurnBack(state) && !instead}
        onPress={running.turn}
      />
      <ActButton
        label={t('piano.acts.homeNow')}
        keyCap={<KeyFor place="piano" name="home" />}
        isOff={!canGoHome(state)}
        onPress={() => {
          act('home');
        }}
      />
      <ActButton
        label={onward}
        keyCap={<KeyFor place="piano" name="nextStep" />}
        onPress={() => {
          act('next-step');
        }}
      />
      <ActButton
        label={mainWord}
        keyCap={<KeyCap>→</KeyCap>}
        look="main"
        onPress={() => {
          act('next');
        }}
      />
    </div>
  );
}
