import { isCloseToPerformance, isGentle, servesGoals } from '../day/index.ts';
import { isSounding } from '../pattern/index.ts';
import { isForVoice } from '../shelf/index.ts';
import { daysBetween } from '../voice/index.ts';
import { addFix, exerciseFor, placeBeforeCoolDown, removeFix, swapFix } from './find-relative.ts';
import type { Rule, Said } from './finding.types.ts';
import { REVIEW_FIGURES as FIGURES } from './review.data.ts';

const measurement: Rule = ({ context: { voice, now }, steps }) => {
  if (!voice.measured)
    return steps.some(({ limits }) => limits?.estimated)
      ? [
          {
            rule: 'estimated',
            severity: 'note',
          },
        ]
      : [];
  const days = daysBetween(voice.measured.date, now.slice(0, 10));
  const most = voice.type === 'changing' ? FIGURES.checkDaysChanging : FIGURES.checkDays;
  return days <= most ? [] : [{ rule: 'old-check', severity: 'note', values: { count: days } }];
};

const performance: Rule = ({ steps, context }) => {
  if (!isCloseToPerformance(context)) return [];
  return steps.flatMap(({ id, exercise, problem }): readonly Said[] => {
    if (problem) return [];
    const fixes = [...swapFix({ id, exercise }, steps, context), removeFix(id)];
    if (exercise.extendsRange)
      return [
        {
          rule: 'extends-before-performance',
          severity: 'warn',
          stepId: id,
          values: { name: exercise.name },
          fixes,
        },
      ];
    if (isGentle(exercise) || context.known.has(exercise.id)) return [];
    return [
      {
        rule: 'new-before-performance',
        severity: 'warn',
        stepId: id,
        values: { name: exercise.name },
        fixes: [removeFix(id)],
      },
    ];
  });
};

const song: Rule = ({ laid, sung, context: { song: demands, kind } }) => {
  if (!demands || sung.length === 0 || !servesGoals(kind)) return [];
  const { highest, fastestNotesPerSecond } = demands;
  const said: Said[] = [];
  if (highest !== undefined && (laid.highest ?? 0) < highest)
    said.push({
      rule: 'song-top',
      severity: 'note',
      values: { top: { note: highest }, highest: { note: laid.highest ?? highest } },
    });
  const fastest = Math.max(
    0,
    ...sung.flatMap(({ laid: way }) => {
      if (way?.kind !== 'pattern') return [];
      const quickest = Math.max(...way.ladder.rungs.map(({ tempo }) => tempo));
      return way.pattern.events.filter(isSounding).map(({ beats }) => quickest / 60 / beats);
    }),
  );
  if (fastestNotesPerSecond !== undefined && fastest < fastestNotesPerSecond)
    said.push({
      rule: 'song-run',
      severity: 'note',
      values: { song: { decimal: fastestNotesPerSecond }, fastest: { decimal: fastest } },
    });
  return said;
};

const goals: Rule = ({ steps, sung, context }) => {
  if (sung.length === 0 || !servesGoals(context.kind)) return [];
  const isClose = isCloseToPerformance(context);
  const wanted = context.goals ?? context.voice.goals;
  return wanted
    .filter((goal) => !steps.some(({ exercise, settings }) => exercise.goals.includes(goal) || settings.overlay))
    .flatMap((goal): readonly Said[] => {
      const serving = exerciseFor(
        context,
        sung.length,
        (one) => one.goals.includes(goal) && isForVoice(one, context.voice.type) && !(isClose && one.extendsRange),
      );
      // Close to a performance some goals rest.
      if (!serving && isClose) return [];
      const at = placeBeforeCoolDown(context);
      return [
        {
          rule: 'goal-untouched',
          about: goal,
          severity: 'note',
          values: { goal: { word: goal, of: 'goal' } },
          fixes: serving ? [addFix(serving, at)] : [],
        },
      ];
    });
};

/** Rules on what a routine is for: goals, song, performance, and how well the voice is known. */
export const WISH_RULES: readonly Rule[] = [measurement, performance, song, goals];
