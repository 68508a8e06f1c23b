import { voiceFileSchema } from '../voice/index.ts';
import { guessColumns, readStudentTable, type RowProblem, type StudentTableContext } from './student-table.ts';

const CONTEXT: StudentTableContext = {
  naming: { scheme: 'scientific' },
  here: ['Maud Pellow'],
  today: '2026-11-25',
};
const HEADS = ['Student', 'Voice type', 'Age', 'Style', 'Low', 'High', 'Speaks', 'Notes'];

const read = (rows: readonly (readonly string[])[], context = CONTEXT) =>
  readStudentTable([HEADS, ...rows], guessColumns(HEADS), context);

test('a full row is a student whose voice file is in order, with the range dated today', () => {
  const [row] = read([[' Ivo  Marsh ', 'Bari', '41', 'Musical theatre', 'A2', 'f4', 'C3', 'Tuesdays']]);
  expect(row).toEqual({
    row: 2,
    name: 'Ivo Marsh',
    note: 'Tuesdays',
    problems: [],
    voice: {
      type: 'baritone',
      style: 'theatre',
      goals: [],
      bridges: [],
      avoid: [],
      age: 41,
      speakingNote: 48,
      measured: { low: 45, high: 65, date: '2026-11-25' },
    },
  });
  expect(voiceFileSchema.safeParse(row?.voice).success).toBe(true);
});

test.each<[string, readonly string[], RowProblem['code'], string]>([
  ['no name', ['', 'tenor'], 'NO_NAME', ''],
  ['a name of 121 letters', ['x'.repeat(121), 'tenor'], 'LONG_NAME', 'x'.repeat(80)],
  ['one who is here, in other capitals', ['maud pellow', 'tenor'], 'HERE_ALREADY', 'maud pellow'],
  ['no voice', ['Ivo', ''], 'NO_SUCH_VOICE', ''],
  ['a voice nobody has', ['Ivo', 'theremin'], 'NO_SUCH_VOICE', 'theremin'],
  ['an age of words', ['Ivo', 'tenor', 'ten'], 'BAD_AGE', 'ten'],
  ['an age of three', ['Ivo', 'tenor', '3'], 'BAD_AGE', '3'],
  ['a style nobody teaches', ['Ivo', 'tenor', '', 'yodel'], 'NO_SUCH_STYLE', 'yodel'],
  ['no note', ['Ivo', 'tenor', '', '', 'H9', 'A4'], 'BAD_NOTE', 'H9'],
  ['half a range', ['Ivo', 'tenor', '', '', 'C3', ''], 'HALF_RANGE', 'C3'],
  ['a range upside down', ['Ivo', 'tenor', '', '', 'A4', 'C3'], 'BAD_RANGE', 'A4 – C3'],
  ['a note without end', ['Ivo', 'tenor', '', '', '', '', '', 'x'.repeat(4001)], 'LONG_NOTE', 'x'.repeat(80)],
])('%s is said with what stood there, and gives no voice', (_, cells, code, value) => {
  const [row] = read([cells]);
  expect(row?.problems).toEqual([{ code, value }]);
  expect(row?.voice === null || code.endsWith('NAME') || code === 'HERE_ALREADY' || code === 'LONG_NOTE').toBe(true);
});

test('all that is wrong in a row is said at once, and the second of a name is not taken', () => {
  const rows = read([
    ['Ivo', 'x', '3', 'y', 'Z', ''],
    ['Una', 'soprano'],
    [' ', ''],
    ['una', 's'],
  ]);
  expect(rows.map(({ row, problems }) => [row, ...problems.map(({ code }) => code)])).toEqual([
    [2, 'NO_SUCH_VOICE', 'NO_SUCH_STYLE', 'BAD_AGE', 'BAD_NOTE', 'HALF_RANGE'],
    [3],
    [5, 'TWICE'],
  ]);
});

test('notes are read as the studio writes them; a mark against formulas is no part of a name', () => {
  const naming = { scheme: 'german' } as const;
  const [row] = read([["'=Ivo", 'mezzo', '', '', 'h', "c''"]], { ...CONTEXT, naming });
  expect([row?.name, row?.voice?.measured]).toEqual(['=Ivo', { low: 59, high: 72, date: '2026-11-25' }]);
});

test.each<[string, readonly (readonly string[])[], string]>([
  ['heads alone', [], 'EMPTY_FILE'],
  ['empty rows', [['', ''], [' ']], 'EMPTY_FILE'],
  ['ten thousand rows', Array.from({ length: 10_000 }, (_, index) => [String(index), 'tenor']), 'TOO_LARGE'],
])('%s is refused whole', (_, rows, code) => {
  expect(() => read(rows)).toThrow(expect.objectContaining({ code }) as Error);
});

test('columns are found by their heads in any order, each once', () => {
  expect(guessColumns(['Notes', 'Range low', 'VOICE', 'name', 'Name', 'shoe size'])).toEqual({
    note: 0,
    lowest: 1,
    voice: 2,
    name: 3,
  });
});
