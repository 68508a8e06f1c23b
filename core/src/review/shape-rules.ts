import { STAGES } from '../limits/index.ts';
import { isSungWork } from '../shelf/index.ts';
import type { LaidStep } from '../routine/index.ts';
import { exerciseFor, placeBeforeCoolDown, removeFix, swapFix } from './find-relative.ts';
import type { Fix, Reviewed, Rule, Said } from './finding.types.ts';
import { REVIEW_FIGURES as FIGURES } from './review.data.ts';

const rank = ({ exercise }: LaidStep): number => STAGES.indexOf(exercise.stage);

/** Whether a step ends lower than it began, or was never up. */
function comesDown({ laid, exercise }: LaidStep): boolean {
  if (laid?.kind === 'siren') {
    const last = laid.siren.pieces.at(-1);
    return last !== undefined && last.to <= last.from;
  }
  if (laid?.kind !== 'pattern') return exercise.stage === 'cool';
  const { rungs } = laid.ladder;
  const last = rungs.at(-1)?.tonic ?? 0;
  return last <= (rungs[0]?.tonic ?? last) || last < Math.max(...rungs.map(({ tonic }) => tonic));
}

function coolFix(reviewed: Reviewed): readonly Fix[] {
  const { context, sung } = reviewed;
  const cool = exerciseFor(context, sung.length, (one) => one.stage === 'cool' && isSungWork(one));
  return cool
    ? [
        {
          said: { code: 'fix.end-with', values: { name: cool.name } },
          patch: { op: 'add', exerciseId: cool.id, at: context.steps.length },
        },
      ]
    : [];
}

const opening: Rule = ({ steps, sung, context }) => {
  const [first] = sung;
  if (!first || first.exercise.load <= FIGURES.firstLoad) return [];
  const later = sung.find(({ exercise }) => exercise.load <= 1);
  const at = later && context.steps.findIndex(({ id }) => id === first.id);
  const move: readonly Fix[] =
    later && at !== undefined
      ? [
          {
            said: { code: 'fix.begin-with', values: { name: later.exercise.name } },
            patch: { op: 'move', stepId: later.id, to: at },
          },
        ]
      : [];
  return [
    {
      rule: 'first-step',
      severity: 'warn',
      stepId: first.id,
      values: { name: first.exercise.name, load: first.exercise.load },
      fixes: [...move, ...swapFix(first, steps, context)],
    },
  ];
};

const loadJumps: Rule = ({ steps, sung, context }) =>
  sung.flatMap((step, index): readonly Said[] => {
    const before = sung[index - 1];
    const jump = before ? step.exercise.load - before.exercise.load : 0;
    if (!before || jump <= FIGURES.loadJump) return [];
    const between = exerciseFor(
      context,
      index,
      ({ load, stage }) =>
        load === before.exercise.load + FIGURES.loadJump &&
        STAGES.indexOf(stage) >= rank(before) &&
        STAGES.indexOf(stage) <= rank(step),
    );
    const at = context.steps.findIndex(({ id }) => id === step.id);
    return [
      {
        rule: 'load-jump',
        severity: 'warn',
        stepId: step.id,
        values: { before: before.exercise.load, load: step.exercise.load, name: step.exercise.name },
        fixes: [
          ...(between
            ? [
                {
                  said: { code: 'fix.put-between', values: { name: between.name } },
                  patch: { op: 'add', exerciseId: between.id, at },
                } satisfies Fix,
              ]
            : []),
          ...swapFix(step, steps, context),
        ],
      },
    ];
  });

const comingDown: Rule = (reviewed) => {
  const { sung } = reviewed;
  const top = Math.max(...sung.map(({ highest }) => highest ?? 0));
  const peakAt = sung.reduce((last, { highest }, index) => (highest === top ? index : last), -1);
  const peak = sung[peakAt];
  const last = sung.at(-1);
  if (!peak || !last) return [];
  const said: Said[] = [];
  const after = sung.slice(peakAt + 1);
  if (!comesDown(last) && last.laid?.kind === 'pattern')
    said.push({
      rule: 'left-high',
      severity: 'warn',
      stepId: last.id,
      values: { name: last.exercise.name },
      fixes: [
        {
          said: { code: 'fix.come-home' },
          patch: { op: 'set', stepId: last.id, settings: { travel: 'rise-return' } },
        },
      ],
    });
  if (!comesDown(peak) && !after.some(comesDown))
    said.push({
      rule: 'nothing-comes-down',
      severity: 'warn',
      stepId: peak.id,
      values: { name: peak.exercise.name },
      fixes: coolFix(reviewed),
    });
  const isHeavy = sung.some(({ exercise }) => exercise.load >= FIGURES.heavyPeakLoad);
  if (isHeavy && last.exercise.stage !== 'cool')
    said.push({
      rule: 'no-cool-down',
      severity: 'warn',
      fixes: coolFix(reviewed),
    });
  return said;
};

const earlyPeak: Rule = ({ sung, laid, context }) => {
  const heaviest = Math.max(0, ...sung.map(({ exercise }) => exercise.load));
  const [peak] = sung.filter(({ exercise }) => exercise.load === heaviest);
  if (!peak || sung.length < 4 || heaviest < FIGURES.heavyPeakLoad || peak.startsAt >= laid.seconds / 3) return [];
  const to = placeBeforeCoolDown(context) - 1;
  return [
    {
      rule: 'early-peak',
      severity: 'note',
      stepId: peak.id,
      values: { name: peak.exercise.name },
      fixes: [{ said: { code: 'fix.move-late' }, patch: { op: 'move', stepId: peak.id, to } }],
    },
  ];
};

const sameAgain: Rule = ({ steps }) =>
  steps.flatMap((step, index): readonly Said[] => {
    const run = steps.slice(Math.max(0, index - FIGURES.sameInARow + 1), index + 1);
    const goal = step.exercise.goals.find((one) => run.every(({ exercise }) => exercise.goals.includes(one)));
    const isRun =
      run.length === FIGURES.sameInARow && run.every(({ exercise }) => exercise.stage === step.exercise.stage);
    // Gentle work may well be all of one kind: on some days there is little else.
    if (!goal || !isRun || step.exercise.load <= 1) return [];
    return [
      {
        rule: 'same-purpose',
        severity: 'note',
        stepId: step.id,
        values: { goal: { word: goal, of: 'goal' } },
        fixes: [removeFix(step.id)],
      },
    ];
  });

const twice: Rule = ({ steps }) =>
  steps
    .filter((step, index) => steps.findIndex(({ exercise }) => exercise.id === step.exercise.id) < index)
    .map(({ id, exercise }) => ({
      rule: 'twice-the-same',
      severity: 'note' as const,
      stepId: id,
      values: { name: exercise.name },
      fixes: [removeFix(id)],
    }));

const keyJumps: Rule = ({ sung }) =>
  sung.flatMap((step, index): readonly Said[] => {
    const before = sung[index - 1];
    if (before?.laid?.kind !== 'pattern' || step.laid?.kind !== 'pattern') return [];
    const from = before.laid.ladder.rungs.at(-1)?.tonic;
    const to = step.laid.ladder.rungs[0]?.tonic;
    if (from === undefined || to === undefined || Math.abs(to - from) <= FIGURES.keyJump) return [];
    return [
      {
        rule: 'key-jump',
        severity: 'note',
        stepId: step.id,
        values: { count: Math.abs(to - from), name: step.exercise.name },
      },
    ];
  });

const order: Rule = ({ steps }) =>
  steps.flatMap((step, index): readonly Said[] => {
    const before = steps[index - 1];
    if (!before || rank(step) >= rank(before)) return [];
    const sorted = steps.findIndex((other) => rank(other) > rank(step));
    return [
      {
        rule: 'out-of-order',
        severity: 'note',
        stepId: step.id,
        values: { name: step.exercise.name, before: before.exercise.name },
        fixes: [{ said: { code: 'fix.put-in-order' }, patch: { op: 'move', stepId: step.id, to: sorted } }],
      },
    ];
  });

export const SHAPE_RULES: readonly Rule[] = [
  opening,
  loadJumps,
  comingDown,
  earlyPeak,
  sameAgain,
  twice,
  keyJumps,
  order,
];
