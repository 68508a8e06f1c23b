import { isAdultType, REFERENCE_RANGES, type ReferenceName, type VoiceType } from '../voice/index.ts';
import type { RangePath } from './limits.types.ts';
import type { RuleRow } from './rule-rows.data.ts';

/** House choice: how far a teacher may move a figure of the reference, grown voices and young ones, semitones. */
const MAY_MOVE = { grown: 7, young: 3 };

type Part = RangePath extends `ranges.${ReferenceName}.${infer Rest}` ? Rest : never;

function rowsOf(name: ReferenceName): readonly RuleRow[] {
  const { usual, comfortable, bridges } = REFERENCE_RANGES[name];
  const figures: readonly (readonly [Part, number | undefined])[] = [
    ['usual.low', usual.low],
    ['comfortable.low', comfortable.low],
    ['bridges.0', bridges[0]],
    ['bridges.1', bridges[1]],
    ['comfortable.high', comfortable.high],
    ['usual.high', usual.high],
  ];
  const far = isAdultType(name as VoiceType) ? MAY_MOVE.grown : MAY_MOVE.young;
  return figures.flatMap(([part, note]) =>
    note === undefined
      ? []
      : [
          {
            path: `ranges.${name}.${part}` as const,
            unit: 'note' as const,
            min: note - far,
            max: note + far,
          },
        ],
  );
}

export const RANGE_NAMES = Object.keys(REFERENCE_RANGES) as readonly ReferenceName[];

/** One row a figure of the reference ranges: notes a teacher can change. */
export const RANGE_ROWS: readonly RuleRow[] = RANGE_NAMES.flatMap(rowsOf);

/** Pairs of rows of which the first may not be above the second. */
export const RANGES_IN_ORDER: readonly (readonly [RangePath, RangePath])[] = RANGE_NAMES.flatMap((name) => [
  [`ranges.${name}.usual.low`, `ranges.${name}.comfortable.low`],
  [`ranges.${name}.comfortable.low`, `ranges.${name}.comfortable.high`],
  [`ranges.${name}.comfortable.high`, `ranges.${name}.usual.high`],
  ...(REFERENCE_RANGES[name].bridges.length > 1
    ? [[`ranges.${name}.bridges.0`, `ranges.${name}.bridges.1`] as const]
    : []),
]);
