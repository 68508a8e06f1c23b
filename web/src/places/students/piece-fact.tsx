import { useQuery } from '@tanstack/react-query';
import type { VoiceFile } from '@soft-lark/core';
import { useMemo, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { pieceOverVoice, songsQuery } from '../../api/songs.queries.ts';
import { writeNote } from '../../text/note-names.ts';

/** The piece in hand: its name, and where the studio has its tune, what it asks of this voice and in which key it sits best. */
export function PieceFact({
  studentId,
  voice,
}: {
  readonly studentId: string;
  readonly voice: VoiceFile;
}): ReactElement {
  const { t } = useTranslation();
  const songs = useQuery(songsQuery).data;
  const found = useMemo(() => pieceOverVoice(voice, songs), [voice, songs]);
  if (!found) return <>{voice.piece}</>;
  const { lowest, highest, tessitura, longestPhrase, bestShift, keys } = found.analysis;
  const [before = 0, after = 0] = [0, bestShift].map((shift) =>
    Math.round(keys.find((key) => key.shift === shift)?.outside ?? 0),
  );
  return (
    <>
      {voice.piece}
      <br />
      <small>
        {t(found.hasRests ? 'students.song.figures' : 'students.song.figuresAlone', {
          low: writeNote(lowest),
          high: writeNote(highest),
          stays: `${writeNote(tessitura.low)}–${writeNote(tessitura.high)}`,
          seconds: Math.round(longestPhrase.seconds),
        })}{' '}
        {bestShift === 0 || before <= after
          ? t('students.song.asWritten')
          : t(bestShift > 0 ? 'students.song.higher' : 'students.song.lower', {
              count: Math.abs(bestShift),
              before,
              after,
            })}
      </small>
      <br />
      <Link to={`/students/${studentId}/song`}>{t('students.song.open')}</Link>
    </>
  );
}
