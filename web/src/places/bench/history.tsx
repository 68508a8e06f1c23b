import { Button, Select } from '@mantine/core';
import { layRoutine, type LaidRoutine, type RoutineContext, type RoutineStep } from '@soft-lark/core';
import { useQuery } from '@tanstack/react-query';
import type { TFunction } from 'i18next';
import { useState, type Dispatch, type ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { routineVersionsQuery, type RoutineVersion } from '../../api/routines.queries.ts';
import { SmallFlight } from '../../flight/small-flight.tsx';
import { Failure } from '../../ui/failure.tsx';
import { clockText, momentText } from '../../text/times.ts';
import { Shape } from '../../ui/shape.tsx';
import type { BenchAction, EditedRoutine } from './bench.reducer.ts';
import { compareSteps } from './compare-steps.ts';
import { stepWords } from './action-words.ts';
import classes from './history.module.css';

interface HistoryProps {
  readonly routineId: string;
  readonly routine: EditedRoutine;
  readonly context: RoutineContext;
  readonly act: Dispatch<BenchAction>;
}

const ON_THE_BENCH = 'bench';

function lengthOf(steps: LaidRoutine['steps'], id: string): string {
  const step = steps.find((one) => one.id === id);
  return step ? clockText(step.seconds) : '';
}

interface ComparedProps {
  readonly version: RoutineVersion;
  /** What it is held against: another version, or what is on the bench. */
  readonly against: Pick<EditedRoutine, 'steps'>;
  /** What the two are called. */
  readonly titles: readonly [string, string];
  readonly context: RoutineContext;
}

function Compared({ version, against, titles, context }: ComparedProps): ReactElement {
  const { t } = useTranslation();
  const old = layRoutine(version.steps, context);
  const laid = layRoutine(against.steps, context);
  const name = (step: RoutineStep | undefined): string =>
    step ? (context.exercises.get(step.exerciseId)?.name ?? t('bench.history.lost')) : '';
  return (
    <>
      <div className={classes['flights']} role="img" aria-label={t('bench.history.flights')}>
        <SmallFlight routine={old} isNext={false} />
        <SmallFlight routine={laid} isNext />
      </div>
      <table className={classes['compared']}>
        <thead>
          <tr>
            <th>{titles[0]}</th>
            <th>{clockText(old.seconds)}</th>
            <th>{titles[1]}</th>
            <th>{clockText(laid.seconds)}</th>
            <th>{t('bench.history.difference')}</th>
          </tr>
        </thead>
        <tbody>
          {compareSteps(version.steps, against.steps).map(({ id, before, after, change }) => (
            <tr key={id} data-change={change}>
              <td>{name(before)}</td>
              <td>{lengthOf(old.steps, id)}</td>
              <td>{name(after)}</td>
              <td>{lengthOf(laid.steps, id)}</td>
              <td>{changeText(change, before, after, t)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

function changeText(
  change: ReturnType<typeof compareSteps>[number]['change'],
  before: RoutineStep | undefined,
  after: RoutineStep | undefined,
  t: TFunction,
): string {
  if (change !== 'changed' || !before || !after) return change === 'same' ? '' : t(`bench.history.${change}`);
  return stepWords(before, after, t);
}

interface VersionListProps {
  readonly versions: readonly RoutineVersion[];
  readonly chosen: number | null;
  readonly onChoose: (version: number) => void;
}

function VersionList({ versions, chosen, onChoose }: VersionListProps): ReactElement {
  const { t } = useTranslation();
  return (
    <ol>
      {versions.map((one) => (
        <li key={one.version}>
          <Button
            variant={one.version === chosen ? 'filled' : 'subtle'}
            size="sm"
            aria-pressed={one.version === chosen}
            onClick={() => {
              onChoose(one.version);
            }}
          >
            {momentText(one.savedAt)}
          </Button>
          <small>
            {t('bench.version', { version: one.version })} · {t('bench.history.steps', { count: one.steps.length })}
            {one.savedBy !== null && ` · ${one.savedBy}`}
          </small>
        </li>
      ))}
    </ol>
  );
}

interface AgainstSelectProps {
  readonly others: readonly RoutineVersion[];
  readonly value: string;
  readonly onChange: (value: string) => void;
}

/** What a version is held against: another, or what is on the bench. */
function AgainstSelect({ others, value, onChange }: AgainstSelectProps): ReactElement {
  const { t } = useTranslation();
  return (
    <Select
      w={260}
      mb="sm"
      size="sm"
      label={t('bench.history.against')}
      data={[
        { value: ON_THE_BENCH, label: t('bench.history.onTheBench') },
        ...others.map(({ version, savedAt }) => ({
          value: String(version),
          label: `${t('bench.version', { version })} · ${momentText(savedAt)}`,
        })),
      ]}
      value={value}
      onChange={(chosen) => {
        onChange(chosen ?? ON_THE_BENCH);
      }}
    />
  );
}

/** Versions of a routine: who saved each and when, compared with what is on the bench, and brought back. */
export function History({
  routineId,
  routine,
  context,
  act,
  close,
}: HistoryProps & { readonly close: () => void }): ReactElement {
  const { t } = useTranslation();
  const versions = useQuery(routineVersionsQuery(routineId));
  const [chosen, setChosen] = useState<number | null>(null);
  const [other, setOther] = useState<string>(ON_THE_BENCH);
  const version = versions.data?.find((one) => one.version === chosen);
  const against = versions.data?.find((one) => String(one.version) === other && one !== version);
  const others = (versions.data ?? []).filter((one) => one !== version);
  const versionName = (one: RoutineVersion): string => t('bench.version', { version: one.version });
  const kept = version?.steps.filter(({ exerciseId }) => context.exercises.has(exerciseId)) ?? [];
  const lost = (version?.steps.length ?? 0) - kept.length;
  const restore = ({ minutes, savedAt }: RoutineVersion): void => {
    const what = t('bench.history.restored', { when: momentText(savedAt) });
    act({
      type: 'patch',
      what,
      patches: [
        { op: 'minutes', minutes },
        { op: 'steps', steps: kept },
      ],
    });
    close();
  };
  return (
    <>
      {versions.error && <Failure error={versions.error} onRetry={() => void versions.refetch()} />}
      {!versions.data && !versions.error && <Shape rows={3} height={40} />}
      <div className={classes['history']}>
        <VersionList versions={versions.data ?? []} chosen={chosen} onChoose={setChosen} />
        {version ? (
          <section aria-label={t('bench.version', { version: version.version })}>
            <AgainstSelect others={others} value={against ? other : ON_THE_BENCH} onChange={setOther} />
            <Compared
              version={version}
              against={against ?? routine}
              titles={
                against
                  ? [versionName(version), versionName(against)]
                  : [t('bench.history.then'), t('bench.history.now')]
              }
              context={context}
            />
            {lost > 0 && <p>{t('bench.history.lostSteps', { count: lost })}</p>}
            <Button
              variant="filled"
              onClick={() => {
                restore(version);
              }}
            >
              {t('bench.history.restore')}
            </Button>
          </section>
        ) : (
          <p>{t('bench.history.choose')}</p>
        )}
      </div>
    </>
  );
}
