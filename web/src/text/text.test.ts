import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { APPROACH_CHOICES, LOSSES } from '@soft-lark/core';
import { en } from './en.ts';
import { front } from './en-front.ts';
import { text } from './i18n.ts';

interface Texts {
  readonly [name: string]: string | Texts | readonly (string | Texts)[];
}

function leavesOf(texts: object, path: string): readonly (readonly [string, string])[] {
  return Object.entries(texts as Texts).flatMap(([name, value]) =>
    typeof value === 'string' ? [[path + name, value] as const] : leavesOf(value, `${path}${name}.`),
  );
}

const LEAVES = leavesOf(en, '');
const PLURAL = /_(zero|one|other)$/;
const placesIn = (words: string): readonly string[] =>
  [...words.matchAll(/\{\{(\w+)\}\}/g)].map(([, name]) => name ?? '');

/** Everything the pages are written in, but for the catalogue and the tests. */
function sources(): string {
  const root = join(__dirname, '..');
  return readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !/(^|\/)text\/en|\.test\.|\.gen\./.test(file))
    .map((file) => readFileSync(join(root, file), 'utf8'))
    .join('\n');
}

test('every text of the catalogue is asked for somewhere', () => {
  const code = sources();
  const named = new Set([...code.matchAll(/['"`]([a-z]\w*(?:\.[\w-]+)+)['"`]/gi)].map(([, name]) => name));
  const patterns = [...code.matchAll(/`([a-z]\w*\.[^`\n]*\$\{[^`\n]*)`/gi)].map(
    ([, pattern = '']) => new RegExp(`^${pattern.replaceAll('.', '\\.').replace(/\$\{[^}]*\}/g, '[^.]+')}`),
  );
  const isAskedFor = (path: string): boolean => {
    const parts = path.replace(PLURAL, '').split('.');
    // Lists are asked for whole.
    const heads = parts.map((_, index) => parts.slice(0, index + 1).join('.')).slice(1);
    const isInList = parts.some((part) => /^\d+$/.test(part));
    return (
      named.has(parts.join('.')) ||
      patterns.some((pattern) => pattern.test(parts.join('.'))) ||
      (isInList && heads.some((head) => named.has(head)))
    );
  };
  expect(LEAVES.length).toBeGreaterThan(1000);
  expect(LEAVES.map(([path]) => path).filter((path) => !isAskedFor(path))).toEqual([]);
});

test('every text is clean: no stray spaces, no open brackets, quotation marks in pairs', () => {
  const isClean = (words: string): boolean =>
    !/ {2}|\.\.(?!\.)|"/.test(words) &&
    words.replace(/\{\{\w+\}\}/g, '').search(/[{}]/) < 0 &&
    words.split('“').length === words.split('”').length;
  expect(LEAVES.filter(([, words]) => words.trim() === '' || !isClean(words))).toEqual([]);
});

test('what is counted has a word for one and for several, and both say of what', () => {
  const all = new Map(LEAVES);
  const counted = LEAVES.filter(([path]) => PLURAL.test(path));
  expect(counted.length).toBeGreaterThan(30);
  for (const [path, words] of counted) {
    const other = all.get(path.replace(PLURAL, '_other')) ?? all.get(path.replace(PLURAL, ''));
    expect([path, other]).not.toEqual([path, undefined]);
    const wanted = placesIn(other ?? '').filter((name) => name !== 'count');
    const missing = wanted.filter((name) => !placesIn(words).includes(name));
    // None and one may be written out where several are a figure.
    expect([path, missing.filter((name) => name !== 'number')]).toEqual([path, []]);
  }
});

test.each([
  ...Object.entries(APPROACH_CHOICES).flatMap(([question, choices]) => [
    `approach.${question}.question`,
    ...choices.map((choice) => `approach.${question}.${choice}`),
  ]),
  ...LOSSES.map((code) => `said.${code}`),
])('%s has its words', (path) => {
  expect(text.exists(path)).toBe(true);
});

/** A file and everything it takes with it when it is loaded. */
function loadedWith(file: string, seen = new Set<string>()): ReadonlySet<string> {
  if (seen.has(file) || !existsSync(file)) return seen;
  seen.add(file);
  const taken = readFileSync(file, 'utf8').matchAll(/^(?:import|export)\s(?!type\s)(?:[^;]*?from )?'(\.[^']+)'/gm);
  for (const [, path = ''] of taken) loadedWith(join(dirname(file), path), seen);
  return seen;
}

test.each(['main.tsx', 'places/entry/entry-place.tsx', 'places/home/home-place.tsx'])(
  '%s says nothing that is loaded with the studio alone',
  (start) => {
    // What the core says of a studio is sent out of a studio only.
    const others = Object.keys(en).filter((name) => !Object.hasOwn(front, name));
    const said = new RegExp(`['\`]((?:${others.join('|')})\\.[\\w.$\\{\\}]+)`, 'g');
    const files = [...loadedWith(join(__dirname, '..', start))].filter((file) => !/text\/(en|say)/.test(file));
    const strays = files.flatMap((file) => [...readFileSync(file, 'utf8').matchAll(said)].map(([, key]) => key));
    expect(files.length).toBeGreaterThan(10);
    expect(strays).toEqual([]);
  },
);
