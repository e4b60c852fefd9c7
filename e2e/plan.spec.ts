import { readFile } from 'node:fs/promises';
import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { TestGarden } from '../core/testGarden';
import { setTime, takeOver } from './helpers';

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: true });

/** Two squashes of one species, one for seed; a hedge to the north, and two plantings next door. */
function terraces() {
  const garden = new TestGarden();
  const seed = garden.plant('squash-maxima', 'Slate Dome', 4, { reason: 'seed' });
  const other = garden.plant('squash-maxima', 'Tin Lantern', 3, { reason: 'fruit' });
  garden.obstacle('hedge', [
    [0, -4],
    [20, -4],
  ]);
  for (const [distanceM, bearingDeg, variety] of [
    [900, 0, 'Gate Pumpkin'],
    [1200, 90, 'Lane Pumpkin'],
  ] as const)
    garden.nextDoor({ crop: 'squash-maxima', variety, plants: 2, distanceM, bearingDeg });
  return { garden, seed, other };
}

async function openPlan(page: Page) {
  await setTime(page, '2026-07-10T06:00:00Z');
  const made = terraces();
  await takeOver(page, made.garden);
  await page.getByRole('link', { name: 'Patch' }).click();
  await button(page, 'Plan').click();
  await expect(page.getByRole('heading', { name: 'On the plan' })).toBeVisible();
  const thing = (kind: string, id: string) => page.locator(`[id="thing-${kind}/${id}"]`);
  return { ...made, thing };
}

const middle = async (locator: Locator) => {
  const box = await locator.boundingBox();
  if (!box) throw new Error('nothing is drawn there');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};

/** Drags by a finger where there are fingers, else by the mouse. */
async function dragBy(page: Page, locator: Locator, dx: number, dy: number, during?: () => Promise<void>) {
  const { x, y } = await middle(locator);
  const steps = [0.25, 0.5, 0.75, 1].map((share) => ({ x: x + dx * share, y: y + dy * share }));
  if ((page.viewportSize()?.width ?? 0) < 600) {
    const cdp = await page.context().newCDPSession(page);
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', points: { x: number; y: number }[]) =>
      cdp.send('Input.dispatchTouchEvent', { type, touchPoints: points });
    await touch('touchStart', [{ x, y }]);
    for (const step of steps) await touch('touchMove', [step]);
    await during?.();
    await touch('touchEnd', []);
  } else {
    await page.mouse.move(x, y);
    await page.mouse.down();
    for (const step of steps) await page.mouse.move(step.x, step.y);
    await during?.();
    await page.mouse.up();
  }
}

/** Metres between the two squashes, as the plan says it. */
const metresApart = async (page: Page) =>
  Number(/Tin Lantern, ([\d.]+) m/.exec((await page.getByRole('status').first().innerText()) ?? '')?.[1]);

test('a stand is dragged away, answers while it moves, is kept, and comes back by undo', async ({ page }) => {
  const { thing, seed, other } = await openPlan(page);
  await expect(page.getByText(/^Slate Dome: too near\. Tin Lantern, /).first()).toBeVisible();
  // Bare ground moves the whole plan, and nothing that is not chosen.
  await thing('stand', other.stand).locator('circle').first().click();
  await expect(page.getByRole('heading', { name: 'Tin Lantern' })).toBeVisible();
  const before = await metresApart(page);
  await dragBy(page, thing('stand', other.stand).locator('circle').first(), 0, 60, async () => {
    await expect.poll(() => metresApart(page)).toBeGreaterThan(before);
  });
  await expect(page.getByRole('heading', { name: 'So it would be' })).toBeVisible();
  const after = await metresApart(page);
  expect(after).toBeGreaterThan(before + 1);
  // A trial outlives a reload, and nothing is on record before it is kept.
  await page.reload();
  await expect(button(page, 'Keep it so')).toBeVisible();
  await expect.poll(() => metresApart(page)).toBe(after);
  await button(page, 'Keep it so').click();
  await expect(page.getByRole('heading', { name: 'How far apart' })).toBeVisible();
  await expect(page.getByText(/where Tin Lantern stands/).first()).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).setLegacyMode().analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await thing('stand', seed.stand).locator('circle').first().click();
  await expect.poll(() => metresApart(page)).toBe(before);
});

test('far enough is reached by numbers; a number that is none is named', async ({ page }) => {
  await openPlan(page);
  await button(page, 'Tin Lantern').click();
  await button(page, 'By numbers').click();
  await page.getByLabel('From its top edge, metres').fill('far');
  await button(page, 'Try it there').click();
  await expect(
    page.getByText('How far from the top edge must be a number of metres from -1000 to 1000'),
  ).toBeVisible();
  await page.getByLabel('From its top edge, metres').fill('-600');
  await button(page, 'Try it there').click();
  await expect(page.getByText(/^Slate Dome: far enough\./).first()).toBeVisible();
  await expect(page.getByText(/^Tin Lantern has plants outside every bed/)).toBeVisible();
  await button(page, 'Put it back').click();
  await expect(page.getByText(/^Slate Dome: too near\./).first()).toBeVisible();
});

test('with the keys alone: chosen, moved by arrows, turned back, and kept', async ({ page }) => {
  const { other } = await openPlan(page);
  const tile = button(page, 'Tin Lantern');
  await tile.focus();
  await page.keyboard.press('Enter');
  const drawing = page.getByRole('application');
  await expect(drawing).toBeFocused();
  await expect(page.getByRole('status').first()).toContainText('Tin Lantern, ');
  const before = await metresApart(page);
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect.poll(() => metresApart(page)).toBeCloseTo(before + 5.5, 0);
  await page.keyboard.press('Escape');
  await expect.poll(() => metresApart(page)).toBe(before);
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'How far apart' })).toBeVisible();
  expect(other.plants).toHaveLength(3);
  // The scale, by keys as well.
  const scale = async () => (await page.locator('#plan-ground').getAttribute('transform')) ?? '';
  const first = await scale();
  await page.keyboard.press('+');
  await expect.poll(scale).not.toBe(first);
});

test('a hedge is put on the plan, shaped by its handles, and counts', async ({ page }) => {
  await openPlan(page);
  const wanted = async () =>
    Number(
      /(\d+) m wanted/.exec(
        await page
          .getByText(/^Slate Dome: too near/)
          .first()
          .innerText(),
      )?.[1],
    );
  const open = await wanted();
  await button(page, 'Add a hedge, building, hill or water').click();
  await button(page, 'Hedge').last().click();
  await expect(page.getByText('2 corners: drag the round handles.')).toBeVisible();
  // Between the two stands, by numbers; then one end by its handle.
  await button(page, 'By numbers').click();
  await page.getByLabel('From the left edge of the plan, metres').fill('-1');
  await page.getByLabel('From its top edge, metres').fill('4');
  await button(page, 'Try it there').click();
  await dragBy(page, page.locator('#corner-1'), 40, 0);
  await expect.poll(wanted).toBeLessThan(open);
  await button(page, 'One more corner').click();
  await expect(page.getByText('3 corners: drag the round handles.')).toBeVisible();
  await button(page, 'Keep it so').click();
  await expect(page.getByText(/a hedge on the plan/).first()).toBeVisible();
  await button(page, 'It is gone').click();
  await expect.poll(wanted).toBe(open);
});

test('a bed is turned, and its plants with it', async ({ page }) => {
  const { thing, seed, garden } = await openPlan(page);
  const bed = garden.state.stands.get(seed.stand)?.bed as string;
  await button(page, 'bed 1').click();
  const before = await middle(thing('stand', seed.stand).locator('circle').first());
  for (let i = 0; i < 3; i++)
    await page.getByRole('button', { name: 'Turn bed 1 15 degrees to the right' }).click();
  await expect
    .poll(async () => (await middle(thing('stand', seed.stand).locator('circle').first())).x)
    .not.toBeCloseTo(before.x, 0);
  await button(page, 'Keep it so').click();
  await expect(page.getByText(/where bed 1 lies/).first()).toBeVisible();
  await expect(thing('bed', bed)).toBeVisible();
});

test('a bed is made larger by its handle, its plants stay, and undo brings it back', async ({ page }) => {
  const { garden, seed, thing } = await openPlan(page);
  const bed = garden.state.stands.get(seed.stand)?.bed as string;
  await button(page, 'bed 1').click();
  const outline = () => thing('bed', bed).locator('path').first().boundingBox();
  const plant = () => thing('stand', seed.stand).locator('circle').first().boundingBox();
  const [before, stood] = [await outline(), await plant()];
  await dragBy(page, page.locator('#corner-2'), 0, 60);
  await expect.poll(async () => (await outline())?.height).toBeGreaterThan((before?.height ?? 0) + 40);
  expect((await plant())?.y).toBeCloseTo(stood?.y ?? 0, 0);
  await button(page, 'Keep it so').click();
  await expect(page.getByText(/where bed 1 lies/).first()).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await expect.poll(async () => (await outline())?.height).toBeCloseTo(before?.height ?? 0, 0);
});

test('two fingers, or the wheel, change the scale', async ({ page }) => {
  await openPlan(page);
  const scale = async () =>
    Number(/scale\(([^)]+)/.exec((await page.locator('#plan-ground').getAttribute('transform')) ?? '')?.[1]);
  const before = await scale();
  const { x, y } = await middle(page.getByRole('application'));
  if ((page.viewportSize()?.width ?? 0) < 600) {
    const cdp = await page.context().newCDPSession(page);
    const fingers = (by: number) => [
      { x: x - by, y, id: 0 },
      { x: x + by, y, id: 1 },
    ];
    await cdp.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: fingers(30) });
    for (const by of [45, 60, 75, 90])
      await cdp.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: fingers(by) });
    await cdp.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  } else {
    await page.mouse.move(x, y);
    await page.mouse.wheel(0, -400);
  }
  await expect.poll(scale).toBeGreaterThan(before * 1.3);
  await button(page, 'My beds').click();
  await expect.poll(scale).toBeCloseTo(before, 1);
});

test('the plan is saved as a map file, changed elsewhere, and read back; what is no plan is named', async ({
  page,
}) => {
  await openPlan(page);
  const download = page.waitForEvent('download');
  await button(page, 'Save the plan as a map file').click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('steady-trowel-plan-2026-07-10.geojson');
  const map = JSON.parse(await readFile(await file.path(), 'utf8')) as {
    features: { properties: { kind: string }; geometry: { coordinates: number[][][] } }[];
  };
  const read = async (value: unknown) => {
    const chooser = page.waitForEvent('filechooser');
    await button(page, 'Read a map file').click();
    await (
      await chooser
    ).setFiles({
      name: 'plan.geojson',
      mimeType: 'application/geo+json',
      buffer: Buffer.from(JSON.stringify(value)),
    });
  };
  await read('nothing of the kind');
  await expect(page.getByText(/This is no GeoJSON we can read/)).toBeVisible();
  await read(map);
  await expect(page.getByText(/^0 changes in this file/)).toBeVisible();
  await button(page, 'Leave it').click();
  const bed = map.features.find(({ properties }) => properties.kind === 'bed');
  for (const position of bed?.geometry.coordinates[0] ?? []) position[1] = (position[1] as number) + 0.0002;
  await read({ ...map, features: [...map.features, { type: 'Feature', properties: {}, geometry: null }] });
  await expect(page.getByText(/^Feature \d+: /)).toBeVisible();
  await button(page, 'Take 1 change').click();
  await expect(page.getByText('1 entry taken from the file.')).toBeVisible();
  await expect(page.getByText(/where bed 1 lies/).first()).toBeVisible();
});

test('corn sown apart in time: the second sowing flowers weeks after the first, and stands far enough', async ({
  page,
}) => {
  await setTime(page, '2026-07-20T06:00:00Z');
  const garden = new TestGarden();
  garden.plant('corn', 'Weir Copper', 12, { reason: 'seed' });
  await takeOver(page, garden);
  await page.getByRole('link', { name: 'Patch' }).click();
  const sow = async (variety: string, on: string | null) => {
    await page.getByRole('button', { name: /^Add plants to / }).click();
    await page.getByRole('button', { name: /^corn,/ }).click();
    await page.getByLabel('Variety', { exact: true }).fill(variety);
    await page.getByRole('button', { name: /^Pure seed,/ }).click();
    if (on === null) await button(page, 'today').click();
    else {
      await button(page, 'another day').click();
      await page.getByLabel('Sown or planted on').fill(on);
    }
    await page.getByRole('button', { name: 'Add 4 plants' }).click();
    await expect(page.getByText(variety, { exact: true })).toBeVisible();
  };
  await sow('Early Flint', '2026-04-25');
  await sow('Late Dent', null);
  await button(page, 'Who could cross').click();
  await expect(page.getByText(/Early Flint and Late Dent: \d+ days apart\./)).toBeVisible();
  await expect(page.getByRole('link', { name: 'Patch' })).toHaveAttribute('aria-current', 'page');
});

test('the plan goes on a sheet of paper to a scale that a ruler reads', async ({ page }) => {
  await openPlan(page);
  await button(page, 'A sheet to print, to scale').click();
  const sheet = page.frameLocator('iframe[title="The plan as it will be printed"]');
  await expect(sheet.getByText(/scale 1 : \d+ · north at the top/)).toBeVisible();
  await expect(sheet.getByText(/^Next door: Gate Pumpkin, 900 m to the north$/)).toBeVisible();
  const scale = Number(/1 : (\d+)/.exec((await sheet.locator('p').first().textContent()) ?? '')?.[1]);
  const bed = await sheet
    .locator('path.bed')
    .first()
    .evaluate((path) => (path as SVGPathElement).getBBox().width);
  // The drawing is in millimetres: so many are the length of the bed at that scale.
  expect((bed * scale) / 1000).toBeCloseTo(30, 1);
});
