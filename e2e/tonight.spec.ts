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

test('a fortnight with three days away: tonight covers for them, nothing is shut for a morning nobody comes, and a second phone knows', async ({
  page,
  browser,
}) => {
  const evening = '2026-07-13';
  await setTime(page, `${evening}T18:00:00Z`);
  const garden = vine(evening, 4, 1);
  await takeOver(page, garden, '/goals');
  await expect(page.getByText('Every morning of the next fortnight.')).toBeVisible();
  const away = (name: string) => page.getByRole('button', { name: `Away on ${name}` });
  await test.step('three taps, and one taken back', async () => {
    for (const day of ['Wednesday 15 July', 'Thursday 16 July', 'Friday 17 July', 'Saturday 18 July']) {
      await away(day).click();
      await expect(away(day)).toHaveAttribute('aria-pressed', 'true');
    }
    await away('Saturday 18 July').click();
    await expect(page.getByText('Away on 3 mornings of the next fortnight.')).toBeVisible();
  });
  await test.step('Today reckons with them', async () => {
    await page.goto('/');
    await expect(
      page.getByText(/^You are away on Wed 15, Thu 16, and Fri 17: that is reckoned with/),
    ).toBeVisible();
    await expect(page.getByText(/^\d+ females? of the \d+ that would do/)).toBeVisible();
  });
  await test.step('the usual week: no Tuesdays, and no more than an hour', async () => {
    await page.goto('/goals');
    await page.getByRole('button', { name: 'Usual week, and time' }).click();
    await page.getByRole('button', { name: 'Tue', exact: true }).click();
    await page.getByRole('button', { name: '60 min' }).click();
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(
      page.getByText(/^Away on 5 mornings of the next fortnight\. No morning takes more than 60 minutes/),
    ).toBeVisible();
    await page.goto('/');
    await expect(page.getByText(/you are away at the next round: nothing to cover/)).toBeVisible();
  });
  await test.step('a second phone takes the plan up from the file', async () => {
    await page.goto('/settings');
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Export everything (JSON)' }).click();
    const path = await (await download).path();
    const other = await browser.newPage();
    await setTime(other, `${evening}T18:00:00Z`);
    await other.goto('/');
    await other.getByRole('button', { name: 'I have a file from another device' }).click();
    const chooser = other.waitForEvent('filechooser');
    await other.getByRole('button', { name: 'Import a file' }).click();
    await (await chooser).setFiles(path);
    await other.getByRole('button', { name: /^Add \d+ records/ }).click();
    await expect(other.getByText(/records added/)).toBeVisible();
    await other.goto('/');
    await expect(other.getByText(/you are away at the next round: nothing to cover/)).toBeVisible();
    await other.close();
  });
});
