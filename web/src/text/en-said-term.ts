import type { TermCode } from '@soft-lark/core';
import type { Tail, Texts } from './texts.types.ts';

/** What a term comes to. */
export const term = {
  runs: '{{count}} warm-ups were sung, lessons and home together.',
  runs_one: 'One warm-up was sung.',
  stages: 'Most of the singing was {{stages}} work.',
  'top-up': 'On ordinary days the highest note moved from {{from}} to {{to}}.',
  'top-down': 'On ordinary days the highest note came down from {{from}} to {{to}}.',
  'top-same': 'On ordinary days the highest note stayed at {{to}}.',
  'bottom-down': 'The lowest note moved from {{from}} down to {{to}}.',
  'bottom-up': 'The lowest note came up from {{from}} to {{to}}.',
  measured: 'The comfortable range, measured: {{from}} before, {{to}} on {{day}}.',
  'few-runs': 'Too few ordinary runs to say whether the range moved.',
  goal: 'The goal {{goal}}: nothing that was sung serves it.',
  'not-touched': 'Not touched at all: {{stages}}.',
  'all-touched': 'Every goal and every stage had its turn.',
  try: '“{{name}}” for {{goal}}.',
  'stood-still': '“{{name}}” has had the same tempo and top since {{since}}; something else for a while.',
  'stood-still_other': '“{{name}}” has had the same tempo and top since {{since}}; “{{other}}” instead for a while.',
  check: 'A range check: the range was never measured.',
  check_old: 'A range check: the last one is {{count}} days old.',
  'go-on': 'Go on as it is.',
} as const satisfies Texts<Tail<TermCode>>;
