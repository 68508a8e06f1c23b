import { Select } from '@mantine/core';
import { SINGERS, type SingerName } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';

interface SingerSelectProps {
  readonly singer: SingerName;
  readonly onSinger: (singer: SingerName) => void;
}

/** Which simulated singer sings, where nobody stands at the microphone. */
export function SingerSelect({ singer, onSinger }: SingerSelectProps): ReactElement {
  const { t } = useTranslation();
  const names = Object.keys(SINGERS) as SingerName[];
  return (
    <Select
      aria-label={t('check.singer')}
      w={190}
      data={names.map((value) => ({ value, label: t(`check.singers.${value}`) }))}
      value={singer}
      onChange={(value) => {
        if (value) onSinger(value);
      }}
    />
  );
}
