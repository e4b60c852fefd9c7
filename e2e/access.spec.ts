import { expect, test } from '@playwright/test';
import { openDemo } from './helpers';
import { check, checkLights, checkSizes, otherTab, PARTS, visit } from './screens';

// On the phone alone: the wide screen has the same elements in the same colours, and only its sizes are checked (sizes.spec.ts).
test('the first screen passes the accessibility rules', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Begin my patch' })).toBeVisible();
  await check(page, 'first');
});

for (const [part, screens] of PARTS.entries())
  test(`every screen passes the accessibility rules in every light, part ${part + 1}`, async ({ page }) => {
    test.setTimeout(120_000);
    await openDemo(page);
    const choose = await otherTab(page);
    for (const path of screens) {
      await visit(page, path, () => checkLights(page, '/round, collecting', choose));
      await checkSizes(page, path);
      await checkLights(page, path, choose);
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
