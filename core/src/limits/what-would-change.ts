import { resolveLimits } from './resolve-limits.ts';
import type { LimitContext } from './limits.types.ts';
import { USUAL_RULES } from './rules.data.ts';

/** One thing that would move today's limits, and where to. MIDI. */
export interface LimitChange {
  readonly what: 'fresh' | 'later' | 'lesson' | 'no-performance' | 'no-margin' | 'no-hard-limit' | 'no-override';
  readonly floor: number;
  readonly ceiling: number;
}

function without<T extends object, K extends keyof T>(from: T, ...names: readonly K[]): Omit<T, K> {
  return Object.fromEntries(Object.entries(from).filter(([name]) => !names.includes(name as K))) as Omit<T, K>;
}

function variants(context: LimitContext): readonly (readonly [LimitChange['what'], LimitContext])[] {
  const { voice, rules = USUAL_RULES } = context;
  return [
    ['fresh', { ...context, conditions: [] }],
    ['later', { ...context, sungSteps: Math.max(context.sungSteps, rules.opening.sungSteps) }],
    ['lesson', { ...context, occasion: context.occasion === 'home' ? 'lesson' : context.occasion }],
    [
      'no-performance',
      { ...without(context, 'hoursToPerformance'), occasion: context.occasion === 'home' ? 'home' : 'lesson' },
    ],
    ['no-margin', { ...context, voice: { ...voice, margin: 0 } }],
    ['no-hard-limit', { ...context, voice: without(voice, 'hardFloor', 'hardCeiling') }],
    ['no-override', without(context, 'override')],
  ];
}

/**
 * What would change the limits of a step, one thing at a time: a fresh voice, a later place in the routine, another
 * occasion, no margin, no hard limit, no limit by hand.
 *
 * @returns only what makes a difference, in the order in which the rules are applied
 * @example tired, as the first sung step: [{ what: 'later', … }] where the opening cap is lower than the condition
 */
export function whatWouldChange(context: LimitContext): readonly LimitChange[] {
  const now = resolveLimits(context);
  return variants(context).flatMap(([what, other]) => {
    const { floor, ceiling } = resolveLimits(other);
    return floor === now.floor && ceiling === now.ceiling ? [] : [{ what, floor, ceiling }];
  });
}
