import type { LimitCode, ProblemCode, RulePath } from '@soft-lark/core';
import type { Texts } from './texts.types.ts';

type Tail<Code extends string> = Code extends `${string}.${infer Name}` ? Name : never;

/** Lines of the limit ledger. */
export const limit = {
  measured: 'measured',
  usual: 'usual for a {{voice}}, not measured yet',
  'closed-end': 'what lies beyond is never sung',
  margin: 'kept inside the edge',
  style: '{{style}} style',
  advice: 'from the last runs',
  conditions: '{{conditions}} today',
  home: 'at home',
  'home-new': 'at home, and new',
  performance: 'performance within a day',
  gentle: 'gentle work goes a little further',
  extension: 'meant to extend the range',
  modest: '{{stage}} work stays modest',
  belt: 'belt ceiling',
  'speech-mix': 'speech-like mix for the young',
  'teen-mix': 'mix for a teenager',
  'heavy-notes': 'its heavy notes: {{top}}',
  grit: 'grit stays in the middle',
  opening: 'the first sung steps stay modest',
  'opening-occluded': 'occluded work opens a little below the top',
  changing: 'middle of this stage of the change',
  'by-hand': 'set by the teacher',
  'by-rule': 'set by the teacher: {{anchor}}',
  'by-rule_under': 'set by the teacher: {{count}} under {{anchor}}',
  'by-rule_over': 'set by the teacher: {{count}} over {{anchor}}',
  reach: 'never past the reach',
  hard: 'hard limit',
  'stage-top': 'top of this stage of the change',
  child: 'cap for the age of {{age}}',
  teenager: 'cap for a teenager',
} as const satisfies Texts<Tail<LimitCode>>;

/** Why a step cannot be sung, or is left out today. */
export const problem = {
  CAUTION_ON_FILE: '“{{name}}” is left out: there is a caution on file about {{caution}}.',
  NOT_FOR_YOUNG_VOICES: '“{{name}}” is belt; a voice of this age does not get it.',
  NOT_FOR_YOUNG_VOICES_grit: '“{{name}}” is grit; a voice of this age does not get it.',
  NOT_UNDER_AGE: '“{{name}}” is not for anyone under {{age}}.',
  NOT_ON_SUCH_A_DAY: '“{{name}}” is left out on a {{condition}} day.',
  TOO_NEAR_PERFORMANCE: '“{{name}}” is left out within {{hours}} hours of a performance.',
  NOT_MEASURED: '“{{name}}” is only for a voice whose range was measured.',
  OFF_WHILE_RECOVERING: '“{{name}}” is belt or grit; both rest while the voice recovers.',
  TOO_MUCH_RESISTANCE: '“{{name}}” has resistance {{resistance}} of 4; a tired voice gets {{most}} at most.',
  BREATH_OFF_TODAY: '“{{name}}” is over for today; nothing that can make the head light is done after dizziness.',
  HOLDS_OFF: '“{{name}}” holds the breath; after dizziness holds stay off.',
  HOLDS_NOT_CHOSEN: '“{{name}}” holds the breath against a clock; the approach does not.',
  GENTLE_ONLY: '“{{name}}” is more than gentle work, which is all there is today.',
  MIDDLE_ONLY: '“{{name}}” is more than modest middle work, which is all there is today.',
  LIMITS_CROSS: 'Nothing is left between the floor ({{floor}}) and the ceiling ({{ceiling}}).',
  NO_KEY_LEFT: 'Every key of this step is left out, by hand or because it would sound a note that is never sounded.',
  BAD_SETTING: 'A figure of this step cannot be used: {{setting}} is {{value}}.',
  BAD_SETTING_tempoStep: 'Changing by {{value}} from key to key, the tempo would come to a standstill.',
  SPAN_EXCEEDS_RANGE: 'The pattern spans {{count}} semitones; {{limits}} holds {{holds}}.',
  SPAN_EXCEEDS_RANGE_glide: '{{limits}} leaves no room to glide.',
  START_ABOVE_CEILING: 'From {{start}} the first key already reaches {{reached}}, over {{limit}}.',
  START_BELOW_FLOOR: 'From {{start}} the first key already reaches {{reached}}, under {{limit}}.',
} as const satisfies Texts<ProblemCode>;

/** What to do about each problem. */
export const remedy = {
  CAUTION_ON_FILE: 'Take another exercise, or take the caution off the voice file once a doctor has agreed.',
  NOT_FOR_YOUNG_VOICES: 'Take its easier relative.',
  NOT_FOR_YOUNG_VOICES_grit:
    'Take its easier relative. At sixteen or seventeen the teacher may decide otherwise in the voice file.',
  NOT_UNDER_AGE: 'Take another exercise.',
  NOT_ON_SUCH_A_DAY: 'Leave it out today, or take its easier relative.',
  TOO_NEAR_PERFORMANCE: 'Take its shorter or easier relative, and this one after the performance.',
  NOT_MEASURED: 'Do a range check first, or take its easier relative.',
  OFF_WHILE_RECOVERING: 'Leave it out today, or take its easier relative.',
  TOO_MUCH_RESISTANCE: 'Take a hum or a trill instead; the figure is in the rule table.',
  BREATH_OFF_TODAY: 'Leave it out today.',
  HOLDS_OFF: 'Turn holds on again in the voice file when you have decided so.',
  HOLDS_NOT_CHOSEN: 'Choose timed holds in the approach of the studio or of this student, or leave it out.',
  GENTLE_ONLY: 'Leave it out today.',
  MIDDLE_ONLY: 'Leave it out today.',
  LIMITS_CROSS: 'Change one of the two, or leave the step out today.',
  NO_KEY_LEFT: 'Put a key back, change the start or the step, or take another exercise.',
  BAD_SETTING: 'Set it to {{nearest}}.',
  SPAN_EXCEEDS_RANGE: 'Choose an exercise of a smaller span.',
  SPAN_EXCEEDS_RANGE_smaller: 'Sing it smaller: {{smaller}}.',
  SPAN_EXCEEDS_RANGE_glide: 'Choose a step without a glide, or widen the limits.',
  START_ABOVE_CEILING: 'Start on {{nearest}} or lower.',
  START_BELOW_FLOOR: 'Start on {{nearest}} or higher.',
} as const satisfies Texts<ProblemCode>;

/** Why a key or a piece of a glide is left out or refused. */
export const key = {
  'by-hand': 'Left out by hand.',
  zone: '{{zone}} is never sounded.',
  gap: '{{gap}} is missing from this voice.',
  over: '{{note}} is over today’s top.',
  under: '{{note}} is under today’s bottom.',
  'short-glide': 'Under a third is left of the glide here.',
  'reaches-over': 'It would reach {{reached}}, over {{limit}}.',
  'reaches-under': 'It would reach {{reached}}, under {{limit}}.',
  'no-time': 'No time for the way home.',
} as const;

/** Where a figure of a limit comes from. */
export const lineSource = {
  reference: 'usual teaching reference, schools differ',
  house: 'house reading of usual practice',
  'range-check': 'range check',
  teacher: 'the teacher',
  runs: 'runs of this exercise',
  studio: 'the studio',
  student: 'this student',
} as const;

/** A rule table that was edited into nonsense. */
export const error = {
  UNKNOWN_ROW: 'The rule table has no such row.',
  OUT_OF_BOUNDS: '“{{row}}” is {{value}}. Give a whole number from {{least}} to {{most}}.',
  OUT_OF_BOUNDS_share: '“{{row}}” is {{value}}. Give a number from {{least}} to {{most}}.',
  OUT_OF_ORDER: '“{{row}}” is {{value}}, above “{{other}}”, which is {{most}}. Lower the first or raise the second.',
} as const;

type PlainRow = Exclude<
  RulePath,
  `ranges.${string}` | `style.${string}` | `belt.${string}` | `draftLeast.${string}` | `draftMost.${string}`
>;

/** What each figure of the rule table is. */
export const row = {
  'margin.usual': 'Ordinary work stays inside both ends by',
  'margin.most': 'Largest margin of a voice file',
  'margin.leastRange': 'No margin where the comfortable range is under',
  style: '{{style}}: ceiling',
  'condition.heavy': 'Heavy today: ceiling lower by',
  'condition.tired': 'Tired today: ceiling lower by',
  'condition.recovering': 'Recovering: ceiling lower by',
  'condition.mostDrop': 'Several conditions together at most',
  'condition.mostShare': 'and at most this share of the comfortable range',
  'performance.nothingNewHours': 'Nothing new and no stretching within',
  'performance.closeHours': 'Performance close within',
  'performance.closeDelta': 'Performance close: ceiling',
  'home.narrower': 'At home: narrower at both ends by',
  'home.narrowerWhenNew': 'At home and new: narrower at both ends by',
  'gentle.ceiling': 'Occluded, glides, light: ceiling up to',
  'gentle.floor': 'Occluded, glides, light: floor',
  'occluded.mostResistanceTired': 'Tired today: resistance of occluded work at most',
  'modest.belowTop': 'Release, onset, resonance and the first steps: below the comfortable top by',
  'modest.leastWidth': 'but never narrower than',
  'opening.sungSteps': 'First sung steps that stay modest',
  'opening.occludedBelowTop': 'Occluded ladders in them: below the comfortable top by',
  'extension.overTop': 'Work that extends the range: past the comfortable top by',
  'extension.afterSungSteps': 'and only after so many sung steps',
  belt: 'Belt ceiling, {{voice}}',
  'grit.keepsOff': 'Grit keeps off both ends by',
  'grit.everyDays': 'Grit: days until it comes again (2: every other day)',
  'young.teenFrom': 'A child’s caps end and a teenager’s begin at',
  'young.grownFrom': 'Grown up from',
  'young.noBeltUnder': 'No belt under',
  'young.speechMixUnder': 'Speech-like mix only, under',
  'young.speechMixTop': 'Speech-like mix up to',
  'young.mixTop': 'Teenager’s mix up to',
  'young.noGritUnder': 'No grit under',
  'changing.pastMiddle': 'Changing voice: past the middle of the stage by',
  'breath.usual': 'One breath: longest stretch without a rest, usual (trained: 12)',
  'breath.beginner': 'One breath: a first lesson, and an older voice',
  'breath.child': 'One breath: a child',
  'breath.recoveringShare': 'One breath: share of it while recovering',
  'setUp.whenNew': 'Explaining an exercise that is new to the student',
  'setUp.whenKnown': 'Recalling one that is known',
  'older.from': 'Older voice from',
  'older.firstSpan': 'Older voice: first sung steps no wider than',
  'older.tempoShare': 'Older voice: share of the usual tempo',
  draftLeast: 'Exercises at least, from {{count}} minutes on',
  draftMost: 'Exercises at most, from {{count}} minutes on',
  'draft.coolDownShare': 'Cool-down: share of the minutes',
  'draft.coolDownLeast': 'Cool-down: at least',
  'draft.coolDownShort': 'Cool-down in five minutes and less: at least',
  'draft.coolDownAfterHeavy': 'Cool-down after heavy work',
  'draft.explainFirst': 'First lesson: share of the minutes for explaining',
  'draft.explainShort': 'First lesson of five minutes and less: the same',
  'draft.explainLater': 'Later: share of the minutes for explaining',
  'draft.comesBack': 'Share of the exercises that comes back next time',
  'draft.another': 'Another draft: share of the exercises that is new',
  'draft.childMost': 'A child: no exercise longer than',
  ranges: '{{voice}}: {{part}}',
} as const satisfies Texts<PlainRow> & Record<'style' | 'belt' | 'draftLeast' | 'draftMost' | 'ranges', string>;
