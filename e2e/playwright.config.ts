import { defineConfig } from '@playwright/test';

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

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results/journeys',
  timeout: 600_000,
  expect: { timeout: 30_000 },
  workers: 2,
  fullyParallel: false,
  reporter: process.env['PLAYWRIGHT_JSON_OUTPUT_NAME'] ? [['list'], ['json']] : [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    actionTimeout: 30_000,
    screenshot: 'only-on-failure',
    launchOptions: { executablePath: '/usr/bin/chromium', args: CHROMIUM_FLAGS },
  },
});
