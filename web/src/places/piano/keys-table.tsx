import type { RunState, RunStep, SungKey } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { writeNote } from '../../text/note-names.ts';
import { keyWords } from './key-words.ts';

/** A planned key as it was sung; one that comes twice in the step is told apart by its turn. */
export function sungAs({ stepId, keys }: RunStep, { sung }: RunState, index: number): SungKey | undefined {
  const there = keys[index];
  const isLike = ({ tonic, leg, manner }: Pick<SungKey, 'tonic' | 'leg' | 'manner'>): boolean =>
    tonic === there?.tonic && leg === there.leg && manner === there.manner;
  const found = sung.filter((key) => key.stepId === stepId && isLike(key));
  // A key that was sung once more has more entries than places; the last one counts.
  return keys.filter(isLike).length > 1 ? found[keys.slice(0, index).filter(isLike).length] : found.at(-1);
}

interface KeysTableProps {
  readonly step: RunStep;
  readonly keyIndex: number;
  readonly marksAt: (index: number) => string;
}

/** The stones in words, for whoever does not see them. */
export function KeysTable({ step, keyIndex, marksAt }: KeysTableProps): ReactElement {
  const { t } = useTranslation();
  return (
    <table className="visually-hidden">
      <caption>{t('piano.keysOf', { step: step.name })}</caption>
      <thead>
        <tr>
          {(['key', 'leg', 'high', 'marks'] as const).map((name) => (
            <th key={name} scope="col">
              {t(`bench.table.${name}`)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {step.keys.map((key, index) => (
          <tr key={index} aria-current={index === keyIndex ? 'step' : undefined}>
            <th scope="row">{keyWords(step, key)}</th>
            <td>{t(`bench.legs.${key.leg}`)}</td>
            <td>{writeNote(key.high)}</td>
            <td>{marksAt(index)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
