import { expect, test } from '@playwright/test';
import { openDemo } from './helpers';
import { check, checkSizes, PARTS, visit } from './screens';

// On the wide screen alone; the phone's sizes are asked in the visits of access.spec.ts.
test('the first screen passes the accessibility rules on a wide screen too', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Begin my patch' })).toBeVisible();
  await check(page, 'first');
});

for (const [part, screens] of PARTS.entries())
  test(`on no wide screen is text cut or a button small, part ${part + 1}`, async ({ page }) => {
    test.setTimeout(120_000);
    await openDemo(page);
    for (const path of screens) {
      await visit(page, path, () => checkSizes(page, '/round, collecting'));
      await checkSizes(page, path);
    }
  });
