import { readFile } from 'node:fs/promises';
import type { Locator, Page } from '@playwright/test';
import { frameMaker, frequencyOf } from '@soft-lark/core';
import { parseMidi } from 'midi-file';
import { expectAccessible } from './accessible.ts';
import { expect, test } from './studio.ts';
import { fromMenu, openDemo } from './teacher.ts';

async function downloaded(page: Page, press: Locator): Promise<Buffer> {
  const [download] = await Promise.all([page.waitForEvent('download', { timeout: 120_000 }), press.click()]);
  return readFile(await download.path());
}

/** Seconds and pitch of each note of the tune in a MIDI file. */
function tuneOf(bytes: Buffer): { readonly at: number; readonly midi: number }[] {
  const { header, tracks } = parseMidi(bytes);
  const timed = tracks.map((events) => {
    let tick = 0;
    return events.map((event) => ({ tick: (tick += event.deltaTime), event }));
  });
  const tempos = (timed[0] ?? []).flatMap(({ tick, event }) =>
    event.type === 'setTempo' ? [{ tick, perTick: event.microsecondsPerBeat / 1e6 / (header.ticksPerBeat ?? 1) }] : [],
  );
  const secondsAt = (tick: number): number =>
    tempos.reduce(
      (sum, { tick: from, perTick }, index) =>
        sum + Math.max(0, Math.min(tick, tempos[index + 1]?.tick ?? Infinity) - from) * perTick,
      0,
    );
  return (timed[1] ?? []).flatMap(({ tick, event }) =>
    event.type === 'noteOn' ? [{ at: secondsAt(tick), midi: event.noteNumber }] : [],
  );
}

test('the sound track of a routine has every note of its ladders, heard at its pitch', async ({ page }) => {
  await openDemo(page);
  await page.goto('/students');
  await page.getByRole('link', { name: 'Maud Pellow', exact: true }).click();
  await page.getByRole('link', { name: 'Routines' }).click();
  await page.getByRole('link', { name: /^Before the late shift/ }).click();
  await page.getByRole('heading', { name: 'The order' }).waitFor();
  await fromMenu(page, 'Hand out');
  const menu = page.getByRole('button', { name: 'Take along' });
  await menu.click();
  const tune = tuneOf(await downloaded(page, page.getByRole('menuitem', { name: 'MIDI' })));
  expect(tune.length).toBeGreaterThan(100);

  await menu.click();
  await page.getByRole('menuitem', { name: 'Sound track' }).click();
  const dialog = page.getByRole('dialog', { name: 'Sound track' });
  await expectAccessible(page);
  const make = dialog.getByRole('button', { name: 'Make the sound track' });
  expect((await downloaded(page, make)).subarray(0, 3).toString()).toBe('ID3');
  await dialog.getByText('WAV, as recorded').click();
  const wav = await downloaded(page, make);
  const wave = Float32Array.from(
    new Int16Array(wav.buffer, wav.byteOffset + 44, (wav.length - 44) / 2),
    (value) => value / 32_768,
  );
  const rate = wav.readUInt32LE(24);
  const off = tune
    .map(({ at, midi }) => {
      // The middle of a note, where its beginning and its neighbour’s end are out of the way.
      const piece = wave.subarray(Math.round((at + 0.06) * rate), Math.round((at + 0.3) * rate));
      const heard = frameMaker(rate)
        .add(piece)
        .filter(({ clarity }) => clarity > 0.85);
      const hz = heard.map((frame) => frame.hz).sort((one, other) => one - other)[Math.floor(heard.length / 2)] ?? 0;
      return { at, midi, cents: 1200 * Math.log2(hz / frequencyOf(midi)) };
    })
    .filter(({ cents }) => !(Math.abs(cents) < 35));
  expect(off).toEqual([]);
});
