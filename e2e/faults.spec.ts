import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { TestGarden } from '../core/testGarden';
import { beginPatch, openDemo, pickMales, sees, setTime, takeOver } from './helpers';

test('full storage: the grower is told, keeps what is on screen, and can export and save again', async ({
  page,
}) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.goto('/walk');
  await expect(page.getByRole('heading', { name: 'Harbour Lantern 1' })).toBeVisible();
  await page.evaluate(() => {
    const real = IDBObjectStore.prototype.put;
    (window as unknown as { mend: () => void }).mend = () => (IDBObjectStore.prototype.put = real);
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
    };
  });
  await sees(page, 'female');
  await page.getByRole('button', { name: 'Shut this female with tape' }).click();
  await expect(page.getByText('Not saved: the storage of this browser is full')).toBeVisible();
  await expect(page.getByText('Tonight on this plant: 1 flower')).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export now' }).click();
  expect((await download).suggestedFilename()).toBe('steady-trowel-2026-07-13.json');
  await page.evaluate(() => (window as unknown as { mend: () => void }).mend());
  await page.getByRole('button', { name: 'Save again' }).click();
  await expect(page.getByText('Not saved')).toHaveCount(0);
  await page.reload();
  await expect(page.getByText('Tonight on this plant: 1 flower')).toBeVisible();
});

test('a page left while an entry is still on its way keeps it', async ({ page }) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.goto('/walk');
  await expect(page.getByRole('heading', { name: 'Harbour Lantern 1' })).toBeVisible();
  // A write that never comes to its end: what leaving at once does to one that has begun.
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = function (this: IDBObjectStore) {
      const hold = () => (this.get('nothing').onsuccess = hold);
      hold();
      return this.get('nothing');
    };
  });
  await sees(page, 'female');
  await page.getByRole('button', { name: 'Shut this female with tape' }).click();
  await expect(page.getByText('Tonight on this plant: 1 flower')).toBeVisible();
  await page.goto('/patch');
  await page.goto('/walk');
  await expect(page.getByText('Tonight on this plant: 1 flower')).toBeVisible();
});

test('where what checks entries can’t be fetched an entry is not taken, it is said, and works once it can', async ({
  page,
}) => {
  await openDemo(page);
  // A first visit that lost its network before the rest of the app came.
  await page.route(/\/screens-/, (route) => route.abort());
  await page.reload();
  await page.getByRole('button', { name: 'Note what opened, shut or flew just now' }).click();
  await page.getByRole('button', { name: /^Insects are here/ }).click();
  const said = page.getByText('The part of the app that checks entries could not be fetched.').first();
  await expect(said).toBeVisible();
  await page.unroute(/\/screens-/);
  await page.getByRole('button', { name: /^Insects are here/ }).click();
  await expect(page.getByText(/^Last: /)).toBeVisible();
  await expect(said).toBeHidden();
});

test('storage that cannot be opened at all is said plainly', async ({ page }) => {
  await page.addInitScript(() => {
    localStorage.setItem('steady-trowel/prefs', JSON.stringify({ space: 'own', device: 'd' }));
    indexedDB.open = () => {
      throw new DOMException('The operation is insecure.', 'SecurityError');
    };
  });
  await page.goto('/');
  await expect(page.getByText('This browser refuses its storage')).toBeVisible();
});

test('two tabs record at once; both show both, and a reload keeps both', async ({ context, page }) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  const other = await context.newPage();
  await setTime(other, '2026-07-13T17:30:00Z');
  await page.goto('/walk');
  await other.goto('/walk');
  const shut = async (tab: typeof page) => {
    await sees(tab, 'female');
    await tab.getByRole('button', { name: 'Shut this female with tape' }).click();
  };
  await Promise.all([shut(page), shut(other)]);
  for (const tab of [page, other])
    await expect(tab.getByText('Tonight on this plant: 2 flowers')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Tonight on this plant: 2 flowers')).toBeVisible();
});

test('a reload right after a tap keeps the entry whole or not at all', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Start the 05:05 round' }).click();
  await pickMales(page);
  await page.getByRole('button', { name: 'whole', exact: true }).click();
  await page.getByRole('button', { name: /^Pollinated: / }).click({ noWaitAfter: true });
  await page.reload();
  await expect(page.getByText(/^Stop [12] of 11/)).toBeVisible();
  const second = await page.getByText(/^Stop 2 of 11/).isVisible();
  await page.getByRole('button', { name: 'Leave the round; it can be taken up again' }).click();
  await expect(
    page.getByRole('button', { name: second ? 'Go on: 10 flowers left' : /^Start the 05:0\d round$/ }),
  ).toBeVisible();
});

test('a screen that breaks says so; the records are safe, can be saved, and the app goes on', async ({
  page,
}) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.goto('/dev/broken');
  await expect(page.getByRole('heading', { name: 'This screen broke' })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save all records as a file' }).click();
  const file = JSON.parse(readFileSync(await (await download).path(), 'utf8')) as {
    events: { kind: string }[];
  };
  expect(file.events.filter(({ kind }) => kind === 'plantAdded')).toHaveLength(4);
  await page.getByRole('button', { name: 'Load the app again' }).click();
  await expect(page.getByRole('heading', { name: 'Monday 13 July' })).toBeVisible();
});

test('a worker that cannot be loaded does not leave the round without a plan', async ({ page }) => {
  await page.route(/\/trade[^/]*\.js/, (route) => route.abort());
  await openDemo(page);
  // Today asks for what is foretold; whoever leaves it before the answer calls the question back.
  await expect.poll(() => worksOf(page)).toEqual({ worker: [], screen: ['foretold'] });
  await page.getByRole('button', { name: 'Start the 05:05 round' }).click();
  await expect(page.getByRole('heading', { name: /^Collect \d+ male/ })).toBeVisible();
  await expect.poll(() => worksOf(page)).toEqual({ worker: [], screen: ['foretold', 'planned'] });
});

test('what is foretold and planned comes from the workers, not from the screen’s own thread', async ({
  page,
}) => {
  await openDemo(page);
  await expect.poll(() => worksOf(page)).toEqual({ worker: ['foretold'], screen: [] });
  await page.getByRole('button', { name: 'Start the 05:05 round' }).click();
  await expect.poll(() => worksOf(page)).toEqual({ worker: ['foretold', 'planned'], screen: [] });
});

/** What was worked out in a worker and what on the screen's thread, by the marks in the browser's timeline. */
async function worksOf(page: Page): Promise<Record<'worker' | 'screen', string[]>> {
  const marks = await page.evaluate(() => performance.getEntriesByType('mark').map(({ name }) => name));
  const by = (who: string) =>
    [...new Set(marks)]
      .filter((name) => name.endsWith(` by the ${who}`))
      .map((name) => name.split(' ')[0] ?? '')
      .sort();
  return { worker: by('worker'), screen: by('screen') };
}

test('a goal and its father are one entry: the page left at once, it is there whole or not at all', async ({
  page,
}) => {
  const garden = new TestGarden();
  const { stand } = garden.plant('squash-maxima', 'Slate Dome', 2, { reason: 'cross' });
  const fathers = ['Harbour Lantern', 'Tide Bell'].map((name) => ({
    name,
    id: garden.plant('squash-maxima', name, 1).variety as string,
  }));
  await setTime(page, '2026-07-13T17:30:00Z');
  await takeOver(page, garden, `/goals?stand=${encodeURIComponent(stand)}`);
  let kept = 0;
  for (let n = 1; n <= (process.env.FULL === '1' ? 20 : 6); n++) {
    const father = fathers[n % 2];
    await page.getByLabel('Seed wanted (leave empty for none)').fill(String(100 * n));
    await page.getByRole('button', { name: new RegExp(`^${father?.name}`) }).click();
    await page.getByRole('button', { name: 'Keep this goal' }).click();
    await page.goto(`/goals?stand=${encodeURIComponent(stand)}`);
    await expect(page.getByLabel('Seed wanted (leave empty for none)')).toHaveValue(/\d/);
    const goals = await page.evaluate(async () => {
      const db = await new Promise<IDBDatabase>((done, failed) => {
        const asked = indexedDB.open('steady-trowel', 1);
        asked.onsuccess = () => done(asked.result);
        asked.onerror = () => failed(asked.error);
      });
      const texts = await new Promise<string[]>((done, failed) => {
        const all = db.transaction('entries').objectStore('entries').getAll();
        all.onsuccess = () => done(all.result as string[]);
        all.onerror = () => failed(all.error);
      });
      db.close();
      return texts.flatMap((text) =>
        [...String(text).matchAll(/"seed":\{"amount":(\d+)[^}]*\}[^}]*?"fatherVariety":("[^"]*"|null)/g)].map(
          ([, amount, variety]) => [Number(amount), variety] as const,
        ),
      );
    });
    const mine = goals.filter(([amount]) => amount === 100 * n);
    kept += mine.length > 0 ? 1 : 0;
    for (const [, variety] of mine) expect(variety).toBe(JSON.stringify(father?.id));
  }
  // Else nothing was asked.
  expect(kept).toBeGreaterThan(0);
});
