import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { project } from '../scripts/run.mjs';
import { CHROMIUM, CHROMIUM_FLAGS } from './playwright.config.ts';
import { writeSinger } from './singer-wav.ts';
import { expect, test } from './studio.ts';
import {
  addStudent,
  benchWith,
  buildSixSteps,
  fromMenu,
  goToStep,
  passGate,
  saved,
  signUp,
  stepRow,
} from './teacher.ts';

const SOUND = join(project, 'test-results', 'steady-singer.wav');
mkdirSync(join(project, 'test-results'), { recursive: true });
writeSinger(SOUND, 'steady', 8);

test.use({
  launchOptions: {
    executablePath: CHROMIUM,
    args: [
      ...CHROMIUM_FLAGS,
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-audio-capture=${SOUND}`,
    ],
  },
});

test('a whole range check at the microphone finds what the singer can do, and writes it when the teacher says so', async ({
  page,
}) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt', range: null });
  await fromMenu(page, 'Range check');
  await page.getByText('Microphone', { exact: true }).click();
  const speaks = page.getByRole('button', { name: /^Speaks at (A3|B♭3|B3)$/ });
  await speaks.click();
  const sung = page.getByRole('region', { name: 'So far' });
  await expect(sung.getByText('A♭3')).toBeVisible({ timeout: 180_000 });
  await page.getByRole('button', { name: 'That is the lowest' }).click();
  await expect(sung.getByText('E♭5')).toBeVisible({ timeout: 240_000 });
  await page.getByRole('button', { name: 'That is the highest' }).click();
  await expect(page.getByText('Nothing is written before you say so.')).toBeVisible();
  await expect(page.getByLabel('Lowest easy')).toHaveValue('A♭3');
  await expect(page.getByLabel('Highest easy')).toHaveValue('E♭5');
  await page.getByLabel('Highest possible').fill('F5');
  await page.getByRole('button', { name: 'Write it into the voice file' }).click();
  await expect(page.getByText('A♭3 – F5')).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Why D5 is the top today/ })).toBeVisible();
});

test('no sound is kept unless the teacher says so; kept sound stays here and goes after thirty days', async ({
  page,
}) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  const student = page.url();
  await fromMenu(page, 'Range check');
  await page.getByText('Microphone', { exact: true }).click();
  const keep = page.getByRole('switch', { name: 'Keep the sound here, 30 days' });
  await expect(keep).not.toBeChecked();
  await keep.check();
  await expect(page.getByRole('button', { name: /^Speaks at/ })).toBeEnabled({ timeout: 60_000 });
  await page.getByRole('link', { name: 'Later' }).click();
  await expect(page.getByRole('heading', { name: 'Recordings on this device' })).toBeVisible();
  await expect(page.locator('audio')).toHaveCount(1);
  await page.clock.setFixedTime(new Date(Date.now() + 31 * 86_400_000));
  await page.goto('/today');
  await page.goto(student);
  await expect(page.getByRole('heading', { name: 'File' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Recordings on this device' })).toBeHidden();
});

test('a minor’s voice is kept only with a guardian’s consent on file', async ({ page }) => {
  await signUp(page);
  await addStudent(page, { name: 'Small Reed', type: 'treble', range: null });
  await fromMenu(page, 'Range check');
  await page.getByText('Microphone', { exact: true }).click();
  await expect(
    page.getByRole('switch', { name: 'No sound is kept: a guardian’s consent is not on file' }),
  ).toBeDisabled();
});

test('a step that is watched in a mirror offers the camera as one; it is off again with the step', async ({ page }) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await buildSixSteps(page);
  await stepRow(page, 'Up and down five').click();
  await page.getByRole('combobox', { name: 'Laid over it' }).click();
  await page.getByRole('option', { name: 'A mirror' }).click();
  await saved(page);
  await page.getByRole('link', { name: /Sing/ }).click();
  await passGate(page);
  await expect(page.getByRole('button', { name: 'Mirror' })).toBeHidden();
  await goToStep(page, 'Up and down five');
  await page.getByRole('button', { name: 'Mirror' }).click();
  const picture = page.getByLabel('What the camera sees, as in a mirror');
  await expect.poll(() => picture.evaluate((video: HTMLVideoElement) => video.videoWidth)).toBeGreaterThan(0);
  await expect(page.getByText('neither kept nor sent')).toBeVisible();
  const track = await picture.evaluateHandle(
    (video: HTMLVideoElement) => (video.srcObject as MediaStream).getVideoTracks()[0],
  );
  await page.keyboard.press('n');
  await expect(picture).toBeHidden();
  expect(await track.evaluate((one) => one?.readyState)).toBe('ended');
});

test('at the piano a singer is listened to once that is wanted; a crack that was heard is kept with one press', async ({
  page,
}) => {
  await signUp(page);
  await addStudent(page, { name: 'Maren Holt' });
  await benchWith(page, ['Thirds']);
  await page.getByRole('link', { name: /Sing/ }).click();
  await passGate(page);
  await page.getByRole('button', { name: 'Listen to the singer' }).click();
  await page.getByText('Microphone', { exact: true }).click();
  await expect(page.getByText('Listening. No sound is kept')).toBeVisible();
  await page.getByText('Simulated singer', { exact: true }).click();
  await page.getByRole('combobox', { name: 'Singer' }).click();
  await page.getByRole('option', { name: 'cracks at the bridge' }).click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('The piano shows this key')).toBeVisible();
  for (let press = 0; press < 2; press += 1) await page.keyboard.press('g');
  const heard = page.getByRole('region', { name: 'What is heard' });
  await expect(heard.getByText(/in tune/)).toBeVisible({ timeout: 30_000 });
  await expect(heard.getByRole('row')).toHaveCount(10);
  await page.keyboard.press('ArrowRight');
  await page.getByRole('button', { name: /^heard: crack/ }).click();
  await expect(page.getByRole('button', { name: /^take back crack/ })).toBeVisible();
  await page.getByRole('button', { name: /^Listening/ }).click();
  await page.getByText('Off', { exact: true }).click();
  await expect(heard).toBeHidden();
});
