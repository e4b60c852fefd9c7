import { expect, test } from '@playwright/test';
import { beginPatch, setTime, today } from './helpers';

test('an F1 hybrid for seed is answered where it is planted and where its goal is set', async ({ page }) => {
  await setTime(page, '2026-07-13T08:00:00Z');
  await page.goto('/');
  await page.getByRole('button', { name: 'Begin my patch' }).click();
  await page.getByRole('button', { name: /^Pure seed,/ }).click();
  await page.getByLabel('Nearest town, country or zone').fill('ljub');
  await page.getByText('Ljubljana, Slovenia').click();
  await page.getByLabel('Variety', { exact: true }).fill('Harbour Lantern');
  await page.getByRole('button', { name: 'F1 hybrid' }).click();
  await expect(page.getByText(/won’t come true/)).toBeVisible();
  await page.getByRole('button', { name: 'Begin with 4 plants' }).click();
  await today(page);
  await page.goto('/goals');
  await page
    .getByRole('button', { name: /Harbour Lantern/ })
    .first()
    .click();
  await expect(page.getByText(/won’t come true/)).toBeVisible();
});

test('potatoes are never for the kitchen, strawberries never for seed', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Begin my patch' }).click();
  await page.getByRole('button', { name: /^Pure seed,/ }).click();
  await page.getByRole('button', { name: /^potato/ }).click();
  await expect(page.getByText(/Potato berries and all green parts are poisonous/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Fruit,/ })).toHaveCount(0);
  await page.getByRole('button', { name: /^strawberry/ }).click();
  await expect(page.getByRole('button', { name: /^Fruit,/ })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('button', { name: /^Pure seed,/ })).toHaveCount(0);
});

test('a flower said to have opened far from its hours is asked about, and kept if it was so', async ({
  page,
}) => {
  await setTime(page, '2026-07-13T08:00:00Z');
  await beginPatch(page);
  await setTime(page, '2026-07-13T13:00:00Z');
  await today(page);
  await page.reload();
  await page.getByRole('button', { name: 'Note what opened, shut or flew just now' }).click();
  await page.getByRole('button', { name: /^Just opened/ }).click();
  await expect(page.getByText(/hours later than usual here/)).toBeVisible();
  await page.getByRole('button', { name: 'Yes, just now' }).click();
  await expect(page.getByText(/Last: .*open/i)).toBeVisible();
});
