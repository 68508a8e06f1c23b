import { Button, Title } from '@mantine/core';
import {
  conductCheck,
  isYoungVoice,
  referenceOf,
  startCheck,
  type CheckAction,
  type CheckWay,
  type PitchRange,
  type SingerName,
} from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useReducer, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate, useParams } from 'react-router';
import { studentTodayQuery, type Student } from '../../api/students.queries.ts';
import { useKeyboards } from '../../listening/use-keyboards.ts';
import { useTakeInHand } from '../../shell/student-in-hand.ts';
import { playNote } from '../../sound/play-note.ts';
import { Failure } from '../../ui/failure.tsx';
import { NoteKeys } from '../../ui/note-keys.tsx';
import { Shape } from '../../ui/shape.tsx';
import { CheckActs } from './check-acts.tsx';
import { dropCheck, keepCheck, keptCheck } from './check-draft.ts';
import { CheckReview } from './check-review.tsx';
import { SpeakingNote } from './speaking-note.tsx';
import { SungNotes } from './sung-notes.tsx';
import { Trace } from './trace.tsx';
import { useHearing } from './use-hearing.ts';
import { WayOfCheck } from './way-of-check.tsx';
import { writeNote } from '../../text/note-names.ts';
import classes from './check.module.css';

const playCue = (midi: number): void => void playNote(midi);
const USUAL_SPEAKING = 55;

/** A range check of one student: speaking note, down, up, and a look at what it came to. */
export function CheckPlace(): ReactElement {
  const { studentId = '' } = useParams();
  const today = useQuery(studentTodayQuery(studentId));
  useTakeInHand(today.data?.student.id);
  if (today.error && !today.data) return <Failure error={today.error} onRetry={() => void today.refetch()} />;
  if (!today.data) return <Shape rows={2} height={220} />;
  return <Check key={studentId} student={today.data.student} />;
}

/** Notes beyond the usual ones that may come all the same. Semitones. */
const BEYOND = 9;

/** All the notes a voice may come to in a check: the same keys from the first to the last. */
function spanOfCheck({ voice }: Student, target: number): PitchRange {
  const { comfortable } = referenceOf(voice);
  const { low = target, high = target, reachLow = low, reachHigh = high } = voice.measured ?? {};
  return {
    low: Math.min(comfortable.low - BEYOND, reachLow, target),
    high: Math.max(comfortable.high + BEYOND, reachHigh, target),
  };
}

function reduce(state: ReturnType<typeof startCheck>, action: CheckAction | { readonly type: 'afresh' }): typeof state {
  return action.type === 'afresh' ? startCheck() : conductCheck(state, action);
}

interface HeardProps {
  readonly student: Student;
  readonly state: ReturnType<typeof startCheck>;
  readonly act: (action: CheckAction) => void;
  readonly way: CheckWay;
  readonly hearing: ReturnType<typeof useHearing>;
  readonly keyboards: ReturnType<typeof useKeyboards>[0];
}

/** What is asked for now, and where it is heard or pressed. */
function AskedNow({ student, state, act, way, hearing, keyboards }: HeardProps): ReactElement {
  const { t } = useTranslation();
  // What is looked over at the end is asked for no more.
  const phase = state.phase === 'review' ? 'up' : state.phase;
  const target = phase === 'speaking' ? (student.voice.speakingNote ?? USUAL_SPEAKING) : state.target;
  const isHeard = way === 'microphone' || way === 'simulated';
  return (
    <div className={classes['check']}>
      <div>
        <p className="visually-hidden" role="status">
          {state.last !== null && `${writeNote(state.last)} ${t(`check.ease.${state.sung[state.last] ?? 'missing'}`)}`}
        </p>
        {phase === 'speaking' ? (
          <SpeakingNote
            way={way}
            talk={hearing.talk}
            usual={target}
            onSpeaking={(midi) => {
              act({ type: 'speaking', midi });
            }}
          />
        ) : (
          <p className={classes['ask']} role="status">
            <span>{t(`check.asks.${phase}`)}</span> <b className="heading">{writeNote(target)}</b>
            <span>{t(state.ease === 'easy' ? 'check.easily' : 'check.onlyJust')}</span>
          </p>
        )}
        {isHeard && <Trace frames={hearing.frames} target={target} />}
        {way === 'keys' && (
          <NoteKeys
            label={t('check.keys')}
            target={target}
            span={spanOfCheck(student, target)}
            onNote={(midi) => {
              act(phase === 'speaking' ? { type: 'speaking', midi } : { type: 'held', midi });
            }}
          />
        )}
        {way === 'midi' && hearing.isOn && keyboards.simulated && (
          <>
            <NoteKeys label={t('check.keys')} target={target} onNote={keyboards.simulated.press} />
            <Button mt="sm" onClick={keyboards.simulated.pullOut}>
              {t('check.pullOut')}
            </Button>
          </>
        )}
        {phase !== 'speaking' && <CheckActs state={state} act={act} canTake={way !== 'simulated'} />}
      </div>
      <SungNotes state={state} />
    </div>
  );
}

/** What is wrong with what the notes come in by, and what changed in it. */
function HearingNotes({
  hearing,
  onPlugIn,
}: Pick<HeardProps, 'hearing'> & { readonly onPlugIn: () => void }): ReactElement {
  const { t } = useTranslation();
  return (
    <>
      {hearing.trouble && (
        <p className={classes['trouble']} role="alert">
          {t(`check.trouble.${hearing.trouble}`)}
          {hearing.trouble.startsWith('MIDI_') && (
            <Button size="compact-md" ml="sm" onClick={onPlugIn}>
              {t('check.plugIn')}
            </Button>
          )}
        </p>
      )}
      {hearing.notice && (
        <p className={classes['notice']} role="status">
          {t(`check.notice.${hearing.notice}`)}
        </p>
      )}
    </>
  );
}

function Check({ student }: { readonly student: Student }): ReactElement {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const [state, act] = useReducer(reduce, student.id, keptCheck);
  const [way, setWay] = useState<CheckWay>('keys');
  const [singer, setSinger] = useState<SingerName>('steady');
  const [keyboards, plugIn] = useKeyboards();
  const [isKept, setKept] = useState(false);
  const mayKeep = !isYoungVoice(student.voice) || student.voice.consentOn !== undefined;
  const hearing = useHearing({
    way: state.phase === 'review' ? 'keys' : way,
    singer,
    keyboards: keyboards.plugged,
    state,
    act,
    keepsSoundOf: isKept && mayKeep ? student.id : null,
    playCue,
  });
  useEffect(() => {
    keepCheck(student.id, state);
  }, [student.id, state]);
  const { phase } = state;
  return (
    <>
      <div className={classes['head']}>
        <div>
          <Title order={1} fz={32}>
            {t('check.title', { name: student.name })}
          </Title>
          <ol className={classes['phases']}>
            {(['speaking', 'down', 'up', 'review'] as const).map((name) => (
              <li key={name} aria-current={phase === name ? 'step' : undefined}>
                {t(`check.phases.${name}`)}
              </li>
            ))}
          </ol>
        </div>
        {phase !== 'review' && (
          <WayOfCheck
            way={way}
            onWay={setWay}
            singer={singer}
            onSinger={setSinger}
            mayKeep={mayKeep}
            isKept={isKept}
            onKept={setKept}
          />
        )}
        <Button component={Link} to={`/students/${student.id}`} ml={phase === 'review' ? 'auto' : 0}>
          {t('check.leave')}
        </Button>
      </div>
      <HearingNotes hearing={hearing} onPlugIn={plugIn} />
      {phase === 'review' ? (
        <CheckReview
          student={student}
          state={state}
          way={way}
          onWritten={() => {
            dropCheck(student.id);
            void navigate(`/students/${student.id}`);
          }}
          onAgain={() => {
            act({ type: 'afresh' });
          }}
        />
      ) : (
        <AskedNow student={student} state={state} act={act} way={way} hearing={hearing} keyboards={keyboards} />
      )}
    </>
  );
}
