import { Button, Modal, Stack, UnstyledButton } from '@mantine/core';
import { useDisclosure, useElementSize } from '@mantine/hooks';
import { currentKey, currentStep, keyName, nextKey, secondsLeft, type HomeStep, type RunState } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { layRunStones } from '../../flight/stones.layout.ts';
import { Stones } from '../../flight/stones.tsx';
import type { KeptRun } from '../../runs/run-store.ts';
import { Brand } from '../../shell/brand.tsx';
import { clockText } from '../../text/times.ts';
import { useCountWords } from '../piano/count-words.ts';
import { keyWords } from '../piano/key-words.ts';
import { Mirror } from '../piano/mirror.tsx';
import { nextHelp } from '../piano/use-run-keys.ts';
import { useRun, type Running } from '../piano/use-run.ts';
import { HomeStill } from './home-still.tsx';
import { OctaveChoice, useHomeOctave } from './octave-choice.tsx';
import { homeKeyOf, useHomeParts } from './use-home-parts.ts';
import classes from './home.module.css';

interface PracticeProps {
  readonly run: KeptRun;
}

/** The key now, what is sung in it, and the way it has come and will go. */
function KeyNow({ state, step }: { readonly state: RunState; readonly step: HomeStep }): ReactElement | null {
  const { ref, width } = useElementSize();
  const key = currentKey(state);
  if (!key) return null;
  const path = layRunStones(step.keys, Math.max(260, width), 130);
  return (
    <>
      <output className={`${classes['letter'] ?? ''} heading`} data-glide={step.kind === 'siren'}>
        {keyWords(step, key)}
      </output>
      {step.text !== '' && <p className={`${classes['text'] ?? ''} heading`}>{step.text} …</p>}
      <div ref={ref} className={classes['way']}>
        <Stones path={path} current={state.keyIndex} under={() => []} />
      </div>
    </>
  );
}

/** How many keys to the turn, what comes next, and how long it still goes. */
function Ahead({ state, left }: { readonly state: RunState; readonly left: number }): ReactElement {
  const { t } = useTranslation();
  const count = useCountWords()(state);
  const next = nextKey(state);
  const later = state.steps[state.stepIndex + 1];
  return (
    <dl className={classes['ahead']}>
      <div>
        <dt>{count?.to ?? ''}</dt>
        <dd className="heading">{count?.words ?? ''}</dd>
      </div>
      <div>
        <dt>{t('piano.next')}</dt>
        <dd className="heading">{next ? keyName(next.tonic) : (later?.name ?? t('piano.thenEnd'))}</dd>
      </div>
      <div>
        <dt>{t('piano.left')}</dt>
        <dd className="heading">{clockText(left)}</dd>
      </div>
    </dl>
  );
}

const STOP_REASONS = ['pain', 'cough', 'dizzy'] as const;

/** A stop, and why; enough is reason enough. */
function StopAsk({
  running,
  isOpen,
  onClose,
}: {
  readonly running: Running;
  readonly isOpen: boolean;
  readonly onClose: () => void;
}): ReactElement {
  const { t } = useTranslation();
  return (
    <Modal opened={isOpen} onClose={onClose} title={t('home.stopTitle')}>
      <Stack>
        {STOP_REASONS.map((reason) => (
          <Button
            key={reason}
            size="xl"
            onClick={() => {
              running.mark(reason);
              running.act('finish');
            }}
          >
            {t(`home.stopFor.${reason}`)}
          </Button>
        ))}
        <Button
          size="xl"
          onClick={() => {
            running.act('finish');
          }}
        >
          {t('home.stopFor.enough')}
        </Button>
        <Button size="xl" variant="filled" data-autofocus onClick={onClose}>
          {t('home.goOn')}
        </Button>
      </Stack>
    </Modal>
  );
}

interface SmallActsProps {
  readonly running: Running;
  readonly mayRepeat: boolean;
  /** Semitones the tune sounds away from where it is written. */
  readonly octave: number;
  readonly onOctave: (octave: number) => void;
  readonly onStop: () => void;
}

function SmallActs({ running, mayRepeat, octave, onOctave, onStop }: SmallActsProps): ReactElement {
  const { t } = useTranslation();
  return (
    <div className={classes['small']}>
      <UnstyledButton
        disabled={!mayRepeat}
        onClick={() => {
          running.toKey(0);
        }}
      >
        {t('home.again')}
      </UnstyledButton>
      <UnstyledButton
        onClick={() => {
          running.act('next-step');
        }}
      >
        {t('home.skip')}
      </UnstyledButton>
      <OctaveChoice octave={octave} onOctave={onOctave} />
      <UnstyledButton data-stops onClick={onStop}>
        {t('home.stop')}
      </UnstyledButton>
    </div>
  );
}

/** One exercise at a time: what to do, why, the key, what to sing, and one large press. */
export function Practice({ run }: PracticeProps): ReactElement | null {
  const { t } = useTranslation();
  const [octave, setOctave] = useHomeOctave();
  const [isStopping, { open, close }] = useDisclosure(false);
  const { state } = run;
  const running = useRun(run, useHomeParts(octave), true);
  const step = currentStep(state) as HomeStep | undefined;
  if (!step) return null;
  const key = currentKey(state);
  const left = secondsLeft(state).step - Math.min(running.elapsed, key?.seconds ?? step.seconds);
  const isPaused = state.phase === 'paused';
  const goesOn = !state.begun || isPaused;
  const say = state.begun ? homeKeyOf(step, state.keyIndex)?.say : step.sense;
  return (
    <main className={classes['page']} data-practice>
      <header>
        <Brand />
        <span className="heading">{run.routineName}</span>
        <small>{t('home.place', { step: state.stepIndex + 1, count: state.steps.length })}</small>
      </header>
      <div className={classes['what']}>
        <h1 className="heading">{step.name}</h1>
        <p>{step.why}</p>
        {!state.begun && step.cautions.length > 0 && <p role="note">{step.cautions.join(' ')}</p>}
      </div>
      {key ? <KeyNow state={state} step={step} /> : <HomeStill state={state} step={step} elapsed={running.elapsed} />}
      {step.mirror === true && <Mirror key={step.stepId} />}
      <Ahead state={state} left={left} />
      <p className={classes['say']} aria-live="polite">
        {say}
      </p>
      <SmallActs
        running={running}
        mayRepeat={key !== undefined && state.begun}
        octave={octave}
        onOctave={setOctave}
        onStop={open}
      />
      {key?.help && (
        <UnstyledButton
          className={classes['help'] ?? ''}
          onClick={() => {
            if (key.help) running.does({ type: 'help', help: nextHelp(key.help) });
          }}
        >
          {t(`home.helps.${key.help}`)}
        </UnstyledButton>
      )}
      <Button
        className={classes['main'] ?? ''}
        variant="filled"
        onClick={() => {
          running.act(isPaused ? 'resume' : state.begun ? 'pause' : 'next');
        }}
      >
        {t(goesOn ? (isPaused ? 'home.goOn' : 'piano.acts.start') : 'piano.pause')}
      </Button>
      <StopAsk running={running} isOpen={isStopping} onClose={close} />
    </main>
  );
}
