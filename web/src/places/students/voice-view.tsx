import { beltTopOf, isTooYoungForBelt, referenceOf, resolveLimits, voiceOf, type LimitContext } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { goalText } from '../../text/say.ts';
import type { StudentToday } from '../../api/students.queries.ts';
import { rulesFor } from '../../api/lay.ts';
import { sessionQuery } from '../../api/session.queries.ts';
import { useCondition } from '../../api/use-condition.ts';
import { useShown } from '../../shell/use-shown.ts';
import { useNow } from '../../ui/clock.ts';
import { ConditionPicker } from '../../ui/condition-picker.tsx';
import { Ledger } from '../../ui/ledger.tsx';
import { CheckHistory } from './check-history.tsx';
import { Lessons } from './lessons.tsx';
import { Recordings } from './recordings.tsx';
import { RangeRuler } from './range-ruler.tsx';
import { VoiceFacts } from './voice-facts.tsx';
import { isTerm } from '../../text/en-terms.ts';
import { Term } from '../../ui/term.tsx';
import classes from './students.module.css';

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
      {!isShared && <VoiceFacts student={student} rules={rules} />}
    </div>
  );
}
