import type { DraftCode, MissingCode, WhyNotCode } from '@soft-lark/core';
import type { Tail, Texts } from './texts.types.ts';

/** Why a step was taken; the first two stand in one sentence. */
export const draft = {
  pinned: 'pinned',
  prepares: 'prepares {{needs}} of the song',
  serves: 'serves {{goals}}',
  'brings-down': 'brings the voice down again',
  'never-left-out': 'gentle work that is never left out',
  'for-young': 'made for young voices',
  known: 'known already',
  new: 'new: {{why}}',
  'a-change': 'a change from the last runs',
  'comes-back': 'comes back from the last run',
  'comes-back_turned': 'comes back from the last run; {{turned}}',
  slower: 'marked twice, so slower',
  lower: 'marked twice, so not as high',
  faster: 'easy twice, so a little faster',
  'more-keys': 'easy twice, so more keys where there is time',
  'instead-of': 'instead of “{{name}}”, which went poorly',
  'goes-on': 'goes on from “{{name}}”, which was easy twice',
  'at-learning-tempo': 'at the tempo it is learnt in',
  narrowed: 'the tune is narrowed, so that the voice has keys for it',
  'lies-over': 'the goal {{goal}} lies over it',
} as const satisfies Texts<Tail<DraftCode>>;

/** Why an exercise was not taken. */
export const not = {
  obstacle: '“{{name}}” is left out: {{obstacle}}.',
  'other-voices': '“{{name}}” is for other voices.',
  'other-style': '“{{name}}” belongs to another style.',
  'by-hand-only': '“{{name}}” is taken by the teacher’s own decision only.',
  louder: '“{{name}}” is louder than asked for.',
  'extends-close': '“{{name}}” extends the range; that rests close to a performance.',
  'new-close': '“{{name}}” is new; close to a performance nothing new is begun.',
  'other-school': '“{{name}}” belongs to another school than the one chosen ({{question}}).',
  'restores-only': '“{{name}}” extends the range; a warm-up restores it, by the approach.',
  worn: '“{{name}}” extends the range; a {{conditions}} voice rests from that.',
  'advanced-at-home': '“{{name}}” is advanced and new; it is met in a lesson first.',
  'first-lesson': '“{{name}}” is not for a first lesson.',
  'another-draft': '“{{name}}” gives way: this is another draft.',
  'no-room': '“{{name}}” has no room in this voice today.',
  'few-keys': '“{{name}}” has few keys in this voice today.',
  'under-bridge': '“{{name}}” does not reach the bridge.',
  'large-share': '“{{name}}” takes too large a share of the minutes.',
  'no-time': '“{{name}}” takes longer than the time left.',
  'second-best': '“{{name}}” suits this place better.',
  gone: 'It is not on the shelf any more.',
} as const satisfies Texts<Tail<Exclude<WhyNotCode, `problem.${string}`>>> & { readonly gone: string };

/** What a whole warm-up has and a draft could not be given. */
export const missing = {
  shelf: 'The shelf is empty.',
  anything: 'Nothing on the shelf can be done today.',
  'stage-room': 'Nothing of a stage that is sung finds room in this voice today.',
  'stage-room_occluded': 'No occluded work that is sung finds room in this voice today.',
  'stage-room_cool': 'No cool-down that is sung finds room in this voice today.',
  'stage-shelf': 'There is nothing of a stage on the shelf.',
  'stage-shelf_occluded': 'There is no occluded work on the shelf.',
  'stage-shelf_cool': 'There is no cool-down on the shelf.',
  keys: 'No tune finds room in this voice today, in any key.',
  'too-short': 'The least there is takes {{over}} more than these minutes.',
  minutes: '{{left}} of {{count}} minutes stay empty; more of the same would do this voice no good.',
  minutes_one: '{{left}} of {{count}} minute stays empty; more of the same would do this voice no good.',
} as const satisfies Texts<Tail<MissingCode>>;

/** What to do about what is missing. */
export const missingRemedy = {
  shelf: 'Bring exercises back from the archive, or write your own.',
  anything: 'What was left out says why; look at the day’s condition and at the voice file.',
  'stage-room': 'Look at range, zones and gaps on the voice file, or do a range check.',
  'stage-shelf': 'Bring one back from the archive, or write one of your own.',
  keys: 'Look at range, zones and gaps on the voice file, or do a range check.',
  'too-short': 'Allow a minute more, or unpin a step.',
  minutes: 'Allow fewer minutes, or add a step by hand.',
  'minutes_two-goes': 'Sing in two goes, with a pause between, or allow fewer minutes.',
} as const satisfies Texts<Tail<MissingCode>>;
