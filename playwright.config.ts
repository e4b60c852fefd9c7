import { defineConfig } from '@playwright/test';
import chromiumArgs from './scripts/chromium-args.json';

const port = Number(process.env.E2E_PORT ?? 8391);

export default defineConfig({
  testDir: 'e2e',
  // Two cores do two journeys in little more than the time of one.
  workers: 2,
  fullyParallel: true,
  timeout: 240_000,
  // Every wait is for a state. How long a busy machine takes to it says nothing: it can hold a page up for many seconds.
  expect: { timeout: 30_000 },
  // A machine that is taken away for minutes fails whatever runs then: such a journey is walked once more, and told (scripts/test.mjs).
  retries: process.env.FULL === '1' ? 0 : 1,
  reporter: process.env.E2E_JSON ? [['list'], ['json', { outputFile: process.env.E2E_JSON }]] : 'list',
  use: {
    actionTimeout: 30_000,
    baseURL: `http://127.0.0.1:${port}`,
    locale: 'en-GB',
    timezoneId: 'Europe/Ljubljana',
    // Keeping one costs a fifth of the time; `E2E_TRACE=retain-on-failure` when something is to be found out.
    trace: (process.env.E2E_TRACE ?? 'off') as 'off',
    // The pause after a press is the matter of pause.spec.ts: elsewhere nobody's thumb is cold.
    storageState: {
      cookies: [],
      origins: [
        {
          origin: `http://127.0.0.1:${port}`,
          localStorage: [{ name: 'steady-trowel/pause-ms', value: '0' }],
        },
      ],
    },
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
      use: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true },
    },
    {
      name: 'wide',
      use: { viewport: { width: 1280, height: 800 } },
      // What hangs on the width: the way through the places, the keyboard, and the screens that lie side by side there. How every screen
      // looks so wide is asked in access.spec.ts; the other journeys are walked here in `npm run acceptance`.
      testMatch:
        process.env.FULL === '1'
          ? /(demo|keys|first-season|plan|proof|seed|fruit|kitchen|left|marks|own-rounds|crossing|find)\.spec\.ts/
          : /(demo|keys)\.spec\.ts/,
    },
  ],
  webServer: {
    command: 'node --import tsx server/index.ts',
    port,
    env: { PORT: String(port), STRICT_PORT: '1' },
    reuseExistingServer: false,
  },
});
