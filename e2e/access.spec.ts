import { expect, test } from '@playwright/test';
import { check, checkSizes, inLight, PARTS, visit } from './screens';

// On the phone alone: the wide screen has the same elements in the same colours, and only its sizes are checked (sizes.spec.ts).
test('the first screen passes the accessibility rules', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Begin my patch' })).toBeVisible();
  await check(page, 'first');
});

for (const light of ['day', 'sun', 'before-dawn'] as const) {
  // In another light only the colours differ.
  const colours = light !== 'day';
  for (const [part, screens] of PARTS.entries())
    test(`every screen passes the accessibility rules in the light "${light}", part ${part + 1}`, async ({
      page,
    }) => {
      test.setTimeout(120_000);
      await inLight(page, light);
      for (const path of screens) {
        await visit(page, path, () => check(page, '/round, collecting', colours));
        await check(page, path, colours);
        if (!colours) await checkSizes(page, path);
      }
    });
  test(`a goal and a plant pass the accessibility rules in the light "${light}"`, async ({ page }) => {
    await inLight(page, light);
    await page.goto('/goals');
    await page.getByRole('button', { name: 'Open the goal of Long Halyard' }).click();
    await expect(page.getByRole('heading', { name: 'The sum', exact: true })).toBeVisible();
    await check(page, '/goals, one', colours);
    await page.goto('/patch');
    await page.getByRole('link', { name: /Slate Dome 3/ }).click();
    await expect(page.getByRole('heading', { name: 'Slate Dome 3' })).toBeVisible();
    await check(page, '/plant', colours);
  });
}
