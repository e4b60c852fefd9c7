import { expect, test, type Page } from '@playwright/test';
import type { PlantId } from '../core/ids';
import { TestGarden } from '../core/testGarden';
import { addDays } from '../core/time';
import { setTime, takeOver } from './helpers';

/** Squash for seed with a fruit of 12 July, courgettes, corn and strawberries; a frost named for 25 October. */
function patch(): TestGarden {
  const garden = new TestGarden();
  garden.write(garden.time('2026-05-21', 9), {
    kind: 'frostExpected',
    patch: garden.patchId,
    frostOn: '10-25',
  });
  const squash = garden.plant('squash-maxima', 'Slate Dome', 3, {
    goal: { seed: { amount: 300, unit: 'seeds' } },
  });
  garden.plant('squash-pepo', 'Low Lantern', 2, { reason: 'fruit' });
  garden.plant('corn', 'Weir Copper', 4);
  garden.plant('strawberry', 'Sill Red', 4, { reason: 'fruit' });
  const [mother] = squash.plants as [PlantId];
  const flower = garden.shut('2026-07-12', mother, 'female');
  garden.work(garden.time('2026-07-13', 6), flower, []);
  garden.write(garden.time('2026-07-13', 6, 5), { kind: 'marked', flower, mark: 'AA-3' });
  garden.look(garden.time('2026-07-23', 9), flower, 'growing');
  return garden;
}

const heads = (page: Page) => page.getByRole('heading').allTextContents();

test('ripe seed, the frost, and winter: nothing is asked for that is over, and last season is cleared in one step', async ({
  page,
}) => {
  const garden = patch();
  await test.step('from its first ripe day the fruit is told of, with what to look for', async () => {
    await setTime(page, `${addDays('2026-07-13', 50)}T09:00:00Z`);
    await takeOver(page, garden, '/');
    await expect(page.getByRole('heading', { name: '1 seed fruit to take in' })).toBeVisible();
    await expect(page.getByText(/takes no dent from a thumbnail/)).toBeVisible();
    await page.getByRole('button', { name: 'Open: Slate Dome 1' }).click();
    await expect(page.getByText(/^Day 50: by the usual days its seed is ripe/)).toBeVisible();
  });

  await test.step('the day after the frost goals reckon with no next year', async () => {
    await setTime(page, '2026-10-26T16:00:00Z');
    await page.goto('/goals');
    await expect(page.getByText(/^The season is over: /)).toBeVisible();
    await expect(page.getByText(/on course|last useful/)).toHaveCount(0);
    await page.goto('/');
    await expect(page.getByText(/^The frost that you named was on/)).toBeVisible();
    expect(await heads(page)).not.toContain('Evening walk');
  });

  await test.step('in January Today says what is left', async () => {
    await setTime(page, '2027-01-20T16:00:00Z');
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'The season is over' })).toBeVisible();
    const shown = await heads(page);
    for (const gone of ['Evening walk', 'Kitchen round', 'Corn', 'Daily look at the corn'])
      expect(shown).not.toContain(gone);
    await expect(page.getByText(/look at the corn|Corn,/)).toHaveCount(0);
  });

  await test.step('last season is cleared with a preview, and one Undo brings it back', async () => {
    await page.getByRole('button', { name: 'Clear last season' }).click();
    await expect(page.getByText('Slate Dome, bed 1: 2 plants')).toBeVisible();
    await expect(page.getByText(/^1 plant stays: seed fruit is still on it/)).toBeVisible();
    await page.getByRole('button', { name: 'Clear 8 plants' }).click();
    await expect(page.getByText('Last: 8 plants cleared')).toBeVisible();
    await page.getByRole('link', { name: 'Patch' }).click();
    await expect(page.getByText(/, 5 plants$/).first()).toBeVisible();
    await page.getByRole('button', { name: /^Undo: / }).click();
    await expect(page.getByText(/, 13 plants$/).first()).toBeVisible();
  });
});
