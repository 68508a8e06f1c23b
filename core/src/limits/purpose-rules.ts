import { dayIs, isRested } from '../voice/index.ts';
import { lineOf, type Case, type Rule } from './case.ts';
import { isBeforePerformance } from './day-rules.ts';
import { cap, shift } from './ledger.ts';
import type { Statement } from '../statement.ts';
import type { LimitCode } from './limits.types.ts';
import { floorCredit } from './range-rules.ts';
import { ageFor, beltTopOf } from './young.ts';

function mayExtend(facts: Case): boolean {
  const { context, rules } = facts;
  const isWarm = context.sungSteps >= rules.extension.afterSungSteps;
  const isGrown = ageFor(context.voice) >= rules.young.grownFrom;
  return (
    Boolean(context.exercise.extendsRange) &&
    isRested(context.conditions) &&
    isWarm &&
    isGrown &&
    !isBeforePerformance(facts)
  );
}

/** 7. Gentle work and work meant to extend the range go further. */
export const purpose: Rule = (ledger, facts) => {
  const { context, rules, isOccluded, isSiren } = facts;
  const isGentle = isOccluded || isSiren || context.exercise.register === 'light';
  const lowered = isGentle
    ? shift(
        ledger,
        'floor',
        floorCredit(context.conditions, rules.gentle.floor),
        lineOf('gentle', 'limit.gentle', rules, 'gentle.floor'),
      )
    : ledger;
  if (mayExtend(facts)) {
    const line = lineOf('extension', 'limit.extension', rules, 'extension.overTop');
    return shift(lowered, 'ceiling', rules.extension.overTop + facts.margin, line);
  }
  // A credit that cancelled the condition would send a tired voice as high as a fresh one.
  if (!isGentle || dayIs(context.conditions, 'worn')) return lowered;
  return shift(lowered, 'ceiling', rules.gentle.ceiling, lineOf('gentle', 'limit.gentle', rules, 'gentle.ceiling'));
};

/** A cap below the comfortable top that still leaves a usable width. */
function modestTop({ rules, comfortable }: Case, floor: number): number {
  const leastTop = Math.min(floor + rules.modest.leastWidth, comfortable.high);
  return Math.max(comfortable.high - rules.modest.belowTop, leastTop);
}

/** 7. Release, onset and resonance stay modest. */
export const modest: Rule = (ledger, facts) => {
  const { stage } = facts.context.exercise;
  if (facts.isSiren || facts.isQuiet || !(stage === 'release' || stage === 'onset' || stage === 'resonance'))
    return ledger;
  const line = lineOf(
    'modest',
    { code: 'limit.modest', values: { stage: { word: stage, of: 'stage' } } },
    facts.rules,
    'modest.belowTop',
  );
  return cap(ledger, 'ceiling', modestTop(facts, ledger.floor), line);
};

/** 7. Heavy register ends at the belt ceiling of the voice, and of its age; lighter notes of the pattern may lie over it. */
export const belt: Rule = (ledger, { context, rules }) => {
  const { register, heavyBelowTop = register === 'heavy' ? 0 : undefined } = context.exercise;
  const top = heavyBelowTop === undefined ? null : beltTopOf(context.voice, rules);
  if (heavyBelowTop === undefined || top === null) return ledger;
  const said: Statement<LimitCode> =
    heavyBelowTop === 0 ? top.said : { code: 'limit.heavy-notes', values: { top: top.said } };
  const usual = lineOf('belt', said, rules, top.figure);
  return cap(ledger, 'ceiling', top.note + heavyBelowTop, top.figure ? usual : { ...usual, source: 'teacher' });
};

/** 7. Grit keeps off both ends. */
export const grit: Rule = (ledger, { context, rules, comfortable }) => {
  if (!context.exercise.grit) return ledger;
  const line = lineOf('grit', 'limit.grit', rules, 'grit.keepsOff');
  const raised = cap(ledger, 'floor', comfortable.low + rules.grit.keepsOff, line);
  return cap(raised, 'ceiling', comfortable.high - rules.grit.keepsOff, line);
};

/** 8. The first sung steps of a routine stay modest. */
export const opening: Rule = (ledger, facts) => {
  const { context, rules, isSiren, isQuiet } = facts;
  if (context.sungSteps >= rules.opening.sungSteps || isSiren || isQuiet) return ledger;
  if (context.exercise.stage === 'occluded') {
    const line = lineOf('opening', 'limit.opening-occluded', rules, 'opening.occludedBelowTop');
    return cap(ledger, 'ceiling', facts.comfortable.high - rules.opening.occludedBelowTop, line);
  }
  const line = lineOf('opening', 'limit.opening', rules, 'opening.sungSteps');
  return cap(ledger, 'ceiling', modestTop(facts, ledger.floor), line);
};
