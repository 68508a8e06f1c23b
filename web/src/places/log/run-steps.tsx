import { keyName, mannerThatWorked, type Exercise, type StepResult } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import type { RunDetail } from '../../api/runs.queries.ts';
import { markText } from '../../text/mark-text.ts';
import { writeNote } from '../../text/note-names.ts';
import { clockText } from '../../text/times.ts';
import { likeNeighbours } from '../../ui/like-neighbours.ts';
import { useResultWords } from '../../ui/result-words.ts';
import classes from './log.module.css';

type Step = RunDetail['plan'][number];
export type Sung = RunDetail['sung'][number];

/** A key by its tonic; a glide by its ends. */
export function nameIn(kind: Step['kind'], { tonic, low, high }: Pick<Sung, 'tonic' | 'low' | 'high'>): string {
  return kind === 'siren' ? `${writeNote(low)}–${writeNote(high)}` : keyName(tonic);
}

interface StepKeysProps {
  readonly step: Step;
  readonly sung: readonly Sung[];
  /** What became of a step without keys; undefined in runs from before that was kept, null where it was not come to. */
  readonly result: StepResult | null | undefined;
  readonly exercise: Exercise | undefined;
  /** Whether something after it was sung or done. */
  readonly wentOn: boolean;
}

/** What became of a step without keys; what was passed over never looks like done. */
function StillResult({ result, exercise }: Pick<StepKeysProps, 'result' | 'exercise'>): ReactElement {
  const { t } = useTranslation();
  const words = useResultWords();
  if (result === undefined) return <p className={classes['none']}>{t('log.noKeys')}</p>;
  if (result === null) return <p className={classes['none']}>{t('course.notReached')}</p>;
  const { outcome } = result;
  return (
    <p className={classes['result']} data-outcome={outcome}>
      <b>{t(`course.outcomes.${outcome}`)}</b>
      {outcome !== 'passed-over' && ` · ${words(result, exercise)}`}
    </p>
  );
}

/** The keys of one step: as planned above, as sung below. */
function StepKeys({ step, sung, result, exercise, wentOn }: StepKeysProps): ReactElement {
  const { t } = useTranslation();
  const tempo = sung[0]?.tempo;
  const helps = likeNeighbours(
    sung.flatMap(({ help }) => help ?? []),
    (help) => t(`shelf.helps.${help}`),
  );
  const worked = mannerThatWorked(sung);
  const nameOf = (key: Pick<Sung, 'tonic' | 'low' | 'high'>): string => nameIn(step.kind, key);
  return (
    <li className={classes['step']}>
      <div>
        <b>{step.name}</b>
        <small>
          {step.seconds > 0 && clockText(step.seconds)}
          {step.resistance !== undefined && ` · ${t('log.resistance', { resistance: step.resistance })}`}
          {tempo !== undefined && step.kind === 'pattern' && ` · ${t('log.tempo', { tempo })}`}
        </small>
      </div>
      {step.keys.length === 0 && sung.length === 0 ? (
        <StillResult result={result} exercise={exercise} />
      ) : (
        <dl>
          <dt>{t('log.planned')}</dt>
          <dd>
            {step.keys.length === 0 && <p className={classes['none']}>{t('log.notPlanned')}</p>}
            <ol aria-label={`${step.name}, ${t('log.planned')}`} className={classes['planned']}>
              {step.keys.map((key, index) => (
                <li key={index}>{nameOf(key)}</li>
              ))}
            </ol>
          </dd>
          <dt>{t('log.sung')}</dt>
          <dd>
            {sung.length === 0 && (
              <p className={classes['none']}>{t(wentOn ? 'course.outcomes.passed-over' : 'course.notReached')}</p>
            )}
            <ol aria-label={`${step.name}, ${t('log.sung')}`} className={classes['sung']}>
              {sung.map((key) => (
                <li key={key.id} data-outcome={key.outcome} title={t('bench.top', { note: writeNote(key.high) })}>
                  {nameOf(key)}
                  {key.outcome === 'skipped' && <small>{t('log.skipped')}</small>}
                  {key.manner !== undefined && <small>{key.manner}</small>}
                  {key.marks.length > 0 && (
                    <small data-easy={key.marks.every((mark) => mark === 'easy')}>
                      {key.marks.map((mark) => markText(mark, exercise)).join(', ')}
                    </small>
                  )}
                </li>
              ))}
            </ol>
          </dd>
          {helps.length > 0 && (
            <>
              <dt>{t('log.help')}</dt>
              <dd className={classes['help']}>{helps.join(' · ')}</dd>
            </>
          )}
          {worked !== undefined && (
            <>
              <dt>{t('log.worked')}</dt>
              <dd className={classes['help']}>{worked}</dd>
            </>
          )}
        </dl>
      )}
    </li>
  );
}

/** What was sung beside the plan, step by step: called up on the way, or an easier relative taken instead. */
export function besidePlan(
  { plan, sung }: RunDetail,
  shelf: ReadonlyMap<string, Exercise> | undefined,
): readonly Step[] {
  const isPlanned = ({ stepId, exerciseId }: Sung): boolean =>
    plan.some((step) => step.stepId === stepId && step.exerciseId === exerciseId);
  const beside = new Map(sung.filter((key) => !isPlanned(key)).map((key) => [`${key.stepId} ${key.exerciseId}`, key]));
  return [...beside.values()].map(({ stepId, exerciseId }) => {
    const exercise = shelf?.get(exerciseId);
    return {
      stepId,
      exerciseId,
      name: exercise?.name ?? exerciseId,
      kind: exercise?.work.kind ?? 'pattern',
      seconds: 0,
      keys: [],
    };
  });
}

/** The keys of one exercise in one step; a relative that took its place has its own. */
export function sungIn({ sung }: RunDetail, { stepId, exerciseId }: Step): readonly Sung[] {
  return sung.filter((key) => key.stepId === stepId && key.exerciseId === exerciseId);
}

/** Whether anything of a step was sung or done. */
function isTouched({ sung, results }: RunDetail, stepId: string): boolean {
  return [...sung, ...(results ?? [])].some((one) => one.stepId === stepId && one.outcome !== 'passed-over');
}

/** The steps as planned, then what was sung beside the plan, each key by key. */
export function RunSteps({
  run,
  beside,
  shelf,
}: {
  readonly run: RunDetail;
  readonly beside: readonly Step[];
  readonly shelf: ReadonlyMap<string, Exercise> | undefined;
}): ReactElement {
  return (
    <ol className={classes['steps']}>
      {run.plan.map((step, index) => (
        <StepKeys
          key={step.stepId}
          step={step}
          sung={sungIn(run, step)}
          result={run.results ? (run.results.find(({ stepId }) => stepId === step.stepId) ?? null) : undefined}
          exercise={shelf?.get(step.exerciseId)}
          wentOn={run.plan.slice(index + 1).some(({ stepId }) => isTouched(run, stepId))}
        />
      ))}
      {beside.map((step) => (
        <StepKeys
          key={`${step.stepId} ${step.exerciseId}`}
          step={step}
          sung={sungIn(run, step)}
          result={undefined}
          exercise={shelf?.get(step.exerciseId)}
          wentOn
        />
      ))}
    </ol>
  );
}
