import { beltTopOf, isTooYoungForBelt, referenceOf, resolveLimits, voiceOf, type LimitContext } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import type { ComponentProps, ReactElement, ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { goalText } from '../../text/say.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { Link } from 'react-router';
import { historyQuery } from '../../api/history.queries.ts';
import { rulesFor } from '../../api/lay.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import { shelfQuery } from '../../api/shelf.queries.ts';
import { useCondition } from '../../api/use-condition.ts';
import { useShown } from '../../shell/use-shown.ts';
import { useNow } from '../../ui/clock.ts';
import { ConditionPicker } from '../../ui/condition-picker.tsx';
import { dayText } from '../../text/times.ts';
import { Ledger } from '../../ui/ledger.tsx';
import { BeltLine } from './belt-line.tsx';
import { CheckHistory } from './check-history.tsx';
import { Lessons } from './lessons.tsx';
import { Recordings } from './recordings.tsx';
import { PieceFact } from './piece-fact.tsx';
import { RangeRuler } from './range-ruler.tsx';
import { isTerm } from '../../text/en-terms.ts';
import { writeNote } from '../../text/note-names.ts';
import { Term } from '../../ui/term.tsx';
import classes from './students.module.css';

interface FactProps {
  readonly name: string;
  /** The term of the trade it is called by. */
  readonly term?: ComponentProps<typeof Term>['name'];
  readonly children: ReactNode;
}

function Fact({ name, term, children }: FactProps): ReactElement {
  return (
    <div>
      <dt>{term ? <Term name={term}>{name}</Term> : name}</dt>
      <dd>{children}</dd>
    </div>
  );
}

/** How long the breath was when it was last counted, exercise by exercise. */
function BreathFact({ studentId }: { readonly studentId: string }): ReactElement | null {
  const { t } = useTranslation();
  const results = useQuery(historyQuery(studentId)).data?.results ?? [];
  const shelf = useQuery(shelfQuery).data;
  const counted = results.flatMap(({ exerciseId, most }) => {
    const exercise = shelf?.get(exerciseId);
    if (most === undefined || exercise?.work.kind !== 'breath') return [];
    const words = exercise.work.longest ? 'students.breathSeconds' : 'students.breathCounts';
    return [{ exerciseId, text: t(words, { count: Math.round(most), exercise: exercise.name }) }];
  });
  if (counted.length === 0) return null;
  return (
    <Fact name={t('students.breath')} term="breathCount">
      {counted.map(({ exerciseId, text }) => (
        <div key={exerciseId}>{text}</div>
      ))}
    </Fact>
  );
}

/** The voice file as it stands, around the range ruler. */
export function VoiceView({ today }: { readonly today: StudentToday }): ReactElement {
  const { t } = useTranslation();
  const now = useNow();
  const { isShared } = useShown();
  const { student, conditions } = today;
  const { voice } = student;
  const setCondition = useCondition(student.id);
  const rules = rulesFor(useQuery(sessionQuery).data, student);
  const context: LimitContext = {
    voice: voiceOf(voice),
    style: voice.style,
    exercise: { stage: 'middle', register: 'any' },
    sungSteps: 2,
    conditions,
    occasion: 'lesson',
    rules,
    now: now.toISOString(),
  };
  const limits = resolveLimits(context);
  const belt = isTooYoungForBelt(voiceOf(voice), rules) ? null : beltTopOf(voiceOf(voice), rules);
  const { measured } = voice;
  return (
    <div className={classes['voice']}>
      <RangeRuler
        voice={isShared ? { ...voice, avoid: [] } : voice}
        reference={referenceOf(voice, rules.ranges)}
        limits={limits}
        belt={belt?.note ?? null}
      />
      <div>
        <section className={classes['block']}>
          <h2>{t('students.today')}</h2>
          <ConditionPicker value={conditions} onChange={setCondition} />
          {conditions.filter(isTerm).map((name) => (
            <p key={name}>{t(`terms.${name}.says`)}</p>
          ))}
          <Ledger limits={limits} context={context} />
        </section>
        <section className={classes['block']}>
          <h2>
            <Term name="goals">{t('students.goals')}</Term>
          </h2>
          {voice.goals.length === 0 ? (
            <p>{t('students.noGoals')}</p>
          ) : (
            <ul className={classes['pills']}>
              {voice.goals.map((goal) => (
                <li key={goal}>{goalText(goal)}</li>
              ))}
            </ul>
          )}
        </section>
        <CheckHistory today={today} />
        {!isShared && <Recordings studentId={student.id} />}
        <Lessons studentId={student.id} />
      </div>
      {!isShared && (
        <aside>
          <h2>{t('students.file')}</h2>
          <dl className={classes['facts']}>
            <Fact name={t('students.belt')} term="belt">
              {belt === null ? t('students.beltNone') : writeNote(belt.note)}{' '}
              {belt !== null && voice.beltCeiling === undefined && <small>{t('students.defaultWord')}</small>}{' '}
              <BeltLine student={student} rules={rules} />
            </Fact>
            <Fact name={t('students.margin')} term="margin">
              {t('students.marginValue', { count: voice.margin ?? rules.margin.usual })}{' '}
              {voice.margin === undefined && <small>{t('students.defaultWord')}</small>}
            </Fact>
            <Fact name={t('students.reach')} term="reach">
              {measured?.reachLow !== undefined || measured?.reachHigh !== undefined
                ? `${writeNote(measured.reachLow ?? measured.low)} – ${writeNote(measured.reachHigh ?? measured.high)}`
                : '–'}
            </Fact>
            <Fact name={t('students.speakingNote')} term="speakingNote">
              {voice.speakingNote === undefined ? '–' : writeNote(voice.speakingNote)}
            </Fact>
            <BreathFact studentId={student.id} />
            <Fact name={t('students.bridges')} term="bridge">
              {voice.bridges.length === 0
                ? '–'
                : voice.bridges.map(({ low, high }) => `${writeNote(low)}–${writeNote(high)}`).join(', ')}
            </Fact>
            <Fact name={t('students.avoid')} term="zone">
              {voice.avoid.length === 0
                ? t('students.noZones')
                : voice.avoid.map(({ low, high, kind }) => (
                    <div key={`${String(low)}-${kind}`}>
                      {writeNote(low)}–{writeNote(high)} <small>{t(`students.zoneKinds.${kind}`)}</small>
                    </div>
                  ))}
            </Fact>
            {(voice.gaps ?? []).length > 0 && (
              <Fact name={t('students.gaps')} term="gap">
                {voice.gaps?.map(({ low, high }) => `${writeNote(low)}–${writeNote(high)}`).join(', ')}
              </Fact>
            )}
            {(voice.cautions ?? []).length > 0 && (
              <Fact name={t('students.cautionsOnFile')}>
                {voice.cautions?.map((caution) => (
                  <div key={caution}>{t(`students.cautionWords.${caution}`)}</div>
                ))}
              </Fact>
            )}
            {(voice.obstacles ?? []).length > 0 && (
              <Fact name={t('students.inTheWay')}>
                {voice.obstacles?.map((obstacle) => (
                  <div key={obstacle}>{t(`shelf.obstacles.${obstacle}`)}</div>
                ))}
              </Fact>
            )}
            {Object.keys(voice.approach ?? {}).length > 0 && (
              <Fact name={t('students.ownApproach')}>
                <Link to={`/students/${student.id}/rules`}>
                  {t('students.ownAnswers', { count: Object.keys(voice.approach ?? {}).length })}
                </Link>
              </Fact>
            )}
            {voice.piece && (
              <Fact name={t('students.piece')}>
                <PieceFact studentId={student.id} voice={voice} />
              </Fact>
            )}
            {voice.wanted && <Fact name={t('students.wantedField')}>{voice.wanted}</Fact>}
            {voice.clearedOn && <Fact name={t('students.clearedOn')}>{dayText(voice.clearedOn)}</Fact>}
            {student.note && <Fact name={t('students.note')}>{student.note}</Fact>}
          </dl>
          <div className={classes['private']}>
            <p>
              <b>{t('students.onlyYou')}</b>
            </p>
            <p>{t('students.onlyYouText')}</p>
          </div>
        </aside>
      )}
    </div>
  );
}
