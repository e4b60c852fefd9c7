import { expect, test } from '@playwright/test';
import { openDemo } from './helpers';
import { check, checkLights, largeLetters, otherTab, PARTS, seen, visit, WIDE } from './screens';

test('the first screen passes the accessibility rules, on a wide screen too', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Begin my patch' })).toBeVisible();
  await check(page, 'first');
  await page.setViewportSize(WIDE);
  await check(page, 'first, wide');
});

// Each is opened once and looked at in every way: opening it takes longer than looking.
for (const [part, screens] of PARTS.entries())
  test(`every screen is read and reached in every light and at every size, part ${part + 1}`, async ({
    page,
  }) => {
    await openDemo(page);
    await largeLetters(page);
    const choose = await otherTab(page);
    for (const path of screens) {
      await visit(page, path, () => seen(page, '/round, collecting', choose));
      await seen(page, path, choose);
    }
  });

test('a goal and a plant pass the accessibility rules in every light', async ({ page }) => {
  await openDemo(page, '/goals');
  const choose = await otherTab(page);
  await page.getByRole('button', { name: 'Open the goal of Long Halyard' }).click();
  await expect(page.getByRole('heading', { name: 'The sum', exact: true })).toBeVisible();
  await checkLights(page, '/goals, one', choose);
  await page.goto('/patch');
  await page.getByRole('link', { name: /Slate Dome 3/ }).click();
  await expect(page.getByRole('heading', { name: 'Slate Dome 3' })).toBeVisible();
  await checkLights(page, '/plant', choose);
});
