import { resolveLimits, voiceOf, writeNote, beltCeilingOf } from '@soft-lark/core';
import type { ReactElement, ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { StudentToday } from '../../api/students.queries.ts';
import { useCondition } from '../../api/use-condition.ts';
import { useNow } from '../../ui/clock.ts';
import { ConditionPicker } from '../../ui/condition-picker.tsx';
import { Ledger } from '../../ui/ledger.tsx';
import { Lessons } from './lessons.tsx';
import { RangeRuler } from './range-ruler.tsx';
import classes from './students.module.css';

function Fact({ name, children }: { readonly name: string; readonly children: ReactNode }): ReactElement {
  return (
    <div>
      <dt>{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}

/** The voice file as it stands, around the range ruler. */
export function VoiceView({ today }: { readonly today: StudentToday }): ReactElement {
  const { t } = useTranslation();
  const now = useNow();
  const { student, conditions } = today;
  const { voice } = student;
  const setCondition = useCondition(student.id);
  const limits = resolveLimits({
    voice: voiceOf(voice),
    style: voice.style,
    exercise: { stage: 'middle', register: 'any' },
    sungSteps: 2,
    conditions,
    occasion: 'lesson',
    now: now.toISOString(),
  });
  const belt = beltCeilingOf(voice);
  const { measured } = voice;
  return (
    <div className={classes['voice']}>
      <RangeRuler voice={voice} limits={limits} />
      <div>
        <section className={classes['block']}>
          <h2>{t('students.today')}</h2>
          <ConditionPicker value={conditions} onChange={setCondition} />
          <Ledger limits={limits} />
        </section>
        <section className={classes['block']}>
          <h2>{t('students.goals')}</h2>
          {voice.goals.length === 0 ? (
            <p>{t('students.noGoals')}</p>
          ) : (
            <ul className={classes['pills']}>
              {voice.goals.map((goal) => (
                <li key={goal}>{goal}</li>
              ))}
            </ul>
          )}
        </section>
        <Lessons studentId={student.id} />
      </div>
      <aside>
        <h2>{t('students.file')}</h2>
        <dl className={classes['facts']}>
          <Fact name={t('students.belt')}>
            {belt === null ? t('students.beltNone') : writeNote(belt)}{' '}
            {belt !== null && voice.beltCeiling === undefined && <small>{t('students.defaultWord')}</small>}
          </Fact>
          <Fact name={t('students.margin')}>{t('students.marginValue', { count: voice.margin ?? 1 })}</Fact>
          <Fact name={t('students.reach')}>
            {measured?.reachLow !== undefined || measured?.reachHigh !== undefined
              ? `${writeNote(measured.reachLow ?? measured.low)} – ${writeNote(measured.reachHigh ?? measured.high)}`
              : '–'}
          </Fact>
          <Fact name={t('students.speakingNote')}>
            {voice.speakingNote === undefined ? '–' : writeNote(voice.speakingNote)}
          </Fact>
          <Fact name={t('students.bridges')}>
            {voice.bridges.length === 0
              ? '–'
              : voice.bridges.map(({ low, high }) => `${writeNote(low)}–${writeNote(high)}`).join(', ')}
          </Fact>
          <Fact name={t('students.avoid')}>
            {voice.avoid.length === 0
              ? t('students.noZones')
              : voice.avoid.map(({ low, high, kind }) => (
                  <div key={`${String(low)}-${kind}`}>
                    {writeNote(low)}–{writeNote(high)} <small>{t(`students.zoneKinds.${kind}`)}</small>
                  </div>
                ))}
          </Fact>
          {student.note && <Fact name={t('students.note')}>{student.note}</Fact>}
        </dl>
        <div className={classes['private']}>
          <p>
            <b>{t('students.onlyYou')}</b>
          </p>
          <p>{t('students.onlyYouText')}</p>
        </div>
      </aside>
    </div>
  );
}
