import { Button, Chip, Group } from '@mantine/core';
import {
  openQuestions,
  RECOVERY_DAYS,
  type Condition,
  type GateAnswers,
  type RecoveryDays,
  type RuleTable,
  type VoiceFile,
} from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { GateQuestion } from './gate-question.tsx';
import { GateSigns } from './gate-signs.tsx';
import classes from './gate.module.css';

export type Answers = Partial<GateAnswers>;

interface GateQuestionsProps {
  readonly voice: Pick<VoiceFile, 'type' | 'age'>;
  /** Hours before a performance that change the day, by the rules of this student. */
  readonly performance: RuleTable['performance'];
  readonly chosen: readonly Condition[];
  readonly answers: Answers;
  readonly onAnswer: (answers: Answers) => void;
}

type AnswerProps = Pick<GateQuestionsProps, 'answers' | 'onAnswer'>;

function UsualQuestions({ answers, onAnswer }: AnswerProps): ReactElement {
  const { t } = useTranslation();
  return (
    <>
      <GateQuestion
        question={t('piano.gateTired')}
        choices={([0, 1, 2, 3] as const).map((tired) => ({
          value: String(tired),
          label: t(`piano.tired.${String(tired) as '0'}`),
        }))}
        value={answers.tired === undefined ? null : String(answers.tired)}
        onChange={(tired) => {
          onAnswer({ ...answers, tired: Number(tired) as GateAnswers['tired'] });
        }}
      />
      <GateQuestion
        question={t('piano.gateVoice')}
        choices={(['normal', 'rough', 'gone'] as const).map((sound) => ({
          value: sound,
          label: t(`piano.voice.${sound}`),
        }))}
        value={answers.voice ?? null}
        onChange={(sound) => {
          onAnswer({ ...answers, voice: sound as GateAnswers['voice'] });
        }}
      />
      <GateQuestion
        question={t('piano.gatePain')}
        choices={(['no', 'yes'] as const).map((pain) => ({ value: pain, label: t(`piano.pain.${pain}`) }))}
        value={answers.pain === undefined ? null : answers.pain ? 'yes' : 'no'}
        onChange={(pain) => {
          onAnswer({ ...answers, pain: pain === 'yes' });
        }}
      />
    </>
  );
}

/** What else the day has: much talk before, a performance after. */
function AlsoChips({
  performance,
  answers,
  onAnswer,
}: AnswerProps & Pick<GateQuestionsProps, 'performance'>): ReactElement {
  const { t } = useTranslation();
  const { heavyUse = false, hoursToPerformance } = answers;
  return (
    <>
      <Chip
        checked={heavyUse}
        onChange={(checked) => {
          onAnswer({ ...answers, heavyUse: checked });
        }}
      >
        {t('gate.heavyUse')}
      </Chip>
      {[...new Set([performance.closeHours, performance.nothingNewHours])].map((hours) => (
        <Chip
          key={hours}
          checked={hoursToPerformance === hours}
          onChange={(checked) => {
            const { hoursToPerformance: before, ...rest } = answers;
            onAnswer(checked && before !== hours ? { ...rest, hoursToPerformance: hours } : rest);
          }}
        >
          {hours % 24 === 0 ? t('gate.withinDays', { count: hours / 24 }) : t('gate.withinHours', { count: hours })}
        </Chip>
      ))}
    </>
  );
}

/** Three questions for a usual day; more only where an answer asks for it. */
export function GateQuestions({ voice, performance, chosen, answers, onAnswer }: GateQuestionsProps): ReactElement {
  const { t } = useTranslation();
  const [isAlarmed, setAlarmed] = useState(false);
  const open = openQuestions(answers, chosen);
  const asksSigns = isAlarmed || open.includes('signs') || answers.signs !== undefined;
  const asksRecovery = open.includes('recovery') || answers.recovery !== undefined;
  return (
    <>
      <UsualQuestions answers={answers} onAnswer={onAnswer} />
      {asksRecovery && (
        <GateQuestion
          question={t('gate.recovery')}
          choices={RECOVERY_DAYS.map((value) => ({ value, label: t(`gate.recoveries.${value}`) }))}
          value={answers.recovery ?? null}
          onChange={(recovery) => {
            onAnswer({ ...answers, recovery: recovery as RecoveryDays });
          }}
        />
      )}
      {asksSigns && (
        <GateSigns
          voice={voice}
          value={answers.signs}
          onChange={(signs) => {
            onAnswer({ ...answers, signs });
          }}
        />
      )}
      <Group className={classes['also'] ?? ''}>
        <span>{t('gate.more')}</span>
        <AlsoChips performance={performance} answers={answers} onAnswer={onAnswer} />
        {!asksSigns && (
          <Button
            variant="transparent"
            px={0}
            onClick={() => {
              setAlarmed(true);
            }}
          >
            {t('gate.alarm')}
          </Button>
        )}
      </Group>
    </>
  );
}
