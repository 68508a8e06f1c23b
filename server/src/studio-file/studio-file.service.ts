import { once } from 'node:events';
import type { Readable, Writable } from 'node:stream';
import { finished, pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import { Injectable } from '@nestjs/common';
import { Clock, isRefusedValue } from '../common/index.ts';
import { StudioCopier, type StudioCopy } from '../database/index.ts';
import type { StudioFileDto } from './dto/studio-file.dto.ts';
import {
  brokenFile,
  END_OF_TABLE,
  idsFor,
  KIND,
  LineHash,
  studioParts,
  VERSION,
  type StudioHead,
} from './studio-lines.ts';
import { COLUMNS_LEFT, SETTINGS, STUDIO_TABLES, type StudioTable } from './studio-tables.data.ts';

/** Rows are handed on in pieces of about this size, not one by one. Bytes on the way out, characters on the way in. */
const PIECE = 256 * 1024;
/** Packing harder takes longer than it saves. */
const PACKING = 1;

type Counts = Map<StudioTable, number>;

/** How a writing that takes its time is watched and broken off. */
export interface Watch {
  /** Told now and then which share of the rows is written, 0–1. */
  readonly onShare: (share: number) => void;
  readonly signal: AbortSignal;
}

/** What comes in small pieces, gathered into larger ones. */
async function* inPieces(pieces: AsyncIterable<Buffer>): AsyncGenerator<Buffer> {
  let held: Buffer[] = [];
  let length = 0;
  for await (const piece of pieces) {
    held.push(piece);
    length += piece.length;
    if (length < PIECE) continue;
    yield Buffer.concat(held);
    held = [];
    length = 0;
  }
  yield Buffer.concat(held);
}

const LINE_END = 0x0a;

function linesIn(piece: Buffer): number {
  let count = 0;
  for (let at = piece.indexOf(LINE_END); at >= 0; at = piece.indexOf(LINE_END, at + 1)) count += 1;
  return count;
}

/** The pieces as they come; which share of all rows is in them is told after each. */
async function* sharesOf(
  pieces: AsyncIterable<Buffer>,
  counts: Counts,
  onShare: (share: number) => void,
): AsyncGenerator<Buffer> {
  const all = [...counts.values()].reduce((sum, count) => sum + count, 0);
  let written = 0;
  for await (const piece of pieces) {
    written += linesIn(piece);
    onShare(Math.min(1, written / all));
    yield piece;
  }
}

async function columnsOf(copy: StudioCopy, table: StudioTable): Promise<readonly string[]> {
  const left = COLUMNS_LEFT[table] ?? [];
  return (await copy.columns(table)).filter((column) => !left.includes(column));
}

/** Where the rows of a table go, one after the other. */
interface Sink {
  readonly begin: (table: StudioTable, columns: readonly string[]) => Promise<void>;
  readonly row: (line: string) => Promise<void>;
  readonly end: () => Promise<void>;
  /** Gives up what is being written. */
  readonly abort: () => Promise<void>;
}

const done = (): Promise<void> => Promise.resolve();
const nowhere: Sink = { begin: done, row: done, end: done, abort: done };

/** Writes rows into the studio, a table at a time. */
function intoStudio(copy: StudioCopy, studioId: string, idOf: (line: string) => string): Sink {
  let stream: Writable | null = null;
  let ended: Promise<void> = done();
  let held: string[] = [];
  let length = 0;
  const flush = async (): Promise<void> => {
    const piece = held.join('');
    held = [];
    length = 0;
    if (stream && piece !== '' && !stream.write(piece)) await Promise.race([once(stream, 'drain'), ended]);
  };
  const end = async (): Promise<void> => {
    await flush();
    stream?.end();
    await ended;
    stream = null;
  };
  return {
    begin: async (table, columns) => {
      await end();
      const known = await columnsOf(copy, table);
      const strange = columns.find((column) => !known.includes(column));
      if (strange !== undefined) throw brokenFile(`The file has a column ${strange} that is not known here.`);
      stream = copy.into(table, columns);
      ended = finished(stream);
      // It is waited for when the table ends; until then its error waits with it.
      ended.catch(() => undefined);
    },
    row: async (line) => {
      const own = `${studioId}\t${idOf(line)}\n`;
      held.push(own);
      length += own.length;
      if (length >= PIECE) await flush();
    },
    end,
    abort: async () => {
      stream?.destroy();
      await ended.catch(() => undefined);
    },
  };
}

/** A studio out to a file, and back in. */
@Injectable()
export class StudioFileService {
  constructor(
    private readonly copier: StudioCopier,
    private readonly clock: Clock,
  ) {}

  /**
   * Writes the whole studio as it is at this moment, packed.
   *
   * @throws where it is broken off, or the database or the reader goes away on the way; what was written then has no
   *   last line
   */
  write(studioId: string, out: Writable, watch?: Watch): Promise<void> {
    return this.copier.during(studioId, true, async (copy) => {
      const pieces = inPieces(this.piecesOf(copy, studioId));
      const watched = watch ? sharesOf(pieces, await this.countHere(copy), watch.onShare) : pieces;
      await pipeline(watched, createGzip({ level: PACKING }), out, { signal: watch?.signal });
    });
  }

  private async *piecesOf(copy: StudioCopy, studioId: string): AsyncGenerator<Buffer> {
    const hash = new LineHash();
    const [row = {}] = await copy.query('select name, to_jsonb(studio) as settings from studio where id = $1');
    const all = row['settings'] as Record<string, unknown>;
    const head: StudioHead = {
      kind: KIND,
      version: VERSION,
      schema: await copy.schema(),
      studioId,
      name: String(row['name']),
      madeAt: this.clock.now().toISOString(),
      settings: Object.fromEntries(SETTINGS.map((name) => [name, all[name]])),
    };
    yield hash.add(JSON.stringify(head));
    for (const table of STUDIO_TABLES) {
      const columns = await columnsOf(copy, table);
      yield hash.add(JSON.stringify({ table, columns }));
      for await (const piece of copy.out(table, columns)) yield hash.addLines(piece);
      yield hash.add(END_OF_TABLE);
    }
    yield Buffer.from(`${JSON.stringify({ sha256: hash.digest() })}\n`);
  }

  /** What a file holds against what is here; nothing is changed. */
  compare(studioId: string, packed: Readable): Promise<StudioFileDto> {
    return this.copier.during(studioId, true, async (copy) => {
      const here = await this.countHere(copy);
      const { head, counts } = await this.read(packed, copy, () => nowhere);
      return this.described(studioId, head, counts, here);
    });
  }

  /** Puts what a file holds in place of what is here: whole, or not at all. */
  restore(studioId: string, packed: Readable): Promise<StudioFileDto> {
    return this.copier.during(studioId, false, async (copy) => {
      const here = await this.countHere(copy);
      for (const table of [...STUDIO_TABLES].reverse()) await copy.clear(table);
      const sinkFor = (head: StudioHead): Sink =>
        intoStudio(copy, studioId, head.studioId === studioId ? (line) => line : idsFor(studioId));
      try {
        const { head, counts } = await this.read(packed, copy, sinkFor);
        const names = SETTINGS.join(', ');
        await copy.query(
          `update studio set (${names}, version) =
             (select ${names}, studio.version + 1 from jsonb_populate_record(null::studio, $2)) where id = $1`,
          [head.settings],
        );
        return this.described(studioId, head, counts, here);
      } catch (error) {
        if (!isRefusedValue(error)) throw error;
        throw brokenFile('What the file holds does not fit together.');
      }
    });
  }

  private async countHere(copy: StudioCopy): Promise<Counts> {
    const counts: Counts = new Map();
    for (const table of STUDIO_TABLES) counts.set(table, await copy.count(table));
    return counts;
  }

  private async read(
    packed: Readable,
    copy: StudioCopy,
    sinkFor: (head: StudioHead) => Sink,
  ): Promise<{ readonly head: StudioHead; readonly counts: Counts }> {
    const counts: Counts = new Map();
    let head: StudioHead | undefined;
    let sink = nowhere;
    let table: StudioTable | undefined;
    try {
      for await (const part of studioParts(packed, await copy.schema())) {
        if (part.type === 'head') {
          head = part.head;
          sink = sinkFor(head);
        } else if (part.type === 'table') {
          table = part.table;
          await sink.begin(table, part.columns);
        } else if (table) {
          counts.set(table, (counts.get(table) ?? 0) + 1);
          await sink.row(part.line);
        }
      }
      await sink.end();
    } catch (error) {
      await sink.abort();
      throw error;
    }
    if (!head) throw brokenFile('The file is empty.');
    return { head, counts };
  }

  private described(studioId: string, head: StudioHead, inFile: Counts, here: Counts): StudioFileDto {
    return {
      studioName: head.name,
      madeAt: head.madeAt,
      isSame: head.studioId === studioId,
      counts: STUDIO_TABLES.map((table) => ({ table, inFile: inFile.get(table) ?? 0, here: here.get(table) ?? 0 })),
    };
  }
}
