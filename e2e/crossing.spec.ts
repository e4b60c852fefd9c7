import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { addStand, beginPatch } from './helpers';

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name });

async function nextDoor(page: Page, kind: RegExp, metres: string): Promise<void> {
  await button(page, 'Add what grows next door').click();
  await button(page, kind).click();
  await page.getByLabel('How far from your patch, metres').fill(metres);
}

test('a squash over the hedge is weighed, moved farther off, and is gone', async ({ page }) => {
  await beginPatch(page, 'Harbour Lantern');
  await page.getByRole('link', { name: 'Patch' }).click();
  await button(page, 'Who could cross').click();
  await expect(page.getByText('nothing near')).toHaveCount(1);
  await nextDoor(page, /^maxima squash/, '60');
  await button(page, 'Keep it').click();
  await expect(page.getByText('Say how you know')).toBeVisible();
  await button(page, 'hedge, trees').click();
  await button(page, 'I saw it').click();
  await button(page, 'Keep it').click();
  await expect(page.getByText('too near')).toHaveCount(2);
  await expect(page.getByText(/^60 m away\. Usual are 250 m to 800 m/)).toBeVisible();
  await expect(page.getByText(/Shut the flowers and work them by hand/)).toBeVisible();
  await button(page, /^Why Maxima squash counts so$/).click();
  await expect(page.getByText(/a hedge between: −15 %/)).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).setLegacyMode().analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
  await button(page, /^Edit Maxima squash next door$/).click();
  await page.getByLabel('How far from your patch, metres').fill('900');
  await button(page, 'Keep it').click();
  await expect(page.getByText('far enough')).toHaveCount(2);
  await button(page, /^Maxima squash next door is gone$/).click();
  await expect(page.getByText('nothing near')).toBeVisible();
});

test('one’s own two kinds of one species stand too near each other, and the way out is named', async ({
  page,
}) => {
  await beginPatch(page, 'Harbour Lantern');
  await addStand(page, 'corn', 'Chalk Row', 'Pure seed', 3);
  await addStand(page, 'corn', 'Dusk Row', 'Fruit', 3);
  await button(page, 'Who could cross').click();
  await expect(page.getByText(/^Dusk Row$/)).toBeVisible();
  await expect(page.getByText(/silk and pollen of the two lie 14 days or more apart/)).toBeVisible();
  await expect(page.getByText(/would have a foreign father/).first()).toBeVisible();
});
