import { SegmentedControl } from '@mantine/core';
import { currentKey, currentStep, fellowNow, fellowsIn, LEADER, singersMeant, type RunState } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { KeptRun } from '../../runs/run-store.ts';
import { letGo } from './let-go.ts';
import type { Running } from './use-run.ts';
import classes from './run.module.css';

/** For marks that are for all who sing at once. */
const ALL = 'all';

interface SingersProps {
  readonly running: Running;
  readonly run: KeptRun;
  /** The name of who leads. */
  readonly leader: string;
}

interface SingerNow {
  readonly id: string;
  readonly name: string;
  /** Whether the step is sung by this one at all; else the day or a caution leaves it out. */
  readonly hasStep: boolean;
  readonly isResting: boolean;
  /** Octaves from who leads. */
  readonly octaves: number;
}

/** Those who sing along, as they stand in the key that is on. */
function singersNow(state: RunState, fellows: NonNullable<KeptRun['fellows']>): readonly SingerNow[] {
  const step = currentStep(state);
  const key = currentKey(state);
  const singing = step && key ? fellowsIn(step, key) : (step?.fellows ?? []);
  return fellows.map(({ studentId, name }) => ({
    id: studentId,
    name,
    hasStep: step?.fellows?.some(({ id }) => id === studentId) ?? false,
    isResting: !singing.some(({ id }) => id === studentId),
    octaves: (singing.find(({ id }) => id === studentId)?.octave ?? 0) / 12,
  }));
}

/** Whose turn it is, large enough for across the room, and who comes then. */
function InTurn({
  state,
  leader,
  singers,
}: {
  state: RunState;
  leader: string;
  singers: readonly SingerNow[];
}): ReactElement {
  const { t } = useTranslation();
  const inOrder = [leader, ...singers.filter(({ isResting }) => !isResting).map(({ name }) => name)];
  const at = state.turn ?? 0;
  return (
    <p className={classes['turn']}>
      <b>
        <bdi>{fellowNow(state) ? inOrder[at] : leader}</bdi>
      </b>{' '}
      <span>{t('piano.singers.then', { name: inOrder[at + 1] ?? leader })}</span>
    </p>
  );
}

/** Who sings the key that is on, who rests in it, and for whom a mark is. */
export function Singers({ running, run, leader }: SingersProps): ReactElement | null {
  const { t } = useTranslation();
  const { state, fellows } = run;
  if (!fellows) return null;
  const step = currentStep(state);
  const singers = singersNow(state, fellows);
  const told = singers.map(({ name, hasStep, isResting, octaves }) => {
    if (isResting) return t(hasStep ? 'piano.singers.restsHere' : 'piano.singers.restsInStep', { name });
    if (octaves === 0) return name;
    return t(octaves < 0 ? 'piano.singers.lower' : 'piano.singers.higher', { name, count: Math.abs(octaves) });
  });
  const resting = told.filter((_, index) => singers[index]?.isResting);
  const lines = step?.isInTurn ? resting : [leader, ...told];
  const { markedSinger } = state;
  const chosen = markedSinger !== undefined && singersMeant(state).includes(markedSinger) ? markedSinger : ALL;
  const marked = singers.filter(({ isResting }) => !isResting);
  return (
    <section className={classes['singers']} aria-label={t('piano.singers.title')}>
      {step?.isInTurn && <InTurn state={state} leader={leader} singers={singers} />}
      {lines.length > 0 && <p>{lines.join(' · ')}</p>}
      {!step?.isInTurn && marked.length > 0 && (
        <div className={classes['marksFor']}>
          <small aria-hidden>{t('piano.singers.marksFor')}</small>
          <SegmentedControl
            aria-label={t('piano.singers.marksFor')}
            size="md"
            data={[
              { value: ALL, label: t('piano.singers.all') },
              { value: LEADER, label: <bdi>{leader}</bdi> },
              ...marked.map(({ id, name }) => ({ value: id, label: <bdi>{name}</bdi> })),
            ]}
            value={chosen}
            onPointerUp={letGo}
            onChange={(value) => {
              running.does({ type: 'mark-singer', singer: value === ALL ? null : value });
            }}
          />
        </div>
      )}
    </section>
  );
}
