import { layRoutine } from '../routine/index.ts';
import { FormatError } from '../errors.ts';
import { contextOf, step } from '../testing/routine-context.ts';
import { thrownBy } from '../testing/thrown.ts';
import {
  abcBook,
  musicXmlBook,
  openRoutineFile,
  readAbc,
  readMusicXml,
  routineFileOf,
  writtenSteps,
  type RoutineFile,
} from './index.ts';

const laid = layRoutine(
  ['long-hiss', 'thirds', 'straw-slides', 'up-and-down-five'].map((id) => step(id)),
  contextOf(),
);
const steps = writtenSteps(laid);
const sungIn = (name: string): readonly (number | undefined)[] =>
  steps.find((one) => one.name === name)?.keys.flatMap(({ events }) => events.map(({ midi }) => midi)) ?? [];

test('what has notes is written out in each of its keys, in the order they are sung', () => {
  expect(steps.map(({ name }) => name)).toEqual(['Thirds', 'Up and down five']);
  const [, thirds] = laid.steps;
  const rungs = thirds?.laid?.kind === 'pattern' ? thirds.laid.ladder.rungs : [];
  expect(rungs.length).toBeGreaterThan(4);
  expect(steps[0]?.keys.map(({ tonicClass }) => tonicClass)).toEqual(rungs.map(({ tonic }) => tonic % 12));
});

test('a book of ABC has a tune for each step, with every key in it', async () => {
  const tunes = abcBook(steps).split(/(?=^X:)/m);
  expect(tunes.map((tune) => /^T:(.*)$/m.exec(tune)?.[1])).toEqual(['Thirds', 'Up and down five']);
  const back = (await readAbc(tunes[0] ?? '')).events.flatMap(({ midi }) => midi ?? []);
  expect(back).toEqual(sungIn('Thirds').filter((midi) => midi !== undefined));
});

test('MusicXML has a bar for each key, named where a step begins, and reads back to the same notes', () => {
  const score = musicXmlBook('Before the boats', steps);
  expect(score.match(/<measure /g)).toHaveLength(steps.reduce((sum, { keys }) => sum + keys.length, 0));
  expect([...score.matchAll(/<words>(.*?)<\/words>/g)].map(([, words]) => words)).toEqual([
    'Thirds',
    'Up and down five',
  ]);
  const back = readMusicXml(score).events.flatMap(({ midi }) => midi ?? []);
  expect(back).toEqual([...sungIn('Thirds'), ...sungIn('Up and down five')].filter((midi) => midi !== undefined));
});

describe('a routine as a file', () => {
  const id = '01a21348-fc40-7364-a6dd-17b7511fe55c';
  const routine: RoutineFile = {
    name: 'Before the boats',
    kind: 'home',
    minutes: 12,
    steps: [{ id, exerciseId: 'thirds', settings: { tempo: 80 }, locked: true }],
  };
  const changed = (change: object): string =>
    JSON.stringify({ ...(JSON.parse(routineFileOf(routine, [])) as object), ...change });

  test('reads back the same, with the exercises that do not ship', () => {
    const [own] = contextOf().exercises.values();
    if (!own) throw new Error('the shelf is empty');
    expect(openRoutineFile(routineFileOf(routine, [own]))).toEqual({ ...routine, exercises: [own] });
  });

  test.each([
    ['of a later version', changed({ version: 2 }), 'NEWER_FILE'],
    ['cut off', routineFileOf(routine, []).slice(0, 90), 'BROKEN_FILE'],
    ['empty', ' ', 'EMPTY_FILE'],
    ['of another kind', changed({ kind: 'soft-lark-exercises' }), 'WRONG_KIND'],
    [
      'with a setting there is not',
      changed({ steps: [{ id, exerciseId: 'thirds', settings: { loud: 9 } }] }),
      'WRONG_KIND',
    ],
    ['for an occasion there is not', changed({ for: 'picnic' }), 'WRONG_KIND'],
    ['for a thousand minutes', changed({ minutes: 1000 }), 'WRONG_KIND'],
  ])('%s is refused', (_, text, code) => {
    const error = thrownBy(() => openRoutineFile(text));
    expect(error).toBeInstanceOf(FormatError);
    expect(error).toMatchObject({ code });
  });
});
