import { expect, test } from '@playwright/test';
import type { CropId } from '../core/crops';
import { TestGarden } from '../core/testGarden';
import { setTime, takeOver } from './helpers';
import { checkSizes, PARTS, still } from './screens';

/** The most nodes that a screen may draw. */
const MOST_NODES = 4_000;

const CROPS: readonly CropId[] = ['squash-maxima', 'squash-pepo', 'melon', 'cucumber', 'tomato', 'corn'];

/** A name of forty letters without a space, the hardest to break, or of words. */
const nameOf = (i: number) =>
  i % 2 === 0
    ? `Wintersquashfromthelongbedbehindthebarn${i}`.slice(0, 40)
    : `Early Yellow from Above the Old Mill No. ${i}`.slice(0, 40);

/** Thirty stands of ten plants, one of them of ninety; a flower worked on every plant, and one shut for this morning. */
function largeGarden(): TestGarden {
  const garden = new TestGarden();
  for (let i = 0; i < 30; i++) {
    const { plants } = garden.plant(CROPS[i % CROPS.length] as CropId, nameOf(i), i === 0 ? 90 : 8);
    if (i % CROPS.length > 3) continue;
    for (const plant of plants) {
      const male = garden.shut('2026-07-07', plant, 'male');
      const female = garden.shut('2026-07-07', plant, 'female');
      garden.work(garden.time('2026-07-08', 6), female, [male]);
      if (i < 6) garden.shut('2026-07-13', plant, 'female');
      if (i < 6) garden.shut('2026-07-13', plant, 'male');
    }
  }
  return garden;
}

for (const [part, screens] of PARTS.entries())
  test(`thirty stands with names of forty letters: every screen holds, part ${part + 1}`, async ({
    page,
  }) => {
    await setTime(page, '2026-07-14T03:05:00Z');
    await takeOver(page, largeGarden());
    for (const path of screens) {
      await page.goto(path);
      await still(page);
      await expect(page.getByText(/^(Adding up …|Opening)$/)).toHaveCount(0);
      await checkSizes(page, path);
      const nodes = () => page.evaluate(() => document.querySelectorAll('*').length);
      expect([path, Math.max(await nodes(), MOST_NODES)]).toEqual([path, MOST_NODES]);
      if (process.env.SHOTS) {
        await page.screenshot({ path: `${process.env.SHOTS}${path.replace(/\W/g, '_')}.png` });
      }
    }
  });

test('two hundred plants of corn, as many as keep a variety: of the daily look and the day only what is in sight is drawn', async ({
  page,
}) => {
  await setTime(page, '2026-07-14T13:05:00Z');
  const garden = new TestGarden();
  const { plants } = garden.plant('corn', 'Weir Copper', 200, { reason: 'seed' });
  for (const [i, plant] of plants.entries()) {
    garden.shut('2026-07-12', plant, 'female', 'shoot-bag');
    if (i % 2 === 0) garden.see(garden.time('2026-07-14', 9), plant, 'male', 'open');
  }
  await takeOver(page, garden);
  const nodes = () => page.evaluate(() => document.querySelectorAll('*').length);
  for (const [path, words] of [
    ['/scout', 'Corn: the daily look'],
    ['/corn', 'Silk under the bag?'],
  ] as const) {
    await page.goto(path);
    await expect(page.getByRole('heading', { name: words })).toBeVisible();
    await expect(page.getByText('Weir Copper 1', { exact: true }).first()).toBeVisible();
    expect([path, Math.max(await nodes(), MOST_NODES)]).toEqual([path, MOST_NODES]);
  }
  await page.goto('/scout');
  await page.getByRole('button', { name: 'New shoot on Weir Copper 2, bag on' }).click();
  await expect(page.getByText(/of 200 looked at/)).toBeVisible();
});

test('of a long list only the rows in sight are drawn, down to the last', async ({ page }) => {
  await setTime(page, '2026-07-14T03:05:00Z');
  await takeOver(page, largeGarden());
  await page.getByRole('link', { name: 'Patch' }).click();
  const plant = (n: number) => page.getByRole('link', { name: new RegExp(`^Wintersquash\\S*0 ${n}:`) });
  await expect(plant(1)).toBeVisible();
  expect(await page.getByRole('listitem').count()).toBeLessThan(60);
  await page.mouse.move(200, 400);
  await expect(async () => {
    await page.mouse.wheel(0, 400);
    await expect(plant(90)).toBeInViewport({ timeout: 100 });
  }).toPass();
  await plant(90).click();
  await expect(page.getByRole('heading', { name: /^Wintersquash\S*0 90$/ })).toBeVisible();
});

test('in a round of a hundred flowers a tap brings one screen, and the plan that comes after it no other', async ({
  page,
}) => {
  await setTime(page, '2026-07-14T03:05:00Z');
  await takeOver(page, largeGarden());
  await page.goto('/round');
  const picked = page.getByRole('button', { name: /^Picked: / });
  const done = page.getByRole('button', { name: /^Pollinated|^Done/ });
  await expect(picked).toBeVisible();
  await page.evaluate(() => {
    const seen: string[] = [];
    Object.assign(window, { seen });
    const note = () => {
      const now = [...document.querySelectorAll('#root h1')].map(({ textContent }) => textContent).join();
      if (now && now !== seen.at(-1)) seen.push(now);
    };
    new MutationObserver(note).observe(document.body, {
      subtree: true,
      childList: true,
      characterData: true,
    });
  });
  const seen = () => page.evaluate(() => (window as unknown as { seen: string[] }).seen.splice(0));
  for (let i = 0; i < 6; i++) {
    const plans = await page.evaluate(() => performance.getEntriesByType('mark').length);
    if (await picked.isVisible()) await picked.click();
    else {
      await page.getByRole('button', { name: 'whole', exact: true }).click();
      await seen();
      await done.click();
    }
    // The plan that the entry asks for; where it asks for none, as long as any plan takes.
    await page
      .waitForFunction((before) => performance.getEntriesByType('mark').length > before, plans, {
        timeout: 2500,
      })
      .catch(() => undefined);
    await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => setTimeout(drawn, 100))));
    const came = await seen();
    expect([i, came.length, came]).toEqual([i, 1, came]);
  }
});
