import { Button, Menu } from '@mantine/core';
import { IconChevronDown, IconDownload } from '@tabler/icons-react';
import {
  guideTrack,
  keyName,
  midiOfTrack,
  neverSounded,
  routineFileOf,
  startRun,
  writtenSteps,
  type LaidRoutine,
} from '@soft-lark/core';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { exerciseOf } from '../../api/shelf.queries.ts';
import { useSoundChoices } from '../../sound/sound-choices.ts';
import { writeNote } from '../../text/note-names.ts';
import { clockText } from '../../text/times.ts';
import { fileName, saveFile } from '../../ui/save-file.ts';
import { saveTable } from '../../ui/save-table.ts';
import { writeBook } from '../../workers/files.ts';
import { PlanDialog } from './plan-dialog.tsx';
import { TrackDialog } from './track-dialog.tsx';
import type { SheetProps } from './use-laid-for.ts';

const TABLE_HEADERS = ['step', 'key', 'leg', 'lowest', 'highest', 'tempo', 'seconds'] as const;
/** Seconds between two steps where only notes are written. */
const PLAIN_GAP = 6;

type TakeAlongProps = SheetProps & { readonly laid: LaidRoutine };

/** Writes a routine in the open formats, one function each. */
function useFiles({ routine, today, shelf, laid }: TakeAlongProps): Readonly<Record<FileKind, () => void>> {
  const { t } = useTranslation();
  const [choices] = useSoundChoices();
  const { name } = routine;
  const file = fileName(name);
  const book = async (format: 'musicxml' | 'abc', type: string): Promise<void> => {
    saveFile(`${file}.${format}`, await writeBook(format, name, writtenSteps(laid)), type);
  };
  return {
    midi: () => {
      const { steps } = startRun(laid);
      const track = guideTrack(steps, { avoid: neverSounded(today.student.voice), gapSeconds: PLAIN_GAP, choices });
      saveFile(`${file}.mid`, midiOfTrack(track, name), 'audio/midi');
    },
    musicxml: () => void book('musicxml', 'application/vnd.recordare.musicxml+xml'),
    abc: () => void book('abc', 'text/vnd.abc'),
    csv: () => {
      const rows = startRun(laid).steps.flatMap((step) =>
        step.keys.map(({ tonic, leg, low, high, tempo, seconds }) => [
          step.name,
          step.ladder ? keyName(tonic) : null,
          t(`handOut.legs.${leg}`),
          writeNote(low),
          writeNote(high),
          step.ladder ? tempo : null,
          clockText(seconds),
        ]),
      );
      const headers = TABLE_HEADERS.map((header) => t(`handOut.columns.${header}`));
      void saveTable(`${file}.csv`, headers, rows);
    },
    json: () => {
      const ids = new Set(routine.steps.map(({ exerciseId }) => exerciseId));
      const own = [...shelf.values()].filter((exercise) => exercise.own && ids.has(exercise.id)).map(exerciseOf);
      const { kind, minutes, steps } = routine;
      saveFile(`${file}.json`, routineFileOf({ name, kind, minutes, steps }, own), 'application/json');
    },
  };
}

const FILE_KINDS = ['midi', 'musicxml', 'abc', 'csv', 'json'] as const;
type FileKind = (typeof FILE_KINDS)[number];

/** Everything a routine can be taken along as, besides paper. */
export function TakeAlong(props: TakeAlongProps): ReactElement {
  const { t } = useTranslation();
  // Whoever comes for the sound track alone finds it open.
  const [address] = useSearchParams();
  const [open, setOpen] = useState<'track' | 'plan' | null>(address.get('take') === 'track' ? 'track' : null);
  const files = useFiles(props);
  const close = (): void => {
    setOpen(null);
  };
  return (
    <>
      <Menu position="bottom-end" width={320}>
        <Menu.Target>
          <Button
            leftSection={<IconDownload size={18} aria-hidden />}
            rightSection={<IconChevronDown size={16} aria-hidden />}
          >
            {t('handOut.take')}
          </Button>
        </Menu.Target>
        <Menu.Dropdown>
          {(['track', 'plan'] as const).map((dialog) => (
            <Menu.Item
              key={dialog}
              onClick={() => {
                setOpen(dialog);
              }}
            >
              {t(`handOut.dialogs.${dialog}`)}
              <small style={{ display: 'block' }}>{t(`handOut.about.${dialog}`)}</small>
            </Menu.Item>
          ))}
          <Menu.Divider />
          {FILE_KINDS.map((kind) => (
            <Menu.Item key={kind} onClick={files[kind]}>
              {t(`handOut.files.${kind}`)}
              <small style={{ display: 'block' }}>{t(`handOut.about.${kind}`)}</small>
            </Menu.Item>
          ))}
        </Menu.Dropdown>
      </Menu>
      {open === 'track' && <TrackDialog {...props} onClose={close} />}
      {open === 'plan' && <PlanDialog {...props} onClose={close} />}
    </>
  );
}
