import { saveFile } from './save-file.ts';

/** What stands in one cell; nothing where it does not apply. */
export type Cell = string | number | null;

/**
 * Offers a table as a CSV file to keep. Text that a spreadsheet would take for a formula is made harmless.
 *
 * @param name of the file, with its ending
 */
export async function saveTable(
  name: string,
  headers: readonly string[],
  rows: readonly (readonly Cell[])[],
): Promise<void> {
  const { default: papaparse } = await import('papaparse');
  const text = papaparse.unparse({ fields: [...headers], data: rows.map((row) => [...row]) }, { escapeFormulae: true });
  // Spreadsheets read UTF-8 as such only where the file says so.
  saveFile(name, `\uFEFF${text}\r\n`, 'text/csv');
}
