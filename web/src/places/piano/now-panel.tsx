import { UnstyledButton } from '@mantine/core';
import { useElementSize } from '@mantine/hooks';
import {
  breathMoment,
  currentKey,
  currentStep,
  sungSyllables,
  syllablesFor,
  keyName,
  type Exercise,
  type RunState,
} from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { layRunStones } from '../../flight/stones.layout.ts';
import { Stones } from '../../flight/stones.tsx';
import { clockText } from '../../ui/format.ts';
import { KeyCap } from '../../ui/key-cap.tsx';
import { writeNote } from '../../text/note-names.ts';
import { Mirror } from './mirror.tsx';
import { nextHelp } from './use-run-keys.ts';
import type { Running } from './use-run.ts';
import classes from './run.module.css';

interface NowPanelProps {
  readonly running: Running;
  readonly state: RunState;
  readonly exercise: Exercise | undefined;
}

type Shown = Omit<NowPanelProps, 'running'>;

const MOST_SYLLABLES = 5;

/** The syllables as they are sung, the first one strong. */
function Syllables({ state, exercise }: Shown): ReactElement | null {
  const step = currentStep(state);
  const events = step?.ladder?.pattern.events ?? [];
  const zone = currentKey(state)?.zone;
  const work = exercise?.work;
  const isOwn = work?.kind === 'pattern' && zone !== undefined && work.syllablesAt[zone] !== undefined;
  const sung = isOwn ? syllablesFor(work, zone) : sungSyllables({ events });
  const plain = exercise && 'syllables' in exercise.work ? (exercise.work.syllables ?? '') : '';
  // What is sung again and again is said once.
  const told = sung.filter((syllable, index) => syllable !== sung[index - 1]);
  const [first, ...others] = told.length > 0 ? told : [plain];
  const shown = others.slice(0, MOST_SYLLABLES - 1).join(' ');
  if (!first) return null;
  return (
    <p className={`${classes['syllables'] ?? ''} heading`}>
      <b>{first}</b> {shown}
      {others.length >= MOST_SYLLABLES || told.length < sung.length ? ' …' : ''}
    </p>
  );
}

/** A step without keys: its clock, and what to do at this moment. */
function StillNow({ running: { elapsed }, state, exercise }: NowPanelProps): ReactElement {
  const { t } = useTranslation();
  const step = currentStep(state);
  const work = exercise?.work;
  const lasts = (step?.seconds ?? 0) - (step?.setUpSeconds ?? 0);
  const cycles = work?.kind === 'breath' && work.counts ? work.counts : null;
  const moment =
    cycles && state.begun
      ? breathMoment(
          {
            ...cycles,
            cycles: Math.max(
              1,
              Math.round(
                (lasts * cycles.countTempo) /
                  60 /
                  (cycles.inCounts + cycles.holdCounts + cycles.outCounts + cycles.restCounts),
              ),
            ),
          },
          elapsed,
        )
      : null;
  const prompts = work?.kind === 'timed' ? work.prompts : work?.kind === 'spoken' ? [work.text] : [];
  const prompt = prompts[Math.min(prompts.length - 1, Math.floor((elapsed / Math.max(1, lasts)) * prompts.length))];
  return (
    <section className={classes['still']}>
      {step?.mirror === true && <Mirror key={step.stepId} />}
      <p className={`${classes['count'] ?? ''} heading`}>
        {moment ? `${moment.phase} ${String(moment.count)}` : clockText(lasts - elapsed)}
      </p>
      {moment && cycles && (
        <p className={classes['prompt']}>
          {clockText(lasts - elapsed)} ·{' '}
          {t('piano.of', {
            done: moment.cycle,
            count: Math.round(
              (lasts * cycles.countTempo) /
                60 /
                (cycles.inCounts + cycles.holdCounts + cycles.outCounts + cycles.restCounts),
            ),
          })}
        </p>
      )}
      {prompt && <p className={`${classes['prompt'] ?? ''} heading`}>{prompt}</p>}
    </section>
  );
}

/** Who sounds in this key, a press for the next choice, and the manner of this pass. */
function Way({ running, state }: Pick<NowPanelProps, 'running' | 'state'>): ReactElement | null {
  const { t } = useTranslation();
  const { help, manner } = currentKey(state) ?? {};
  if (!help) return null;
  return (
    <p className={classes['sungAs']}>
      {running.isHeld && <b>{t('piano.held')}</b>}
      {manner !== undefined && <b>{manner}</b>}
      <UnstyledButton
        title={t('piano.helpHint')}
        onPointerUp={({ currentTarget }) => {
          currentTarget.blur();
        }}
        onClick={() => {
          running.help(nextHelp(help));
        }}
      >
        {t(`piano.helps.${help}`)} <KeyCap>{t('piano.keys.help')}</KeyCap>
      </UnstyledButton>
    </p>
  );
}

/** The key now in letters that carry across a room, and the way it has come and will go. */
export function NowPanel({ running, state, exercise }: NowPanelProps): ReactElement {
  const { t } = useTranslation();
  const { ref, width, height } = useElementSize();
  const step = currentStep(state);
  const key = currentKey(state);
  if (!step || !key) return <StillNow running={running} state={state} exercise={exercise} />;
  const path = layRunStones(step.keys, Math.max(260, width), Math.max(180, height));
  const top = Math.max(...step.keys.map(({ high }) => high));
  const turns = path.turnIndex > 0 && path.turnIndex < step.keys.length - 1;
  const marksAt = (index: number): string => {
    const there = step.keys[index];
    const sung = state.sung
      .filter((other) => other.stepId === step.stepId && other.tonic === there?.tonic && other.leg === there.leg)
      .at(-1);
    const marks = index === state.keyIndex ? state.marks : index < state.keyIndex ? (sung?.marks ?? []) : [];
    return marks.map((mark) => t(`piano.marks.${mark}`)).join(' ');
  };
  const isGlide = step.kind === 'siren';
  return (
    <section className={classes['now']}>
      <div className={classes['key']}>
        <small>
          {isGlide ? t('piano.glideNow', { index: state.keyIndex + 1, count: step.keys.length }) : t('piano.now')}
        </small>
        <output className={`${classes['letter'] ?? ''} heading`} aria-live="assertive" data-glide={isGlide}>
          {isGlide ? `${writeNote(key.low)} – ${writeNote(key.high)}` : keyName(key.tonic)}
        </output>
        <Syllables state={state} exercise={exercise} />
        <Way running={running} state={state} />
      </div>
      <div ref={ref} className={classes['way']}>
        <Stones
          path={path}
          current={state.keyIndex}
          marksAt={marksAt}
          under={({ id }) =>
            id === path.stones.at(-1)?.id && step.keys.at(-1)?.leg === 'home' ? [t('piano.home')] : []
          }
          {...(turns && { turnText: t('piano.turnTop', { note: writeNote(top) }) })}
        />
      </div>
      {step.mirror === true && <Mirror key={step.stepId} />}
    </section>
  );
}
