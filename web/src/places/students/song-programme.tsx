import { MultiSelect, Table, Title } from '@mantine/core';
import { useLocalStorage } from '@mantine/hooks';
import type { ProgrammePart, SongProgramme } from '@soft-lark/core';
import { useMemo, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { programmeOver, type KeptSong } from '../../api/songs.queries.ts';
import type { Student } from '../../api/students.queries.ts';
import { writeNote } from '../../text/note-names.ts';
import { listText } from '../../text/numbers.ts';
import { goalText } from '../../text/say.ts';
import { clockText } from '../../text/times.ts';
import classes from './song.module.css';

/** Length, ends, what lies outside and what is asked for, of one song or of all. */
function Figures({ seconds, lowest, highest, outside, needs }: Omit<ProgrammePart, 'id'>): ReactElement {
  const { t } = useTranslation();
  return (
    <>
      <Table.Td>{clockText(seconds)}</Table.Td>
      <Table.Td>
        {writeNote(lowest)} – {writeNote(highest)}
      </Table.Td>
      <Table.Td>{t('students.song.seconds', { count: Math.round(outside) })}</Table.Td>
      <Table.Td>{listText(needs.map(goalText))}</Table.Td>
    </>
  );
}

interface InOrderProps {
  readonly programme: SongProgramme;
  readonly nameOf: (id: string) => string;
}

function InOrder({ programme, nameOf }: InOrderProps): ReactElement {
  const { t } = useTranslation();
  return (
    <div className={classes['scrolls']} role="region" tabIndex={0} aria-label={t('students.programme.inOrder')}>
      <Table aria-label={t('students.programme.title')}>
        <Table.Thead>
          <Table.Tr>
            {(['song', 'lasts', 'ends', 'outside', 'asks'] as const).map((head) => (
              <Table.Th key={head}>{t(`students.programme.${head}`)}</Table.Th>
            ))}
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {programme.order.map((part) => (
            <Table.Tr key={part.id}>
              <Table.Th scope="row">
                <bdi>{nameOf(part.id)}</bdi>
              </Table.Th>
              <Figures {...part} />
            </Table.Tr>
          ))}
        </Table.Tbody>
        <Table.Tfoot>
          <Table.Tr>
            <Table.Th scope="row">{t('students.programme.all')}</Table.Th>
            <Figures {...programme} />
          </Table.Tr>
        </Table.Tfoot>
      </Table>
    </div>
  );
}

interface ProgrammeProps {
  readonly student: Student;
  readonly songs: readonly KeptSong[];
}

/** Songs that are sung together: what the whole asks of this voice, and an order by load. Kept on this device. */
export function Programme({ student, songs }: ProgrammeProps): ReactElement {
  const { t } = useTranslation();
  const [chosen, choose] = useLocalStorage<readonly string[]>({
    key: `soft-lark.programme.${student.id}`,
    defaultValue: [],
    getInitialValueInEffect: false,
  });
  // A song that was removed since is in no programme.
  const ids = useMemo(() => chosen.filter((id) => songs.some((song) => song.id === id)), [chosen, songs]);
  const programme = useMemo(() => programmeOver(student.voice, songs, ids), [student, songs, ids]);
  const nameOf = (id: string): string => songs.find((song) => song.id === id)?.song.name ?? '';
  return (
    <section className={classes['programme']} aria-label={t('students.programme.title')}>
      <Title order={2} fz={21}>
        {t('students.programme.title')}
      </Title>
      <MultiSelect
        maw={620}
        searchable
        label={t('students.programme.choose')}
        data={songs.map(({ id, song }) => ({ value: id, label: song.name }))}
        value={[...ids]}
        onChange={choose}
      />
      {programme && (
        <>
          <InOrder programme={programme} nameOf={nameOf} />
          <p>{t('students.programme.order')}</p>
        </>
      )}
    </section>
  );
}
