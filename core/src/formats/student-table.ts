import { FormatError, PitchError, VoiceError } from '../errors.ts';
import { readNoteIn, type NoteNaming } from '../pitch/index.ts';
import {
  checkVoiceFile,
  STYLES,
  VOICE_TYPES,
  voiceFileSchema,
  type ChangingStage,
  type Style,
  type VoiceFile,
  type VoiceType,
} from '../voice/index.ts';
import { COLUMN_HEADS, STUDENT_COLUMNS, STYLE_WORDS, VOICE_WORDS, type StudentColumn } from './student-table.data.ts';

/** Which column of a table holds what, 0 first; what has no column is not there. */
export type StudentColumns = Partial<Record<StudentColumn, number>>;

type RowProblemCode =
  | 'NO_NAME'
  | 'LONG_NAME'
  | 'HERE_ALREADY'
  | 'TWICE'
  | 'NO_SUCH_VOICE'
  | 'BAD_AGE'
  | 'NO_SUCH_STYLE'
  | 'BAD_NOTE'
  | 'HALF_RANGE'
  | 'BAD_RANGE'
  | 'LONG_NOTE';

/** Why a row cannot be taken, and what stood there. */
export interface RowProblem {
  readonly code: RowProblemCode;
  readonly value: string;
}

/** One row of a table as a student, or with what is wrong in it. */
export interface StudentRow {
  /** As a spreadsheet counts: the heads are row 1. */
  readonly row: number;
  readonly name: string;
  readonly note: string;
  /** Nothing where a problem stands in the way. */
  readonly voice: VoiceFile | null;
  readonly problems: readonly RowProblem[];
}

export interface StudentTableContext {
  readonly naming: NoteNaming;
  /** Names of the students there are. */
  readonly here: readonly string[];
  /** ISO day of today: what a range is dated. */
  readonly today: string;
}

const LONGEST_NAME = 120;
const LONGEST_NOTE = 4000;
/** More than a studio can hold, with room for empty lines. */
const MOST_ROWS = 1000;
/** What a changing voice is taken for until the teacher says otherwise. */
const STAGE_UNTIL_HEARD: ChangingStage = 'second';

const plain = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');

/** The columns a table seems to have, by its heads; each is found once at most. */
export function guessColumns(heads: readonly string[]): StudentColumns {
  const written = heads.map(plain);
  return Object.fromEntries(
    STUDENT_COLUMNS.flatMap((column) => {
      const place = written.findIndex((head) => COLUMN_HEADS[column].includes(head));
      return place < 0 ? [] : [[column, place]];
    }),
  );
}

function wordIn<Word extends string>(
  text: string,
  words: readonly Word[],
  others: Readonly<Record<string, Word>>,
): Word | null {
  const wanted = plain(text);
  return words.find((word) => plain(word) === wanted) ?? others[wanted] ?? null;
}

/** Reads one row, collecting what is wrong with it instead of stopping at the first. */
class RowReader {
  readonly problems: RowProblem[] = [];
  private readonly cells: readonly string[];
  private readonly columns: StudentColumns;

  constructor(cells: readonly string[], columns: StudentColumns) {
    this.cells = cells;
    this.columns = columns;
  }

  /** A cell without the mark that keeps a spreadsheet from taking it for a formula. */
  text(column: StudentColumn): string {
    const place = this.columns[column];
    const cell = place === undefined ? '' : (this.cells[place] ?? '');
    return cell.trim().replace(/^'(?=[=+\-@])/, '');
  }

  problem(code: RowProblem['code'], value: string): void {
    this.problems.push({ code, value: value.slice(0, 80) });
  }

  note(column: StudentColumn, naming: NoteNaming): number | null {
    const text = this.text(column);
    if (text === '') return null;
    try {
      return readNoteIn(text, naming);
    } catch (error) {
      if (!(error instanceof PitchError)) throw error;
      this.problem('BAD_NOTE', text);
      return null;
    }
  }
}

function voiceIn(reader: RowReader): VoiceType | null {
  const text = reader.text('voice');
  const type = wordIn(text, VOICE_TYPES, VOICE_WORDS);
  if (type === null) reader.problem('NO_SUCH_VOICE', text);
  return type;
}

function styleIn(reader: RowReader): Style {
  const text = reader.text('style');
  const style = text === '' ? 'classical' : wordIn(text, STYLES, STYLE_WORDS);
  if (style === null) reader.problem('NO_SUCH_STYLE', text);
  return style ?? 'classical';
}

function ageIn(reader: RowReader): number | null {
  const text = reader.text('age');
  if (text === '') return null;
  const age = voiceFileSchema.shape.age.safeParse(Number(text)).data;
  if (age === undefined) reader.problem('BAD_AGE', text);
  return age ?? null;
}

function nameIn(reader: RowReader, { here }: StudentTableContext, met: ReadonlySet<string>): string {
  const name = reader.text('name').replace(/\s+/g, ' ');
  if (name === '') reader.problem('NO_NAME', '');
  if (name.length > LONGEST_NAME) reader.problem('LONG_NAME', name);
  if (here.some((other) => other.toLowerCase() === name.toLowerCase())) reader.problem('HERE_ALREADY', name);
  else if (met.has(name.toLowerCase())) reader.problem('TWICE', name);
  return name;
}

/** The voice of a row; its range counts as measured today, as one that is typed does. */
function fileOf(reader: RowReader, { naming, today }: StudentTableContext): VoiceFile | null {
  const type = voiceIn(reader);
  const style = styleIn(reader);
  const age = ageIn(reader);
  const low = reader.note('lowest', naming);
  const high = reader.note('highest', naming);
  const speaks = reader.note('speaks', naming);
  if ((reader.text('lowest') === '') !== (reader.text('highest') === ''))
    reader.problem('HALF_RANGE', reader.text('lowest') || reader.text('highest'));
  if (type === null || reader.problems.length > 0) return null;
  const file: VoiceFile = {
    type,
    style,
    goals: [],
    bridges: [],
    avoid: [],
    ...(type === 'changing' && { changingStage: STAGE_UNTIL_HEARD }),
    ...(age !== null && { age }),
    ...(speaks !== null && { speakingNote: speaks }),
    ...(low !== null && high !== null && { measured: { low, high, date: today } }),
  };
  try {
    checkVoiceFile(file, today);
    return file;
  } catch (error) {
    if (!(error instanceof VoiceError)) throw error;
    reader.problem('BAD_RANGE', `${reader.text('lowest')} – ${reader.text('highest')}`);
    return null;
  }
}

/**
 * What the rows of a table would be as students, before anything is stored. Empty rows are passed over.
 *
 * @param table cells as text, the row of heads first
 * @throws FormatError `EMPTY_FILE` without a row below the heads, `TOO_LARGE` over a thousand rows
 */
export function readStudentTable(
  table: readonly (readonly string[])[],
  columns: StudentColumns,
  context: StudentTableContext,
): readonly StudentRow[] {
  if (table.length - 1 > MOST_ROWS)
    throw new FormatError(
      'TOO_LARGE',
      `The table has ${String(table.length - 1)} rows; a studio has room for a few hundred students.`,
      'Cut it down to the students you teach.',
      { context: 'rows', rows: table.length - 1 },
    );
  const met = new Set<string>();
  const rows = table.slice(1).flatMap((cells, index): readonly StudentRow[] => {
    if (cells.every((cell) => cell.trim() === '')) return [];
    const reader = new RowReader(cells, columns);
    const name = nameIn(reader, context, met);
    const note = reader.text('note');
    if (note.length > LONGEST_NOTE) reader.problem('LONG_NOTE', note);
    const voice = fileOf(reader, context);
    met.add(name.toLowerCase());
    return [{ row: index + 2, name, note, voice, problems: reader.problems }];
  });
  if (rows.length === 0)
    throw new FormatError(
      'EMPTY_FILE',
      'The table has no rows below its heads.',
      'Write the heads in the first row and a student in each row after it.',
      { context: 'table' },
    );
  return rows;
}
