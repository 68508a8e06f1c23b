import { Button, CopyButton, Group } from '@mantine/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { saveFile } from './save-file.ts';
import classes from './ui.module.css';

/** Recovery codes, shown this one time, to be written down. */
export function RecoveryCodes({ codes }: { readonly codes: readonly string[] }): ReactElement {
  const { t } = useTranslation();
  return (
    <>
      <ul className={classes['codes']}>
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ul>
      <Group>
        <CopyButton value={codes.join('\n')}>
          {({ copied, copy }) => (
            <Button size="sm" onClick={copy}>
              {t(copied ? 'entry.codes.copied' : 'entry.codes.copy')}
            </Button>
          )}
        </CopyButton>
        <Button
          size="sm"
          onClick={() => {
            saveFile(t('entry.codes.file'), `${codes.join('\n')}\n`, 'text/plain');
          }}
        >
          {t('entry.codes.asFile')}
        </Button>
      </Group>
    </>
  );
}
