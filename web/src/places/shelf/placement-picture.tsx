import { buildLadder, parsePattern, proposeStart, type PatternWork } from '@soft-lark/core';
import type { ReactElement } from 'react';
import { useTranslation } from 'react-i18next';
import classes from './sheet.module.css';

const WIDTH = 190;
const HEIGHT = 62;
/** A voice of two octaves that turns over in the middle, to show what the rules do in any voice. */
const VOICE = { type: 'mezzo-soprano', floor: 57, ceiling: 78, bridges: [66], speakingNote: 60 } as const;

/** Tonics of the pattern in a voice like any other; `null` where it does not fit. */
function keysOf(work: PatternWork): readonly { readonly low: number; readonly high: number }[] | null {
  try {
    const pattern = parsePattern(work.pattern, { mode: work.mode });
    const { floor, ceiling, ...voice } = VOICE;
    const proposal = proposeStart({ pattern, floor, ceiling, placement: work.placement, voice });
    if (!proposal) return null;
    const { travel, step, mostKeys } = work;
    const { rungs } = buildLadder({
      pattern,
      floor,
      ceiling,
      start: proposal.start,
      step,
      travel,
      tempo: work.tempo.usual,
      ...(mostKeys !== undefined && { maxKeys: mostKeys }),
    });
    return rungs;
  } catch {
    return null;
  }
}

/** Where an exercise starts in a voice and how it travels, as a row of small bars between floor and ceiling. */
export function PlacementPicture({ work }: { readonly work: PatternWork }): ReactElement {
  const { t } = useTranslation();
  const keys = keysOf(work) ?? [];
  const y = (midi: number): number =>
    HEIGHT - 6 - ((midi - VOICE.floor) / (VOICE.ceiling - VOICE.floor)) * (HEIGHT - 12);
  const each = (WIDTH - 12) / Math.max(12, keys.length);
  return (
    <svg
      className={classes['placement']}
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${String(WIDTH)} ${String(HEIGHT)}`}
      role="img"
      aria-label={t('shelf.sheet.placementPicture', { count: keys.length })}
    >
      <line x1="0" x2={WIDTH} y1={y(VOICE.ceiling)} y2={y(VOICE.ceiling)} />
      <line x1="0" x2={WIDTH} y1={y(VOICE.floor)} y2={y(VOICE.floor)} />
      <line x1="0" x2={WIDTH} y1={y(VOICE.bridges[0])} y2={y(VOICE.bridges[0])} strokeDasharray="3 4" />
      {keys.map(({ low, high }, index) => (
        <rect
          key={`${String(index)}-${String(low)}`}
          x={6 + index * each}
          width={Math.max(3, each - 2)}
          y={y(high)}
          height={Math.max(3, y(low) - y(high))}
          rx="2"
        />
      ))}
    </svg>
  );
}
