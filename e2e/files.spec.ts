import { mkdtempSync, readFileSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { beginPatch, sees, setTime } from './helpers';

const folder = mkdtempSync(join(tmpdir(), 'trowel-e2e-'));

async function exported(page: Page): Promise<string> {
  await page.goto('/settings');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export everything (JSON)' }).click();
  return readFileSync(await (await download).path(), 'utf8');
}

async function importFile(page: Page, name: string, contents: string | null): Promise<void> {
  const path = join(folder, name);
  if (contents === null) {
    writeFileSync(path, '');
    truncateSync(path, 200_000_000);
  } else writeFileSync(path, contents);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Import a file' }).click();
  await (await chooser).setFiles(path);
}

const recordCount = async (page: Page) =>
  Number(
    /(\d+) records, in this browser/.exec(
      (await page.getByText(/records, in this browser only/).textContent()) ?? '',
    )?.[1],
  );

test('two phones: what one exports the other merges, once, both ways the same', async ({ browser, page }) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.goto('/walk');
  await sees(page, 'female');
  await page.getByRole('button', { name: 'Shut this female with tape' }).click();
  await expect(page.getByText('Tonight on this plant: 1 flower')).toBeVisible();
  const first = await exported(page);

  const other = await (await browser.newContext()).newPage();
  await setTime(other, '2026-07-13T18:00:00Z');
  await beginPatch(other, 'Other Kind');
  await other.goto('/settings');
  await importFile(other, 'phone.json', first);
  await expect(other.getByText(/phone.json would add \d+ records/)).toBeVisible();
  await expect(other.getByText(/4 plants, 1 flower shut/)).toBeVisible();
  await other.getByRole('button', { name: /^Add \d+ records/ }).click();
  await expect(other.getByText(/records added/)).toBeVisible();
  const merged = await recordCount(other);
  await importFile(other, 'phone.json', first);
  await expect(other.getByText('phone.json: nothing new')).toBeVisible();

  const second = await exported(other);
  await importFile(page, 'other.json', second);
  await page.getByRole('button', { name: /^Add \d+ records/ }).click();
  await expect(page.getByText(/records added/)).toBeVisible();
  expect(await recordCount(page)).toBe(merged);
  expect(await exported(page)).toBe(second);
  await other.context().close();
});

test('a new phone takes over a patch from a file, straight from the first screen', async ({
  browser,
  page,
}) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  const file = await exported(page);
  const fresh = await (await browser.newContext()).newPage();
  await fresh.goto('/');
  await fresh.getByRole('button', { name: 'I have a file from another device' }).click();
  await expect(fresh.getByText(/No patch here yet/)).toBeVisible();
  await importFile(fresh, 'whole.json', file);
  await fresh.getByRole('button', { name: /^Add \d+ records/ }).click();
  await expect(fresh.getByText(/records added/)).toBeVisible();
  await fresh.getByRole('link', { name: 'Patch' }).click();
  await expect(fresh.getByRole('link', { name: /^Harbour Lantern/ })).toHaveCount(4);
  await fresh.context().close();
});

test('bad files are refused by name, and nothing is lost or half imported', async ({ page }) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  const good = await exported(page);
  const before = await recordCount(page);
  const bad: [string, string | null, RegExp][] = [
    ['cut.json', good.slice(0, -200), /cut short/],
    ['photo.json', '\u0089PNG\r\n', /not JSON/],
    ['other.json', '{"type":"FeatureCollection","features":[]}', /not a Steady Trowel file/],
    ['newer.json', good.replace('"version":2', '"version":7'), /newer version of Steady Trowel/],
    [
      'proto.json',
      good.replace('"kind":"placeSet"', '"__proto__":{"x":1},"kind":"placeSet"'),
      /"__proto__" is not allowed/,
    ],
    ['year0.json', good.replace(/"at":"2026/, '"at":"0000'), /"at" is not a time between 1990 and 2200/],
    ['edited.json', good.replace('My patch', 'Your patch'), /with other contents/],
    ['huge.json', null, /200 MB/],
  ];
  for (const [name, contents, words] of bad) {
    await importFile(page, name, contents);
    await expect(page.getByText(`${name}: nothing was imported`)).toBeVisible();
    await expect(page.getByText(words)).toBeVisible();
  }
  await page.reload();
  expect(await recordCount(page)).toBe(before);
  await page.getByRole('link', { name: 'Patch' }).click();
  await expect(page.getByRole('heading', { name: 'My patch' })).toBeVisible();
});

test('starting afresh waits for an export or the words', async ({ page }) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.goto('/settings');
  const away = page.getByRole('button', { name: 'Delete My patch from this device' });
  await expect(away).toBeDisabled();
  await page.getByLabel('Or write: start afresh').fill('start afresh');
  await away.click();
  await expect(page.getByRole('button', { name: 'Begin my patch' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Begin my patch' })).toBeVisible();
});

test('tables come out as CSV', async ({ page }) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page, '=cmd()');
  await page.goto('/settings');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As tables (CSV)' }).click();
  await page.getByRole('button', { name: 'Plants as a table (CSV)' }).click();
  const text = readFileSync(await (await download).path(), 'utf8');
  expect(text.split('\r\n')[1]).toMatch(/^Bed 1,'=cmd\(\),1,/);
});
