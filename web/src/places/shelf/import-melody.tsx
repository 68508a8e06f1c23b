import { Button, Group, RangeSlider, Select, TextInput } from '@mantine/core';
import { exerciseSchema, MODES, parsePattern, proposeTonic, songSchema, type Melody, type Mode } from '@soft-lark/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { say } from '../../text/say.ts';
import { keepExercise } from '../../api/shelf.queries.ts';
import { keepSong } from '../../api/songs.queries.ts';
import { Staff } from '../../flight/staff.tsx';
import { FormProblem } from '../../ui/form-problem.tsx';
import { writeNote } from '../../text/note-names.ts';
import { patternOutcome } from './pattern-outcome.ts';
import classes from './sheet.module.css';

/** A first choice of so many notes: a long tune does not fit a pattern. */
const FIRST_NOTES = 16;
const LONGEST_SHORT_NAME = 14;

const [SLOWEST, FASTEST] = [20, 300];

/** The tempo of a file inside what a pattern can have; files have any. */
function tempoWithin(tempo: number): number {
  return Math.min(FASTEST, Math.max(SLOWEST, tempo));
}

type Written = Extract<ReturnType<typeof patternOutcome>, { readonly written: unknown }>['written'];

interface Kept {
  readonly title: string;
  readonly mode: Mode;
  readonly written: Written | null;
}

/** Puts the part that was chosen on the shelf as an exercise, or the whole tune among the songs. */
function useKeepMelody(melody: Melody, { title, mode, written }: Kept) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const keep = useMutation({
    mutationFn: () => {
      const work = {
        kind: 'pattern' as const,
        ...written,
        ...(melody.tempo !== undefined && { tempo: { usual: tempoWithin(Math.round(melody.tempo)) } }),
      };
      const shortName = title.slice(0, LONGEST_SHORT_NAME);
      return keepExercise(
        exerciseSchema.parse({ id: v7(), name: title, shortName, stage: 'middle', load: 2, work }),
        0,
      );
    },
    onSuccess: async ({ id }) => {
      await queries.invalidateQueries({ queryKey: ['exercises'] });
      await navigate(`/shelf/${id}`);
    },
  });
  const keepWhole = useMutation({
    mutationFn: () => {
      const { events, tempo, tonicClass, beatsPerBar } = melody;
      const song = {
        name: title,
        events,
        tempo: tempo && tempoWithin(tempo),
        tonicClass,
        mode,
        beatsPerBar,
      };
      return keepSong({ id: v7(), version: 0, song: songSchema.parse(song) });
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: ['songs'] }),
  });
  return { keep, keepWhole };
}

/** What of the file could not be kept. */
function Dropped({ losses }: { readonly losses: Melody['dropped'] }): ReactElement {
  const { t } = useTranslation();
  return (
    <div role="note">
      <b>{t('shelf.importing.dropped')}</b>
      <ul>
        {losses.map(say).map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </div>
  );
}

interface MelodyFieldsProps {
  readonly title: string;
  readonly onTitle: (title: string) => void;
  readonly tonic: number;
  readonly onTonic: (tonic: number) => void;
  readonly mode: Mode;
  readonly onMode: (mode: Mode) => void;
}

/** What the tune is called, and how it is read. */
function MelodyFields({ title, onTitle, tonic, onTonic, mode, onMode }: MelodyFieldsProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Group align="flex-end">
      <TextInput
        w={280}
        label={t('shelf.sheet.place.name')}
        maxLength={120}
        value={title}
        onChange={({ currentTarget }) => {
          onTitle(currentTarget.value);
        }}
      />
      <Select
        w={150}
        searchable
        allowDeselect={false}
        label={t('shelf.importing.tonic')}
        data={Array.from({ length: 49 }, (_, index) => ({ value: String(36 + index), label: writeNote(36 + index) }))}
        value={String(tonic)}
        onChange={(value) => {
          if (value !== null) onTonic(Number(value));
        }}
      />
      <Select
        w={190}
        allowDeselect={false}
        label={t('shelf.sheet.mode')}
        data={(Object.keys(MODES) as Mode[]).map((value) => ({ value, label: t(`shelf.modes.${value}`) }))}
        value={mode}
        onChange={(value) => {
          if (value !== null) onMode(value);
        }}
      />
    </Group>
  );
}

/** A tune from a file: a part of it is picked and becomes an exercise; what cannot be kept is said first. */
export function ImportMelody({ name, melody }: { readonly name: string; readonly melody: Melody }): ReactElement {
  const { t } = useTranslation();
  const count = melody.events.length;
  const [title, setTitle] = useState(melody.title);
  const [[from, to], setPart] = useState<[number, number]>([0, Math.min(count, FIRST_NOTES)]);
  const [tonic, setTonic] = useState(() => proposeTonic(melody));
  const [mode, setMode] = useState<Mode>(melody.mode ?? 'major');
  const outcome = useMemo(
    () => patternOutcome({ ...melody, events: melody.events.slice(from, to) }, tonic, mode),
    [melody, from, to, tonic, mode],
  );
  const written = 'written' in outcome ? outcome.written : null;
  const pattern = useMemo(
    () => written && parsePattern(written.pattern, { mode: written.mode, syllables: written.syllables }),
    [written],
  );
  const { keep, keepWhole } = useKeepMelody(melody, { title, mode, written });
  return (
    <section className={classes['preview']} aria-label={t('shelf.importing.tune')}>
      <h2>{name}</h2>
      {melody.dropped.length > 0 && <Dropped losses={melody.dropped} />}
      <MelodyFields title={title} onTitle={setTitle} tonic={tonic} onTonic={setTonic} mode={mode} onMode={setMode} />
      {count > 2 && (
        <div className={classes['part']}>
          <span id="part">{t('shelf.importing.part', { from: from + 1, to, count })}</span>
          <RangeSlider
            min={0}
            max={count}
            minRange={1}
            label={null}
            thumbFromLabel={t('shelf.importing.partFrom')}
            thumbToLabel={t('shelf.importing.partTo')}
            value={[from, to]}
            onChange={setPart}
          />
        </div>
      )}
      {written && pattern ? (
        <>
          <p className={classes['patternText']}>{written.pattern}</p>
          <Staff pattern={pattern} tonic={tonic} />
        </>
      ) : (
        <p className={classes['problem']} role="alert">
          {'problem' in outcome && outcome.problem}
        </p>
      )}
      <FormProblem error={keep.error ?? keepWhole.error} />
      <Group>
        <Button
          variant="filled"
          disabled={!written || title.trim().length < 2}
          loading={keep.isPending}
          onClick={() => {
            keep.mutate();
          }}
        >
          {t('shelf.importing.keepTune')}
        </Button>
        <Button
          disabled={title.trim().length < 2 || keepWhole.isSuccess}
          loading={keepWhole.isPending}
          onClick={() => {
            keepWhole.mutate();
          }}
        >
          {t('shelf.importing.keepSong')}
        </Button>
        {keepWhole.isSuccess && <span role="status">{t('shelf.importing.songKept')}</span>}
      </Group>
    </section>
  );
}
