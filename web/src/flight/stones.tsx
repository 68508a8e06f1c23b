import type { ReactElement, SVGProps } from 'react';
import type { Stone, StonePath } from './stones.layout.ts';
import classes from './stones.module.css';

interface StonesProps {
  readonly path: StonePath;
  /** What is written under a labelled stone. */
  readonly under: (stone: Stone) => readonly string[];
  /** Index of the key being sung; stones before it are done. */
  readonly current?: number;
  readonly turnText?: string;
  readonly marksAt?: (index: number) => string;
  /** What pressing a stone does, in words; stones without it cannot be pressed. */
  readonly pressWords?: (stone: Stone) => string | null;
  readonly onPress?: (stone: Stone) => void;
}

type Look = 'chosen' | 'done' | 'struck' | 'turn' | 'plain';

function lookOf(stone: Stone, index: number, current: number | undefined, path: StonePath): Look {
  if (stone.isStruck) return 'struck';
  if (current === undefined) return index === 0 ? 'chosen' : 'plain';
  if (index === current) return 'chosen';
  if (index < current) return 'done';
  return index === path.turnIndex ? 'turn' : 'plain';
}

/** What makes a stone a button. */
function pressing(
  stone: Stone,
  words: string | null | undefined,
  onPress: StonesProps['onPress'],
): SVGProps<SVGGElement> & { readonly 'data-pressable'?: true } {
  if (!words || !onPress) return {};
  return {
    'data-pressable': true,
    role: 'button',
    tabIndex: 0,
    'aria-label': words,
    onClick: () => {
      onPress(stone);
    },
    onKeyDown: (event) => {
      if (event.key !== 'Enter' && event.key !== ' ') return;
      event.preventDefault();
      onPress(stone);
    },
  };
}

/** A ladder as stepping stones: each key an oval at its own height, in the order it is sung. */
export function Stones({ path, under, current, turnText, marksAt, pressWords, onPress }: StonesProps): ReactElement {
  const { stones, radius, width, height } = path;
  return (
    <svg className={classes['stones']} width={width} height={height} aria-hidden={onPress === undefined}>
      <polyline className={classes['path']} points={stones.map(({ x, y }) => `${String(x)},${String(y)}`).join(' ')} />
      {stones.map((stone, index) => {
        const look = lookOf(stone, index, current, path);
        const grow = look === 'chosen' && current !== undefined ? 1.3 : 1;
        const lines = stone.isLabelled ? under(stone) : [];
        const mark = marksAt?.(index);
        return (
          <g
            key={stone.id}
            data-look={look}
            className={classes['stone']}
            {...pressing(stone, pressWords?.(stone), onPress)}
          >
            <ellipse cx={stone.x} cy={stone.y} rx={radius * 1.08 * grow} ry={radius * 0.84 * grow} />
            <text
              className={classes['key']}
              x={stone.x}
              y={stone.y + radius * 0.3 * grow}
              fontSize={radius * 0.84 * grow}
              textAnchor="middle"
            >
              {stone.key}
            </text>
            {index === path.turnIndex && turnText && (
              <text className={classes['turn']} x={stone.x} y={stone.y - radius - 8} textAnchor="middle">
                {turnText}
              </text>
            )}
            {(mark ? [mark] : lines).map((word, row) => (
              <text
                key={word}
                className={mark ? classes['mark'] : classes['under']}
                x={stone.x}
                y={stone.y + radius * 0.84 * grow + 16 + row * 14}
                textAnchor="middle"
              >
                {word}
              </text>
            ))}
          </g>
        );
      })}
    </svg>
  );
}
