import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { buildSync } from 'esbuild';
import fc from 'fast-check';
import { schedules } from '../src/data/store/testing/arbitrary';
import type { StoreApi } from './store.entry';

// The same promise as src/data/store/acceptance.test.ts, kept by IndexedDB in a real browser. `npm run acceptance` runs many more.
const SCHEDULES = Number(process.env.SCHEDULES_IN_BROWSER ?? 15);
const KILLS = Number(process.env.KILLS ?? 2);
const SEED = Number(process.env.SEED ?? 1);

type InPage = { storeApi: StoreApi; tell: (id: string) => void };

const script = buildSync({
  entryPoints: [join(__dirname, 'store.entry.ts')],
  bundle: true,
  write: false,
  format: 'iife',
  alias: { '@core': join(__dirname, '../core'), '@': join(__dirname, '../src') },
  define: { 'process.env.NODE_ENV': '"production"' },
}).outputFiles[0]?.text as string;

async function bare(page: Page): Promise<void> {
  // A page of our own origin with nothing in it, so that it has a database and no app.
  await page.route('**/bare', (route) =>
    route.fulfill({ contentType: 'text/html', body: '<title>bare</title>' }),
  );
  await page.goto('/bare');
  await page.evaluate(script);
}

test(`${SCHEDULES} random schedules over IndexedDB lose nothing that was acknowledged`, async ({ page }) => {
  test.setTimeout(60_000 + SCHEDULES * 4000);
  await bare(page);
  let run = 0;
  await fc.assert(
    fc.asyncProperty(schedules, async (schedule) => {
      const broken = await page.evaluate(
        ([given, name]) => (globalThis as unknown as InPage).storeApi.schedule(given, name),
        [schedule, `schedule-${run++}`] as const,
      );
      expect(broken).toBeNull();
    }),
    { numRuns: SCHEDULES, seed: SEED, endOnFailure: true },
  );
});

test(`a page killed ${KILLS} times in the middle of tapping keeps every entry it acknowledged`, async ({
  context,
}) => {
  test.setTimeout(60_000 + KILLS * 10_000);
  const told: string[] = [];
  await context.exposeFunction('tell', (id: string) => void told.push(id));
  for (let kill = 0; kill < KILLS; kill++) {
    const page = await context.newPage();
    await bare(page);
    const before = told.length;
    const tapping = page
      .evaluate(() => {
        const { storeApi, tell } = globalThis as unknown as InPage;
        return storeApi.tap('killed', tell);
      })
      .catch(() => undefined);
    await expect.poll(() => told.length).toBeGreaterThan(before + 5 + ((kill * 7) % 20));
    // The hardest way to go: the page's process dies where it stands.
    const session = await context.newCDPSession(page);
    await Promise.race([
      session.send('Page.crash').catch(() => undefined),
      page.waitForEvent('crash', { timeout: 60_000 }),
    ]);
    await tapping;
    await page.close();
  }
  const page = await context.newPage();
  await bare(page);
  const kept = new Set(
    await page.evaluate(() => (globalThis as unknown as InPage).storeApi.exported('killed')),
  );
  expect(told.filter((id) => !kept.has(id))).toEqual([]);
  expect(told.length).toBeGreaterThan(KILLS * 5);
});
