/** Encodings that say which they are by their first bytes. */
const BY_FIRST_BYTES: readonly (readonly [readonly number[], string])[] = [
  [[0xff, 0xfe], 'utf-16le'],
  [[0xfe, 0xff], 'utf-16be'],
];

/** Text of a table: as its first bytes say, else UTF-8, else what older spreadsheets write, which has a letter for any byte. */
export function textOfTable(bytes: Uint8Array): string {
  const marked = BY_FIRST_BYTES.find(([mark]) => mark.every((byte, index) => bytes[index] === byte));
  if (marked) return new TextDecoder(marked[1]).decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** The cells of a table that was pasted or read from a file, whatever parts them: commas, semicolons or tabs. */
export async function cellsOf(text: string): Promise<readonly (readonly string[])[]> {
  const { default: papaparse } = await import('papaparse');
  return papaparse.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false }).data;
}
