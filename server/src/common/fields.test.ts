import 'reflect-metadata';
import { noteRangeSchema, routineStepSchema, type PitchRange, type RoutineStep } from '@soft-lark/core';
import { Problem } from './problem.ts';
import { Choice, Choices, Day, Flag, Formed, Id, Ids, Instant, Part, Parts, Pitch, Text, Whole } from './fields.ts';
import { Shape, Shapes } from './shapes.ts';
import { validationPipe } from './validation.ts';

class Inner {
  @Whole(1, 9)
  count!: number;
}

const ID = '01920000-0000-7000-8000-000000000001';
const STEP: RoutineStep = { id: ID, exerciseId: 'long-hiss', settings: {} };

/** One field of every kind there is; all of them optional but the one that has no such choice. */
class Sample {
  @Text({ max: 5, optional: true })
  line?: string;

  @Text({ max: 20, lines: true, optional: true })
  lines?: string;

  @Formed(/^\d\d:\d\d$/, 'no-time', { optional: true })
  time?: string;

  @Whole(1, 9, { optional: true })
  whole?: number;

  @Pitch({ optional: true })
  pitch?: number;

  @Choice(['up', 'down'], { optional: true })
  choice?: string;

  @Choices(['up', 'down'], { optional: true })
  choices?: string[];

  @Shape('Range', noteRangeSchema, { optional: true })
  range?: PitchRange;

  @Shapes('Step', routineStepSchema, 2, { optional: true })
  steps?: RoutineStep[];

  @Flag({ optional: true })
  flag?: boolean;

  @Id({ optional: true })
  id?: string;

  @Day({ optional: true })
  day?: string;

  @Instant({ optional: true })
  instant?: string;

  @Part(() => Inner, { optional: true })
  part?: Inner;

  @Parts(() => Inner, 2, { optional: true })
  parts?: Inner[];
}

class Lists {
  @Ids(1, 2)
  ids!: string[];
}

const pipe = validationPipe();

/** What is said of a body, field by field; nothing where it is taken. */
async function saidOf(metatype: new () => object, body: unknown): Promise<readonly string[]> {
  try {
    await pipe.transform(body, { type: 'body', metatype });
    return [];
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
    const { errors = [] } = error.extras;
    return errors.map(({ field, message }) => `${field} ${message}`);
  }
}

test.each<[string, Sample]>([
  ['nothing', {}],
  ['a line', { line: 'a' }],
  ['a line as long as may be', { line: 'abcde' }],
  ['several lines', { lines: 'one\ntwo\tthree' }],
  ['a time', { time: '15:30' }],
  ['both ends of a whole number', { whole: 1 }],
  ['the other end', { whole: 9 }],
  ['the lowest pitch', { pitch: 0 }],
  ['the highest pitch', { pitch: 127 }],
  ['a choice', { choice: 'down' }],
  ['some choices', { choices: ['down', 'up'] }],
  ['a shape of the core', { range: { low: 57, high: 76 } }],
  ['a list of them', { steps: [STEP, STEP] }],
  ['yes or no', { flag: false }],
  ['an id', { id: ID }],
  ['a leap day', { day: '2028-02-29' }],
  ['an instant with its zone', { instant: '2026-11-25T15:00:00+01:00' }],
  ['an instant to the microsecond', { instant: '2026-11-25T15:00:00.123456Z' }],
  ['a part', { part: { count: 3 } }],
  ['parts', { parts: [{ count: 1 }, { count: 9 }] }],
])('taken: %s', async (_, body) => {
  expect(await saidOf(Sample, body)).toEqual([]);
});

test.each<[string, unknown, RegExp]>([
  ['null for what may be left out', { line: null }, /^line should be a text/],
  ['a number for a text', { line: 7 }, /^line should be a text/],
  ['spaces alone', { line: '   ' }, /^line needs at least 1 characters/],
  ['a line too long', { line: 'abcdef' }, /^line has more than 5 characters/],
  ['two lines where one is wanted', { line: 'a\nb' }, /^line holds characters that cannot be shown/],
  ['a bell in a text', { lines: 'a\u0007b' }, /^lines holds characters that cannot be shown/],
  ['another form', { time: '3 pm' }, /^time should be a time such as 15:30/],
  ['one below', { whole: 0 }, /^whole should be a whole number from 1 to 9/],
  ['one above', { whole: 10 }, /^whole should be a whole number from 1 to 9/],
  ['half a number', { whole: 1.5 }, /^whole should be a whole number from 1 to 9/],
  ['a number in quotes', { whole: '3' }, /^whole should be a whole number from 1 to 9/],
  ['a pitch below', { pitch: -1 }, /^pitch should be a whole number from 0 to 127/],
  ['a pitch above', { pitch: 128 }, /^pitch should be a whole number from 0 to 127/],
  ['a word there is not', { choice: 'sideways' }, /^choice is none of up, down/],
  ['a word there is not, among others', { choices: ['up', 'sideways'] }, /^choices is none of up, down/],
  ['a shape that is not whole', { range: { low: 57 } }, /^range\.high is missing/],
  ['a shape with a fault', { range: { low: 57, high: 200 } }, /^range\.high is over 127/],
  ['a shape with a field there is not', { range: { low: 57, high: 76, mood: 'blue' } }, /^range\.mood is no field/],
  ['a text for a shape', { range: 'C4' }, /^range should be a group of fields/],
  ['too many of a shape', { steps: [STEP, STEP, STEP] }, /^steps has more than 2 entries/],
  [
    'the second of a list with a fault',
    { steps: [STEP, { ...STEP, settings: { tempo: 5 } }] },
    /^steps\.1\.settings\.tempo is under 30/,
  ],
  ['no list of a shape', { steps: STEP }, /^steps/],
  ['yes in quotes', { flag: 'true' }, /^flag should be yes or no/],
  ['no id', { id: '%00' }, /^id is not an id/],
  ['a day there is not', { day: '2026-02-30' }, /^day is not a day of the calendar/],
  ['a day of another form', { day: '25.11.2026' }, /^day should be a day such as/],
  ['an instant without its zone', { instant: '2026-11-25T15:00:00' }, /^instant should be an instant such as/],
  ['an instant there is not', { instant: '2026-13-25T15:00:00Z' }, /^instant is not a day of the calendar/],
  ['a list for an object', { part: [] }, /^part /],
  ['a text for an object', { part: 'count' }, /^part /],
  ['a part with a fault', { part: { count: 0 } }, /^part\.count should be a whole number from 1 to 9/],
  ['too many parts', { parts: [{ count: 1 }, { count: 1 }, { count: 1 }] }, /^parts has more than 2 entries/],
  [
    'the second part with a fault',
    { parts: [{ count: 1 }, { count: 99 }] },
    /^parts\.1\.count should be a whole number/,
  ],
  ['a field there is not', { colour: 'red' }, /^colour is no field that is known/],
  ['a field there is not, within a part', { part: { count: 1, colour: 'red' } }, /^part\.colour /],
])('refused in words: %s', async (_, body, words) => {
  const said = await saidOf(Sample, body);
  expect(said.length).toBeGreaterThan(0);
  expect(said.some((one) => words.test(one)) ? 'said' : said).toBe('said');
});

test.each<[string, unknown, RegExp | null]>([
  ['as many as may be', { ids: [ID, ID] }, null],
  ['no id', { ids: [] }, /^ids needs at least 1 entries/],
  ['an id too many', { ids: [ID, ID, ID] }, /^ids has more than 2 entries/],
  ['something that is no id', { ids: ['mine'] }, /^ids is not an id/],
  ['a list left out', {}, /^ids /],
])('lists: %s', async (_, body, words) => {
  const said = await saidOf(Lists, body);
  if (words === null) expect(said).toEqual([]);
  else expect(said.some((one) => words.test(one)) ? 'said' : said).toBe('said');
});

test('a text is trimmed before it is measured', async () => {
  const body = (await pipe.transform({ line: '  abcde  ' }, { type: 'body', metatype: Sample })) as Sample;
  expect(body.line).toBe('abcde');
});

test('of a thousand faults a page is told, not a book', async () => {
  const body = Object.fromEntries(Array.from({ length: 1000 }, (_, index) => [`field${String(index)}`, 1]));
  const said = await saidOf(Sample, body);
  expect(said.length).toBeGreaterThan(0);
  expect(said.length).toBeLessThanOrEqual(20);
});

test('a shape is read as the core has it: texts trimmed', async () => {
  const steps = [{ ...STEP, settings: { cue: '  Lighter.  ' } }];
  const body = (await pipe.transform({ steps }, { type: 'body', metatype: Sample })) as Sample;
  expect(body.steps).toEqual([{ ...STEP, settings: { cue: 'Lighter.' } }]);
});
