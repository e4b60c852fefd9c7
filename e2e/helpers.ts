import { expect, type Page } from '@playwright/test';

export { beginPatch, openDemo, takeOver } from './prepared';

/** The demo by its own address. */
export async function demoByAddress(page: Page): Promise<void> {
  await page.goto('/demo');
  await expect(page.getByRole('heading', { name: 'Dawn round' })).toBeVisible();
}

/** Sets what the page takes for now; timers go on as they are. */
export async function setTime(page: Page, time: string): Promise<void> {
  await page.clock.setFixedTime(new Date(time));
}

/** From the first screen to a patch of four plants of one variety, in Ljubljana; the crop that is offered, or another. */
export async function beginByHand(page: Page, variety = 'Harbour Lantern', crop?: RegExp): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Begin my patch' }).click();
  await page.getByRole('button', { name: /^Pure seed,/ }).click();
  await page.getByLabel('Nearest town, country or zone').fill('ljub');
  await page.getByText('Ljubljana, Slovenia').click();
  if (crop) await page.getByRole('button', { name: crop }).click();
  await page.getByLabel('Variety', { exact: true }).fill(variety);
  await page.getByRole('button', { name: 'Begin with 4 plants' }).click();
  await expect(page.getByRole('link', { name: 'Patch' })).toBeVisible();
}

export const today = (page: Page) => page.getByRole('link', { name: 'Today' }).click();

/** On the walk: taps in what is seen, flower and stage. */
export async function sees(page: Page, sex: 'female' | 'male', stage = 'coloured'): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${sex}, `) }).click();
  await page.getByRole('button', { name: new RegExp(`^${stage}:`) }).click();
}

/** Takes the males that a round asks for first, where it does; then a flower (or the end) is on the screen. */
export async function pickMales(page: Page): Promise<void> {
  const picked = page.getByRole('button', { name: /^Picked: / });
  const flower = page.getByText(/^Stop \d+ of /).first();
  const end = page.getByRole('heading', { name: /^(The round is done|No round)$/ });
  for (let i = 0; i < 4; i++) {
    await expect(picked.or(flower).or(end).first()).toBeVisible();
    if (!(await picked.isVisible())) return;
    await picked.click();
  }
}

/** Another stand in the patch's first bed, from the Patch. */
export async function addStand(
  page: Page,
  crop: string,
  variety: string,
  reason: string,
  plants: number,
): Promise<void> {
  await page.getByRole('link', { name: 'Patch' }).click();
  await page.getByRole('button', { name: /^Add plants to / }).click();
  await page.getByRole('button', { name: new RegExp(`^${crop},`) }).click();
  await page.getByLabel('Variety', { exact: true }).fill(variety);
  await page.getByRole('button', { name: new RegExp(`^${reason},`) }).click();
  for (let n = 4; n > plants; n--) await page.getByRole('button', { name: 'Plants: one less' }).click();
  await page.getByRole('button', { name: `Add ${plants} plant${plants === 1 ? '' : 's'}` }).click();
  await expect(page.getByText(variety, { exact: true })).toBeVisible();
}

/** Starts the dusk round from Today, picks its males and works the first of two flowers. */
export async function workFirstAtDusk(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: 'Dusk round' })).toBeVisible();
  await page
    .getByRole('button', { name: /^Start the/ })
    .first()
    .click();
  await page.getByRole('button', { name: /^Picked: / }).click();
  await page.getByRole('button', { name: 'whole', exact: true }).click();
  await page.getByRole('button', { name: /^Pollinated: / }).click();
  await expect(page.getByText(/^Stop 2 of 2/)).toBeVisible();
}

/** From the first screen to a patch grown for the fruit, in Ljubljana. */
export async function beginKitchen(page: Page, crop: RegExp, variety: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Begin my patch' }).click();
  await page.getByRole('button', { name: /^Fruit,/ }).click();
  await page.getByLabel('Nearest town, country or zone').fill('ljub');
  await page.getByText('Ljubljana, Slovenia').click();
  await page.getByRole('button', { name: crop }).first().click();
  await page.getByLabel('Variety, if you know').fill(variety);
  await page.getByRole('button', { name: /^Begin with/ }).click();
  await expect(page.getByRole('link', { name: 'Patch' })).toBeVisible();
}
