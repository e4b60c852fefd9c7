import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { beginKitchen, beginPatch, setTime } from './helpers';

test('a spray keeps people out and fruit off the plate for as long as its label was copied', async ({
  page,
}) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.getByRole('link', { name: 'Patch' }).click();
  await page.getByRole('button', { name: /^Care of Harbour Lantern/ }).click();
  await page.getByRole('button', { name: 'sprayed' }).click();
  await expect(page.getByText(/Never on open flowers/)).toBeVisible();
  await page.getByLabel(/^With what/).fill('<b>soap</b>');
  await page.getByRole('button', { name: /^Hours to keep out.*one more$/ }).click();
  await page.getByRole('button', { name: /^Days until it may be eaten.*one more$/ }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(
    page.getByText('keep out until 14 July, 19:30; eat nothing of it, flowers too, before 20 July'),
  ).toBeVisible();
  await expect(page.getByText('Last: sprayed with <b>soap</b>: Harbour Lantern')).toBeVisible();
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByText(/keep out until 14 July/)).toBeVisible();
  await page.goto('/walk');
  await expect(page.getByText(/keep out until 14 July/)).toBeVisible();

  await setTime(page, '2026-07-15T05:30:00Z');
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Wednesday 15 July' })).toBeVisible();
  await expect(page.getByText(/keep out until/)).toHaveCount(0);
  await page.goto('/patch');
  await expect(page.getByText(/eat nothing of it, flowers too, before 20 July/)).toBeVisible();
  await setTime(page, '2026-07-21T05:30:00Z');
  await page.goto('/patch');
  await expect(page.getByRole('button', { name: /^Care of/ })).toBeVisible();
  await expect(page.getByText(/eat nothing/)).toHaveCount(0);
});

test('a spray without its waiting days says so, and water asks for nothing', async ({ page }) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.getByRole('link', { name: 'Patch' }).click();
  await page.getByRole('button', { name: /^Care of Harbour Lantern/ }).click();
  await page.getByRole('button', { name: 'watered' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Last: watered: Harbour Lantern')).toBeVisible();
  await expect(page.getByText(/Sprayed on/)).toHaveCount(0);
  await page.getByRole('button', { name: /^Care of Harbour Lantern/ }).click();
  await expect(page.getByText(/^13 July 19:30: watered/)).toBeVisible();
  await page.getByRole('button', { name: 'sprayed' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  // The sheet says it too, as long as it is open.
  await expect(page.getByRole('button', { name: 'Keep it' })).toHaveCount(0);
  await expect(page.getByText(/how long to wait was not noted: read the label/)).toBeVisible();
});

test('strawberries in a bed: straw laid days ago is written down from the kitchen round, and goes out as a table', async ({
  page,
}) => {
  await setTime(page, '2026-06-03T08:00:00Z');
  await beginKitchen(page, /^strawberry/i, 'Sluice Red');
  await page.goto('/kitchen');
  await page.getByRole('button', { name: /^Care of Sluice Red/ }).click();
  await page.getByRole('button', { name: 'mulched' }).click();
  await page.getByRole('button', { name: 'on an earlier day' }).click();
  await page.getByLabel('On which day').fill('2026-05-30');
  await page.getByLabel(/^With what/).fill('straw');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Last: mulched with straw on 30 May: Sluice Red')).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: /^Care of Sluice Red/ }).click();
  await expect(page.getByText(/^30 May: mulched with straw/)).toBeVisible();
  await page.goto('/settings');
  await page.getByRole('button', { name: 'As tables (CSV)' }).click();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Care as a table (CSV)' }).click();
  expect(readFileSync(await (await saved).path(), 'utf8')).toContain('Sluice Red,mulched,straw,2026-05-30,');
});
