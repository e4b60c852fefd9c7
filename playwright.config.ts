import { defineConfig } from '@playwright/test';
import chromiumArgs from './scripts/chromium-args.json';

const port = Number(process.env.E2E_PORT ?? 8391);

export default defineConfig({
  testDir: 'e2e',
  workers: 1,
  timeout: 60_000,
  // A busy machine can hold a page up for seconds; what is broken fails twice.
  expect: { timeout: 10_000 },
  retries: 1,
  reporter: process.env.E2E_JSON ? [['list'], ['json', { outputFile: process.env.E2E_JSON }]] : 'list',
  use: {
    actionTimeout: 8_000,
    baseURL: `http://127.0.0.1:${port}`,
    locale: 'en-GB',
    timezoneId: 'Europe/Ljubljana',
    trace: 'retain-on-failure',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: chromiumArgs,
    },
  },
  projects: [
    { name: 'phone', use: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true } },
    {
      name: 'wide',
      use: { viewport: { width: 1280, height: 800 } },
      // Storage, files, tabs and updates are the same at every size.
      testIgnore: /(faults|files|update|offline)\.spec\.ts/,
    },
  ],
  webServer: {
    command: 'node --import tsx server/index.ts',
    port,
    env: { PORT: String(port), STRICT_PORT: '1' },
    reuseExistingServer: false,
  },
});
