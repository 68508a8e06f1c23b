import { Button, Menu } from '@mantine/core';
import { exerciseFileOf, melodyOf, notCarried, type Exercise, type FormatName, type Pattern } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { say } from '../../text/say.ts';
import { fileName, saveFile } from '../../ui/save-file.ts';
import { writeMelody } from '../../workers/files.ts';

const ENDINGS = { json: 'json', musicxml: 'musicxml', abc: 'abc', midi: 'mid' } as const;
const TYPES = {
  json: 'application/json',
  musicxml: 'application/vnd.recordare.musicxml+xml',
  abc: 'text/vnd.abc',
  midi: 'audio/midi',
} as const;

interface ExportMenuProps {
  readonly exercise: Exercise;
  readonly pattern: Pattern | null;
  /** MIDI note of degree 1 in the file. */
  readonly tonic: number;
}

/** An exercise as a file of an open format; what a format cannot carry is said before it is written. */
export function ExportMenu({ exercise, pattern, tonic }: ExportMenuProps): ReactElement {
  const { t } = useTranslation();
  const { work } = exercise;
  const formats: readonly FormatName[] = pattern ? ['json', 'musicxml', 'abc', 'midi'] : ['json'];
  const save = async (format: FormatName): Promise<void> => {
    const name = `${fileName(exercise.name)}.${ENDINGS[format]}`;
    if (format === 'json' || !pattern || work.kind !== 'pattern') {
      saveFile(name, exerciseFileOf([exercise]), TYPES.json);
      return;
    }
    const melody = melodyOf(pattern, tonic, exercise.name, work.tempo.usual);
    saveFile(name, await writeMelody(format, melody), TYPES[format]);
  };
  return (
    <Menu position="bottom-end" width={300}>
      <Menu.Target>
        <Button>{t('shelf.export')}</Button>
      </Menu.Target>
      <Menu.Dropdown>
        {formats.map((format) => {
          const lost = pattern ? notCarried(pattern, format) : [];
          return (
            <Menu.Item
              key={format}
              onClick={() => {
                void save(format);
              }}
            >
              {t(`shelf.formats.${format}`)}
              {lost.length > 0 && <small style={{ display: 'block' }}>{lost.map(say).join(' ')}</small>}
            </Menu.Item>
          );
        })}
      </Menu.Dropdown>
    </Menu>
  );
}
