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

test('a stop of the round takes two keys: a digit for what was found, Enter for the work', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Start the 05:05 round' }).press('Enter');
  await pickMales(page);
  await expect(page.getByText(/^Stop 1 of 11/)).toBeVisible();
  await page.keyboard.press('1');
  await expect(page.getByRole('button', { name: 'whole', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Last: /)).toBeVisible();
  await expect(page.getByText(/^Stop [2-9] of 11/)).toBeVisible();
});

test('a new screen is read from its title on', async ({ page }) => {
  await openDemo(page);
  await page.keyboard.press('p');
  await expect(page.getByRole('heading', { name: 'Hollin Terraces' })).toBeVisible();
  await expect.poll(() => page.evaluate(() => document.activeElement?.textContent)).toBe('Hollin Terraces');
});

test('letters typed into a field stay there', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Settings' }).click();
  await page.getByLabel(/^Who works with this device/).pressSequentially('pat?');
  await expect(page.getByLabel(/^Who works with this device/)).toHaveValue('pat?');
  await expect(page.getByRole('heading', { name: 'Settings' })).toBeVisible();
});

test('anything is found by a few letters: a slash, a plant, a word with its drawing, a screen', async ({
  page,
}) => {
  await openDemo(page);
  await page.keyboard.press('/');
  await expect(page.getByLabel('What are you looking for?')).toBeFocused();
  await page.keyboard.type('slate 3');
  await expect(page.getByRole('link', { name: /^Slate Dome 3, / })).toBeVisible();
  await page.getByLabel('What are you looking for?').fill('silk');
  await expect(page.getByText(/one for each kernel\. Bag the shoot/)).toBeVisible();
  await page.getByLabel('What are you looking for?').fill('hedge');
  await page.getByRole('link', { name: /^Plan, / }).click();
  await expect(page.getByRole('heading', { name: 'Plan', exact: true })).toBeVisible();
});
