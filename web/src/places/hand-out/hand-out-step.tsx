import { cuesOf, keyName, keysOf, syllablesFor, type Approach, type Exercise, type LaidStep } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { usePartWords } from '../../flight/course.tsx';
import { Staff } from '../../flight/staff.tsx';
import { clockText } from '../../text/times.ts';
import { writeNote } from '../../text/note-names.ts';
import type { Reader } from './readers.ts';
import classes from './hand-out.module.css';

/** More is not read while singing. */
const MOST_CUES = 2;

interface HandOutStepProps {
  readonly step: LaidStep;
  readonly reader: Reader;
  readonly approach: Approach;
}

/** The keys in the order they are sung, the turn told apart, and how each is counted. */
function Keys({ step }: { readonly step: LaidStep }): ReactElement | null {
  const { t } = useTranslation();
  const { laid } = step;
  if (laid?.kind === 'siren') {
    const { lowest, highest } = step;
    return lowest === null || highest === null ? null : (
      <p>{t('handOut.glide', { low: writeNote(lowest), high: writeNote(highest) })}</p>
    );
  }
  if (laid?.kind !== 'pattern') return null;
  const keys = keysOf(laid.ladder.rungs);
  const top = Math.max(...keys.map(({ high }) => high));
  return (
    <p>
      {keys.map((key, index) => (
        <span key={index} data-turn={key.high === top}>
          {keyName(key.tonic)}{' '}
        </span>
      ))}
      <small>
        {t('handOut.figures', { tempo: Math.round(keys[0]?.tempo ?? 0), top: writeNote(top), count: keys.length })}
      </small>
    </p>
  );
}

/** What is sung, or what is done in a step without notes: its words, else the counts of one round. */
function useWords({ settings, exercise, laid }: LaidStep): string {
  const { t } = useTranslation();
  const partWords = usePartWords();
  if (settings.syllables !== undefined) return settings.syllables;
  const { work } = exercise;
  if (work.kind === 'pattern') return syllablesFor(work, 'low').join(' ');
  if (laid?.kind !== 'still') return '';
  const { parts, rounds } = laid.course;
  const said = parts.flatMap(({ text }) => text ?? []);
  if (said.length > 0) return [...new Set(said)].join(' ');
  const round = parts.filter((part) => part.round === 1).map(partWords);
  return t('handOut.rounds', { round: round.join(', '), count: rounds });
}

function linesOf({ watchFor, why, senseCheck }: Exercise, reader: Reader): readonly string[] {
  if (reader === 'student') return [why, ...(senseCheck ? [senseCheck.text] : [])];
  return watchFor.map(({ seen, remedies }) => `${seen}: ${remedies[0]?.text ?? ''}`);
}

/** One step on paper: its tune, its keys, what to say and what to heed. */
export function HandOutStep({ step, reader, approach }: HandOutStepProps): ReactElement {
  const { exercise, laid, settings } = step;
  const cues = settings.cue === undefined ? cuesOf(exercise, approach).map(({ text }) => text) : [settings.cue];
  const words = useWords(step);
  return (
    <li className={classes['step']}>
      <div>
        <h2 className="heading">{exercise.name}</h2>
        <span>{clockText(step.seconds)}</span>
      </div>
      <div className={classes['tune']}>
        {laid?.kind === 'pattern' && (
          <Staff pattern={laid.pattern} tonic={laid.ladder.rungs[0]?.tonic ?? 60} look="title" />
        )}
        {words !== '' && <p className={classes['words']}>{words}</p>}
      </div>
      <div>
        <Keys step={step} />
        <p className={classes['cues']}>{cues.slice(0, MOST_CUES).join(' ')}</p>
        {linesOf(exercise, reader)
          .slice(0, MOST_CUES)
          .map((line) => (
            <p key={line} className={classes['line']}>
              {line}
            </p>
          ))}
        {exercise.cautions.map((caution) => (
          <p key={caution} className={classes['caution']}>
            ! {caution}
          </p>
        ))}
      </div>
    </li>
  );
}
