import { expect, test } from '@playwright/test';
import type { PlantId } from '../core/ids';
import { TestGarden } from '../core/testGarden';
import { addDays } from '../core/time';
import { setTime, takeOver } from './helpers';

/** One melon vine for two seed fruits, in colour on an evening; before it `worked` flowers were, and the first `set` of them grew. */
function vine(evening: string, worked: number, set: number): TestGarden {
  const garden = new TestGarden();
  garden.write(garden.time('2026-05-21', 9), {
    kind: 'frostExpected',
    patch: garden.patchId,
    frostOn: '10-25',
  });
  const [plant] = garden.plant('melon', 'Tideglass', 1, {
    goal: { seed: { amount: 600, unit: 'seeds' }, bent: { seedsPerFruit: 300 } },
  }).plants as [PlantId];
  const first = '2026-07-06';
  for (let i = 0; i < worked; i++) {
    const male = garden.shut(addDays(first, -1), plant, 'male');
    const flower = garden.shut(addDays(first, -1), plant, 'female');
    garden.work(garden.time(first, 6, i), flower, [male]);
    garden.check(garden.time(addDays(first, 2), 8, i), flower, 'whole');
    garden.write(garden.time(first, 7, i), { kind: 'marked', flower, mark: `A${i}` });
    for (const day of [5, 8])
      if (addDays(first, day) < evening)
        garden.look(garden.time(addDays(first, day), 9, i), flower, i < set ? 'growing' : 'yellowing');
  }
  for (let node = 5; node < 25; node++) {
    garden.see(garden.time(evening, 18, node), plant, 'female', 'coloured', node);
    garden.see(garden.time(evening, 18, 30 + node), plant, 'male', 'coloured', node);
  }
  return garden;
}

test('a melon vine from its first buds to two fruits: a few are shut, looked at, and no more than need be', async ({
  page,
}) => {
  const tonight = async (evening: string, worked: number, set: number) => {
    await setTime(page, `${evening}T18:00:00Z`);
    await takeOver(page, vine(evening, worked, set), '/');
    await expect(page.getByRole('heading', { name: 'Shut tonight' })).toBeVisible();
    const line = page.getByText(/ may stay open$/);
    await expect(line).toBeVisible();
    return line.innerText();
  };
  const of = (line: string) => {
    const found = /^(\d+) females? of the (\d+) that would do · \d+ mornings left · chance (\d+) in 100/.exec(
      line,
    );
    if (!found) throw new Error(line);
    return found.slice(1).map(Number) as [number, number, number];
  };
  await test.step('first evening: a few of many, nine in ten sure', async () => {
    const [females, wouldDo, chance] = of(await tonight('2026-07-05', 0, 0));
    expect(females).toBeLessThan(wouldDo / 2);
    expect(chance).toBeGreaterThanOrEqual(88);
    await expect(page.getByText(/^From the buds.*Why not all\?/)).toBeVisible();
  });
  await test.step('what tonight is worth stands on the goal’s page', async () => {
    await page.getByRole('button', { name: 'All goals' }).click();
    await page.getByRole('button', { name: 'Open the goal of Tideglass' }).click();
    const bars = page.getByRole('list', { name: 'Chance to reach the goal' }).getByRole('listitem');
    await expect(bars).toHaveText([/^Nothing tonight/, /^By the plan9\d in 100/, /^All that open/]);
  });
  await test.step('one has set and one has not: fewer are shut than on the first evening', async () => {
    const [first] = of(await tonight('2026-07-05', 0, 0));
    const [females] = of(await tonight('2026-07-15', 2, 1));
    expect(females).toBeLessThan(first);
  });
  await test.step('both have set: nothing more', async () => {
    expect(await tonight('2026-07-15', 2, 2)).toBe('its goal is met · 20 may stay open');
  });
});
