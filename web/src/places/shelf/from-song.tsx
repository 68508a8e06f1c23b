import { Button, Group, NumberInput, RangeSlider, Select } from '@mantine/core';
import { barCount, eventsOfBars, proposeTonic, type Song, type WrittenPattern } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { songsQuery, type KeptSong } from '../../api/songs.queries.ts';
import { Failure } from '../../ui/failure.tsx';
import { patternOutcome, type PatternOutcome } from './pattern-outcome.ts';
import classes from './sheet.module.css';

function patternOfBars(song: Song, from: number, to: number): PatternOutcome {
  const part = { ...song, title: song.name, dropped: [], events: eventsOfBars(song.events, from, to, song) };
  // Degrees are counted from the tonic of the whole song, so that a part keeps its place in the key.
  return patternOutcome(part, proposeTonic(song), song.mode);
}

const FIRST_BARS = 2;

interface FromSongProps {
  readonly onPattern: (written: WrittenPattern, tempo: number) => void;
}

interface PickSongProps {
  readonly songs: readonly KeptSong[];
  readonly isEmpty: boolean;
  readonly id: string | null;
  /** The song that is chosen, with the pickup that is set here. */
  readonly song: Song | undefined;
  readonly onSong: (id: string | null) => void;
  readonly onPickup: (beats: number) => void;
}

function PickSong({ songs, isEmpty, id, song, onSong, onPickup }: PickSongProps): ReactElement {
  const { t } = useTranslation();
  return isEmpty ? (
    <p>
      {t('shelf.sheet.noSongs')} <Link to="/shelf/import">{t('shelf.import')}</Link>
    </p>
  ) : (
    <Group align="flex-end">
      <Select
        w={300}
        searchable
        allowDeselect={false}
        label={t('shelf.sheet.song')}
        placeholder={t('shelf.sheet.pickSong')}
        data={songs.map((one) => ({ value: one.id, label: one.song.name }))}
        value={id}
        onChange={onSong}
      />
      {song && (
        <NumberInput
          w={130}
          min={0}
          max={song.beatsPerBar}
          step={0.5}
          label={t('shelf.sheet.pickup')}
          value={song.pickupBeats}
          onChange={(value) => {
            if (typeof value === 'number') onPickup(value);
          }}
        />
      )}
    </Group>
  );
}

/** Bars of a song that is kept in the studio become a pattern. */
export function FromSong({ onPattern }: FromSongProps): ReactElement {
  const { t } = useTranslation();
  const songs = useQuery(songsQuery);
  const [id, setId] = useState<string | null>(null);
  const [bars, setBars] = useState<[number, number]>([0, FIRST_BARS]);
  const [pickupBeats, setPickup] = useState<number | null>(null);
  if (songs.error) return <Failure error={songs.error} onRetry={() => void songs.refetch()} />;
  const kept = songs.data?.find((one) => one.id === id);
  const song = kept && { ...kept.song, pickupBeats: pickupBeats ?? kept.song.pickupBeats };
  const count = song ? barCount(song.events, song) : 0;
  const [from, to] = [Math.min(bars[0], Math.max(0, count - 1)), Math.min(bars[1], count)];
  const outcome = song ? patternOfBars(song, from, to) : null;
  const written = outcome && 'written' in outcome ? outcome.written : null;
  return (
    <div className={classes['singIn']} role="group" aria-label={t('shelf.sheet.fromSong')}>
      <PickSong
        songs={songs.data ?? []}
        isEmpty={songs.data?.length === 0}
        song={song}
        onSong={(value) => {
          setId(value);
          setPickup(null);
          setBars([0, FIRST_BARS]);
        }}
        onPickup={setPickup}
        id={id}
      />
      {song && count > 1 && (
        <div className={classes['part']}>
          <span>{t('shelf.sheet.bars', { from: from + 1, to, count })}</span>
          <RangeSlider
            min={0}
            max={count}
            minRange={1}
            label={null}
            thumbFromLabel={t('shelf.sheet.barFrom')}
            thumbToLabel={t('shelf.sheet.barTo')}
            value={[from, to]}
            onChange={setBars}
          />
        </div>
      )}
      {outcome && 'problem' in outcome && (
        <p className={classes['problem']} role="alert">
          {outcome.problem}
        </p>
      )}
      {written && <p className={classes['patternText']}>{written.pattern}</p>}
      <Group>
        <Button
          variant="filled"
          disabled={!written}
          onClick={() => {
            if (written && song) onPattern(written, song.tempo);
          }}
        >
          {t('shelf.sheet.takeBars')}
        </Button>
      </Group>
    </div>
  );
}
