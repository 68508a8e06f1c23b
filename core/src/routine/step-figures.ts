import type { Exercise, StillWork, Work } from '../shelf/index.ts';
import { FIGURE_BOUNDS, type FigureName } from './figure-bounds.data.ts';
import type { StepSettings } from './step.schema.ts';

/** Those of some figures that an object has already, set anew. */
function set<T extends object>(own: T, figures: StepSettings['figures']): T {
  const known = Object.entries(figures ?? {}).filter(([name]) => name in own);
  return known.length === 0 ? own : { ...own, ...Object.fromEntries(known) };
}

function workWith(work: Work, figures: NonNullable<StepSettings['figures']>): Work {
  switch (work.kind) {
    case 'pattern':
    case 'timed':
      return work;
    case 'siren':
    case 'spoken':
      return set(work, figures);
    case 'breath':
      return {
        ...work,
        ...(work.counts && { counts: set(work.counts, figures) }),
        ...(work.bursts && { bursts: set(work.bursts, figures) }),
        ...(work.longest && { longest: set(work.longest, figures) }),
      };
  }
}

/** Work sung on other syllables, whatever the height of the key. */
function onSyllables(work: Work, syllables: string): Work {
  switch (work.kind) {
    case 'pattern':
      return { ...work, syllables, syllablesAt: {} };
    case 'siren':
    case 'breath':
      return { ...work, syllables };
    case 'timed':
    case 'spoken':
      return work;
  }
}

/** Glides of another shape, calls from another list: what a step chooses of how the work is done. */
function asChosen(work: Work, { shape, mirrored, lines, order }: StepSettings): Work {
  switch (work.kind) {
    case 'siren':
      return { ...work, ...(shape && { shape }), ...(mirrored !== undefined && { mirrored }) };
    case 'spoken': {
      const said = lines ? [...lines] : work.lines;
      return { ...work, lines: said, order: said.length < 2 ? 'given' : (order ?? work.order) };
    }
    case 'pattern':
    case 'breath':
    case 'timed':
      return work;
  }
}

const CHOICES = ['figures', 'syllables', 'manners', 'shape', 'mirrored', 'lines', 'order'] as const;

/** An exercise with what one step sets of its work; what the step leaves out is the exercise’s own. */
export function withSettings(exercise: Exercise, settings: StepSettings): Exercise {
  if (CHOICES.every((name) => settings[name] === undefined)) return exercise;
  const { figures, syllables, manners } = settings;
  const chosen = asChosen(exercise.work, settings);
  const figured = figures ? workWith(chosen, figures) : chosen;
  const work = syllables === undefined ? figured : onSyllables(figured, syllables);
  return { ...exercise, work, ...(manners && { manners: [...manners] }) };
}

/** Work without pitch as long as a step wants it: its rounds, or its seconds. */
export function withLength(work: StillWork, { repeats, seconds }: StepSettings): StillWork {
  switch (work.kind) {
    case 'timed': {
      if (seconds === undefined) return work;
      // Prompts with seconds of their own keep their share.
      const share = seconds / work.seconds;
      const prompts = work.prompts.map((prompt) =>
        typeof prompt === 'string' || prompt.seconds === undefined
          ? prompt
          : { ...prompt, seconds: prompt.seconds * share },
      );
      return { ...work, seconds, prompts };
    }
    case 'spoken':
      return repeats === undefined ? work : { ...work, repeats };
    case 'breath':
      if (repeats === undefined) return work;
      return {
        ...work,
        ...(work.counts && { counts: { ...work.counts, cycles: repeats } }),
        ...(work.bursts && { bursts: { ...work.bursts, repeats } }),
        ...(work.longest && { longest: { ...work.longest, rounds: repeats } }),
      };
  }
}

/** How often the work of an exercise is done: glides, rounds of breath, lines; none for ladders and work by the clock. */
export function repeatsOf(work: Work): number | undefined {
  if (work.kind === 'breath') return work.counts?.cycles ?? work.bursts?.repeats ?? work.longest?.rounds;
  return 'repeats' in work ? work.repeats : undefined;
}

/** A figure of a step that a teacher may set, with what its exercise has. */
export interface SettableFigure {
  readonly name: FigureName;
  readonly usual: number;
  readonly least: number;
  readonly most: number;
}

/** Figures that a step may have of its own; a breath that is not held in the exercise is not held in a step of it. */
export function figuresOf({ work }: Exercise): readonly SettableFigure[] {
  const parts =
    work.kind === 'breath' ? (work.counts ?? work.bursts ?? work.longest ?? {}) : work.kind === 'pattern' ? {} : work;
  const own = new Map(Object.entries(parts));
  return (Object.keys(FIGURE_BOUNDS) as FigureName[]).flatMap((name) => {
    const usual: unknown = own.get(name);
    if (typeof usual !== 'number' || (name === 'holdCounts' && usual === 0)) return [];
    const [least, most] = FIGURE_BOUNDS[name];
    return [{ name, usual, least, most }];
  });
}
