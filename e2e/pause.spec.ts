import { expect, test } from '@playwright/test';
import type { PlantId } from '../core/ids';
import { TestGarden } from '../core/testGarden';
import { beginPatch, pickMales, sees, setTime, takeOver } from './helpers';

// Here the pause is what it is for a grower.
test.use({ storageState: { cookies: [], origins: [] } });

/** Longer than any double click, shorter than the pause. */
const SECOND_TAP_MS = 700;

/** A garden with one female of plant 1 and one male of plant 2 shut for the morning of 14 July. */
function shutForDawn(): TestGarden {
  const garden = new TestGarden();
  const [mother, father] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId, PlantId];
  garden.shut('2026-07-13', mother, 'female');
  garden.shut('2026-07-13', father, 'male');
  return garden;
}

test('a second tap of a cold thumb is no second entry: a key that came to mean something else sleeps for a second', async ({
  page,
}) => {
  await setTime(page, '2026-07-14T03:30:00Z');
  await takeOver(page, shutForDawn(), '/round?date=2026-07-14&kind=dawn');
  await pickMales(page);
  await page.getByRole('button', { name: 'whole', exact: true }).click();
  const work = page.getByRole('button', { name: /^Pollinated: / });
  const box = await work.boundingBox();
  if (!box) throw new Error('the key is not drawn');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.click(x, y);
  const back = page.getByRole('button', { name: 'Back to Today' });
  await expect(back).toBeVisible();
  await expect(back).toBeDisabled();
  await page.waitForTimeout(SECOND_TAP_MS);
  await page.mouse.click(x, y);
  await expect(page.getByRole('heading', { name: 'The round is done' })).toBeVisible();
  await expect(back).toBeEnabled();
  await page.mouse.click(x, y);
  await expect(page.getByRole('heading', { name: /^Tuesday 14 July/ })).toBeVisible();
});

test('nothing on the walk is chosen beforehand: two taps write one flower, a morning’s look is gone in the evening', async ({
  page,
}) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.getByRole('button', { name: 'Start the evening walk' }).click();
  const waits = page.getByRole('button', { name: 'First tap what you see' });
  await expect(waits).toBeDisabled();
  await sees(page, 'male');
  const shut = page.getByRole('button', { name: 'Shut 1 male with tape' });
  const box = await shut.boundingBox();
  if (!box) throw new Error('the key is not drawn');
  const tap = () => page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
  await tap();
  await expect(page.getByText('Written here tonight: 1 flower')).toBeVisible();
  await page.waitForTimeout(SECOND_TAP_MS);
  await tap();
  await expect(waits).toBeDisabled();
  await expect(page.getByText('Written here tonight: 1 flower')).toBeVisible();
  // By the keys alone too, where the focus stays.
  await sees(page, 'female');
  const again = page.getByRole('button', { name: 'Shut this female with tape' });
  await expect(again).toBeEnabled();
  await again.focus();
  await page.keyboard.press('Enter');
  await page.waitForTimeout(SECOND_TAP_MS);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Written here tonight: 2 flowers')).toBeVisible();

  await setTime(page, '2026-07-14T05:00:00Z');
  await page.goto('/walk');
  await sees(page, 'female', 'open');
  await expect(page.getByText(/not for seed/)).toBeVisible();
  await setTime(page, '2026-07-14T17:30:00Z');
  await page.reload();
  await expect(waits).toBeDisabled();
  await expect(page.getByRole('button', { name: /^open:/ })).toHaveAttribute('aria-pressed', 'false');
});

test('what tonight’s plan wants is chosen and named, its stage is tapped all the same', async ({ page }) => {
  const garden = new TestGarden();
  const [mother] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId];
  garden.see(garden.time('2026-07-12', 19), mother, 'female', 'green', 9);
  await setTime(page, '2026-07-13T17:30:00Z');
  await takeOver(page, garden, '/walk');
  await expect(page.getByText(/^Tonight’s plan here: shut 1 female/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^female, / })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('button', { name: 'Female: tap how far on' })).toBeDisabled();
  await page.getByRole('button', { name: /^coloured:/ }).click();
  await expect(page.getByRole('button', { name: 'Shut this female with tape' })).toBeEnabled();
});

test('a squash “open” at half past seven in the evening: its clock asks back, and what was said it is for stays', async ({
  page,
}) => {
  const garden = new TestGarden();
  garden.plant('squash-maxima', 'Slate Dome', 1);
  await setTime(page, '2026-07-13T17:30:00Z');
  await takeOver(page, garden, '/walk');
  await sees(page, 'female', 'open');
  await page.getByRole('button', { name: 'Pollinated now, for the kitchen' }).click();
  await expect(page.getByText(/shut by about \d\d:\d\d here/)).toBeVisible();
  await page.getByRole('button', { name: 'No, write nothing' }).click();
  await expect(page.getByText(/^Last: /)).toHaveCount(0);

  await setTime(page, '2026-07-14T05:00:00Z');
  await page.reload();
  await sees(page, 'female', 'open');
  await page.getByRole('button', { name: 'Pollinated now, for the kitchen' }).click();
  await expect(page.getByText('Last: pollinated Slate Dome 1')).toBeVisible();
  await page.goto('/fruit');
  await page
    .getByRole('link', { name: /Slate Dome 1/ })
    .first()
    .click();
  const kept = page.getByRole('group', { name: 'This flower is for' });
  await expect(kept.getByRole('button', { name: 'fruit', pressed: true })).toBeVisible();
});
