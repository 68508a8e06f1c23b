import { Group, Select } from '@mantine/core';
import { KEY_SPELLINGS, nameNote, NOTE_SCHEMES } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { Studio } from '../../api/studio.queries.ts';
import classes from './settings.module.css';

type Naming = Studio['noteNaming'];

/** A few notes on both sides of middle C. */
const SHOWN = [46, 58, 59, 60, 66, 84];

interface NamingFieldsProps {
  readonly naming: Naming;
  readonly onChange: (naming: Naming) => void;
}

/** How the studio names notes, with a few of them as they will be written. */
export function NamingFields({ naming, onChange }: NamingFieldsProps): ReactElement {
  const { t } = useTranslation();
  return (
    <div>
      <Group align="flex-end">
        <Select
          w={320}
          allowDeselect={false}
          label={t('settings.noteNames')}
          data={NOTE_SCHEMES.map((value) => ({ value, label: t(`settings.schemes.${value}`) }))}
          value={naming.scheme}
          onChange={(value) => {
            const scheme = NOTE_SCHEMES.find((known) => known === value);
            if (scheme) onChange({ ...naming, scheme });
          }}
        />
        <Select
          w={280}
          allowDeselect={false}
          label={t('settings.spelling')}
          data={KEY_SPELLINGS.map((value) => ({ value, label: t(`settings.spellings.${value}`) }))}
          value={naming.spelling}
          onChange={(value) => {
            const spelling = KEY_SPELLINGS.find((known) => known === value);
            if (spelling) onChange({ ...naming, spelling });
          }}
        />
        {naming.scheme === 'fixed-do' && (
          <Select
            w={160}
            allowDeselect={false}
            label={t('settings.middleDo')}
            data={['3', '4'].map((value) => ({ value, label: `Do${value}` }))}
            value={String(naming.middleDo)}
            onChange={(value) => {
              onChange({ ...naming, middleDo: value === '3' ? 3 : 4 });
            }}
          />
        )}
      </Group>
      <p className={classes['hint']}>{SHOWN.map((midi) => nameNote(midi, naming)).join('   ')}</p>
    </div>
  );
}
