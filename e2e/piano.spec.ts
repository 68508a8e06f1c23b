import type { Page } from '@playwright/test';
import { listen, samplesStarted, type Started } from './listen.ts';
import { expect, test } from './studio.ts';
import {
  act,
  addStudent,
  buildSixSteps,
  goToStep,
  keyNow,
  openDemo,
  passGate,
  showLimits,
  stepRow,
} from './teacher.ts';

test.beforeEach(async ({ page }) => {
  await page.addInitScript(listen);
  await page.reload();
  await openDemo(page);
  await page.getByRole('link', { name: 'Students', exact: true }).click();
});

test('each key sounds as far as its help goes, ahead on the audio clock', async ({ page }) => {
  await page.getByRole('link', { name: 'Corwin Dace', exact: true }).click();
  await page.getByRole('link', { name: 'Routines' }).click();
  await page.getByRole('link', { name: 'Sing it' }).click();
  await expect(page.getByText('piano ready')).toBeVisible();
  await passGate(page);
  await goToStep(page, 'Z on five');
  await act(page, 'Start').click();
  const sounds = (): Promise<readonly Started[]> => samplesStarted(page);
  const silenced = (): Promise<number[]> =>
    page.evaluate(() => [...(window as unknown as { silenced: ReadonlyMap<AudioNode, number> }).silenced.values()]);
  const chord = 4;
  const cue = chord + 1;
  const tune = 9;
  await expect.poll(async () => (await sounds()).length).toBe(cue);
  const heard = await sounds();
  expect(heard.every(({ ahead }) => ahead > 0)).toBe(true);
  expect(new Set(heard.slice(0, chord).map(({ at }) => at)).size, 'the chord is struck as one').toBe(1);
  expect(heard.at(-1)?.at).toBeGreaterThan(heard[0]?.at ?? Infinity);
  for (const help of ['alone', 'just listen', 'plays along']) {
    await page.keyboard.press('g');
    await expect(page.getByRole('button', { name: help })).toBeVisible();
  }
  await act(page, 'Next key').click();
  await expect.poll(async () => (await sounds()).length).toBe(cue + cue + tune);
  await act(page, 'Pause').click();
  await expect.poll(async () => (await silenced()).length).toBe(cue + cue + tune);
  const lastToCome = Math.max(...(await sounds()).map(({ at }) => at));
  expect(Math.max(...(await silenced())), 'a pause silences what is still to come').toBeLessThan(lastToCome);
});

test('a mark offers the first remedy, then the next; a missed key brings help back, and the log keeps it', async ({
  page,
}) => {
  await addStudent(page, { name: 'Wilma Fen' });
  await buildSixSteps(page);
  await page.getByRole('link', { name: /Sing/ }).click();
  await passGate(page);
  await goToStep(page, 'Up and down five');
  await act(page, 'Start').click();
  for (const help of ['plays along', 'gives the cue', 'alone']) {
    await page.keyboard.press('g');
    await expect(page.getByRole('button', { name: help })).toBeVisible();
  }
  const say = page.getByTestId('say');
  const plain = await say.innerText();
  await page.keyboard.press('t');
  const remedy = await say.innerText();
  expect(remedy).not.toBe(plain);
  await expect(page.getByText(/^try · /)).toBeVisible();
  await act(page, 'Next key').click();
  await expect(page.getByRole('button', { name: 'gives the cue' })).toBeVisible();
  await expect(say).toHaveText(remedy);
  await act(page, 'Next key').click();
  await expect(page.getByText(/^try · /)).toBeHidden();
  await page.getByRole('button', { name: 'Next step' }).click();
  await page.goto('/log');
  await page
    .getByRole('row', { name: /Wilma Fen/ })
    .first()
    .click();
  await expect(page.getByText('alone · cue only')).toBeVisible();
});

test('a usual day is three taps; a rough one asks more; pain locks until the teacher opens it, which is logged', async ({
  page,
}) => {
  await page.getByRole('link', { name: 'Corwin Dace', exact: true }).click();
  await page.getByRole('link', { name: 'Routines' }).click();
  await page.getByRole('link', { name: 'Sing it' }).click();
  await page.getByRole('radio', { name: 'not at all' }).click();
  await page.getByRole('radio', { name: 'rough' }).click();
  await page.getByRole('radio', { name: 'no', exact: true }).click();
  await expect(act(page, 'Begin')).toBeDisabled();
  await page.getByRole('radio', { name: 'day 4–6' }).click();
  await page.getByRole('button', { name: 'None of these' }).click();
  await expect(
    page.getByText(
      /Today counts as recovering\. Up to modest middle work today, at half the usual time\. The routine is shortened to \d:\d\d/,
    ),
  ).toBeVisible();
  await expect(act(page, 'Begin')).toBeEnabled();
  await page.getByRole('radio', { name: 'yes' }).click();
  await expect(page.getByText(/^Not today\. Singing on pain/).first()).toBeVisible();
  await page.reload();
  await expect(page.getByRole('alert')).toContainText('Not today.');
  await expect(act(page, 'Begin')).toBeHidden();
  await page.getByRole('textbox', { name: /own decision/ }).fill('A bitten tongue, no pain in the voice');
  await page.getByRole('button', { name: 'Open again' }).click();
  await expect(act(page, 'Begin')).toBeVisible();
  await page.goto('/log');
  await page.getByRole('combobox', { name: 'Student' }).click();
  await page.getByRole('option', { name: 'Corwin Dace' }).click();
  await expect(page.getByText('A bitten tongue, no pain in the voice')).toBeVisible();
});

test('a warning sign is never passed over: medical help, and everything locked', async ({ page }) => {
  await page.getByRole('link', { name: 'Rook Hallam', exact: true }).click();
  await page.getByRole('link', { name: 'Routines' }).click();
  await page.getByRole('link', { name: 'Sing it' }).click();
  await page.getByRole('button', { name: 'Something else is wrong' }).click();
  await page.getByRole('checkbox', { name: 'faint' }).check();
  await page.getByRole('button', { name: 'That is all of it' }).click();
  // Nothing else has to be answered first.
  await expect(page.getByRole('alert')).toContainText('Get medical help now.');
  await page.goto('/students');
  await page.getByRole('link', { name: 'Rook Hallam', exact: true }).click();
  await expect(page.getByText(/^Locked since/)).toBeVisible();
  await page.getByRole('link', { name: 'Routines' }).click();
  await page.getByRole('link', { name: 'Sing it' }).click();
  await page.getByRole('button', { name: 'Tapped by mistake' }).click();
  await expect(act(page, 'Begin')).toBeVisible();
});

test('effort over four stops the step; an easier relative takes its place', async ({ page }) => {
  await page.getByRole('link', { name: 'Maud Pellow', exact: true }).click();
  await page.getByRole('link', { name: 'Routines' }).click();
  await page.getByRole('link', { name: 'Sing it' }).click();
  await passGate(page);
  await goToStep(page, 'Lip trill on five');
  await act(page, 'Start').click();
  await page.keyboard.press('f');
  await expect(page.getByRole('dialog')).toContainText('More effort than a warm-up may cost.');
  const easier = page.getByRole('button', { name: /^Go on easier: / });
  const name = ((await easier.textContent()) ?? '').replace('Go on easier: ', '');
  await easier.click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(name);
});

test('dizziness stops the step and ends breath work', async ({ page }) => {
  await page.getByRole('link', { name: 'Maud Pellow', exact: true }).click();
  await page.getByRole('link', { name: 'Routines' }).click();
  await page.getByRole('link', { name: 'Sing it' }).click();
  await passGate(page);
  await goToStep(page, 'Quiet shoulders, low wide breath');
  await act(page, 'Start').click();
  await page.keyboard.press('d');
  await expect(page.getByRole('dialog')).toContainText('Breath work is over for today');
  await page.keyboard.press('ArrowRight');
  await page.getByRole('button', { name: 'Rest a minute, then the next step' }).click();
  await expect(page.getByRole('timer')).toHaveText(/^0:5\d$/);
  await page.getByRole('dialog').getByRole('button', { name: 'Next step' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Lip trill on five');
  await page.goto('/students');
  await page.getByRole('link', { name: 'Maud Pellow', exact: true }).click();
  await expect(page.getByText(/^Breath holds are off since a dizzy moment/)).toBeVisible();
});

test('a child is run inside the rows for the age, whatever the file says', async ({ page }) => {
  await page.getByRole('link', { name: 'Pip Anstey', exact: true }).click();
  await page.getByRole('button', { name: 'Change the file' }).click();
  const ceiling = page.getByLabel('Hard ceiling');
  const before = await ceiling.inputValue();
  await ceiling.fill('');
  await page.getByLabel('Highest comfortable note').fill('C6');
  await page.getByLabel('Highest possible').fill('E6');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('cap for the age of 11').first()).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Why F5 is the top today' })).toBeVisible();
  await page.getByRole('button', { name: 'Change the file' }).click();
  await page.getByLabel('Hard ceiling').fill(before);
  await page.getByLabel('Highest comfortable note').fill('D5');
  await page.getByLabel('Highest possible').fill('F5');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(`hard ceiling ${before}`)).toBeVisible();
});

test('a zone at the end of the range is the end, on the bench and at the piano', async ({ page }) => {
  await page.getByRole('link', { name: 'Juniper Vance', exact: true }).click();
  await page.getByRole('link', { name: 'Routines' }).click();
  await page.getByRole('link', { name: 'Lamps on the water' }).click();
  await page
    .getByRole('button', { name: /Falling hum/ })
    .first()
    .click();
  await showLimits(page);
  await expect(page.getByText('what lies beyond is never sung').first()).toBeVisible();
  await page.getByRole('link', { name: 'Sing it' }).click();
  await passGate(page);
  await goToStep(page, 'Falling hum');
  const planned = await page.evaluate(
    () =>
      (
        JSON.parse(localStorage.getItem('soft-lark.runs') ?? '{"runs":[]}') as {
          runs: { plan: { exerciseId: string; keys: { low: number }[] }[] }[];
        }
      ).runs[0]?.plan,
  );
  const keys = planned?.find(({ exerciseId }) => exerciseId === 'falling-hum')?.keys ?? [];
  expect(keys.length).toBeGreaterThan(0);
  expect(keys.every(({ low }) => low > 56)).toBe(true);
  await act(page, 'Start').click();
  await expect(keyNow(page)).not.toBeEmpty();
});

test('a note that waits is held until the teacher lets it go; then the key goes on', async ({ page }) => {
  await addStudent(page, { name: 'Wilma Fen' });
  await buildSixSteps(page);
  await stepRow(page, 'Up and down five').click();
  await page.getByRole('link', { name: 'Up and down five' }).click();
  await page.getByRole('button', { name: 'Change it' }).click();
  await page.getByRole('button', { name: 'Add a mark' }).click();
  await page.getByRole('combobox', { name: 'Mark 1' }).click();
  await page.getByRole('option', { name: 'waits for the teacher' }).click();
  await page.getByLabel('Last note of mark 1').fill('1');
  await page.getByRole('button', { name: 'In this routine alone' }).click();
  await expect(page.getByText('your own')).toBeVisible();
  await page.goBack();
  await page.getByRole('link', { name: /Sing/ }).click();
  await passGate(page);
  await goToStep(page, 'Up and down five');
  await act(page, 'Start').click();
  const first = await keyNow(page).innerText();
  await expect(page.getByText('Held. Next lets it go')).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(act(page, 'Next key')).toBeVisible();
  expect(await keyNow(page).innerText()).toBe(first);
  await page.keyboard.press('ArrowRight');
  await expect(keyNow(page)).not.toHaveText(first);
});

test('two more, then home; three would go too far; less time than planned cuts what is left and says what', async ({
  page,
}) => {
  await page.getByRole('link', { name: 'Maud Pellow', exact: true }).click();
  await page.getByRole('link', { name: 'Routines' }).click();
  await page.getByRole('link', { name: 'Sing it' }).first().click();
  await passGate(page);
  await goToStep(page, 'Lip trill on five');
  await act(page, 'Start').click();
  await act(page, '2 more, then home').click();
  await expect(page.getByTestId('count')).toHaveText('last one');
  const refusal = page.getByText(/^It would reach .+, over .+\.$/);
  for (let press = 0; press < 6 && !(await refusal.isVisible()); press += 1)
    await act(page, '3 more, then home').click();
  await expect(refusal).toBeVisible();
  await page.getByRole('button', { name: 'Less time' }).click();
  const card = page.getByRole('dialog', { name: 'Less time than planned' });
  await card.getByLabel('Minutes left').fill('3');
  const cuts = card.getByRole('list', { name: 'What is cut' }).getByRole('listitem');
  await expect(cuts.first()).toBeVisible();
  await expect(card.getByRole('status')).toContainText('The cool-down');
  await card.getByRole('button', { name: 'Fit it' }).click();
  await expect(card).toBeHidden();
  await goToStep(page, 'Falling hum');

  // Before the cool-down the studio's own questions are asked; a no offers a block that comes first.
  const ready = page.getByRole('dialog', { name: 'Ready?' });
  await expect(ready.getByRole('button', { name: 'Mend it first' })).toBeHidden();
  await ready.getByRole('radiogroup', { name: 'Do jaw and tongue stay out of the way?' }).getByText('No').click();
  const block = await ready.getByText(/^.+, [01]:\d\d$/).innerText();
  await ready.getByRole('button', { name: 'Mend it first' }).click();
  await expect(ready).toBeHidden();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(block.replace(/, [01]:\d\d$/, ''));
  await page.keyboard.press('n');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Falling hum');
  await expect(ready).toBeHidden();
  await expect(act(page, 'Finish').first()).toBeVisible();
});

test('the first sign of effort asks for the turn; where only ease is judged, pitch is not', async ({ page }) => {
  await page.getByRole('link', { name: 'Maud Pellow', exact: true }).click();
  await page.getByRole('link', { name: 'Routines' }).click();
  await page.getByRole('link', { name: 'Sing it' }).first().click();
  await passGate(page);
  await goToStep(page, 'Down from five');
  await act(page, 'Start').click();
  await act(page, 'Next key').click();
  await expect(page.getByRole('button', { name: 'pitch' })).toBeDisabled();
  await page.keyboard.press('p');
  await page.keyboard.press('s');
  await expect(page.getByRole('button', { name: 'strain' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('button', { name: 'pitch' })).toHaveAttribute('aria-pressed', 'false');
  await act(page, 'Effort: turn here').click();
  await expect(page.getByTestId('count')).toHaveText(/last|more/);
  await expect(act(page, 'Turn back now')).toBeDisabled();
});

/** A student of six steps at the piano, where the five tones are about to begin. */
async function singFive(page: Page): Promise<void> {
  await addStudent(page, { name: 'Wilma Fen' });
  await buildSixSteps(page);
  await page.getByRole('link', { name: 'Sing it' }).click();
  await passGate(page);
  await goToStep(page, 'Up and down five');
}

test('hands on a keyboard: its pedal begins and goes on, a note says which key; pulled out, the keys go on', async ({
  page,
}) => {
  await singFive(page);
  await act(page, 'MIDI keyboard and pedal').click();
  const card = page.getByRole('dialog');
  await act(page, 'Listen to it').click();
  await act(page, 'Plug in a simulated one').click();
  await expect(card.getByRole('status')).toContainText('Listening');
  const keys = card.getByRole('group', { name: 'Keys of the simulated keyboard' }).getByRole('button');
  await act(page, 'Press its pedal').click();
  await expect(act(page, 'Next key')).toBeVisible();
  const first = await keyNow(page).innerText();
  await page.waitForTimeout(300);
  await act(page, 'Press its pedal').click();
  await expect(keyNow(page)).not.toHaveText(first);
  const third = await keys.nth(2).innerText();
  await keys.nth(2).click();
  await expect(keyNow(page)).toHaveText(third.slice(0, -1));
  await page.keyboard.press('Escape');
  await expect(card).toBeHidden();
  const now = await keyNow(page).innerText();
  await page.keyboard.press('ArrowRight');
  await expect(keyNow(page)).not.toHaveText(now);
});

test('keys follow one another by themselves, in the time they take; a press hands over to the teacher', async ({
  page,
}) => {
  await singFive(page);
  await act(page, 'Start').click();
  const first = await keyNow(page).innerText();
  await expect(page.getByRole('button', { name: /^Plays on/ })).toHaveAttribute('aria-pressed', 'true');
  // The tune moves along as it sounds.
  await expect(page.locator('[data-now]').first()).toBeVisible();
  await expect(keyNow(page)).not.toHaveText(first);
  await page.keyboard.press('w');
  await expect(page.getByRole('button', { name: /^Waits for me/ })).toHaveAttribute('aria-pressed', 'false');
  const second = await keyNow(page).innerText();
  await page.waitForTimeout(14_000);
  await expect(keyNow(page)).toHaveText(second);
});
