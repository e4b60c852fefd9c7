import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import type { PlantId } from '../core/ids';
import { TestGarden } from '../core/testGarden';
import { sees, setTime, takeOver, today } from './helpers';

const DAWN = '2026-07-14';
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: true });

/** One flower of which every link was seen so far, and one of which three are broken. */
function twoFruits() {
  const garden = new TestGarden();
  const [mother, father] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId, PlantId];
  const good = garden.shut('2026-07-13', mother, 'female');
  const bad = garden.shut('2026-07-13', father, 'female');
  const male = garden.shut('2026-07-13', father, 'male');
  garden.check(garden.time(DAWN, 5), male, 'whole');
  garden.check(garden.time(DAWN, 5, 5), good, 'whole');
  garden.work(garden.time(DAWN, 5, 10), good, [male], { beeIn: false, clean: true } as never);
  garden.write(garden.time(DAWN, 5, 11), { kind: 'marked', flower: good, mark: '1-A' });
  garden.check(garden.time(DAWN, 5, 20), bad, 'torn');
  garden.work(garden.time(DAWN, 5, 25), bad, [], {
    beeIn: true,
    clean: true,
    shutAgain: null,
    purpose: 'seed',
  } as never);
  garden.write(garden.time(DAWN, 5, 26), { kind: 'marked', flower: bad, mark: '1-B' });
  return garden;
}

test('a fruit with every link seen, and one with three broken: seen shut next day, its mark read, each with its proof', async ({
  page,
}) => {
  await setTime(page, '2026-07-15T06:00:00Z');
  await takeOver(page, twoFruits());
  await page.getByRole('link', { name: 'Fruit' }).click();
  await button(page, 'Purity').click();
  await expect(page.getByText('2 fruits: 1 good, 1 distance only.')).toBeVisible();

  // The closure can be seen today, and no more in three days.
  await page.getByRole('link', { name: /^1-A,/ }).click();
  await expect(page.getByRole('heading', { name: 'Proof of 1-A' })).toBeVisible();
  await expect(page.getByText('Still to do: look at its closure, by 16 July.')).toBeVisible();
  await expect(page.getByText('Still whole later: not recorded')).toBeVisible();
  await today(page);
  await expect(page.getByText('1 worked flower: still shut?')).toBeVisible();
  await button(page, 'Open: what to look at').click();
  await page.getByRole('button', { name: /its closure is whole$/ }).click();
  await expect(page.getByText(/Is it still shut\?/)).toHaveCount(0);

  // Two weeks on it grows, and its mark is read.
  await setTime(page, '2026-07-22T06:00:00Z');
  await page.goto('/looks');
  await page.getByRole('button', { name: /mark 1-A read$/ }).click();
  await page.getByRole('button', { name: /^Slate Dome 1: growing$/ }).click();
  await page.getByRole('link', { name: 'Fruit' }).click();
  await button(page, 'Purity').click();
  await expect(page.getByText('2 fruits: 1 sound, 1 distance only.')).toBeVisible();
  await page.getByRole('link', { name: /^1-A,.*Proof sound; 9 of 9 links seen$/ }).click();
  await expect(page.getByText('Foreign fathers: likely under 0.5 % of its seed.')).toBeVisible();
  await expect(page.getByText('Still to do', { exact: false })).toHaveCount(0);

  await button(page, 'Purity').click();
  await page.getByRole('link', { name: /^1-B,.*Proof distance only/ }).click();
  for (const [link, words] of [
    ['Whole at dawn: broken', 'closure found torn'],
    ['No insect while open: broken', 'a bee got in while it was worked'],
    ['Shut again: broken', 'left open after the work'],
  ] as const) {
    await expect(page.getByText(link)).toBeVisible();
    await expect(page.getByText(words)).toBeVisible();
  }
  await expect(page.getByText(/^Closure: torn · 14 July .* · Oda$/)).toBeVisible();
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .withTags(['wcag2a', 'wcag2aa', 'wcag22aa'])
    .analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
});

test('covered in the morning, while such flowers open: whether it was still shut is asked with one tap, and is on record', async ({
  page,
}) => {
  const garden = new TestGarden();
  const [plant] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
  garden.see(garden.time('2026-07-13', 19), plant, 'female', 'coloured');
  await setTime(page, '2026-07-14T06:30:00Z');
  await takeOver(page, garden, '/walk');
  await sees(page, 'female');
  await button(page, 'Shut this female with tape').click();
  await expect(page.getByText(/^Its flowers open from about \d\d:\d\d today/)).toBeVisible();
  await button(page, 'Yes, still shut').click();
  await expect(page.getByText('Tonight on this plant: 1 flower')).toBeVisible();
  // In the evening nothing is asked.
  await setTime(page, '2026-07-14T17:30:00Z');
  await page.reload();
  await sees(page, 'female');
  await button(page, 'Shut this female with tape').click();
  await expect(page.getByText('Tonight on this plant: 2 flowers')).toBeVisible();
  // It is on record of the one that was asked about, and of no other.
  const said = await page.evaluate(async () => {
    const db = await new Promise<IDBDatabase>((done) => {
      const asked = indexedDB.open('steady-trowel');
      asked.onsuccess = () => done(asked.result);
    });
    const texts = await new Promise<readonly unknown[]>((done) => {
      const asked = db.transaction('entries').objectStore('entries').getAll();
      asked.onsuccess = () => done(asked.result);
    });
    return texts.join().match(/"stillShut":\w+/g);
  });
  expect(said).toEqual(['"stillShut":true']);
});

test('the purity of a variety is saved as a table that says what the screen says', async ({ page }) => {
  await setTime(page, '2026-07-15T06:00:00Z');
  await takeOver(page, twoFruits());
  await page.goto('/purity');
  const download = page.waitForEvent('download');
  await button(page, 'Save as a table (CSV)').click();
  const stream = await (await download).createReadStream();
  const chunks: Buffer[] = [];
  for await (const chunk of stream) chunks.push(chunk as Buffer);
  const rows = Buffer.concat(chunks).toString('utf8').trim().split('\r\n');
  expect(rows).toHaveLength(3);
  expect(rows[1]).toMatch(/^Slate Dome,1-B,.*distance only/);
  expect(rows[2]).toMatch(/^Slate Dome,1-A,.*good/);
});

test('the proof of a variety goes on paper: a line for each fruit, a shape for each link', async ({
  page,
}) => {
  await setTime(page, '2026-07-15T06:00:00Z');
  await takeOver(page, twoFruits());
  await page.goto('/purity');
  await button(page, 'Print the proof of Slate Dome').click();
  await expect(page.getByRole('heading', { name: 'Purity on paper' })).toBeVisible();
  const sheet = page.frameLocator('iframe[title="The proof as it will be printed"]');
  await expect(sheet.getByText('2 fruits of 2 mothers and 1 father', { exact: false })).toBeVisible();
  const broken = sheet.getByRole('row', { name: /^1-B/ });
  await expect(broken.getByLabel('broken')).toHaveCount(3);
  await expect(broken).toContainText('distance only');
  await expect(sheet.getByRole('row', { name: /^1-A/ }).getByLabel('broken')).toHaveCount(0);
});

test('a mark found gone is said, and the fruit is asked for a new one', async ({ page }) => {
  await setTime(page, '2026-07-22T06:00:00Z');
  await takeOver(page, twoFruits());
  await page.goto('/looks');
  await page.getByRole('button', { name: /mark 1-A is gone$/ }).click();
  await expect(page.getByRole('button', { name: /mark 1-A is gone$/ })).toHaveCount(0);
  await page.goto('/purity');
  await page.getByRole('link', { name: /^no mark, Slate Dome 1/ }).click();
  await expect(page.getByText('its mark was gone, or could not be read')).toBeVisible();
});

test('a plant found not true to its variety takes the purity of every fruit that it fathered', async ({
  page,
}) => {
  await setTime(page, '2026-07-22T06:00:00Z');
  await takeOver(page, twoFruits());
  await page.getByRole('link', { name: 'Patch' }).click();
  await page.getByRole('link', { name: /^Slate Dome 2:/ }).click();
  await button(page, 'It is not true to its variety').click();
  await button(page, 'its fruit').click();
  await expect(page.getByText(/^Not true to its variety, by its fruit:/)).toBeVisible();
  await page.getByRole('link', { name: 'Seed' }).click();
  await button(page, 'Purity').click();
  await page.getByRole('link', { name: /^1-A,.*Proof not true to the variety/ }).click();
  await expect(page.getByText('a father turned out not to be true to the variety')).toBeVisible();
});

test('a look that asks for its cause keeps what was said of the mark', async ({ page }) => {
  await setTime(page, '2026-07-22T06:00:00Z');
  await takeOver(page, twoFruits());
  await page.goto('/looks');
  await page.getByRole('button', { name: /mark 1-A read$/ }).click();
  await page.getByRole('button', { name: /^Slate Dome 1: yellowing$/ }).click();
  await page.getByRole('button', { name: /^poorly pollinated/ }).click();
  await page.getByRole('link', { name: 'Fruit' }).click();
  await page.getByRole('link', { name: /^Slate Dome 1: / }).click();
  await expect(page.getByText('Looked at: yellowing; its mark read')).toBeVisible();
});

test('what was seen and not written down is added weeks later, with its day: good, and no better', async ({
  page,
}) => {
  const garden = new TestGarden();
  const [mother, father] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId, PlantId];
  const female = garden.shut('2026-07-13', mother, 'female');
  const male = garden.shut('2026-07-13', father, 'male');
  garden.check(garden.time(DAWN, 5), male, 'whole');
  garden.check(garden.time(DAWN, 5, 5), female, 'whole');
  garden.work(garden.time(DAWN, 5, 10), female, [male], {} as never);
  garden.write(garden.time(DAWN, 5, 11), { kind: 'marked', flower: female, mark: '1-A' });
  garden.write(garden.time('2026-07-22', 8), {
    kind: 'lookedAt',
    flower: female,
    result: 'growing',
    sizeMm: null,
    markRead: true,
  });
  await setTime(page, '2026-08-20T06:00:00Z');
  await takeOver(page, garden, '/purity');
  await page.getByRole('link', { name: /^1-A,.*Proof fair/ }).click();
  await expect(
    page.getByText(/^On 14 July such flowers opened from about 0\d:\d\d, and insects/),
  ).toBeVisible();
  await button(page, 'Add what was seen, and not written down').click();
  const sheet = page.getByRole('dialog');
  await sheet.getByText('clean', { exact: true }).click();
  await button(page, 'Did a bee get in?: no').click();
  await expect(sheet.getByText('Did a bee get in?')).toHaveCount(0);
  await sheet.getByText('15 July', { exact: true }).click();
  await sheet.getByText('about 08:00', { exact: true }).click();
  await button(page, 'Its closure on 15 July: whole').click();
  await expect(sheet.getByText('All of it is answered.')).toBeVisible();
  await button(page, 'Done').click();
  await expect(page.getByText('good', { exact: true })).toBeVisible();
  await expect(page.getByText('hands and tool clean, written down from memory')).toBeVisible();
  await expect(page.getByText(/^Closure: whole · 15 July 08:00 · .* · written 20 August$/)).toBeVisible();
  await expect(page.getByText(/^Added: no bee got in · 20 August/)).toBeVisible();
});
