import { expect, test } from '@playwright/test';
import { openDemo } from './helpers';

test('who only wants to learn is led through one flower of the demo', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Begin my patch' }).click();
  await page.getByRole('button', { name: /^I only want to learn/ }).click();
  await expect(page.getByText('This is dawn: do one flower')).toBeVisible();
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
  await expect(page.getByRole('heading', { name: 'Dawn round' })).toBeVisible();
  await expect(page.getByText('This is dawn: do one flower')).toHaveCount(0);
});

test('children find, count and learn, and nothing of it is written down', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Practice' }).click();
  await page.getByRole('button', { name: 'Walk with children' }).click();
  await expect(page.getByText(/Bees and wasps sleep in flowers/)).toBeVisible();
  await page.getByRole('button', { name: 'Found one!' }).click();
  await expect(page.getByText(/Only a female can become a fruit/)).toBeVisible();
  await page.getByRole('button', { name: 'Another one!' }).click();
  const next = page.getByRole('button', { name: /^(The next one|What did we find\?)$/ });
  while (await next.isVisible()) await next.click();
  await expect(page.getByText('A flower with a tiny fruit below it: 2 times')).toBeVisible();
  await page.getByRole('button', { name: 'Leave the children’s walk' }).click();
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByRole('heading', { name: 'Dawn round' })).toBeVisible();
  await expect(page.getByText(/^Last: /)).toHaveCount(0);
});
