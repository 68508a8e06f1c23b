import type {
  Finding,
  Missing,
  RulePath,
  SoftLarkError,
  Statement,
  StatementValue,
  StepProblem,
  Word,
} from '@soft-lark/core';
import { text } from './i18n.ts';
import { writeNote } from './note-names.ts';
import { decimalText, listText, shareText } from './numbers.ts';
import { clockText, dayText, locale } from './times.ts';

/** The text at an address of the catalogue that is put together from a code. */
function textAt(address: string, values: Readonly<Record<string, string | number>> = {}): string {
  return text.t(address, { ...values, defaultValue: address });
}

/** A goal in words: it is the teacher’s own, or the shelf’s, with dashes for spaces. */
export function goalText(goal: string): string {
  return goal.replaceAll('-', ' ');
}

/** A row of the reference ranges: a voice, a treble up to an age, or a stage of the change. */
export function referenceText(name: string): string {
  const places = [`settings.ranges.trebles.${name}`, `stagesOfChange.${name}`, `voices.${name}`];
  return textAt(places.find((place) => text.exists(place)) ?? name);
}

/** Words as they begin a line. */
function begun(words: string): string {
  return `${words.charAt(0).toLocaleUpperCase(locale())}${words.slice(1)}`;
}

function rowText(path: string): string {
  const [group = '', ...rest] = path.split('.');
  const name = rest.join('.');
  switch (group) {
    case 'style':
      return textAt('said.row.style', { style: wordText({ word: name, of: 'style' }) });
    case 'belt':
      return textAt('said.row.belt', { voice: wordText({ word: name, of: 'voice' }) });
    case 'draftLeast':
    case 'draftMost':
      return textAt(`said.row.${group}`, { count: Number(name) });
    case 'ranges': {
      const [voice = '', ...part] = rest;
      return textAt('said.row.ranges', {
        voice: referenceText(voice),
        part: textAt(`words.rangePart.${part.join('-')}`),
      });
    }
    default:
      return textAt(`said.row.${path}`);
  }
}

/** What a figure of the rule table is. */
export const ruleRowText = (path: RulePath): string => begun(rowText(path));

/** Vocabularies whose words stand by themselves elsewhere in the catalogue. */
const ELSEWHERE: Partial<Record<Word['of'], string>> = { style: 'styles', voice: 'voices', stage: 'stages' };

function wordText({ word, of }: Word): string {
  if (of === 'rule-row') return begun(rowText(word));
  const elsewhere = ELSEWHERE[of];
  const address = elsewhere === undefined ? `words.${of}.${word}` : `${elsewhere}.${word}`;
  // A word of the teacher’s own stands as it was written.
  return text.exists(address) ? textAt(address) : goalText(word);
}

function isList(value: StatementValue): value is readonly StatementValue[] {
  return Array.isArray(value);
}

function valueText(value: StatementValue): string | number {
  if (typeof value === 'string' || typeof value === 'number') return value;
  if (isList(value)) return listText(value.map((one) => String(valueText(one))));
  if ('note' in value) return writeNote(value.note);
  if ('interval' in value) return intervalText(value.interval);
  if ('day' in value) return dayText(value.day);
  if ('seconds' in value) return clockText(value.seconds);
  if ('share' in value) return shareText(value.share);
  if ('decimal' in value) return decimalText(value.decimal);
  return 'word' in value ? wordText(value) : say(value);
}

/** Two notes and all between, or the one note they are. */
function intervalText({ low, high }: { readonly low: number; readonly high: number }): string {
  return low === high ? writeNote(low) : textAt('words.interval', { low: writeNote(low), high: writeNote(high) });
}

/** What the core has to say, in the language of the page and with notes as the studio writes them. */
export function say({ code, values = {} }: Statement): string {
  return textAt(
    `said.${code}`,
    Object.fromEntries(Object.entries(values).map(([name, value]) => [name, valueText(value)])),
  );
}

/** What a problem is, and what to do about it. */
export function sayProblem({ code, values = {} }: StepProblem): { readonly message: string; readonly remedy: string } {
  return { message: say({ code: `problem.${code}`, values }), remedy: say({ code: `remedy.${code}`, values }) };
}

/** What the review has found. */
export function sayFinding({ rule, values }: Finding): string {
  return say({ code: `finding.${rule}`, values });
}

/** What a draft lacks, and what to do about it. */
export function sayMissing({ code, values = {} }: Missing): { readonly message: string; readonly remedy: string } {
  return { message: say({ code, values }), remedy: say({ code: code.replace('missing.', 'missingRemedy.'), values }) };
}

/** Several things in one sentence. */
export function saySentence(statements: readonly Statement[]): string {
  return `${begun(statements.map(say).join('; '))}.`;
}

/** What was thrown, or sent: `code` and `values` where it is one of ours. */
export interface Refused extends Pick<Error, 'message'>, Partial<Pick<SoftLarkError, 'values' | 'remedy'>> {
  readonly code?: string;
}

/** Whatever was thrown, as a refusal. */
export function refusalOf(thrown: unknown): Refused {
  return thrown instanceof Error ? thrown : { message: String(thrown) };
}

/** A refusal and what to do, in the language of the page where it knows the code, else in the words it came with. */
export function sayRefusal({ code, values = {}, message, remedy = '' }: Refused): {
  readonly message: string;
  readonly remedy: string;
} {
  const { context } = values;
  const isKnown = code !== undefined && text.exists(`said.error.${code}`, { context });
  if (!isKnown) return { message, remedy };
  const hasRemedy = text.exists(`said.errorRemedy.${code}`, { context });
  return {
    message: say({ code: `error.${code}`, values }),
    remedy: hasRemedy ? say({ code: `errorRemedy.${code}`, values }) : '',
  };
}

/** A refusal and what to do, in one line. */
export function errorText(refused: Refused): string {
  const { message, remedy } = sayRefusal(refused);
  return `${message} ${remedy}`.trim();
}
