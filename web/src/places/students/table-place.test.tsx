import { screen, within } from '@testing-library/react';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { OTHER_STUDENT, student } from '../../testing/samples.ts';
import { cellsOf, textOfTable } from './read-table.ts';

const ROWS = 'Name;Part;Low;High\nIvo Marsh;bari;A2;F4\nmaud pellow;s;;\nUna;viola;;\n';

async function pasteRows(page: OpenedPage, rows = ROWS): Promise<void> {
  const field = await screen.findByLabelText('Rows, pasted');
  await page.user.click(field);
  await page.user.paste(rows);
  await page.user.click(screen.getByRole('button', { name: 'Read them' }));
}

test('rows are shown as the students they would be, and why the others stay behind; then they are added, and taken back', async () => {
  const page = openPage('/students/table', {
    'POST /api/students/several': [student({ id: OTHER_STUDENT, name: 'Ivo Marsh' })],
    'POST /api/students/several/take-back': { count: 1 },
  });
  await pasteRows(page);
  const rows = await screen.findAllByRole('row');
  expect(
    rows.slice(1).map((row) =>
      within(row)
        .getAllByRole('cell')
        .map(({ textContent }) => textContent),
    ),
  ).toEqual([
    ['2', 'Ivo Marsh', 'baritone · classical', 'A2 – F4', 'added'],
    ['3', 'maud pellow', '', '', 'maud pellow is here already'],
    ['4', 'Una', '', '', 'no voice type: “viola”'],
  ]);
  await page.user.click(screen.getByRole('button', { name: 'Add one student' }));
  await page.user.click(await screen.findByRole('button', { name: 'Take back' }));
  expect(page.path()).toBe('/students');
  const [added, takenBack] = page.sent;
  expect(added?.body).toMatchObject({ students: [{ name: 'Ivo Marsh', voice: { type: 'baritone' } }] });
  expect(takenBack?.body).toEqual({ ids: [OTHER_STUDENT] });
});

test('a column that was not found is named by hand, and one that was is let go', async () => {
  const page = openPage('/students/table');
  await pasteRows(page, 'Who,What\nIvo,bass\n');
  expect(await screen.findByText('no name; no voice type: “”')).toBeVisible();
  for (const [column, head] of [
    ['Name', 'Who'],
    ['Voice type', 'What'],
  ] as const) {
    await page.user.click(screen.getByRole('combobox', { name: column }));
    await page.user.click(await screen.findByRole('option', { name: head }));
  }
  expect(screen.getByRole('button', { name: 'Add one student' })).toBeEnabled();
});

test.each([
  ['heads alone', 'Name,Part\n', /no rows below its heads/],
  ['ten thousand rows', `Name,Part\n${'a,tenor\n'.repeat(10_000)}`, /10001 rows|10000 rows/],
])('%s: refused in a sentence', async (_, rows, sentence) => {
  const page = openPage('/students/table');
  await pasteRows(page, rows);
  expect(await screen.findByRole('alert')).toHaveTextContent(sentence);
});

const bytes = (...codes: readonly number[]): Uint8Array => Uint8Array.from(codes);

test.each<[string, Uint8Array]>([
  ['UTF-8', new TextEncoder().encode('Zoë')],
  ['UTF-8 that says so', new TextEncoder().encode('\uFEFFZoë')],
  ['UTF-16, low byte first', bytes(0xff, 0xfe, 0x5a, 0, 0x6f, 0, 0xeb, 0)],
  ['UTF-16, high byte first', bytes(0xfe, 0xff, 0, 0x5a, 0, 0x6f, 0, 0xeb)],
  ['an older spreadsheet', bytes(0x5a, 0x6f, 0xeb)],
])('a table in %s is read', (_, file) => {
  expect(textOfTable(file)).toBe('Zoë');
});

test.each([',', ';', '\t', '|'])('cells parted by “%s”, quoted or not', async (mark) => {
  const text = [`Name${mark}Note`, `"Marsh${mark} Ivo"${mark}"two\nlines"`].join('\n');
  expect(await cellsOf(text)).toEqual([
    ['Name', 'Note'],
    [`Marsh${mark} Ivo`, 'two\nlines'],
  ]);
});
