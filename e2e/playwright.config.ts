import { defineConfig } from '@playwright/test';
import { chromium, CHROMIUM_PACKAGE } from '../scripts/run.mjs';

/** Chromium of the machine; as root it runs without its sandbox, and without looking for a network. */
export const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--autoplay-policy=document-user-activation-required',
];

/** What opens the pages; before it is installed, where it will be. */
export const CHROMIUM = chromium() ?? `/usr/bin/${CHROMIUM_PACKAGE}`;

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results/journeys',
  timeout: 900_000,
  // A machine that is asked for much else has stood still for half a minute; what passes takes no longer for it.
  expect: { timeout: 60_000 },
  // Journeys wait for timers and sound a third of their time: a third one keeps both cores at work.
  workers: 3,
  fullyParallel: true,
  reporter: process.env['PLAYWRIGHT_JSON_OUTPUT_NAME'] ? [['list'], ['json']] : [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    actionTimeout: 60_000,
    screenshot: 'only-on-failure',
    // A quarter less work for both cores; journeys that are about either turn it on again.
    serviceWorkers: 'block',
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: { executablePath: CHROMIUM, args: CHROMIUM_FLAGS },
  },
});
