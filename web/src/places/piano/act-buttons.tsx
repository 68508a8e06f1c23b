import { UnstyledButton } from '@mantine/core';
import {
  canGoHome,
  canTurnBack,
  currentKey,
  currentStep,
  turnsAtEffort,
  type Approach,
  type RunState,
} from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { KeyCap } from '../../ui/key-cap.tsx';
import type { Running } from './use-run.ts';
import classes from './run.module.css';

interface ActButtonProps {
  readonly label: string;
  readonly keyName: string;
  readonly onPress: () => void;
  readonly isOff?: boolean;
  readonly look?: 'main' | 'turn' | 'turn-here';
}

function ActButton({ label, keyName, onPress, isOff = false, look }: ActButtonProps): ReactElement {
  return (
    <UnstyledButton
      className={classes['act'] ?? ''}
      data-look={look}
      disabled={isOff}
      aria-label={label}
      onPointerUp={({ currentTarget }) => {
        currentTarget.blur();
      }}
      onClick={onPress}
    >
      <span>{label}</span>
      <KeyCap>{keyName}</KeyCap>
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
        keyName={t('piano.keys.again')}
        isOff={!hasKeys}
        onPress={() => {
          act('again');
        }}
      />
      <ActButton
        label={t('piano.acts.skip')}
        keyName={t('piano.keys.skip')}
        isOff={!hasKeys}
        onPress={() => {
          act('skip');
        }}
      />
      <ActButton
        label={isTurn ? t('piano.acts.turnHere') : t('piano.acts.turn')}
        keyName={t('piano.keys.turn')}
        look={isTurn ? 'turn-here' : 'turn'}
        isOff={!canTurnBack(state)}
        onPress={() => {
          act('turn-back');
        }}
      />
      <ActButton
        label={t('piano.acts.homeNow')}
        keyName={t('piano.keys.home')}
        isOff={!canGoHome(state)}
        onPress={() => {
          act('home');
        }}
      />
      <ActButton
        label={onward}
        keyName={t('piano.keys.nextStep')}
        onPress={() => {
          act('next-step');
        }}
      />
      <ActButton
        label={mainWord}
        keyName={t('piano.keys.next')}
        look="main"
        onPress={() => {
          act('next');
        }}
      />
    </div>
  );
}
