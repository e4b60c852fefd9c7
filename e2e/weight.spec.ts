import { readdirSync, statSync } from 'node:fs';
import { basename, join } from 'node:path';
import { expect, test } from '@playwright/test';
import { demoByAddress } from './helpers';

const FOLDER = 'dist/_expo/static/js/web';
/** As it goes over the wire. */
const weight = (file: string) => statSync(join(FOLDER, `${file}.br`)).size;

/** What each piece of code may weigh at most, kB (1000 bytes, brotli): what the first screen waits for, and what comes later. */
const MOST_KB: Readonly<Record<string, number>> = {
  entry: 182,
  __common: 167,
  _layout: 9,
  screens: 416,
  trade: 230,
  tags: 140,
  listParts: 50,
  reader: 17,
};
const FIRST_LOAD_KB = 380;
/** Anything else: one small screen or list by itself. */
const OTHER_KB = 24;

test('no piece of code outgrows its budget', () => {
  const heavy = readdirSync(FOLDER)
    .filter((file) => file.endsWith('.js'))
    .map((file) => ({ file, most: MOST_KB[file.split('-')[0] ?? ''] ?? OTHER_KB, kb: weight(file) / 1000 }))
    .filter(({ most, kb }) => kb > most);
  expect(heavy).toEqual([]);
});

test('what is fetched before Today stands weighs at most 380 kB', async ({ page }) => {
  const fetched = new Set<string>();
  page.on('request', (request) => {
    if (request.resourceType() === 'script') fetched.add(basename(new URL(request.url()).pathname));
  });
  await demoByAddress(page);
  const scripts = [...fetched].filter((file) => /-[0-9a-f]{32}\.js$/.test(file));
  // The worker is fetched aside: nothing on the screen waits for it.
  const waited = scripts.filter((file) => !file.startsWith('trade-'));
  expect(waited.length).toBeGreaterThan(3);
  expect(waited.reduce((sum, file) => sum + weight(file), 0) / 1000).toBeLessThan(FIRST_LOAD_KB);
});

test('the first screen stands before the app does, and is worked by keys', async ({ page }) => {
  const started: string[] = [];
  await page.route(/entry-.*\.js/, async (route) => {
    started.push(route.request().url());
    await route.continue();
  });
  await page.goto('/');
  await expect(page.getByRole('main')).toMatchAriaSnapshot(`
    - main:
      - heading "Steady Trowel" [level=1]
      - heading "Shut in the evening, worked at dawn, watched till it sets." [level=2]
      - paragraph: /For people who pollinate by hand/
      - paragraph: /Everything you record stays in this browser/
  `);
  expect(started).toEqual([]);
  await page.keyboard.press('Tab');
  await expect(page.getByRole('button', { name: 'Begin my patch' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Begin my patch' })).toBeVisible();
});

test('once the app has started behind it the first screen goes on without loading anew', async ({ page }) => {
  await page.goto('/');
  await page.waitForFunction(() => 'steadyTrowelFirst' in window);
  await page.evaluate(() => ((window as { stayed?: boolean }).stayed = true));
  await page.getByRole('button', { name: 'Look round the demo patch' }).click();
  await expect(page.getByRole('heading', { name: 'Dawn round' })).toBeVisible();
  expect(await page.evaluate(() => (window as { stayed?: boolean }).stayed)).toBe(true);
});
