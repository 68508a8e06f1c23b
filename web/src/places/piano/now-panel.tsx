import { UnstyledButton, useMatches } from '@mantine/core';
import { useElementSize } from '@mantine/hooks';
import {
  currentKey,
  currentStep,
  fellowNow,
  keySungNow,
  momentOf,
  type Exercise,
  type RunState,
  type StillMoment,
} from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { historyQuery } from '../../api/history.queries.ts';
import { CoursePicture, usePartWords } from '../../flight/course.tsx';
import { layRunStones } from '../../flight/stones.layout.ts';
import { Stones } from '../../flight/stones.tsx';
import { clockText } from '../../text/times.ts';
import { KeyFor } from '../../ui/key-cap.tsx';
import { useLastSungWords, useResultWords } from '../../ui/result-words.ts';
import { markText } from '../../text/mark-text.ts';
import { writeNote } from '../../text/note-names.ts';
import { BreathStrip } from './breath-strip.tsx';
import { EarStrip } from './ear-strip.tsx';
import { KeysTable, sungAs } from './keys-table.tsx';
import { KeepHeard } from './keep-heard.tsx';
import { Mirror } from './mirror.tsx';
import { keyWords } from './key-words.ts';
import { TakeBack } from './take-back.tsx';
import { TempoButtons } from './tempo-buttons.tsx';
import { TuneNow } from './tune-now.tsx';
import { nextHelp, nextVowel } from './use-run-keys.ts';
import { syllablesNow, writtenSyllables } from './what-to-say.ts';
import type { ListenedRun } from './use-listened-run.ts';
import type { Running } from './use-run.ts';
import { letGo } from './let-go.ts';
import classes from './run.module.css';

interface NowPanelProps {
  readonly running: Running;
  readonly state: RunState;
  readonly exercise: Exercise | undefined;
  readonly studentId: string;
  readonly ear: ListenedRun;
}

type Shown = Pick<NowPanelProps, 'state' | 'exercise'>;

const MOST_SYLLABLES = 5;
/** The least room of the stones, pixels; less of it where a picture of what is heard stands above them. */
const USUAL_HEIGHT = 180;
const LISTENING_HEIGHT = 140;

/** The syllables as they are sung, the first one strong. */
function Syllables({ state, exercise }: Shown): ReactElement | null {
  const sung = syllablesNow(state, exercise);
  // What is sung again and again is said once.
  const told = sung.filter((syllable, index) => syllable !== sung[index - 1]);
  const [first, ...others] = told;
  const shown = others.slice(0, MOST_SYLLABLES - 1).join(' ');
  if (!first) return null;
  return (
    <p className={`${classes['syllables'] ?? ''} heading`}>
      <b>{first}</b> {shown}
      {others.length >= MOST_SYLLABLES || told.length < sung.length ? ' …' : ''}
    </p>
  );
}

/** What is counted in a part: counts and beats where it has some, else the seconds that are left or have been held. */
function bigNumber(moment: StillMoment): string {
  const { part, count, secondsLeft } = moment;
  if (count !== undefined) return String(count);
  return String(part.act === 'longest' ? Math.floor(part.seconds - secondsLeft) : Math.ceil(secondsLeft));
}

/** A step without keys as it is conducted: what is on, its count, its words, and what comes then. */
function StillNow({ running: { elapsed }, state, exercise, studentId, ear }: NowPanelProps): ReactElement {
  const { t } = useTranslation();
  const words = usePartWords();
  const resultWords = useResultWords();
  const height = useMatches({ base: 110, sm: 210 });
  const past = useQuery(historyQuery(studentId)).data?.results ?? [];
  const last = past.find(({ exerciseId }) => exerciseId === exercise?.id);
  const step = currentStep(state);
  const course = step?.course;
  const moment = course && state.begun ? momentOf(course, elapsed) : null;
  const first = course?.parts[0];
  const part = moment?.part ?? first;
  const text = part?.text ?? writtenSyllables(exercise, step);
  const isOver = state.begun && !moment;
  const next = moment?.next;
  // The same line once more is told by its length.
  const then = next && (next.text !== undefined && next.text !== text ? next.text : words(next));
  return (
    <section className={classes['still']}>
      {step?.mirror === true && <Mirror key={step.stepId} />}
      <div className={classes['part']}>
        <small>
          {moment && t(`course.rounds.${moment.part.act}`, { round: moment.part.round, count: course?.rounds ?? 1 })}
        </small>
        <p className={`${classes['count'] ?? ''} heading`} data-long={!moment}>
          {moment
            ? bigNumber(moment)
            : isOver
              ? t('course.over')
              : clockText((step?.seconds ?? 0) - (step?.setUpSeconds ?? 0))}
        </p>
        {text && (
          <p className={`${classes['prompt'] ?? ''} heading`}>
            {text}
            {part?.side && <b> {t(`course.sides.${part.side}`)}</b>}
          </p>
        )}
        {last && <p className={classes['then']}>{t('course.lastTime', { result: resultWords(last, exercise) })}</p>}
        {then && <p className={classes['then']}>{t('course.then', { part: then })}</p>}
      </div>
      <div className={classes['course']}>
        {course && <CoursePicture course={course} height={height} {...(state.begun && { elapsed })} />}
        {ear.breaths && <BreathStrip breaths={ear.breaths} />}
      </div>
    </section>
  );
}

/** Who sounds in this key, a press for the next choice, and the manner of this pass. */
function Way({ running, state, exercise }: Omit<NowPanelProps, 'studentId' | 'ear'>): ReactElement | null {
  const { t } = useTranslation();
  const { help, manner, pass } = currentKey(state) ?? {};
  const vowel = currentStep(state)?.vowel;
  if (!help) return null;
  return (
    <p className={classes['sungAs']}>
      {running.isHeld && <b>{t('piano.held')}</b>}
      {pass === 2 && <b>{t('piano.secondTime')}</b>}
      {manner !== undefined && <b>{manner}</b>}
      <UnstyledButton
        title={t('piano.helpHint')}
        onPointerUp={letGo}
        onClick={() => {
          running.does({ type: 'help', help: nextHelp(help) });
        }}
      >
        {t(`piano.helps.${help}`)} <KeyFor place="piano" name="help" />
      </UnstyledButton>
      {exercise?.resistance === undefined && (
        <UnstyledButton
          title={t('piano.vowelHint')}
          onPointerUp={letGo}
          onClick={() => {
            running.does({ type: 'vowel', vowel: nextVowel(vowel) });
          }}
        >
          {t('piano.vowel')} <KeyFor place="piano" name="vowel" />
        </UnstyledButton>
      )}
    </p>
  );
}

/** The key now in letters that carry across a room, and the way it has come and will go. */
export function NowPanel({ running, state, exercise, studentId, ear }: NowPanelProps): ReactElement {
  const { t } = useTranslation();
  const { ref, width, height } = useElementSize();
  const sungWords = useLastSungWords();
  const past = useQuery(historyQuery(studentId)).data?.lastSung ?? [];
  const last = past.find(({ exerciseId }) => exerciseId === exercise?.id);
  const step = currentStep(state);
  const key = keySungNow(state);
  if (!step || !key) {
    return <StillNow running={running} state={state} exercise={exercise} studentId={studentId} ear={ear} />;
  }
  const leastHeight = ear.listening.state === 'on' ? LISTENING_HEIGHT : USUAL_HEIGHT;
  const path = layRunStones(step.keys, Math.max(260, width), Math.max(leastHeight, height));
  const top = Math.max(...step.keys.map(({ high }) => high));
  const turns = path.turnIndex > 0 && path.turnIndex < step.keys.length - 1;
  const marksAt = (index: number): string => {
    const marks =
      index === state.keyIndex ? state.marks : index < state.keyIndex ? (sungAs(step, state, index)?.marks ?? []) : [];
    return marks.map((mark) => markText(mark, exercise)).join(' ');
  };
  const isGlide = step.kind === 'siren';
  return (
    <section className={classes['now']}>
      <div className={classes['key']}>
        <small>
          {isGlide
            ? t('piano.glideNow', { index: state.keyIndex + 1, count: step.keys.length })
            : t('piano.nowAt', { tempo: Math.round(key.tempo) })}
          {last && !fellowNow(state) && ` · ${t('course.lastTime', { result: sungWords(last, exercise) })}`}
        </small>
        <output className={`${classes['letter'] ?? ''} heading`} data-glide={isGlide}>
          {keyWords(step, key)}
        </output>
        <Syllables state={state} exercise={exercise} />
        <Way running={running} state={state} exercise={exercise} />
      </div>
      <div className={classes['tuneAndWay']}>
        <TuneNow step={step} current={key} exercise={exercise} going={running.going} />
        <EarStrip listening={ear.listening} asked={ear.asked} />
        <div ref={ref} className={classes['way']}>
          <Stones
            path={path}
            current={state.keyIndex}
            marksAt={marksAt}
            pressWords={({ key: name }) => t('piano.toKey', { key: name })}
            onPress={({ id }) => {
              running.toKey(path.stones.findIndex((stone) => stone.id === id));
            }}
            under={({ id }) =>
              id === path.stones.at(-1)?.id && step.keys.at(-1)?.leg === 'home' ? [t('piano.home')] : []
            }
            {...(turns && { turnText: t('piano.turnTop', { note: writeNote(top) }) })}
          />
        </div>
      </div>
      <div className={classes['side']}>
        <TempoButtons running={running} state={state} />
        <TakeBack running={running} state={state} exercise={exercise} />
        <KeepHeard running={running} state={state} heard={ear.listening.heard} />
      </div>
      {step.mirror === true && <Mirror key={step.stepId} />}
      <KeysTable step={step} keyIndex={state.keyIndex} marksAt={marksAt} />
    </section>
  );
}
