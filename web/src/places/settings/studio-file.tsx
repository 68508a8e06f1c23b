import { Button, Fieldset, FileButton, Group, Stack } from '@mantine/core';
import { IconFileImport } from '@tabler/icons-react';
import { useMutation } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { sendStudioFile } from '../../api/studio.queries.ts';
import { FormProblem } from '../../ui/form-problem.tsx';
import { Backups } from './backups.tsx';
import { Comparison, TakeFile } from './comparison.tsx';
import classes from './settings.module.css';

/** A studio out to a file, and back in. */
export function StudioFile(): ReactElement {
  const { t } = useTranslation();
  const [file, setFile] = useState<File | null>(null);
  const compare = useMutation({ mutationFn: (chosen: File) => sendStudioFile('compare', chosen), retry: false });
  return (
    <Stack gap="lg">
      <Fieldset legend={t('settings.file.out')}>
        <p className={classes['hint']}>{t('settings.file.outHint')}</p>
        <Group mt={8}>
          <TakeFile label={t('settings.file.take')} />
        </Group>
      </Fieldset>
      <Backups />
      <Fieldset legend={t('settings.file.in')}>
        <p className={classes['hint']}>{t('settings.file.inHint')}</p>
        <FileButton
          accept=".gz"
          onChange={(chosen) => {
            setFile(chosen);
            if (chosen) compare.mutate(chosen);
          }}
        >
          {(props) => (
            <Button
              mt={8}
              leftSection={<IconFileImport size={18} aria-hidden />}
              loading={compare.isPending}
              {...props}
            >
              {t('settings.file.choose')}
            </Button>
          )}
        </FileButton>
        <FormProblem error={compare.error} />
      </Fieldset>
      {file && compare.data && (
        <Comparison
          contents={compare.data}
          restore={() => sendStudioFile('restore', file)}
          warning={t('settings.file.warning')}
          onClose={() => {
            setFile(null);
            compare.reset();
          }}
        />
      )}
    </Stack>
  );
}
