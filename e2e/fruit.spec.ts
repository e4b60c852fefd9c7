import { readFileSync } from 'node:fs';
import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { csvRows } from '../core/formats';
import type { PlantId } from '../core/ids';
import { TestGarden } from '../core/testGarden';
import { openDemo, setTime, takeOver } from './helpers';

/** Two summers of courgettes: with the brush and the swab, some left to insects, one plant that drops all. */
function twoSummers(): TestGarden {
  const garden = new TestGarden(undefined, '2025-05-20');
  const { plants } = garden.plant('squash-pepo', 'Low Lantern', 6, { reason: 'fruit' });
  const work = (date: string, i: number, tool: 'brush' | 'swab' | null, took: boolean) => {
    const at = garden.time(date, 6 + (i % 4), i % 50);
    const flower = garden.see(at, plants[i % 6] as PlantId, 'female', 'open');
    if (tool === null) garden.write(at, { kind: 'leftOpen', flower });
    else
      garden.write(at, {
        kind: 'pollinated',
        flower,
        fathers: [{ plant: plants[(i + 1) % 6] as PlantId, males: 1 + (i % 2), flowers: [] }],
        tool,
        purpose: 'kitchen',
      });
    const seen = garden.time(`${date.slice(0, 8)}${String(Number(date.slice(8)) + 8).padStart(2, '0')}`, 18);
    garden.look(seen, flower, took && i % 6 !== 5 ? 'growing' : 'gone');
    if (!took || i % 6 === 5) garden.write(seen, { kind: 'lost', flower, cause: 'not-pollinated' });
  };
  for (let i = 0; i < 48; i++) {
    work('2025-07-10', i, 'brush', Math.floor(i / 6) % 2 === 0);
    work('2026-07-01', i, 'swab', i % 12 !== Math.floor(i / 12));
    if (i < 30) work('2026-07-01', i, null, Math.floor(i / 6) % 4 === 0);
  }
  return garden;
}

async function openFruit(page: Page): Promise<void> {
  await setTime(page, '2026-07-20T06:00:00Z');
  await takeOver(page, twoSummers());
  await page.goto('/fruit');
  await expect(page.getByRole('heading', { name: 'Set and drop' })).toBeVisible();
}

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name });

test('two tools compared in plain words, a season and a father picked, a plant that drops all seen', async ({
  page,
}) => {
  await openFruit(page);
  await button(page, 'tool').click();
  await button(page, /^dry brush: 20 of 48 set/).click();
  await button(page, /^swab: /).click();
  await expect(page.getByText(/^Dry brush 20 of 48, swab \d+ of 48: /)).toBeVisible();
  await expect(page.getByText(/the time of year.* differed too/).first()).toBeVisible();
  await button(page, 'plant').click();
  await expect(button(page, /^Low Lantern 6: 0 of \d+ set, 0 percent/)).toBeVisible();
  await button(page, /^Low Lantern 1: /).click();
  await button(page, /^Low Lantern 6: /).click();
  await expect(page.getByText(/more than luck is likely: Low Lantern 1 set more/)).toBeVisible();
  await button(page, 'Season 2026').click();
  await expect(page.getByText(/^\d+ of 78 with a verdict set/)).toBeVisible();
  await button(page, 'Show only some').click();
  await page.getByRole('group', { name: 'Father' }).getByRole('button', { name: 'Low Lantern 2' }).click();
  await page.getByRole('button', { name: 'Show', exact: true }).click();
  await expect(page.getByText(/^\d+ of 8 with a verdict set/)).toBeVisible();
  await expect(button(page, 'Showing only Low Lantern 2')).toBeVisible();
});

test('left to insects against by hand: the answer says whether to go on, and the numbers stand behind every chart', async ({
  page,
}) => {
  await openFruit(page);
  await expect(page.getByText('Not settled yet. Keep on, and go on leaving some.')).toBeVisible();
  await expect(page.getByText(/^By hand \d+ of 96, left to insects \d+ of 30/)).toBeVisible();
  await button(page, 'Show the numbers: still hanging by the day').click();
  const table = page.getByRole('table', { name: 'still hanging by the day' });
  await expect(table.getByRole('row')).toHaveCount(2);
  await table.getByRole('button', { name: 'Sort by Day' }).click();
  await expect(table.getByRole('columnheader').first()).toHaveAttribute('aria-sort', /ending$/);
  await expect(page.getByRole('img', { name: /^What has become of the fruits: / })).toBeVisible();
  await expect(page.getByRole('img', { name: /^Share that set against hours from sunrise/ })).toBeVisible();
  await button(page, 'males').click();
  await expect(page.getByRole('img', { name: /^Share that set against males to a flower/ })).toBeVisible();
  await button(page, 'warmth').click();
  await expect(
    page.getByText('Too little noted so far: some ten that set and ten that dropped'),
  ).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).setLegacyMode().analyze();
  expect(violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
});

test('every third flower left to the insects: the kitchen round says which, and Fruit follows it', async ({
  page,
}) => {
  const garden = new TestGarden();
  garden.plant('squash-pepo', 'Low Lantern', 1, { reason: 'fruit' });
  await setTime(page, '2026-07-10T05:30:00Z');
  await takeOver(page, garden);
  await page.goto('/fruit');
  await expect(page.getByText(/comes up here with what became of it/)).toBeVisible();
  await page.goto('/kitchen');
  await button(page, 'Low Lantern 1: an open female, worked').click();
  await setTime(page, '2026-07-10T05:31:00Z');
  await page.goto('/fruit');
  await button(page, 'Leave some to insects').click();
  await button(page, 'every 3rd').click();
  await expect(page.getByText('So far 0 worked and 0 left.')).toBeVisible();
  await button(page, 'Close').click();
  await setTime(page, '2026-07-10T05:32:00Z');
  await page.goto('/kitchen');
  await button(page, 'Low Lantern 1: another open female, worked').click();
  await expect(page.getByText(/^Last: pollinated/)).toBeVisible();
  await button(page, 'Low Lantern 1: another open female, worked').click();
  await expect(page.getByText(/The next open female of Low Lantern is for the insects/)).toBeVisible();
  await button(page, 'Low Lantern 1: an open female, left to the insects').click();
  await expect(page.getByText(/^Last: left to the insects/)).toBeVisible();
  await expect(page.getByText(/The next open female of Low Lantern is for the insects/)).toHaveCount(0);
  await setTime(page, '2026-07-18T06:00:00Z');
  await page.goto('/looks');
  await button(page, 'All 4 on Low Lantern 1 grow').click();
  await expect(page.getByRole('heading', { name: 'All looked at' })).toBeVisible();
  await page.goto('/fruit');
  await expect(page.getByRole('listitem', { name: /^left to insects: 1 of 1 set/ })).toBeVisible();
});

test('bees are counted by tapping, and a minute cut short is kept as long as it was', async ({ page }) => {
  const garden = twoSummers();
  await page.clock.install({ time: new Date('2026-07-20T06:00:00Z') });
  await takeOver(page, garden);
  await page.goto('/fruit');
  await button(page, 'Count bees').click();
  await expect(button(page, 'Start the minute')).toBeVisible();
  // The clock stands while it is tapped, or a slow machine would add its own seconds.
  await page.clock.pauseAt(new Date('2026-07-20T06:05:00Z'));
  await button(page, 'Start the minute').click();
  for (let i = 0; i < 3; i++) await button(page, /^One more visit/).click();
  await page.clock.runFor(20_000);
  await button(page, 'Stop here').click();
  await page.clock.resume();
  await expect(page.getByText(/^3 visits in (19|20|21) seconds$/)).toBeVisible();
  await button(page, 'Keep it').click();
  await expect(page.getByText(/Low Lantern: 3 visits in (19|20|21) seconds/)).toBeVisible();
});

test('a look with its size, a cause that the record speaks for first, and the week to print', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/looks');
  const row = (name: RegExp) => page.getByRole('button', { name }).first();
  await row(/: say its size first$/).click();
  await button(page, /^walnut/).click();
  await row(/: growing$/).click();
  await expect(page.getByText(/^Last: /)).toBeVisible();
  await row(/: gone$/).click();
  await expect(page.getByText('What you wrote down speaks for')).toBeVisible();
  await page
    .getByRole('group', { name: 'What you wrote down speaks for' })
    .getByRole('button')
    .first()
    .click();
  await page.goto('/fruit');
  await button(page, 'The week on one sheet').click();
  const sheet = page.frameLocator('iframe');
  await expect(sheet.getByText('Lost this week')).toBeVisible();
});

test('the record goes out as tables and comes back row for row', async ({ page }) => {
  await openFruit(page);
  await page.goto('/settings');
  await button(page, 'As tables (CSV)').click();
  const saved = async (name: string) => {
    const download = page.waitForEvent('download');
    await button(page, `${name} as a table (CSV)`).click();
    return csvRows(readFileSync(await (await download).path(), 'utf8'));
  };
  const trials = await saved('Trials');
  expect(trials).toHaveLength(1 + 48 + 48 + 30);
  const fruits = await saved('Fruits followed');
  const dropped = fruits[0]?.indexOf('dropped') ?? -1;
  expect(fruits.slice(1).filter((row) => row[dropped] === '1').length).toBeGreaterThan(10);
  expect((await saved('What the columns mean')).length).toBeGreaterThan(80);
});
