import { inOneBreath, isOlderVoice, openingPattern, goesToTheEnd, middleStart, turnedWork } from '../day/index.ts';
import { buildLadder, proposeStart, type Ladder, type LadderInput } from '../ladder/index.ts';
import { USUAL_RULES, type Limits } from '../limits/index.ts';
import { narrowPattern, type Pattern } from '../pattern/index.ts';
import { patternOfWork, type Exercise, type PatternWork } from '../shelf/index.ts';
import { neverSounded, voiceOf } from '../voice/index.ts';
import { keyWays, timesFor } from './key-ways.ts';
import type { LaidLadder, RoutineContext } from './routine.types.ts';
import type { StepSettings } from './step.schema.ts';

/** An older voice sings slower, unless the teacher set the tempo. */
function tempoOf(work: PatternWork, settings: StepSettings, context: RoutineContext): number {
  const { rules = USUAL_RULES } = context;
  return settings.tempo ?? Math.round(work.tempo.usual * (isOlderVoice(context) ? rules.older.tempoShare : 1));
}

/** The comfortable range the limits began with. */
function baseOf({ entries, floor, ceiling }: Limits): { readonly low: number; readonly high: number } {
  const first = (side: 'floor' | 'ceiling'): number | undefined => entries.find((entry) => entry.side === side)?.result;
  return { low: first('floor') ?? floor, high: first('ceiling') ?? ceiling };
}

/** The same shape in a smaller span, where the step wants one. */
function narrowedTo(pattern: Pattern, span: number | undefined): Pattern {
  return span === undefined ? pattern : (narrowPattern(pattern, span) ?? pattern);
}

/** The ladder of an input; a new one of a single key is gone through twice, since the first time is only shown. */
function shownAndSung(planned: LadderInput, isNew: boolean): { readonly input: LadderInput; readonly ladder: Ladder } {
  const ladder = buildLadder(planned);
  if (!isNew || planned.timesPerKey !== 1 || ladder.rungs.length !== 1) return { input: planned, ladder };
  const input = { ...planned, timesPerKey: 2 };
  return { input, ladder: buildLadder(input) };
}

/** Carries a pattern exercise through the keys of a voice today, within its limits. */
export function layLadder(
  { id, manners, dose }: Exercise,
  written: PatternWork,
  settings: StepSettings,
  context: RoutineContext,
  limits: Limits,
  sungSteps: number,
): LaidLadder {
  const work = turnedWork(written, context);
  const tempo = tempoOf(work, settings, context);
  const narrowed = narrowedTo(patternOfWork(work), settings.narrowTo);
  const pattern = inOneBreath(openingPattern(narrowed, sungSteps, context), tempo, context);
  const voice = voiceOf(context.voice);
  const { floor, ceiling } = limits;
  const proposal = proposeStart({ pattern, floor, ceiling, placement: settings.startRule ?? work.placement, voice });
  const travel = settings.travel ?? work.travel;
  const isFromAbove = work !== written || travel.startsWith('fall');
  const highest = isFromAbove ? middleStart(context, baseOf(limits), pattern.high) : null;
  const step = settings.step ?? work.step;
  const proposed = Math.max(floor - pattern.low, Math.min(proposal?.start ?? floor, highest ?? Infinity));
  const maxKeys = settings.maxKeys ?? work.mostKeys;
  const returnStep = settings.returnStep ?? work.returnStep;
  const { help = work.help, tempoStep = work.tempoStep, again = work.again } = settings;
  const within = Math.min(settings.withinSeconds ?? Infinity, dose?.mostSeconds ?? Infinity);
  const planned: LadderInput = {
    pattern,
    floor,
    ceiling,
    start: settings.start ?? proposed,
    step,
    travel,
    ...(returnStep !== undefined && { returnStep }),
    timesPerKey: (settings.timesPerKey ?? work.timesPerKey) * Math.max(1, manners.length) * timesFor(help),
    ...(maxKeys !== undefined && { maxKeys }),
    touchLimit: settings.touchLimit ?? goesToTheEnd(context.approach),
    tempo,
    ...(tempoStep !== undefined && { tempoStep }),
    cueBeats: settings.cueBeats ?? work.cueBeats,
    restBeats: settings.restBeats ?? work.restBeats,
    ...(again && { again }),
    avoid: neverSounded(context.voice),
    ...(context.voice.gaps && { gaps: context.voice.gaps }),
    ...(voice.bridges && { bridges: voice.bridges }),
    ...(settings.struck && { struck: settings.struck }),
    ...(settings.added && { added: settings.added }),
    ...(dose?.restAfterKeys !== undefined && { restAfter: { keys: dose.restAfterKeys, seconds: dose.restSeconds } }),
    ...(Number.isFinite(within) && { withinSeconds: within }),
  };
  const isNew = !context.known.has(id);
  const { input, ladder } = shownAndSung(planned, isNew);
  return {
    kind: 'pattern',
    pattern,
    input,
    ladder,
    ways: keyWays(ladder.rungs, manners, isNew, help),
    proposal: proposal ?? { start: input.start, movesBy: 0 },
  };
}
