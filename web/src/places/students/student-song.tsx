import { Anchor, Button, Group, Table, Title } from '@mantine/core';
import type { SongKey } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { goalText } from '../../text/say.ts';
import { pieceOverVoice, songsQuery, type SongOverVoice } from '../../api/songs.queries.ts';
import type { Student } from '../../api/students.queries.ts';
import { useDraftFor } from '../../api/use-new-routine.ts';
import { SongPicture } from '../../flight/song-picture.tsx';
import { writeNote } from '../../text/note-names.ts';
import { clockText } from '../../text/times.ts';
import { decimalText } from '../../text/numbers.ts';
import { PictureTable } from '../../ui/picture-table.tsx';
import { Shape } from '../../ui/shape.tsx';
import { Programme } from './song-programme.tsx';
import classes from './song.module.css';

/** Keys farther away are hardly ever taken. Semitones. */
const FARTHEST = 6;

/** What the song asks for, a line each, with the moment where it does. */
function useAsks({
  analysis,
  hasRests,
}: Pick<SongOverVoice, 'analysis' | 'hasRests'>): readonly (readonly [string, string])[] {
  const { t } = useTranslation();
  const { tessitura, shareAbove, longestPhrase, largestLeap, fastestRun, longestHeld } = analysis;
  const at = (seconds: number): string => t('students.song.at', { time: clockText(seconds) });
  return [
    [t('students.song.stays'), `${writeNote(tessitura.low)} – ${writeNote(tessitura.high)}`],
    ...shareAbove.map(({ bridge, share }): readonly [string, string] => [
      t('students.song.above', { note: writeNote(bridge) }),
      t('students.song.percent', { share: Math.round(share * 100) }),
    ]),
    [
      t('students.song.phrase'),
      hasRests
        ? `${t('students.song.seconds', { count: Math.round(longestPhrase.seconds) })} ${at(longestPhrase.start)}`
        : t('students.song.noRests'),
    ],
    [
      t('students.song.leap'),
      `${t('students.song.semitones', { count: largestLeap.semitones })} ${at(largestLeap.start)}`,
    ],
    ...(fastestRun
      ? [
          [
            t('students.song.run'),
            `${t('students.song.aSecond', { count: Math.round(fastestRun.notesPerSecond) })} ${at(fastestRun.start)}`,
          ] as const,
        ]
      : []),
    [
      t('students.song.held'),
      `${writeNote(longestHeld.midi)}, ${t('students.song.seconds', { count: Math.round(longestHeld.seconds) })} ${at(longestHeld.start)}`,
    ],
  ];
}

interface KeysProps {
  readonly keys: readonly SongKey[];
  readonly best: number;
  readonly shift: number;
  readonly onShift: (shift: number) => void;
}

/** The song in the keys near its own, with what each costs; a press moves the picture. */
function Keys({ keys, best, shift, onShift }: KeysProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Table className={classes['keys'] ?? ''} verticalSpacing={2} aria-label={t('students.song.keys')}>
      <Table.Thead>
        <Table.Tr>
          {(['moved', 'ends', 'outside'] as const).map((head) => (
            <Table.Th key={head}>{t(`students.song.${head}`)}</Table.Th>
          ))}
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {keys
          .filter((key) => Math.abs(key.shift) <= FARTHEST || key.shift === best)
          .map((key) => (
            <Table.Tr key={key.shift} data-chosen={key.shift === shift}>
              <Table.Td>
                <Button
                  size="compact-sm"
                  variant="subtle"
                  aria-pressed={key.shift === shift}
                  onClick={() => {
                    onShift(key.shift);
                  }}
                >
                  {key.shift === 0
                    ? t('students.song.written')
                    : `${key.shift > 0 ? '+' : '−'}${String(Math.abs(key.shift))}`}
                </Button>{' '}
                {key.shift === best && <small>{t('students.song.best')}</small>}
              </Table.Td>
              <Table.Td>
                {writeNote(key.lowest)} – {writeNote(key.highest)}
              </Table.Td>
              <Table.Td>{t('students.song.seconds', { count: Math.round(key.outside) })}</Table.Td>
            </Table.Tr>
          ))}
      </Table.Tbody>
    </Table>
  );
}

/** The piece in hand over this voice: its picture, what it asks for, and the key it sits best in; then several songs together. */
export function StudentSong({ student }: { readonly student: Student }): ReactElement {
  const { t } = useTranslation();
  const songs = useQuery(songsQuery).data;
  const { draftFor, isPending } = useDraftFor();
  const found = useMemo(() => songs && pieceOverVoice(student.voice, songs), [student, songs]);
  const [chosen, setChosen] = useState<number | null>(null);
  if (!songs) return <Shape rows={3} height={120} />;
  return (
    <>
      {found ? (
        <Found
          found={found}
          shift={chosen}
          onShift={setChosen}
          onDraft={() => {
            draftFor(student.id);
          }}
          isPending={isPending}
        />
      ) : (
        <p>
          {t('students.song.none')}{' '}
          <Anchor component={Link} to="/shelf/import" underline="always">
            {t('students.song.bring')}
          </Anchor>
        </p>
      )}
      {songs.length > 0 && <Programme student={student} songs={songs} />}
    </>
  );
}

interface FoundProps {
  readonly found: SongOverVoice;
  readonly shift: number | null;
  readonly onShift: (shift: number) => void;
  readonly onDraft: () => void;
  readonly isPending: boolean;
}

function Found({ found, shift: chosen, onShift, onDraft, isPending }: FoundProps): ReactElement {
  const { t } = useTranslation();
  const { song, notes, analysis, easy, bridges } = found;
  const asks = useAsks(found);
  const shift = chosen ?? 0;
  return (
    <>
      <Group justify="space-between" mt="md">
        <Title order={2} fz={24}>
          {song.name}
        </Title>
        <Button loading={isPending} onClick={onDraft}>
          {t('students.song.draft')}
        </Button>
      </Group>
      <PictureTable
        label={t('students.song.picture', { name: song.name })}
        head={[t('students.song.start'), t('students.song.note'), t('students.song.lasts')]}
        rows={notes.map(({ midi, start, seconds }) => [
          clockText(start),
          writeNote(midi + shift),
          decimalText(seconds),
        ])}
      >
        <SongPicture notes={notes} analysis={analysis} easy={easy} bridges={bridges} shift={shift} />
      </PictureTable>
      <p className={classes['legend']}>{t('students.song.legend')}</p>
      <div className={classes['columns']}>
        <section>
          <h3>{t('students.song.asks')}</h3>
          <dl>
            {asks.map(([name, value]) => (
              <div key={name}>
                <dt>{name}</dt>
                <dd>{value}</dd>
              </div>
            ))}
          </dl>
          {analysis.needs.length > 0 && (
            <p>{t('students.song.needs', { needs: analysis.needs.map(goalText).join(', ') })}</p>
          )}
        </section>
        <section>
          <h3>{t('students.song.keys')}</h3>
          <Keys keys={analysis.keys} best={analysis.bestShift} shift={shift} onShift={onShift} />
        </section>
      </div>
    </>
  );
}
