import { createHash, type Hash } from 'node:crypto';
import { finished, pipeline, type Readable } from 'node:stream';
import { createGunzip } from 'node:zlib';
import split2 from 'split2';
import { v5, validate as isUuid } from 'uuid';
import { Problem } from '../common/index.ts';
import { STUDIO_TABLES, type StudioTable } from './studio-tables.data.ts';

export const KIND = 'soft-lark-studio';
/** Version of the file's form; see docs/formats.md. */
export const VERSION = 1;
/** As the database ends a copy. */
export const END_OF_TABLE = '\\.';
/** House limits: sixty students over ten years are a third of it. */
const MOST_BYTES = 8 * 1024 ** 3;

/** First line of a file. */
export interface StudioHead {
  readonly kind: typeof KIND;
  readonly version: number;
  /** The latest migration of the tables it came from. */
  readonly schema: number;
  readonly studioId: string;
  readonly name: string;
  readonly madeAt: string;
  readonly settings: Record<string, unknown>;
}

/** What comes out of a file, in its order. */
export type StudioPart =
  | { readonly type: 'head'; readonly head: StudioHead }
  | { readonly type: 'table'; readonly table: StudioTable; readonly columns: readonly string[] }
  | { readonly type: 'row'; readonly line: string };

/** A file that cannot be taken in. */
export function brokenFile(detail: string): Problem {
  return new Problem(422, 'BROKEN_FILE', detail, {
    remedy: 'Nothing was changed. Take the file again where it came from.',
    values: { context: 'studio' },
  });
}

/** Hash of the lines so far, each with its end. */
export class LineHash {
  private readonly hash: Hash = createHash('sha256');

  add(line: string): Buffer {
    return this.addLines(Buffer.from(`${line}\n`));
  }

  /** Lines with their ends, a part of one at either side. */
  addLines(piece: Buffer): Buffer {
    this.hash.update(piece);
    return piece;
  }

  digest(): string {
    return this.hash.digest('hex');
  }
}

function jsonOf(line: string): Record<string, unknown> {
  try {
    const value: unknown = JSON.parse(line);
    if (typeof value === 'object' && value !== null) return value as Record<string, unknown>;
  } catch {
    // What is no JSON is no line of ours; the error below says so.
  }
  throw brokenFile('This is no file of a studio, or it was changed.');
}

function headOf(line: string, schema: number): StudioHead {
  const head = jsonOf(line);
  if (head['kind'] !== KIND)
    throw new Problem(422, 'WRONG_KIND', 'This is no file of a studio.', {
      remedy: 'Choose a file that was taken from the settings of a studio.',
      values: { context: 'studio' },
    });
  if (Number(head['version']) > VERSION || Number(head['schema']) > schema)
    throw new Problem(422, 'NEWER_FILE', 'The file was written by a newer version of Soft Lark.', {
      remedy: 'Bring Soft Lark up to date, then restore it again.',
      values: { context: 'studio' },
    });
  const isWhole = isUuid(head['studioId']) && typeof head['name'] === 'string' && typeof head['settings'] === 'object';
  if (!isWhole) throw brokenFile('The head of the file is not whole.');
  return head as unknown as StudioHead;
}

function tableOf(line: string): StudioPart {
  const { table, columns } = jsonOf(line);
  const known = STUDIO_TABLES.find((one) => one === table);
  if (!known || !Array.isArray(columns)) throw brokenFile('The file has a part that is not known here.');
  return { type: 'table', table: known, columns: columns.map(String) };
}

/** Lines of a packed file, as they come. Whoever sends it is heard to the end, so that an answer reaches them. */
async function* linesOf(packed: Readable): AsyncGenerator<string> {
  const unpacked = createGunzip();
  const lines = split2('\n');
  // Also where the sender was gone before anyone began to read.
  finished(packed, (error) => {
    if (error) unpacked.destroy(error);
  });
  packed.pipe(unpacked);
  // Its error is that of the lines, which are waited for.
  pipeline(unpacked, lines, () => undefined);
  let bytes = 0;
  try {
    for await (const line of lines as AsyncIterable<string>) {
      bytes += line.length;
      if (bytes > MOST_BYTES) throw brokenFile('The file is larger than any studio.');
      yield line;
    }
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw brokenFile('The file cannot be unpacked; it was cut off or is of another kind.');
  } finally {
    packed.unpipe(unpacked);
    packed.resume();
    unpacked.destroy();
  }
}

/**
 * Reads a studio's file part by part, and last of all whether it is whole.
 *
 * @param schema the latest migration here
 * @throws Problem `WRONG_KIND`, `NEWER_FILE`, `BROKEN_FILE`; the last may come after every part was read
 */
export async function* studioParts(packed: Readable, schema: number): AsyncGenerator<StudioPart> {
  const hash = new LineHash();
  let isInTable = false;
  let hasHead = false;
  for await (const line of linesOf(packed)) {
    if (!hasHead) {
      yield { type: 'head', head: headOf(line, schema) };
      hasHead = true;
    } else if (isInTable) {
      if (line === END_OF_TABLE) isInTable = false;
      else yield { type: 'row', line };
    } else if (line.startsWith('{"sha256"')) {
      if (jsonOf(line)['sha256'] === hash.digest()) return;
      throw brokenFile('The file was changed since it was written.');
    } else {
      yield tableOf(line);
      isInTable = true;
    }
    hash.add(line);
  }
  throw brokenFile('The file ends before its end.');
}

const UUID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g;
const MOST_KNOWN = 100_000;

/**
 * Gives every id in a line that of its copy in another studio, always the same one, so that what pointed to each other still
 * does and a second restoring finds the first.
 */
export function idsFor(studioId: string): (line: string) => string {
  const known = new Map<string, string>();
  const mapped = (id: string): string => {
    const before = known.get(id);
    if (before !== undefined) return before;
    const made = v5(id, studioId);
    if (known.size < MOST_KNOWN) known.set(id, made);
    return made;
  };
  return (line) => line.replaceAll(UUID, mapped);
}
