import { expect, test } from '@playwright/test';
import { openDemo, pickMales } from './helpers';

test('the keyboard goes from place to place, along a round, and names its keys', async ({ page }) => {
  await openDemo(page);
  await page.keyboard.press('p');
  await expect(page.getByRole('heading', { name: 'Hollin Terraces' })).toBeVisible();
  await page.keyboard.press('f');
  await expect(page.getByRole('heading', { name: 'Set and drop' })).toBeVisible();
  await page.keyboard.press('t');
  await page.getByRole('button', { name: 'Start the 05:05 round' }).press('Enter');
  await pickMales(page);
  await expect(page.getByText(/^Stop 1 of 11/)).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText(/^Stop 2 of 11/)).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText(/^Stop 1 of 11/)).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('heading', { name: 'Keys' })).toHaveCount(0);
});

test('letters typed into a field stay there', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Settings' }).click();
  await page.getByLabel(/^Who works with this device/).pressSequentially('pat?');
  await expect(page.getByLabel(/^Who works with this device/)).toHaveValue('pat?');
  await expect(page.getByRole('heading', { name: 'Settings' })).toBeVisible();
});
