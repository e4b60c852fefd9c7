import { expect, test } from '@playwright/test';
import { openDemo } from './helpers';

test('who only wants to learn is led through one flower of the demo', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Begin my patch' }).click();
  await page.getByRole('button', { name: /^I only want to learn/ }).click();
  await expect(page.getByText('This is dawn: do one flower')).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: /^Start the/ }).click();
  await expect(page.getByText('First the males')).toBeVisible();
  await page.getByRole('button', { name: /^Picked: / }).click();
  await expect(page.getByText('Now one female')).toBeVisible();
  await page.getByRole('button', { name: 'whole', exact: true }).click();
  await page.getByRole('button', { name: /^Pollinated: / }).click();
  await expect(page.getByText('One flower done')).toBeVisible();
  await page.getByRole('button', { name: /^Leave the round/ }).click();
  await page.getByRole('button', { name: 'Show me Fruit' }).click();
  await expect(page.getByText('What became of others')).toBeVisible();
  await page.getByRole('button', { name: 'Leave the guide' }).click();
  await expect(page.getByText('What became of others')).toHaveCount(0);
});

test('the guide is offered in the demo, and left at any time', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Guide me through one flower' }).click();
  await expect(page.getByText('This is dawn: do one flower')).toBeVisible();
  await page.getByRole('button', { name: 'Leave the guide' }).click();
  await expect(page.getByText('This is dawn: do one flower')).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Dawn round' })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText('This is dawn: do one flower')).toHaveCount(0);
});
