import { defineConfig } from '@playwright/test';
import { CHROMIUM } from '../scripts/chromium.mjs';
import { ADDRESS } from './shopServer.ts';

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  outputDir: '../test-results',
  snapshotPathTemplate: '{testDir}/pictures/{arg}{ext}',
  globalSetup: './shopServer.ts',
  workers: 2,
  fullyParallel: true,
  // Patience, not a measure: a step goes on as soon as the page says so, and a busy machine is no
  // fault. Speed is the bench's business.
  timeout: 600_000,
  expect: { timeout: 120_000 },
  reporter: [['list'], ['json']],
  use: {
    baseURL: ADDRESS,
    viewport: { width: 1280, height: 800 },
    timezoneId: 'Europe/London',
    // A trace costs a third of the run: --trace on, with a name, records one where it is wanted.
    trace: 'off',
    screenshot: 'only-on-failure',
    contextOptions: { reducedMotion: 'reduce' },
    // Only the journeys without a server keep the app on the device.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: CHROMIUM.path,
      chromiumSandbox: false,
      args: [
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
