import { expect, test, type Page } from '@playwright/test';
import { seededRandom } from '../core/random';
import { twoYears } from '../core/testLogs';
import { LedgerStore, memoryBox, noNeighbours } from '../src/data/store';
import { partsHere } from '../src/data/store/testing/parts';
import { fillStorage } from './prepared';

/** What two seasons leave in storage after an opening: the log, a snapshot, and its late parts. */
async function twoSeasons(): Promise<Map<string, string>> {
  const contents = new Map<string, string>();
  const open = () =>
    new LedgerStore({
      box: memoryBox(contents),
      neighbours: noNeighbours,
      clock: { now: () => Date.parse('2026-07-14T03:05:00.000Z') },
      random: seededRandom(1),
      device: 'device-1-1',
      by: () => 'Oda',
      parts: partsHere,
    }).open();
  await (await open()).add(twoYears());
  await open();
  await expect.poll(() => contents.has('snapshot')).toBe(true);
  return contents;
}

async function openWith(page: Page, contents: ReadonlyMap<string, string>): Promise<void> {
  await page.clock.setFixedTime('2026-07-14T03:05:00.000Z');
  await fillStorage(page, 'own', contents);
  await page.goto('/');
  await expect(page.getByRole('heading', { name: /Tuesday 14 July/ })).toBeVisible();
}

/** Last year's fruits in Fruit: they lie in late parts alone. */
async function lastYear(page: Page): Promise<string> {
  await page.goto('/fruit');
  await expect(page.getByRole('heading', { name: 'Set and drop' })).toBeVisible();
  return page
    .getByText(/ worked/)
    .first()
    .innerText();
}

test('an old log opens from its parts; one of them missing and one torn it is rebuilt, and says the same', async ({
  page,
}) => {
  const contents = await twoSeasons();
  const late = [...contents.keys()].filter((key) => key.startsWith('attic/'));
  expect(late.length).toBeGreaterThan(1);
  await openWith(page, contents);
  const sound = await lastYear(page);
  const [missing, torn] = late as [string, string];
  const broken = new Map(contents);
  broken.set(missing, '');
  broken.set(torn, (contents.get(torn) ?? '').slice(0, -7));
  await openWith(page, broken);
  expect(await lastYear(page)).toBe(sound);
});
