import { changeRules, resolveLimits, USUAL_RULES, voiceOf, type LimitContext, type RuleChanges } from '@soft-lark/core';
import { screen, within } from '@testing-library/react';
import { useState, type ReactElement } from 'react';
import { ApiProblem } from '../api/problem.ts';
import { draw, fill } from '../testing/open-page.tsx';
import { voice } from '../testing/samples.ts';
import { setNoteNaming } from '../text/note-names.ts';
import { ConditionPicker } from './condition-picker.tsx';
import { Failure } from './failure.tsx';
import { FormProblem } from './form-problem.tsx';
import { Ledger } from './ledger.tsx';
import { likeNeighbours } from './like-neighbours.ts';
import { NoteField, type NoteValue } from './note-field.tsx';
import { NoteKeys } from './note-keys.tsx';
import { PictureTable } from './picture-table.tsx';
import { RangeEditor } from './range-editor.tsx';
import { RuleEditor } from './rule-editor.tsx';
import { RemoveButton } from './remove-button.tsx';
import { WithTerms } from './with-terms.tsx';

afterEach(() => {
  setNoteNaming(undefined);
});

function NoteHolder({ onNote }: { readonly onNote: (note: NoteValue) => void }): ReactElement {
  const [note, setNote] = useState<NoteValue>(60);
  return (
    <NoteField
      label="Start"
      value={note}
      onChange={(next) => {
        setNote(next);
        onNote(next);
      }}
    />
  );
}

test.each<[string, NoteValue, string]>([
  ['B♭3', 58, 'B♭3'],
  ['Bb3', 58, 'B♭3'],
  ['  c4 ', 60, 'C4'],
  ['a#3', 58, 'B♭3'],
])('a note typed as “%s” is %s, and stands as %s once the field is left', async (typed, note, written) => {
  const notes: NoteValue[] = [];
  const page = draw(<NoteHolder onNote={(next) => notes.push(next)} />);
  await fill(page, await screen.findByLabelText('Start'), typed);
  await page.user.tab();
  expect(notes.at(-1)).toBe(note);
  expect(screen.getByLabelText('Start')).toHaveValue(written);
});

test.each(['H4', 'C', '4', 'do', 'C99', '💥'])('“%s” is no note, and stays as it was typed', async (typed) => {
  const notes: NoteValue[] = [];
  const page = draw(<NoteHolder onNote={(next) => notes.push(next)} />);
  await fill(page, await screen.findByLabelText('Start'), typed);
  await page.user.tab();
  expect(notes.at(-1)).toBeNull();
  expect(screen.getByLabelText('Start')).toHaveValue(typed);
  expect(screen.getByText(/Not a note/)).toBeVisible();
});

test('a studio that names notes in German reads and writes them so', async () => {
  setNoteNaming({ scheme: 'german' });
  const notes: NoteValue[] = [];
  const page = draw(<NoteHolder onNote={(next) => notes.push(next)} />);
  expect(await screen.findByLabelText('Start')).toHaveValue('c′');
  await fill(page, screen.getByLabelText('Start'), 'h');
  expect(notes.at(-1)).toBe(59);
});

test('keys around a note are pressed by name', async () => {
  const pressed: number[] = [];
  const { user } = draw(<NoteKeys label="Keys" target={60} onNote={(midi) => pressed.push(midi)} />);
  await user.click(await screen.findByRole('button', { name: 'D4' }));
  expect(pressed).toEqual([62]);
  expect(screen.getAllByRole('button')).toHaveLength(19);
});

test('a picture’s figures are a table one press away', async () => {
  const { user } = draw(
    <PictureTable label="Range" head={['day', 'top']} rows={[['Monday', 'E5']]}>
      <svg />
    </PictureTable>,
  );
  const button = await screen.findByRole('button', { name: 'as a table' });
  expect(screen.queryByRole('table')).toBeNull();
  await user.click(button);
  const cells = within(screen.getByRole('table', { name: 'Range' })).getAllByRole('cell');
  expect(cells.map(({ textContent }) => textContent)).toEqual(['Monday', 'E5']);
  await user.click(screen.getByRole('button', { name: 'hide the table' }));
  expect(screen.queryByRole('table')).toBeNull();
});

test.each<[string, readonly string[], string, readonly string[]]>([
  ['one is chosen', [], 'Tired', ['tired']],
  ['a second joins it', ['tired'], 'Heavy', ['tired', 'heavy']],
  ['a second press takes one back', ['tired', 'heavy'], 'Tired', ['heavy']],
  ['fresh stands alone', ['tired', 'heavy'], 'Fresh', ['fresh']],
  ['anything else ends fresh', ['fresh'], 'Recovering', ['recovering']],
])('conditions: %s', async (_, before, pressed, after) => {
  const chosen: (readonly string[])[] = [];
  const { user } = draw(<ConditionPicker value={before as never} onChange={(conditions) => chosen.push(conditions)} />);
  await user.click(await screen.findByRole('button', { name: pressed }));
  expect(chosen).toEqual([after]);
});

const context = (change: Partial<LimitContext> = {}): LimitContext => ({
  voice: voiceOf(voice()),
  style: 'theatre',
  exercise: { stage: 'middle', register: 'any' },
  sungSteps: 2,
  conditions: [],
  occasion: 'lesson',
  rules: USUAL_RULES,
  now: '2026-11-25T15:00:00Z',
  ...change,
});

test('the ledger tells line by line why a limit is where it is, and whose figure it was', async () => {
  const studio = changeRules({ 'margin.usual': 2 }, 'studio');
  const given = context({ conditions: ['tired'], rules: studio });
  const limits = resolveLimits(given);
  draw(<Ledger limits={limits} context={given} />);
  expect(await screen.findByRole('heading', { name: /^Why .+ is the top today$/ })).toBeVisible();
  expect(screen.getAllByText('−2')[0]).toBeVisible();
  expect(screen.getAllByTitle(/the studio/).length).toBeGreaterThan(0);
  expect(screen.getByText(/^On a fresh day: /)).toBeVisible();
});

test('limits of a voice that was never measured say that they are an estimate', async () => {
  const { measured, ...unmeasured } = voice();
  expect(measured).toBeDefined();
  draw(<Ledger limits={resolveLimits(context({ voice: voiceOf(unmeasured) }))} />);
  expect(await screen.findByText(/Nothing is measured yet/)).toBeVisible();
});

function Rules({
  kind,
  onChange,
}: {
  readonly kind: 'rules' | 'ranges';
  readonly onChange: (changes: RuleChanges) => void;
}): ReactElement {
  const [changes, setChanges] = useState<RuleChanges>({});
  const Editor = kind === 'rules' ? RuleEditor : RangeEditor;
  return (
    <Editor
      changes={changes}
      below={USUAL_RULES}
      onChange={(next) => {
        setChanges(next);
        onChange(next);
      }}
    />
  );
}

test('a figure that was changed is marked, says what it was, and goes back', async () => {
  const seen: RuleChanges[] = [];
  const page = draw(<Rules kind="rules" onChange={(next) => seen.push(next)} />);
  await fill(page, await screen.findByLabelText('Ordinary work stays inside both ends by'), '3');
  expect(seen.at(-1)).toEqual({ 'margin.usual': 3 });
  await page.user.click(screen.getByRole('button', { name: 'Back to 1' }));
  expect(seen.at(-1)).toEqual({});
});

test('a reference range is a row of notes, and goes back as one', async () => {
  const seen: RuleChanges[] = [];
  const page = draw(<Rules kind="ranges" onChange={(next) => seen.push(next)} />);
  const row = (await screen.findByRole('cell', { name: 'tenor' })).closest('tr') as HTMLElement;
  const [, lowest] = within(row).getAllByRole('textbox');
  await fill(page, lowest as HTMLElement, 'E3');
  await page.user.tab();
  expect(Object.entries(seen.at(-1) ?? {})).toEqual([['ranges.tenor.comfortable.low', 52]]);
  await page.user.click(within(row).getByRole('button', { name: 'Back to the reference' }));
  expect(seen.at(-1)).toEqual({});
});

test('a failure says what happened and what to do, and is tried again', async () => {
  let tries = 0;
  const error = new ApiProblem({ detail: 'The database is full.', remedy: 'Ask whoever runs it.' }, 507);
  const { user } = draw(
    <Failure
      error={error}
      onRetry={() => {
        tries += 1;
      }}
    />,
  );
  const alert = await screen.findByRole('alert');
  expect(alert).toHaveTextContent('The database is full.');
  expect(alert).toHaveTextContent('Ask whoever runs it.');
  await user.click(screen.getByRole('button', { name: 'Try again' }));
  expect(tries).toBe(1);
});

test('a failure that is no error of ours still says something', async () => {
  draw(<Failure error="odd" />);
  expect(await screen.findByRole('alert')).toHaveTextContent('This could not be shown.');
});

test('a form says why it was not taken, and nothing where it was', async () => {
  draw(
    <>
      <FormProblem error={null} />
      <FormProblem error={new ApiProblem({ detail: 'Too long.', remedy: 'Shorten it.' }, 400)} />
    </>,
  );
  expect((await screen.findAllByRole('alert')).map(({ textContent }) => textContent.trim())).toEqual([
    'Too long. Shorten it.',
  ]);
});

test.each([
  [[], []],
  [['a'], ['a']],
  [
    ['a', 'a', 'b', 'a'],
    ['a ×2', 'b', 'a'],
  ],
])('neighbours that are alike are told as one: %j', (words, told) => {
  const found = likeNeighbours(words, (word) => word);
  expect(found.length).toBe(told.length);
  for (const [index, word] of told.entries()) expect(found[index]).toContain(word[0]);
});

test('a sentence says what its terms mean when they are pressed: each once, and only whole words', async () => {
  const page = draw(
    <div role="note">
      <WithTerms>1:17 of occluded work; occluded, non-occluded and overloaded. Load 3, over the bridges.</WithTerms>
    </div>,
  );
  expect(screen.getAllByRole('button').map(({ textContent }) => textContent)).toEqual(['occluded', 'Load', 'bridges']);
  expect(screen.getByRole('note')).toHaveTextContent(/^1:17 of occluded work; .* over the bridges\.$/);
  await page.user.click(screen.getByRole('button', { name: 'occluded' }));
  expect(await screen.findByText(/Sung with the mouth half closed/)).toBeVisible();
});

function Rows(): ReactElement {
  const [rows, setRows] = useState(['one', 'two', 'three']);
  return (
    <section>
      {rows.map((row) => (
        <RemoveButton
          key={row}
          label={`Remove ${row}`}
          onClick={() => {
            setRows(rows.filter((other) => other !== row));
          }}
        />
      ))}
      <button>Add</button>
    </section>
  );
}

test('when a row is removed the focus goes on to the next button, and never falls to the page', async () => {
  const { user } = draw(<Rows />);
  const focused: (string | null)[] = [];
  for (const row of ['two', 'three', 'one']) {
    await user.click(screen.getByRole('button', { name: `Remove ${row}` }));
    focused.push(document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? null);
  }
  expect(focused).toEqual(['Remove three', 'Add', 'Add']);
});
