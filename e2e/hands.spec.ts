import { expect, test } from '@playwright/test';
import { beginPatch, sees, setTime } from './helpers';

test('a node is reached by holding the key, and nodes on record are offered at the next flower', async ({
  page,
}) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.goto('/walk');
  await page.getByRole('button', { name: 'healthy' }).click();
  const more = page.getByRole('button', { name: /^Node from the root.*: one more$/ });
  const node = async () =>
    Number(
      (
        await page
          .getByRole('group', { name: /^Node from the root/ })
          .first()
          .getAttribute('aria-label')
      )?.replace(/\D/g, ''),
    );
  await more.click();
  expect(await node()).toBe(1);
  await more.hover();
  await page.mouse.down();
  await expect.poll(node).toBeGreaterThan(5);
  await page.mouse.up();
  const reached = await node();
  // Let go, it stands still; and a press is one step again.
  await page.waitForTimeout(300);
  expect(await node()).toBe(reached);
  await more.click();
  expect(await node()).toBe(reached + 1);
  await sees(page, 'female');
  await page.getByRole('button', { name: 'Shut this female with tape' }).click();
  await expect(page.getByText('Written here tonight: 1 flower')).toBeVisible();

  await sees(page, 'male');
  await expect(page.getByRole('button', { name: `Node ${reached + 1}, on record` })).toBeVisible();
  await page.getByRole('button', { name: `Node ${reached + 2}, the next one` }).click();
  expect(await node()).toBe(reached + 2);
  await page.getByRole('button', { name: 'Shut 1 male with tape' }).click();
  await expect(page.getByText('Written here tonight: 2 flowers')).toBeVisible();
});
