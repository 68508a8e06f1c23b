import type { z } from 'zod';

type Issue = z.core.$ZodIssue;

const KINDS: Readonly<Record<string, string>> = {
  string: 'a text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'yes or no',
  array: 'a list',
  object: 'a group of fields',
};
const UNITS: Readonly<Record<string, string>> = { string: ' characters', array: ' entries' };

function told(issue: Issue): string {
  switch (issue.code) {
    case 'too_small':
      return issue.origin === 'string' || issue.origin === 'array'
        ? `needs at least ${String(issue.minimum)}${UNITS[issue.origin] ?? ''}`
        : `is under ${String(issue.minimum)}`;
    case 'too_big':
      return issue.origin === 'string' || issue.origin === 'array'
        ? `has more than ${String(issue.maximum)}${UNITS[issue.origin] ?? ''}`
        : `is over ${String(issue.maximum)}`;
    case 'invalid_type':
      return issue.message.endsWith('received undefined')
        ? 'is missing'
        : `should be ${KINDS[issue.expected] ?? issue.expected}`;
    case 'invalid_value':
      return `is none of ${issue.values.map(String).join(', ')}`;
    case 'unrecognized_keys':
      return `has a field that is not known: ${issue.keys.join(', ')}`;
    case 'invalid_union':
      return 'is of no known kind';
    case 'invalid_format':
      return 'has a form that cannot be read';
    default:
      return issue.message;
  }
}

/** One thing that is wrong with checked data: where, and what is the matter there. */
export interface ShapeProblem {
  readonly path: readonly (string | number)[];
  readonly message: string;
}

/** All that is wrong with checked data; a field that is not known stands at its own place. */
export function shapeProblems({ issues }: Pick<z.ZodError, 'issues'>): readonly ShapeProblem[] {
  return issues.flatMap((issue): readonly ShapeProblem[] => {
    const path = issue.path.map((part) => (typeof part === 'symbol' ? String(part) : part));
    return issue.code === 'unrecognized_keys'
      ? issue.keys.map((key) => ({ path: [...path, key], message: `${key} is not a field of this request` }))
      : [{ path, message: told(issue) }];
  });
}

/**
 * What is wrong with checked data, in words for people: the place, counted from one, and what is the matter there.
 *
 * @example a second cue without a text: “cues 2 text” is missing
 */
export function issueSentence({ issues: [issue] }: Pick<z.ZodError, 'issues'>): string {
  if (!issue) return 'cannot be read';
  const place = issue.path.map((part) => (typeof part === 'number' ? String(part + 1) : String(part))).join(' ');
  return place === '' ? told(issue) : `“${place}” ${told(issue)}`;
}
