import { BREATH_SHARES, mayExtend, isCloseToPerformance, servesGoals } from '../day/index.ts';
import { againstSchool, answerTo, cuesOf, opposedOn, PULL_CAUTIONS } from '../shelf/index.ts';
import { addFix, exerciseFor, removeFix, swapFix } from './find-relative.ts';
import type { Fix, Rule, Said } from './finding.types.ts';
import { REVIEW_FIGURES as FIGURES } from './review.data.ts';

const schools: Rule = ({ steps, context }) =>
  steps.flatMap(({ id, exercise }): readonly Said[] => {
    const against = againstSchool(exercise, context.approach);
    const isMute = exercise.cues.length > 0 && cuesOf(exercise, context.approach).length === 0;
    if (!against && !isMute) return [];
    const values = against
      ? { name: exercise.name, question: { word: against, of: 'pull' as const } }
      : { name: exercise.name, context: 'cues' };
    const fixes = against ? [...swapFix({ id, exercise }, steps, context), removeFix(id)] : [];
    return [{ rule: 'other-school', severity: 'note', stepId: id, values, fixes }];
  });

const contradictions: Rule = ({ steps, context }) =>
  steps.flatMap(({ id, exercise, settings }, index): readonly Said[] => {
    const other = steps.slice(0, index).find((step) => opposedOn(step.exercise, exercise) !== null);
    const question = other && opposedOn(other.exercise, exercise);
    if (!other || !question) return [];
    const caution = PULL_CAUTIONS[question];
    const isOnFile = caution !== undefined && (context.voice.cautions ?? []).includes(caution);
    if (!isOnFile && (settings.contrast || other.settings.contrast)) return [];
    const onPurpose: readonly Fix[] = isOnFile
      ? []
      : [{ said: { code: 'fix.contrast' }, patch: { op: 'set', stepId: id, settings: { contrast: true } } }];
    return [
      {
        rule: 'contradiction',
        severity: isOnFile ? 'stop' : 'warn',
        stepId: id,
        about: question,
        values: {
          name: exercise.name,
          other: other.exercise.name,
          question: { word: question, of: 'pull' },
          ...(isOnFile && { context: 'on-file' }),
        },
        fixes: [...onPurpose, removeFix(id)],
      },
    ];
  });

const breathShare: Rule = ({ laid, steps, context }) => {
  const answer = answerTo(context.approach, 'breath-share') ?? '';
  const wanted = BREATH_SHARES[answer];
  if (!wanted || laid.seconds < FIGURES.breathShareFromSeconds || !servesGoals(context.kind)) return [];
  const breath = steps.filter(({ exercise }) => exercise.stage === 'breath');
  const share = breath.reduce((sum, { seconds }) => sum + seconds, 0) / laid.seconds;
  const slack = FIGURES.breathShareSlack;
  if (share >= wanted.least - slack && share <= wanted.most + slack) return [];
  const isShort = share < wanted.least;
  const more = isShort ? exerciseFor(context, 0, ({ stage }) => stage === 'breath') : null;
  const least = [...breath].sort((a, b) => a.seconds - b.seconds)[0];
  const at = steps.findIndex(({ exercise }) => exercise.stage !== 'settle' && exercise.stage !== 'breath');
  const fixes: readonly Fix[] = more ? [addFix(more, Math.max(0, at))] : !isShort && least ? [removeFix(least.id)] : [];
  return [
    {
      rule: 'breath-share',
      severity: 'note',
      values: {
        share: { share },
        wanted: { share: isShort ? wanted.least : wanted.most },
        context: isShort ? 'least' : 'most',
      },
      fixes,
    },
  ];
};

const restoring: Rule = ({ steps, context }) =>
  steps
    .filter(
      ({ exercise, problem }) =>
        !problem && exercise.extendsRange && !isCloseToPerformance(context) && !mayExtend(exercise, context),
    )
    .map(({ id, exercise }) => ({
      rule: 'extends' as const,
      severity: 'note' as const,
      stepId: id,
      values: { name: exercise.name },
      fixes: [...swapFix({ id, exercise }, steps, context), removeFix(id)],
    }));

/** Rules on the school that was chosen, and on steps that pull against each other. */
export const SCHOOL_RULES: readonly Rule[] = [schools, contradictions, breathShare, restoring];
