import { Select } from '@mantine/core';
import { useElementSize } from '@mantine/hooks';
import { keyName, type LaidStep } from '@soft-lark/core';
import type { Dispatch, ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import { layStones, type Stone } from '../../flight/stones.layout.ts';
import { Stones } from '../../flight/stones.tsx';
import { writeNote } from '../../text/note-names.ts';
import { say } from '../../text/say.ts';
import { clockText } from '../../text/times.ts';
import { PictureTable } from '../../ui/picture-table.tsx';
import { useSharedScreen } from '../../ui/shared-screen.ts';
import type { BenchAction } from './bench.reducer.ts';
import { tonicsToAdd, without } from './keys-by-hand.ts';
import classes from './bench.module.css';

const STONES_HEIGHT = 150;

interface StepStonesProps {
  readonly step: LaidStep;
  readonly act: Dispatch<BenchAction>;
}

/** Every key of the chosen step as a stepping stone, with its top note and time; pressing one leaves it out or puts it back. */
export function StepStones({ step, act }: StepStonesProps): ReactElement | null {
  const { t } = useTranslation();
  const [isShared] = useSharedScreen();
  const { ref, width } = useElementSize();
  if (step.laid?.kind !== 'pattern') return null;
  const { ladder, pattern } = step.laid;
  const { struck = [], added = [] } = step.settings;
  const path = layStones(ladder, pattern.high, Math.max(280, width), STONES_HEIGHT);
  const head = (['key', 'high', 'at', 'leg'] as const).map((name) => t(`bench.table.${name}`));
  const rows = [
    ...ladder.rungs.map(({ tonic, high, startsAt, leg }) => [
      writeNote(tonic),
      writeNote(high),
      clockText(startsAt),
      t(`bench.legs.${leg}`),
    ]),
    ...ladder.skipped.map(({ tonic, reason }) => [keyName(tonic), t('bench.leftOut'), '', isShared ? '' : say(reason)]),
  ];
  const pressWords = ({ tonic, isStruck }: Stone): string | null => {
    if (struck.includes(tonic)) return t('bench.hand.putBack', { note: writeNote(tonic) });
    if (added.includes(tonic)) return t('bench.hand.takeOut', { note: writeNote(tonic) });
    return isStruck ? null : t('bench.hand.strike', { note: writeNote(tonic) });
  };
  const press = ({ tonic }: Stone): void => {
    if (struck.includes(tonic)) act({ type: 'set', stepId: step.id, ...without('struck', struck, tonic) });
    else if (added.includes(tonic)) act({ type: 'set', stepId: step.id, ...without('added', added, tonic) });
    else act({ type: 'set', stepId: step.id, settings: { struck: [...struck, tonic] } });
  };
  return (
    <>
      <PictureTable label={t('bench.stones', { name: step.exercise.name })} head={head} rows={rows}>
        <div ref={ref} className={classes['stones']}>
          <Stones
            path={path}
            under={({ isStruck, topNote, startsAt }) =>
              isStruck ? [t('bench.leftOut')] : [t('bench.top', { note: topNote }), clockText(startsAt ?? 0)]
            }
            pressWords={pressWords}
            onPress={press}
          />
        </div>
      </PictureTable>
      <Select
        className={classes['addKey'] ?? ''}
        size="xs"
        w={150}
        searchable
        aria-label={t('bench.hand.add')}
        placeholder={t('bench.hand.add')}
        data={tonicsToAdd(step).map((tonic) => ({
          value: String(tonic),
          label: t('bench.hand.addTop', { note: writeNote(tonic), top: writeNote(tonic + pattern.high) }),
        }))}
        value={null}
        onChange={(value) => {
          if (value !== null) act({ type: 'set', stepId: step.id, settings: { added: [...added, Number(value)] } });
        }}
      />
    </>
  );
}
