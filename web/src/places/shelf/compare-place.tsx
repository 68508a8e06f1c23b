import { Anchor, Button, Select, Title } from '@mantine/core';
import { patternOfWork, spanOf, type LaidStep } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import type { TFunction } from 'i18next';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useSearchParams } from 'react-router';
import {
  shelfQuery,
  versionsQuery,
  type ExerciseVersion,
  type Shelf,
  type ShelfExercise,
} from '../../api/shelf.queries.ts';
import { Contour } from '../../flight/contour.tsx';
import { Staff } from '../../flight/staff.tsx';
import { clockText, momentText } from '../../text/times.ts';
import { Failure } from '../../ui/failure.tsx';
import { Shape } from '../../ui/shape.tsx';
import { writeNote } from '../../text/note-names.ts';
import { sayProblem } from '../../text/say.ts';
import { useHear } from './use-hear.ts';
import { firstTonic, usePlaced } from './use-placed.ts';
import classes from './sheet.module.css';

type Line = readonly [string, string];

function lines(exercise: ShelfExercise, placed: LaidStep | null, t: TFunction): readonly Line[] {
  const { work, load, level, noise, stage } = exercise;
  const span = spanOf(exercise);
  const isPlaced = placed && !placed.problem && placed.lowest !== null && placed.highest !== null;
  return [
    [t('shelf.compareRows.stage'), t(`stages.${stage}`)],
    [t('shelf.compareRows.pattern'), work.kind === 'pattern' ? work.pattern : t(`shelf.kinds.${work.kind}`)],
    [t('shelf.compareRows.sungOn'), 'syllables' in work ? (work.syllables ?? '–') : '–'],
    [t('shelf.compareRows.span'), span === null ? '–' : t('shelf.span', { count: span })],
    [t('shelf.compareRows.load'), String(load)],
    [t('shelf.compareRows.level'), t(`shelf.levels.${level}`)],
    [t('shelf.compareRows.noise'), t(`shelf.noises.${noise}`)],
    [t('shelf.compareRows.tempo'), work.kind === 'pattern' ? String(work.tempo.usual) : '–'],
    [t('shelf.compareRows.time'), placed && !placed.problem ? clockText(placed.seconds) : '–'],
    [
      t('shelf.compareRows.sits'),
      isPlaced
        ? `${writeNote(placed.lowest)} – ${writeNote(placed.highest)}`
        : ((placed?.problem && sayProblem(placed.problem).message) ?? '–'),
    ],
  ];
}

/** A side of the comparison as the address has it: an exercise, and a version of it after an @. */
function sideOf(text: string): { readonly id: string; readonly version: number | null } {
  const [id = '', version] = text.split('@');
  return { id, version: version === undefined ? null : Number(version) };
}

interface SideProps {
  readonly id: string;
  readonly version: number | null;
  readonly versions: readonly ExerciseVersion[];
  readonly exercise: ShelfExercise | undefined;
  readonly onPick: (side: string) => void;
  readonly shelf: Shelf;
  readonly placed: LaidStep | null;
  readonly other: readonly Line[];
}

function Side({ id, version, versions, exercise, onPick, shelf, placed, other }: SideProps): ReactElement {
  const { t } = useTranslation();
  const { hear } = useHear();
  const work = exercise?.work;
  const own = exercise ? lines(exercise, placed, t) : [];
  const tonic = firstTonic(placed);
  return (
    <section aria-label={exercise?.name ?? t('shelf.comparePick')}>
      <Select
        searchable
        limit={60}
        size="md"
        allowDeselect={false}
        aria-label={t('shelf.comparePick')}
        placeholder={t('shelf.comparePick')}
        data={[...shelf.values()].map((one) => ({ value: one.id, label: one.name }))}
        value={id}
        onChange={(value) => {
          if (value !== null) onPick(value);
        }}
      />
      {versions.length > 1 && (
        <Select
          mt="xs"
          allowDeselect={false}
          aria-label={t('shelf.compareVersion')}
          data={[
            { value: '', label: t('shelf.asItStands') },
            ...versions.slice(1).map((one) => ({
              value: String(one.version),
              label: t('shelf.versionOf', { version: one.version, when: momentText(one.savedAt) }),
            })),
          ]}
          value={version === null ? '' : String(version)}
          onChange={(value) => {
            onPick(value ? `${id}@${value}` : id);
          }}
        />
      )}
      {exercise && (
        <>
          <div className={classes['comparePictures']}>
            <Contour exercise={exercise} />
            {work?.kind === 'pattern' && (
              <Button
                onClick={() => {
                  hear(exercise, placed);
                }}
              >
                {t('shelf.sheet.hear')}
              </Button>
            )}
            <Link to={`/shelf/${exercise.id}`}>{t('shelf.compareOpen')}</Link>
          </div>
          {work?.kind === 'pattern' ? <Staff pattern={patternOfWork(work)} tonic={tonic} /> : <div />}
          <dl className={classes['compareLines']}>
            {own.map(([name, value], index) => (
              <div key={name} data-differs={other[index] !== undefined && other[index][1] !== value}>
                <dt>{name}</dt>
                <dd>{value}</dd>
              </div>
            ))}
          </dl>
        </>
      )}
    </section>
  );
}

/** Two exercises side by side: pattern, span, load, time, and where each sits in the voice in hand. */
export function ComparePlace(): ReactElement {
  const { t } = useTranslation();
  const shelf = useQuery(shelfQuery);
  const [address, setAddress] = useSearchParams();
  const { name, place } = usePlaced(shelf.data);
  const [a, b] = [sideOf(address.get('a') ?? ''), sideOf(address.get('b') ?? '')];
  const isOwn = ({ id }: { readonly id: string }): boolean => shelf.data?.get(id)?.own !== undefined;
  const ofA = useQuery({ ...versionsQuery(a.id), enabled: isOwn(a) }).data;
  const ofB = useQuery({ ...versionsQuery(b.id), enabled: isOwn(b) }).data;
  if (shelf.error && !shelf.data) return <Failure error={shelf.error} onRetry={() => void shelf.refetch()} />;
  if (!shelf.data) return <Shape />;
  const sides = [
    { side: 'a', ...a, versions: ofA ?? [] },
    { side: 'b', ...b, versions: ofB ?? [] },
  ].map(({ id, version, versions, side }) => {
    const earlier = versions.find((one) => one.version === version)?.exercise;
    const exercise = version === null ? shelf.data.get(id) : earlier;
    const placed = exercise ? place(exercise) : null;
    return { side, id, version, versions, exercise, placed, lines: exercise ? lines(exercise, placed, t) : [] };
  });
  return (
    <>
      <Anchor component={Link} to="/shelf" className={classes['back'] ?? ''}>
        ← {t('shelf.back')}
      </Anchor>
      <Title order={1} fz={32}>
        {t('shelf.compareTitle')}
      </Title>
      <p className={classes['why']}>{name ? t('shelf.for', { name }) : t('shelf.nobody')}</p>
      <div className={classes['compare']}>
        {sides.map(({ side, id, version, versions, exercise, placed }, index) => (
          <Side
            key={side}
            id={id}
            version={version}
            versions={versions}
            exercise={exercise}
            placed={placed}
            shelf={shelf.data}
            other={sides[1 - index]?.lines ?? []}
            onPick={(chosen) => {
              setAddress({ a: address.get('a') ?? '', b: address.get('b') ?? '', [side]: chosen }, { replace: true });
            }}
          />
        ))}
      </div>
    </>
  );
}
