import { ActionIcon, Button, Select, TextInput } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { PROMPT_SIDES, promptOf, type Prompt, type TimedWork } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { FigureField } from './figure-field.tsx';
import type { WorkFieldsProps } from './work-fields.types.ts';
import classes from './sheet.module.css';

/** Work by the clock: its prompts one after the other, each with seconds of its own or its share, and its sides. */
export function PromptFields({ work, change, problemAt }: WorkFieldsProps<TimedWork>): ReactElement {
  const { t } = useTranslation();
  const prompts = work.prompts.map(promptOf);
  const put = (index: number, prompt: Prompt): void => {
    change({ ...work, prompts: prompts.map((other, at) => (at === index ? prompt : other)) });
  };
  return (
    <>
      <FigureField
        label={t('shelf.work.secondsInAll')}
        value={work.seconds}
        error={problemAt('seconds')}
        onChange={(seconds) => {
          change({ ...work, seconds });
        }}
      />
      {prompts.map((prompt, index) => {
        const number = index + 1;
        const { seconds, ...plain } = prompt;
        return (
          <div
            key={index}
            className={classes['promptRow']}
            role="group"
            aria-label={t('shelf.work.prompt', { number })}
          >
            <TextInput
              label={t('shelf.work.prompt', { number })}
              value={prompt.text}
              maxLength={240}
              error={problemAt(`prompts.${String(index)}.text`) ?? problemAt(`prompts.${String(index)}`)}
              onChange={({ currentTarget }) => {
                put(index, { ...prompt, text: currentTarget.value });
              }}
            />
            <FigureField
              label={t('shelf.work.itsSeconds')}
              value={seconds}
              error={problemAt(`prompts.${String(index)}.seconds`)}
              onChange={(typed) => {
                put(index, Number.isNaN(typed) ? plain : { ...plain, seconds: typed });
              }}
            />
            <Select
              allowDeselect={false}
              label={t('shelf.work.each')}
              data={PROMPT_SIDES.map((value) => ({ value, label: t(`shelf.work.sides.${value}`) }))}
              value={prompt.each ?? 'once'}
              onChange={(value) => {
                const each = PROMPT_SIDES.find((known) => known === value);
                if (each) put(index, { ...prompt, each });
              }}
            />
            <ActionIcon
              size={38}
              aria-label={t('shelf.work.removePrompt', { number })}
              disabled={prompts.length === 1}
              onClick={() => {
                change({ ...work, prompts: prompts.filter((_, at) => at !== index) });
              }}
            >
              <IconTrash size={18} />
            </ActionIcon>
          </div>
        );
      })}
      <Button
        className={classes['wide'] ?? ''}
        onClick={() => {
          change({ ...work, prompts: [...prompts, { text: t('shelf.work.newPrompt') }] });
        }}
      >
        {t('shelf.work.addPrompt')}
      </Button>
    </>
  );
}
