import { Button, Title } from '@mantine/core';
import { IconDownload } from '@tabler/icons-react';
import type { ReactElement, ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { PictureTable } from '../../ui/picture-table.tsx';
import { fileName } from '../../ui/save-file.ts';
import { saveTable } from '../../ui/save-table.ts';
import classes from './progress.module.css';

interface QuestionProps {
  readonly title: string;
  readonly about: string;
  readonly head: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
  /** Whether there is enough to show more than chance. */
  readonly isEnough: boolean;
  /** What the picture is chosen by. */
  readonly tools?: ReactElement;
  readonly children: ReactNode;
}

/** A question, the picture that answers it, its table, and the table as a file. */
export function Question({ title, about, head, rows, isEnough, tools, children }: QuestionProps): ReactElement {
  const { t } = useTranslation();
  return (
    <section className={classes['question']} aria-label={title}>
      <header>
        <Title order={2} fz={19}>
          {title}
        </Title>
        {isEnough && (
          <Button
            size="compact-sm"
            variant="subtle"
            leftSection={<IconDownload size={15} aria-hidden />}
            aria-label={`${title} ${t('students.progress.csv')}`}
            onClick={() => {
              void saveTable(`${fileName(title)}.csv`, head, rows);
            }}
          >
            {t('students.progress.csv')}
          </Button>
        )}
      </header>
      <p>{isEnough ? about : t('students.progress.notYet')}</p>
      {isEnough && tools}
      {isEnough && (
        <PictureTable label={title} head={head} rows={rows}>
          {children}
        </PictureTable>
      )}
    </section>
  );
}
