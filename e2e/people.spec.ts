import { expect, test, type Page } from '@playwright/test';
import { toJson } from '../core/formats';
import type { PlantId } from '../core/ids';
import type { LedgerEvent } from '../core/ledger';
import { TestGarden } from '../core/testGarden';
import { openDemo, setTime, takeOver, today } from './helpers';

const DAWN = '2026-07-14';

/** One male that two people used for a female each, on phones that could not hear each other. */
function claimed() {
  const garden = new TestGarden();
  const [mother, other, father] = garden.plant('squash-maxima', 'Slate Dome', 3, { reason: 'seed' })
    .plants as [PlantId, PlantId, PlantId];
  const [one, two, male] = [
    garden.shut('2026-07-13', mother, 'female'),
    garden.shut('2026-07-13', other, 'female'),
    garden.shut('2026-07-13', father, 'male'),
  ];
  garden.work(garden.time(DAWN, 5, 10), one, [male]);
  garden.work(garden.time(DAWN, 5, 12), two, [male]);
  const [first, second] = garden.events.slice(-2) as [LedgerEvent, LedgerEvent];
  const base = garden.events.slice(0, -2);
  return {
    garden,
    ada: [...base, { ...first, by: 'Ada', device: 'phone-of-ada' }],
    ben: [...base, { ...second, by: 'Ben', device: 'phone-of-ben' }],
  };
}

async function importing(page: Page, events: readonly LedgerEvent[]) {
  await page.goto('/settings');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Import a file' }).click();
  await (
    await chooser
  ).setFiles({ name: 'patch.json', mimeType: 'application/json', buffer: Buffer.from(toJson(events)) });
  await page.getByRole('button', { name: /^Add 1 record/ }).click();
  await expect(page.getByText('1 record added', { exact: false })).toBeVisible();
  await today(page);
}

for (const order of ['one way', 'the other way'] as const)
  test(`a male that two phones used is shown for a choice, and counts once; merged ${order}`, async ({
    page,
  }) => {
    await setTime(page, '2026-07-14T09:00:00Z');
    const { garden, ada, ben } = claimed();
    const [mine, theirs] = order === 'one way' ? [ada, ben] : [ben, ada];
    await takeOver(page, Object.assign(Object.create(garden), { events: mine }) as TestGarden);
    await importing(page, theirs);
    const card = page.getByText(/^pollinated Slate Dome/);
    await expect(card).toHaveCount(2);
    await expect(page.getByText(/^Ada, 14 July/)).toBeVisible();
    await expect(page.getByText(/^Ben, 14 July/)).toBeVisible();
    await expect(page.getByText(/^Both used one male: Slate Dome 3/)).toBeVisible();
    // Ada had it: Ben's flower was worked all the same, with a male that nobody knows now.
    await page.getByRole('button', { name: /^This is true: pollinated Slate Dome 1.*Ada$/ }).click();
    await expect(card).toHaveCount(0);
    await page.goto('/purity');
    await page.getByRole('link', { name: /Slate Dome 2/ }).click();
    await expect(page.getByText(/no father|nobody/i).first()).toBeVisible();
  });

test('a phone gives its record to another by the system’s own sheet, and the other takes it', async ({
  page,
  browser,
}) => {
  await setTime(page, '2026-07-14T09:00:00Z');
  // The browser of the tests has no sheet: one that keeps what it is given stands in for it.
  await page.addInitScript(() => {
    const given: string[] = [];
    Object.assign(globalThis, { given });
    navigator.canShare = () => true;
    navigator.share = async ({ files }: ShareData) => {
      for (const file of files ?? []) given.push(await file.text());
    };
  });
  await takeOver(page, claimed().garden);
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Give it to another phone' }).click();
  await expect(page.getByText(/^Handed over\./)).toBeVisible();
  const [text] = await page.evaluate(() => (globalThis as unknown as { given: string[] }).given);
  const there = await (await browser.newContext()).newPage();
  await setTime(there, '2026-07-14T09:00:00Z');
  await there.goto(new URL('/', page.url()).href);
  await there.getByRole('button', { name: 'I have a file from another device' }).click();
  const chooser = there.waitForEvent('filechooser');
  await there.getByRole('button', { name: 'Import a file' }).click();
  await (
    await chooser
  ).setFiles({ name: 'steady-trowel.json.txt', mimeType: 'text/plain', buffer: Buffer.from(text ?? '') });
  await there.getByRole('button', { name: /^Add \d+ records/ }).click();
  await expect(there.getByText(/records added/)).toBeVisible();
  await there.context().close();
});

test('three on a round share it by variety, or go in a chain', async ({ page }) => {
  await openDemo(page);
  await expect(page.getByText('How do you share it?')).toHaveCount(0);
  const more = page.getByRole('button', { name: 'People on this round: one more' });
  await more.click();
  await more.click();
  await page.getByRole('button', { name: 'By variety' }).click();
  await expect(page.getByText(/^You: .+ \(\d+ flowers?\)/)).toBeVisible();
  await expect(page.getByText(/^Helper 2: .+ \(\d+ flowers?\)/)).toBeVisible();
  await page.getByRole('button', { name: 'In a chain' }).click();
  await expect(
    page.getByText('One looks and opens, one brings the pollen, one shuts and marks.', { exact: true }),
  ).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'In a chain' })).toHaveAttribute('aria-pressed', 'true');
});
