import { ActionIcon, Button, Fieldset, Group, Select, Stack, TextInput } from '@mantine/core';
import { MOST_READY_QUESTIONS, USUAL_READY_QUESTIONS, type ReadyQuestion } from '@soft-lark/core';
import { IconTrash } from '@tabler/icons-react';
import { useQuery } from '@tanstack/react-query';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { goalText } from '../../text/say.ts';
import { shelfQuery } from '../../api/shelf.queries.ts';
import classes from './settings.module.css';

interface ReadyFieldsProps {
  readonly questions: readonly ReadyQuestion[];
  readonly onChange: (questions: readonly ReadyQuestion[]) => void;
}

/** The studio's own questions before the cool-down, each with the goal a no is answered with. */
export function ReadyFields({ questions, onChange }: ReadyFieldsProps): ReactElement {
  const { t } = useTranslation();
  const shelf = useQuery(shelfQuery).data;
  const goals = [...new Set([...(shelf?.values() ?? [])].flatMap((exercise) => exercise.goals))].sort();
  const set = (index: number, change: Partial<ReadyQuestion>): void => {
    onChange(questions.map((question, at) => (at === index ? { ...question, ...change } : question)));
  };
  return (
    <Fieldset legend={t('settings.ready.title')}>
      <Stack gap="sm">
        <p className={classes['hint']}>{t('settings.ready.hint')}</p>
        {questions.map(({ text, goal }, index) => (
          <Group key={index} align="flex-end">
            <TextInput
              flex="1 1 260px"
              label={t('settings.ready.question', { number: index + 1 })}
              maxLength={120}
              error={text.trim() === '' && t('settings.ready.empty')}
              value={text}
              onChange={({ currentTarget }) => {
                set(index, { text: currentTarget.value });
              }}
            />
            <Select
              w={220}
              searchable
              label={t('settings.ready.goal')}
              data={goals.map((value) => ({ value, label: goalText(value) }))}
              value={goal}
              onChange={(chosen) => {
                if (chosen) set(index, { goal: chosen });
              }}
            />
            <ActionIcon
              size="lg"
              aria-label={t('settings.ready.remove', { number: index + 1 })}
              onClick={() => {
                onChange(questions.filter((_, at) => at !== index));
              }}
            >
              <IconTrash size={18} />
            </ActionIcon>
          </Group>
        ))}
        <Group>
          <Button
            disabled={questions.length >= MOST_READY_QUESTIONS}
            onClick={() => {
              onChange([...questions, { text: '', goal: 'ease' }]);
            }}
          >
            {t('settings.ready.add')}
          </Button>
          {questions.length === 0 && (
            <Button
              onClick={() => {
                onChange(USUAL_READY_QUESTIONS);
              }}
            >
              {t('settings.ready.usual')}
            </Button>
          )}
        </Group>
      </Stack>
    </Fieldset>
  );
}
