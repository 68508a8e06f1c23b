import { isSounding } from '../pattern/index.ts';
import { isHeavyAt, isLoudAt } from '../shelf/index.ts';
import type { AvoidZone } from '../voice/index.ts';
import type { LaidStep } from '../routine/index.ts';
import { removeFix } from './find-relative.ts';
import type { Rule, Said } from './finding.types.ts';

/** Whether a step sounds inside a zone in the way the zone forbids. */
function touches({ laid, exercise }: LaidStep, zone: AvoidZone): boolean {
  const applies = (index: number): boolean => {
    if (zone.kind === 'not-heavy') return isHeavyAt(exercise, index);
    return zone.kind !== 'not-loud' || isLoudAt(exercise, index);
  };
  const isIn = (low: number, high: number): boolean => high >= zone.low && low <= zone.high;
  if (laid?.kind === 'siren')
    return (
      applies(0) &&
      zone.kind !== 'not-held' &&
      laid.siren.pieces.some(({ from, to }) => isIn(Math.min(from, to), Math.max(from, to)))
    );
  if (laid?.kind !== 'pattern') return false;
  const { ladder, pattern } = laid;
  const held = zone.kind === 'not-held' ? (zone.seconds ?? 0) : 0;
  return ladder.rungs.some(({ tonic, tempo }) =>
    pattern.events.some(
      (event, index) =>
        applies(index) &&
        isSounding(event) &&
        isIn(tonic + Math.min(event.from, event.to), tonic + Math.max(event.from, event.to)) &&
        (event.beats * 60) / tempo > held,
    ),
  );
}

const zones: Rule = ({ steps, context }) =>
  context.voice.avoid.flatMap((zone) => {
    const { kind, low, high } = zone;
    if (kind === 'never-sounded') return [];
    return steps
      .filter((step) => touches(step, zone))
      .map(({ id, exercise }): Said => ({
        rule: 'avoid-zone',
        about: `${String(low)}-${String(high)}-${kind}`,
        severity: 'warn',
        stepId: id,
        values: { name: exercise.name, zone: { interval: { low, high } }, context: kind },
        fixes: [
          {
            said: { code: 'fix.stop-under', values: { note: { note: low } } },
            patch: { op: 'set', stepId: id, settings: { ceiling: low - 1 } },
          },
        ],
      }));
  });

/** A glide may pass what a range check found missing; it says so, because nothing is held there. */
const glides: Rule = ({ sung, context }) =>
  sung.flatMap(({ id, exercise, laid, lowest, highest }): readonly Said[] => {
    if (laid?.kind !== 'siren' || lowest === null || highest === null) return [];
    const passed = (context.voice.gaps ?? []).filter(({ low, high }) => low > lowest && high < highest);
    if (passed.length === 0) return [];
    return [
      {
        rule: 'glide-over-gap',
        severity: 'note',
        stepId: id,
        values: { name: exercise.name, gaps: passed.map(({ low, high }) => ({ interval: { low, high } })) },
      },
    ];
  });

/** A glide that would have lost more than half to what is never sounded is sung beside it, and says so. */
const movedGlides: Rule = ({ sung }) =>
  sung.flatMap(({ id, exercise, laid, lowest, highest }): readonly Said[] => {
    const from = laid?.kind === 'siren' ? laid.siren.movedFrom : undefined;
    if (!from || lowest === null || highest === null) return [];
    return [
      {
        rule: 'glide-moved',
        severity: 'note',
        stepId: id,
        values: {
          name: exercise.name,
          glide: { interval: { low: lowest, high: highest } },
          instead: { interval: { low: from.low, high: from.high } },
        },
        fixes: [removeFix(id)],
      },
    ];
  });

/** Rules on zones and gaps of a voice. */
export const ZONE_RULES: readonly Rule[] = [zones, glides, movedGlides];
