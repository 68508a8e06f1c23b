import type { Statement } from '../statement.ts';
import type {
  AdultType,
  Burden,
  Condition,
  Occasion,
  ReferenceName,
  ReferenceTable,
  Register,
  Style,
  Voice,
} from '../voice/index.ts';

/** Stages of a warm-up, in the order they are sung. */
export const STAGES = [
  'settle',
  'breath',
  'release',
  'occluded',
  'resonance',
  'onset',
  'middle',
  'registers',
  'range',
  'agility',
  'dynamics',
  'tone',
  'words',
  'style',
  'cool',
] as const;
export type Stage = (typeof STAGES)[number];
export const EXERCISE_KINDS = ['pattern', 'siren', 'breath', 'timed', 'spoken'] as const;
export type ExerciseKind = (typeof EXERCISE_KINDS)[number];

/** Minutes from which a row of the shape of a warm-up holds. */
export const DRAFT_LENGTHS = ['3', '5', '8', '10', '12', '15', '20', '30', '45'] as const;
export type DraftLength = (typeof DRAFT_LENGTHS)[number];

/** The numbers the limits rest on. Semitones, MIDI notes, hours, years, steps, degrees of resistance; shares of the range or the tempo. */
export interface RuleTable {
  /** Who set the figures that are not the reference's, by row. */
  readonly changed?: Readonly<Partial<Record<RulePath, FigureSource>>>;
  readonly margin: { readonly usual: number; readonly most: number; readonly leastRange: number };
  readonly style: Readonly<Record<Style, number>>;
  readonly condition: Readonly<Record<Burden | 'mostDrop' | 'mostShare', number>>;
  readonly performance: { readonly nothingNewHours: number; readonly closeHours: number; readonly closeDelta: number };
  readonly home: { readonly narrower: number; readonly narrowerWhenNew: number };
  /** Occluded, sirens and light register. */
  readonly gentle: { readonly ceiling: number; readonly floor: number };
  /** Resistance 1–4 of occluded work that a tired voice may meet. */
  readonly occluded: { readonly mostResistanceTired: number };
  /** Release, onset and resonance, and the opening of a routine. */
  readonly modest: { readonly belowTop: number; readonly leastWidth: number };
  readonly extension: { readonly overTop: number; readonly afterSungSteps: number };
  /** Highest chest-led note by default, MIDI. */
  readonly belt: Readonly<Record<AdultType, number>>;
  /** Semitones that grit keeps off both ends, and the days until it comes again. */
  readonly grit: { readonly keepsOff: number; readonly everyDays: number };
  /** First sung steps, and how far below the comfortable top occluded ladders stay in them. */
  readonly opening: { readonly sungSteps: number; readonly occludedBelowTop: number };
  /** Ages in years, tops as MIDI notes. */
  readonly young: Readonly<
    Record<
      'teenFrom' | 'grownFrom' | 'noBeltUnder' | 'speechMixUnder' | 'speechMixTop' | 'mixTop' | 'noGritUnder',
      number
    >
  >;
  readonly changing: { readonly pastMiddle: number };
  /** The longest stretch without a rest, seconds: a child, a beginner or an older voice, usual; and the share of it while recovering. */
  readonly breath: Readonly<Record<'child' | 'beginner' | 'usual' | 'recoveringShare', number>>;
  /** Seconds to explain an exercise: one that is new to the student, and one that is known. */
  readonly setUp: Readonly<Record<'whenNew' | 'whenKnown', number>>;
  readonly older: { readonly from: number; readonly tempoShare: number; readonly firstSpan: number };
  /** Exercises of a warm-up of so many minutes, at least and at most. */
  readonly draftLeast: Readonly<Record<DraftLength, number>>;
  readonly draftMost: Readonly<Record<DraftLength, number>>;
  /** How a warm-up is shaped: shares of its minutes or of its exercises, and seconds. */
  readonly draft: Readonly<
    Record<
      | 'coolDownShare'
      | 'coolDownLeast'
      | 'coolDownShort'
      | 'coolDownAfterHeavy'
      | 'explainFirst'
      | 'explainShort'
      | 'explainLater'
      | 'comesBack'
      | 'another'
      | 'childMost',
      number
    >
  >;
  /** What a voice starts from before anything was measured, and the caps of the young. */
  readonly ranges: ReferenceTable;
}

type Figures<T> = {
  [K in keyof T & string]: T[K] extends Readonly<Record<string, number>> ? `${K}.${keyof T[K] & string}` : never;
}[keyof T & string];

/** The address of one figure in the rule table, such as `condition.tired`. */
export type RulePath = Figures<Omit<RuleTable, 'changed' | 'ranges'>> | RangePath;

/** The part of the rule table a row belongs to. */
export type RuleGroup = Exclude<RulePath, RangePath> extends `${infer Group}.${string}` ? Group : never;

/** The address of one figure of the reference ranges, such as `ranges.tenor.usual.high`. */
export type RangePath =
  `ranges.${ReferenceName}.${'usual.low' | 'usual.high' | 'comfortable.low' | 'comfortable.high' | 'bridges.0' | 'bridges.1'}`;

export type RuleName =
  | 'base'
  | 'closed-end'
  | 'margin'
  | 'style'
  | 'advice'
  | 'condition'
  | 'performance'
  | 'home'
  | 'gentle'
  | 'extension'
  | 'modest'
  | 'belt'
  | 'grit'
  | 'opening'
  | 'changing'
  | 'age'
  | 'override'
  | 'reach'
  | 'hard-limit';

/** What a line of the ledger says. */
export type LimitCode =
  | 'limit.measured'
  | 'limit.usual'
  | 'limit.closed-end'
  | 'limit.margin'
  | 'limit.style'
  | 'limit.advice'
  | 'limit.conditions'
  | 'limit.home'
  | 'limit.home-new'
  | 'limit.performance'
  | 'limit.gentle'
  | 'limit.extension'
  | 'limit.modest'
  | 'limit.belt'
  | 'limit.speech-mix'
  | 'limit.teen-mix'
  | 'limit.heavy-notes'
  | 'limit.grit'
  | 'limit.opening'
  | 'limit.opening-occluded'
  | 'limit.changing'
  | 'limit.by-hand'
  | 'limit.by-rule'
  | 'limit.reach'
  | 'limit.hard'
  | 'limit.stage-top'
  | 'limit.child'
  | 'limit.teenager';

/** Who set a figure of the rule table that is not the reference’s. */
export type FigureSource = 'studio' | 'student';

/** Where the figure of a line comes from. */
export type LineSource = 'reference' | 'range-check' | 'teacher' | 'runs' | FigureSource;

/** One line of the ledger: what a rule did to one side, and the note after it (MIDI). */
export interface LedgerEntry {
  readonly side: 'floor' | 'ceiling';
  readonly rule: RuleName;
  readonly said: Statement<LimitCode>;
  readonly effect: { readonly delta: number } | { readonly cap: number };
  readonly result: number;
  readonly source: LineSource;
  /** Day of the measurement the line rests on, ISO. */
  readonly date?: string;
}

export interface LimitContext {
  readonly voice: Voice;
  readonly style: Style;
  readonly exercise: {
    readonly stage: Stage;
    readonly kind?: ExerciseKind;
    readonly quiet?: boolean;
    readonly register: Register;
    /** Semitones from the highest heavy note up to the top of the pattern, where notes have a register of their own; infinite where none is heavy. */
    readonly heavyBelowTop?: number;
    readonly isNew?: boolean;
    readonly extendsRange?: boolean;
    readonly grit?: boolean;
  };
  /** Patterns and sirens that came before this step in the routine. */
  readonly sungSteps: number;
  readonly conditions: readonly Condition[];
  readonly occasion: Occasion;
  readonly hoursToPerformance?: number;
  /** Deltas in semitones. */
  readonly advice?: { readonly ceiling?: number; readonly floor?: number };
  /** Notes. */
  readonly override?: {
    readonly floor?: number;
    readonly ceiling?: number;
    /** The rule a note comes from; left out it was set as a note. */
    readonly rules?: { readonly floor?: Statement<LimitCode>; readonly ceiling?: Statement<LimitCode> };
  };
  readonly rules?: RuleTable;
  /** ISO instant. */
  readonly now: string;
}

export interface Limits {
  readonly floor: number;
  readonly ceiling: number;
  /** True where nothing was measured and the reference table stands in. */
  readonly estimated: boolean;
  readonly entries: readonly LedgerEntry[];
  /** The two lines that made floor and ceiling cross. */
  readonly conflict?: readonly [LedgerEntry, LedgerEntry];
}
