import { expect, test } from '@playwright/test';
import { beginByHand, demoByAddress, pickMales, setTime } from './helpers';

test.use({ serviceWorkers: 'allow' });

test('after the first visit everything works with the network cut: reload, cold start, a whole round', async ({
  page,
  context,
}) => {
  await demoByAddress(page);
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await context.setOffline(true);
  await page.reload();
  // In a new document the browser under test forgets that it is offline, though nothing gets through: it is told again.
  await context.setOffline(false);
  await context.setOffline(true);
  await expect(page.getByText('no network, none needed')).toBeVisible();
  await page.getByRole('button', { name: 'Start the 05:05 round' }).click();
  await pickMales(page);
  await page.getByRole('button', { name: 'whole', exact: true }).click();
  await page.getByRole('button', { name: /^Pollinated: / }).click();
  await pickMales(page);
  await expect(page.getByText(/^Stop 2 of 11/)).toBeVisible();
  await page.close();

  const cold = await context.newPage();
  await cold.goto('/plant/unknown');
  await expect(cold.getByRole('heading', { name: 'No such plant' })).toBeVisible();
  await cold.goto('/');
  await expect(cold.getByRole('button', { name: 'Go on: 10 flowers left' })).toBeVisible();
  for (const place of ['Patch', 'Fruit']) {
    await cold.getByRole('link', { name: place }).click();
    await expect(cold.getByRole('heading').first()).toBeVisible();
  }
});

test('the list of towns and the demo can be had offline too', async ({ page, context }) => {
  await page.goto('/');
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await context.setOffline(true);
  await page.reload();
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginByHand(page);
  await demoByAddress(page);
});
