import { defineConfig } from '@playwright/test';
import chromiumArgs from './scripts/chromium-args.json';

const port = Number(process.env.E2E_PORT ?? 8391);

export default defineConfig({
  testDir: 'e2e',
  // Two cores do two journeys in little more than the time of one.
  workers: 2,
  fullyParallel: true,
  timeout: 60_000,
  // A busy machine can hold a page up for seconds.
  expect: { timeout: 10_000 },
  reporter: process.env.E2E_JSON ? [['list'], ['json', { outputFile: process.env.E2E_JSON }]] : 'list',
  use: {
    actionTimeout: 8_000,
    baseURL: `http://127.0.0.1:${port}`,
    locale: 'en-GB',
    timezoneId: 'Europe/Ljubljana',
    // Keeping one costs a fifth of the time; `E2E_TRACE=retain-on-failure` when something is to be found out.
    trace: (process.env.E2E_TRACE ?? 'off') as 'off',
    // The offline copy is made by every new visitor: where a journey is not about it, it only takes time.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell',
      args: chromiumArgs,
    },
  },
  projects: [
    {
      name: 'phone',
      testIgnore: /sizes\.spec\.ts/,
      use: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true },
    },
    {
      name: 'wide',
      use: { viewport: { width: 1280, height: 800 } },
      // What hangs on the width: the layout of every screen, the keyboard, and the journeys through the places. Storage, files,
      // tabs, updates, plans, and what a round or the key asks are the same at every size.
      testMatch:
        /(sizes|demo|keys|first-season|fruit|kitchen|left|marks|own-rounds|crossing|plan|proof|find|seed)\.spec\.ts/,
    },
  ],
  webServer: {
    command: 'node --import tsx server/index.ts',
    port,
    env: { PORT: String(port), STRICT_PORT: '1' },
    reuseExistingServer: false,
  },
});
