import { USUAL_RULES } from '../limits/index.ts';
import { isSounding } from '../pattern/index.ts';
import { isForVoice, isHeavyAt, isLoudAt } from '../shelf/index.ts';
import { dayIs, strongest, type AvoidZone } from '../voice/index.ts';
import { writeInterval, writeNote } from '../pitch/index.ts';
import type { LaidStep } from '../routine/index.ts';
import { removeFix, swapFix } from './find-relative.ts';
import { ownStartFixes } from './own-start.ts';
import type { Fix, ReviewContext, Rule, Said } from './finding.types.ts';

/** Problems of a step that are cautions, not keys. */
const CAUTION_CODES: ReadonlySet<string> = new Set([
  'CAUTION_ON_FILE',
  'NOT_FOR_YOUNG_VOICES',
  'NOT_UNDER_AGE',
  'NOT_ON_SUCH_A_DAY',
  'OFF_WHILE_RECOVERING',
  'BREATH_OFF_TODAY',
  'HOLDS_OFF',
  'GENTLE_ONLY',
  'MIDDLE_ONLY',
]);

const CLEARED_BY_CODE: Readonly<Record<string, 'start' | 'ceiling'>> = {
  START_ABOVE_CEILING: 'start',
  START_BELOW_FLOOR: 'start',
  LIMITS_CROSS: 'ceiling',
};

const problems: Rule = (reviewed) => {
  const { steps, context } = reviewed;
  return steps.flatMap((step): readonly Said[] => {
    const { id, exercise, problem } = step;
    if (!problem) return [];
    const isCaution = CAUTION_CODES.has(problem.code);
    const cleared = CLEARED_BY_CODE[problem.code];
    const back: readonly Fix[] = cleared
      ? [
          {
            label: 'Back to what the voice proposes',
            patch: {
              op: 'set',
              stepId: id,
              settings: {},
              clear: [cleared, 'floor', 'startRule', 'floorRule', 'ceilingRule'],
            },
          },
        ]
      : [];
    return [
      {
        rule: isCaution ? 'caution' : 'cannot-be-sung',
        severity: isCaution ? 'stop' : 'warn',
        stepId: id,
        message: `${exercise.name}: ${problem.message}`,
        fixes: [...ownStartFixes(step, reviewed), ...back, ...swapFix({ id, exercise }, steps, context), removeFix(id)],
      },
    ];
  });
};

const ownTop: Rule = ({ steps }) =>
  steps.flatMap(({ id, exercise, limits }): readonly Said[] => {
    const raised = limits?.entries.find(
      ({ side, rule, effect }) =>
        rule === 'override' && 'delta' in effect && (side === 'ceiling' ? effect.delta > 0 : effect.delta < 0),
    );
    if (!raised) return [];
    const end = raised.side === 'ceiling' ? 'top' : 'bottom';
    return [
      {
        rule: 'over-todays-limit',
        severity: 'warn',
        stepId: id,
        message: `The ${end} of “${exercise.name}” is set by hand to ${writeNote(raised.result)}, past today’s limit.`,
        fixes: [
          {
            label: 'Back to today’s limit',
            patch: { op: 'set', stepId: id, settings: {}, clear: [raised.side, `${raised.side}Rule`] },
          },
        ],
      },
    ];
  });

const needs: Rule = ({ steps, context }) =>
  steps.flatMap(({ id, exercise }, index): readonly Said[] => {
    const before = new Set(steps.slice(0, index).map((step) => step.exercise.id));
    const missing = exercise.needs.filter((need) => !before.has(need) && !context.known.has(need));
    const [first] = missing.flatMap((need) => context.exercises.get(need) ?? []);
    if (!first) return [];
    const at = context.steps.findIndex((step) => step.id === id);
    return [
      {
        rule: 'needs-first',
        severity: 'warn',
        stepId: id,
        message: `“${exercise.name}” wants “${first.name}” before it.`,
        fixes: [
          { label: `Add “${first.name}” before it`, patch: { op: 'add', exerciseId: first.id, at } },
          ...swapFix({ id, exercise }, steps, context),
        ],
      },
    ];
  });

/** Why there is no grit here today; `null` where there may be. */
function whyNoGrit({ conditions, history, rules = USUAL_RULES }: ReviewContext, isWarm: boolean): string | null {
  if (dayIs(conditions, 'grit-rests')) return `on ${strongest(conditions, 'occluded')?.why ?? 'such a day'}`;
  if ((history?.daysSinceGrit ?? Infinity) < rules.grit.everyDays)
    return history?.daysSinceGrit === 0 ? 'for the second time today' : 'again before the voice had its day of rest';
  return isWarm ? null : 'before the middle of the voice is warm';
}

const grit: Rule = ({ steps, context }) =>
  steps.flatMap(({ id, exercise, problem }, index): readonly Said[] => {
    if (!exercise.grit || problem) return [];
    const isWarm = steps
      .slice(0, index)
      .some(
        (step) =>
          step.laid?.kind === 'pattern' && (step.exercise.stage === 'middle' || step.exercise.stage === 'registers'),
      );
    const why = whyNoGrit(context, isWarm);
    if (why === null) return [];
    return [
      {
        rule: 'grit',
        severity: 'stop',
        stepId: id,
        message: `“${exercise.name}” is grit ${why}.`,
        fixes: [...swapFix({ id, exercise }, steps, context), removeFix(id)],
      },
    ];
  });

const otherVoices: Rule = ({ steps, context }) =>
  steps
    .filter(({ exercise, problem }) => !problem && !isForVoice(exercise, context.voice.type))
    .map(({ id, exercise }) => ({
      rule: 'other-voices',
      severity: 'warn' as const,
      stepId: id,
      message: `“${exercise.name}” is for other voices.`,
      fixes: swapFix({ id, exercise }, steps, context),
    }));

const fastBreaths: Rule = ({ steps }) =>
  steps.flatMap(({ id, exercise }, index): readonly Said[] => {
    const before = steps[index - 1]?.exercise;
    const isFast = (work: typeof exercise.work | undefined): boolean =>
      work?.kind === 'breath' && work.bursts !== undefined;
    if (!isFast(exercise.work) || !isFast(before?.work)) return [];
    return [
      {
        rule: 'fast-breaths',
        severity: 'warn',
        stepId: id,
        message: `Quick breaths follow quick breaths at “${exercise.name}”, without a rest between.`,
        fixes: [removeFix(id)],
      },
    ];
  });

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

const ZONE_WORDS = { 'not-held': 'holds', 'not-loud': 'sings loudly on', 'not-heavy': 'takes the heavy register into' };

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
        message: `“${exercise.name}” ${ZONE_WORDS[kind]} ${writeInterval(zone)}, which is on file as a zone to keep off.`,
        fixes: [
          { label: `Stop under ${writeNote(low)}`, patch: { op: 'set', stepId: id, settings: { ceiling: low - 1 } } },
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
        message: `“${exercise.name}” glides through ${passed.map(writeInterval).join(' and ')}, which this voice does not hold; it may jump or go silent there.`,
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
        message: `“${exercise.name}” glides ${writeInterval({ low: lowest, high: highest })} instead of ${writeInterval(from)}, clear of what is never sounded.`,
        fixes: [removeFix(id)],
      },
    ];
  });

/** Rules on what this voice may do today. */
export const VOICE_RULES: readonly Rule[] = [
  problems,
  ownTop,
  needs,
  grit,
  otherVoices,
  fastBreaths,
  zones,
  glides,
  movedGlides,
];
