import { beltTopOf, isTooYoungForBelt, voiceOf, type RuleTable } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import type { ComponentProps, ReactElement, ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { historyQuery } from '../../api/history.queries.ts';
import { shelfQuery } from '../../api/shelf.queries.ts';
import type { Student } from '../../api/students.queries.ts';
import { writeNote } from '../../text/note-names.ts';
import { dayText } from '../../text/times.ts';
import { Term } from '../../ui/term.tsx';
import { BeltLine } from './belt-line.tsx';
import { PieceFact } from './piece-fact.tsx';
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

interface VoiceFactsProps {
  readonly student: Student;
  readonly rules: RuleTable;
}

/** What is on file only where somebody put it there. */
function FurtherFacts({ student }: Pick<VoiceFactsProps, 'student'>): ReactElement {
  const { t } = useTranslation();
  const { voice } = student;
  return (
    <>
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
    </>
  );
}

/** The figures of the file, and that nobody else reads them. */
export function VoiceFacts({ student, rules }: VoiceFactsProps): ReactElement {
  const { t } = useTranslation();
  const { voice } = student;
  const { measured } = voice;
  const belt = isTooYoungForBelt(voiceOf(voice), rules) ? null : beltTopOf(voiceOf(voice), rules);
  return (
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
        <FurtherFacts student={student} />
      </dl>
      <div className={classes['private']}>
        <p>
          <b>{t('students.onlyYou')}</b>
        </p>
        <p>{t('students.onlyYouText')}</p>
      </div>
    </aside>
  );
}
