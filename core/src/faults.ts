import type { z } from 'zod';
import type { Statement } from './statement.ts';

/**
 * What may be the matter with a value, by codes that are public and never renamed. Beside each stands the English of logs
 * and of whoever asks a server without a page, filled from the values; a page has its own words.
 */
const FAULTS = {
  'bad-characters': 'holds characters that cannot be shown',
  'breath-of-many-kinds': 'goes by counts, in goes or as long as it lasts: one of them',
  'common-password': 'is among the passwords that are tried first; take another',
  'has-account': 'has an account already',
  'later-form': 'was written by a later version, in a form of its own',
  missing: 'is missing',
  'no-calendar-day': 'is not a day of the calendar',
  'no-count': 'has no count at all',
  'no-day': 'should be a day such as 2026-11-25',
  'no-email': 'should be an e-mail address',
  'no-fields': 'should be a group of fields',
  'no-form': 'has a form that cannot be read',
  'no-growth': 'is not more than it begins with',
  'no-id': 'is not an id',
  'no-instant': 'should be an instant such as 2026-11-25T15:00:00Z',
  'no-known-kind': 'is of no known kind',
  'no-list': 'should be a list',
  'no-note': 'has no note',
  'no-number': 'should be a number',
  'no-rule-row': 'is no row of the rule table',
  'no-text': 'should be a text',
  'no-time': 'should be a time such as 15:30',
  'no-time-zone': 'should be a time zone such as Europe/London',
  'no-whole-number': 'should be a whole number',
  'no-yes-or-no': 'should be yes or no',
  'not-among': 'is none of {words}',
  'not-complete': 'is not complete',
  'not-kept': 'holds characters that cannot be kept',
  'not-offered': 'is an answer that is not offered',
  'not-on-the-shelf': 'is not on the shelf',
  'not-over': 'should be over {least}',
  other: '{text}',
  'prompts-too-long': 'is less than its prompts take together',
  'same-end': 'is the same note as the other end',
  'too-deep': 'is nested too deep',
  'too-few': 'needs at least {count} entries',
  'too-few-to-draw': 'needs at least two entries to draw from',
  'too-high': 'is over {most}',
  'too-long': 'has more than {count} characters',
  'too-low': 'is under {least}',
  'too-many': 'has more than {count} entries',
  'too-many-fields': 'has too many fields',
  'too-much': 'holds more than can be taken at once',
  'too-short': 'needs at least {count} characters',
  twice: 'holds one entry twice',
  unknown: 'is no field that is known',
  'whole-between': 'should be a whole number from {least} to {most}',
  'wrong-password': 'is not the password of this account',
} as const;

export type FaultCode = keyof typeof FAULTS;

/** What is the matter with a value. */
export interface Fault extends Statement<`fault.${FaultCode}`> {
  readonly values?: Readonly<Record<string, string | number>>;
}

/** Something that is wrong with checked data: where, and what is the matter there. */
export interface PlacedFault extends Fault {
  readonly path: readonly (string | number)[];
}

/** The first thing that is wrong with what was read: its place, names of fields and numbers counted from one, and the matter. */
export type FaultSentence =
  Fault | (Statement<'fault.at'> & { readonly values: { readonly place: string; readonly fault: Fault } });

export function faultOf(code: FaultCode, values?: Fault['values']): Fault {
  return { code: `fault.${code}`, ...(values && { values }) };
}

/** A fault in English, for logs. */
export function faultMessage({ code, values = {} }: Fault): string {
  const message: string = FAULTS[code.slice('fault.'.length) as FaultCode];
  return message.replace(/\{(\w+)\}/g, (_, name: string) => String(values[name] ?? ''));
}

/** What a rule of a schema says where it does not hold. */
export function broken(code: FaultCode): { readonly message: string; readonly params: { readonly fault: Fault } } {
  const fault = faultOf(code);
  return { message: faultMessage(fault), params: { fault } };
}

type Issue = z.core.$ZodIssue;

const KINDS: Readonly<Record<string, FaultCode>> = {
  string: 'no-text',
  number: 'no-number',
  int: 'no-whole-number',
  boolean: 'no-yes-or-no',
  array: 'no-list',
  object: 'no-fields',
};

function faultIn(issue: Issue): Fault {
  switch (issue.code) {
    case 'too_small': {
      const least = Number(issue.minimum);
      if (issue.origin === 'string') return faultOf('too-short', { count: least });
      if (issue.origin === 'array') return faultOf('too-few', { count: least });
      return faultOf(issue.inclusive === false ? 'not-over' : 'too-low', { least });
    }
    case 'too_big': {
      const most = Number(issue.maximum);
      if (issue.origin === 'string') return faultOf('too-long', { count: most });
      return issue.origin === 'array' ? faultOf('too-many', { count: most }) : faultOf('too-high', { most });
    }
    case 'invalid_type':
      return faultOf(
        issue.message.endsWith('received undefined') ? 'missing' : (KINDS[issue.expected] ?? 'no-known-kind'),
      );
    case 'invalid_value':
      return faultOf('not-among', { words: issue.values.map(String).join(', ') });
    case 'invalid_union':
      return faultOf('no-known-kind');
    case 'invalid_format':
      return faultOf('no-form');
    case 'custom':
      return (issue.params?.['fault'] as Fault | undefined) ?? faultOf('other', { text: issue.message });
    default:
      return faultOf('other', { text: issue.message });
  }
}

/** All that is wrong with checked data; a field that is not known stands at its own place. */
export function faultsOf({ issues }: Pick<z.ZodError, 'issues'>): readonly PlacedFault[] {
  return issues.flatMap((issue): readonly PlacedFault[] => {
    const path = issue.path.map((part) => (typeof part === 'symbol' ? String(part) : part));
    return issue.code === 'unrecognized_keys'
      ? issue.keys.map((key) => ({ path: [...path, key], ...faultOf('unknown') }))
      : [{ path, ...faultIn(issue) }];
  });
}

/** @example a second cue without a text: “cues 2 text” is missing */
export function firstFault(error: Pick<z.ZodError, 'issues'>): FaultSentence {
  const [first] = faultsOf(error);
  if (!first) return faultOf('no-form');
  const { path, ...fault } = first;
  const place = path.map((part) => (typeof part === 'number' ? String(part + 1) : part)).join(' ');
  return place === '' ? fault : { code: 'fault.at', values: { place, fault } };
}

/** The first thing that is wrong, in English, for logs. */
export function faultLine(sentence: FaultSentence): string {
  if (sentence.code !== 'fault.at') return faultMessage(sentence);
  const { place, fault } = sentence.values;
  return `“${place}” ${faultMessage(fault)}`;
}
