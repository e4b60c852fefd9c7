import { expect, test } from '@playwright/test';
import { TestGarden } from '../core/testGarden';
import { openDemo, setTime, takeOver, today, workFirstAtDusk } from './helpers';

const EVENING = '2026-07-13';

test('not open yet is a stop to come back to; two people share the round', async ({ page }) => {
  const garden = new TestGarden();
  const dome = garden.plant('squash-maxima', 'Slate Dome', 5);
  for (const plant of dome.plants)
    for (const sex of ['female', 'male', 'male'] as const) garden.shut(EVENING, plant, sex);
  await setTime(page, '2026-07-14T03:10:00Z');
  await takeOver(page, garden);
  await page.getByRole('button', { name: 'People on this round: one more' }).click();
  await page.getByRole('button', { name: /^Start the/ }).click();
  await page.getByRole('button', { name: /^Picked: / }).click();
  await page.getByRole('button', { name: 'not open', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Come back to it/ })).toBeEnabled();
  // Answered, it stays on the screen whatever the planner says meanwhile.
  const name = (await page.getByRole('heading').first().textContent()) ?? '';
  await page.getByRole('button', { name: /^Come back to it/ }).click();
  await expect(page.getByRole('heading', { name, exact: true })).toBeHidden();
  await expect(page.getByText(/ · helper 1$/).first()).toBeVisible();
  // The rest done, it comes up again.
  await expect(async () => {
    const done = page.getByRole('button', { name: /^Pollinated: / });
    const picked = page.getByRole('button', { name: /^Picked: / });
    if (await picked.isVisible()) await picked.click();
    if (!(await page.getByRole('heading', { name, exact: true }).isVisible())) {
      await page.getByRole('button', { name: 'whole', exact: true }).click({ timeout: 1500 });
      await done.click({ timeout: 1500 });
    }
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible({ timeout: 700 });
  }).toPass({ timeout: 40_000 });
});

test('a gourd opens at dusk: shut in the afternoon, worked in the dusk round', async ({ page }) => {
  const garden = new TestGarden();
  const flask = garden.plant('bottle-gourd', 'Lock Flask', 2);
  for (const plant of flask.plants)
    for (const sex of ['female', 'male'] as const) garden.shut('2026-07-14', plant, sex, 'mesh-bag', 16);
  await setTime(page, '2026-07-14T18:20:00Z');
  await takeOver(page, garden);
  // About to open, it comes before the evening walk.
  await workFirstAtDusk(page);
});

test('a cross of two squashes: the father’s pollen and no other, and the brush is watched', async ({
  page,
}) => {
  const garden = new TestGarden();
  const father = garden.plant('squash-maxima', 'Father Dome', 2);
  const mother = garden.plant('squash-maxima', 'Mother Dome', 1, {
    reason: 'cross',
    goal: { seed: { amount: 100, unit: 'seeds' }, fatherVariety: father.variety },
  });
  garden.shut(EVENING, mother.plants[0] as never, 'female');
  garden.shut(EVENING, mother.plants[0] as never, 'male');
  for (const plant of father.plants) garden.shut(EVENING, plant, 'male');
  await setTime(page, '2026-07-14T03:10:00Z');
  await takeOver(page, garden);
  await page.getByRole('button', { name: /^Start the/ }).click();
  await expect(page.getByText('Clean hands, and the dry brush for Father Dome.')).toBeVisible();
  await page.getByRole('button', { name: 'Picked: 2 males, all whole' }).click();
  await page.getByRole('button', { name: 'whole', exact: true }).click();
  await expect(page.getByText(/^Pollen from other Father Dome plants/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Pollen of Mother Dome/ })).toBeHidden();
  await page.getByRole('button', { name: /^Pollinated: / }).click();
  await expect(page.getByRole('heading', { name: 'The round is done' })).toBeVisible();
  // The mother's own male is needed by nobody.
  await expect(page.getByText(/Only from plants treated with nothing/)).toBeVisible();
  await page.getByRole('button', { name: 'Take 1 male to the kitchen' }).click();
  await expect(page.getByText(/left over/)).toBeHidden();
});

test('a clock that was wrong is told, nothing is lost, and the place without a sunrise has its times', async ({
  page,
}) => {
  const garden = new TestGarden({ name: 'Far North', latitude: 70, longitude: 25, zone: 'Europe/Oslo' });
  const dome = garden.plant('squash-maxima', 'Slate Dome', 2);
  for (const plant of dome.plants)
    for (const sex of ['female', 'male'] as const) garden.shut('2026-06-20', plant, sex);
  garden.write(garden.time('2031-02-03', 5), {
    kind: 'plantChecked',
    plant: dome.plants[0] as never,
    health: 'healthy',
  });
  await setTime(page, '2026-06-21T02:45:00Z');
  await takeOver(page, garden);
  await expect(page.getByText('A clock is wrong')).toBeVisible();
  await expect(page.getByText(/The latest entry is of .*February/)).toBeVisible();
  await expect(page.getByText(/The sun does not rise or set here/)).toBeVisible();
  await page.getByRole('button', { name: /^Start the/ }).click();
  await expect(page.getByRole('heading', { name: /^Collect/ })).toBeVisible();
});

test('everything torn in the rain: the evening and the next rounds stand, with what to do', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/weather');
  await page.getByLabel('Rain, mm').fill('14');
  await page.getByRole('button', { name: 'Note the weather of today' }).click();
  await expect(page.getByLabel('Rain, mm')).toHaveValue('');
  await today(page);
  await expect(page.getByText(/Rain: petals collapse/)).toBeVisible();
  await page.getByRole('button', { name: /^Start the/ }).click();
  for (let i = 0; i < 60; i++) {
    const end = page.getByRole('heading', { name: 'The round is done' });
    const torn = page.getByRole('button', { name: 'torn', exact: true });
    const male = page.getByRole('button', { name: /^A male of .* is torn$/ });
    await expect(end.or(torn).or(male).first()).toBeVisible();
    if (await end.isVisible()) break;
    // The plan may change what is asked for between the look and the tap: then the tap is tried again.
    const tap = { timeout: 2000 };
    if (await male.first().isVisible())
      await male
        .first()
        .click(tap)
        .catch(() => undefined);
    else
      await torn
        .click(tap)
        .then(() => page.getByRole('button', { name: 'Skip it' }).last().click(tap))
        .catch(() => undefined);
  }
  await expect(page.getByRole('heading', { name: 'The round is done' })).toBeVisible();
  await expect(page.getByText('not whole', { exact: true })).toBeVisible();
});
