import { Select, SimpleGrid } from '@mantine/core';
import { APPROACH_CHOICES } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';

type Answers = Readonly<Record<string, string>>;

interface ApproachEditorProps {
  readonly answers: Answers;
  /** Answers that stand where nothing is set here: the studio's, for one student. */
  readonly below?: Answers;
  readonly onChange: (answers: Answers) => void;
}

/** The questions on which schools differ; the first answer of each is the house default. */
export function ApproachEditor({ answers, below, onChange }: ApproachEditorProps): ReactElement {
  const { t } = useTranslation();
  const word = (question: string, choice: string): string =>
    t(`approach.${question}.${choice}` as 'approach.chin.level');
  return (
    <SimpleGrid cols={{ base: 1, sm: 2, md: 3 }} spacing="md">
      {Object.entries(APPROACH_CHOICES).map(([question, choices]) => {
        const usual = below?.[question] ?? choices[0];
        const asStudio = below ? [{ value: '', label: t('settings.asStudio', { answer: word(question, usual) }) }] : [];
        return (
          <Select
            key={question}
            label={t(`approach.${question}.question` as 'approach.chin.question')}
            data={[...asStudio, ...choices.map((value) => ({ value, label: word(question, value) }))]}
            value={answers[question] ?? (below ? '' : usual)}
            onChange={(value) => {
              const { [question]: before, ...rest } = answers;
              if (value !== before) onChange(value ? { ...rest, [question]: value } : rest);
            }}
          />
        );
      })}
    </SimpleGrid>
  );
}
