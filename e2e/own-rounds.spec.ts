import { expect, test } from '@playwright/test';
import { TestGarden } from '../core/testGarden';
import { addStand, beginPatch, setTime, takeOver, today, workFirstAtDusk } from './helpers';

test('corn over three days: shoots on the daily look, one ear spoiled, a tassel bagged, poured, the chain begun', async ({
  page,
}) => {
  await test.step('first day: the rows are looked over', async () => {
    await setTime(page, '2026-07-12T15:00:00.000Z');
    await beginPatch(page);
    await addStand(page, 'corn', 'Weir Copper', 'Pure seed', 3);
    await today(page);
    await page.getByRole('button', { name: 'Open: Daily look at the corn' }).click();
    await page.getByRole('button', { name: 'New shoot on Weir Copper 1, bag on' }).click();
    await page.getByRole('button', { name: 'Silk without a bag on Weir Copper 2: spoiled for seed' }).click();
    await expect(page.getByText(/1 ear spoiled for seed/)).toBeVisible();
    await page.getByRole('button', { name: 'Nothing new on Weir Copper 3' }).click();
    await expect(page.getByText('3 of 3 looked at')).toBeVisible();
  });
  await test.step('second day: silk under the bag, a tassel sheds and is bagged', async () => {
    await setTime(page, '2026-07-13T15:00:00.000Z');
    await page.goto('/scout');
    await page.getByRole('button', { name: 'Silk is out under bag 1 of Weir Copper 1' }).click();
    await page.getByRole('button', { name: 'The tassel of Weir Copper 3 sheds' }).click();
    await page.getByRole('button', { name: 'To the swaps and bags' }).click();
    await expect(page.getByText(/^Bag 1 tassel, as many as ears with silk/)).toBeVisible();
    await page.getByRole('button', { name: 'Tassel bag on Weir Copper 3' }).click();
    await expect(page.getByText(/As many tassels are bagged/)).toBeVisible();
  });
  await test.step('third day: the wind by hand, the swap, the chain', async () => {
    await setTime(page, '2026-07-14T07:30:00.000Z');
    await page.goto('/corn');
    await page.getByRole('button', { name: 'north-east' }).click();
    await expect(page.getByText('wind from the north-east')).toBeVisible();
    await expect(page.getByText(/1\. from the tassel of Weir Copper 3/)).toBeVisible();
    await page.getByRole('button', { name: /poured over Weir Copper 1 and covered/ }).click();
    await expect(page.getByText('1 ear covered')).toBeVisible();
    await expect(page.getByText(/3 plants: 1 mother and 1 father so far.*Neither yet: 2/)).toBeVisible();
    await expect(page.getByText(/1 ear had silk out before a bag/)).toBeVisible();
  });
});

test('a plot of corn and nothing else: the daily look leads, one tap for all where nothing is new', async ({
  page,
}) => {
  await setTime(page, '2026-07-12T15:00:00.000Z');
  await beginPatch(page, 'Weir Copper', /^corn/);
  await expect(page.getByRole('heading', { name: 'Daily look at the corn' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Evening walk' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Open: Daily look at the corn' }).click();
  // Nobody has looked yet: what is found comes first.
  await expect(page.getByRole('button', { name: /^Looked at the other/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'New shoot on Weir Copper 2, bag on' }).click();
  await expect(page.getByText('Last: shut Weir Copper 2, ear')).toBeVisible();
  await page.getByRole('button', { name: 'Looked at the other 3: nothing new' }).click();
  await expect(page.getByText('4 of 4 looked at')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('1 of 4 looked at')).toBeVisible();
});

test('a pepper cross with two mothers on one plant, told apart by a thread, from bag to label', async ({
  page,
}) => {
  await setTime(page, '2026-07-13T16:00:00.000Z');
  await beginPatch(page);
  await addStand(page, 'pepper', 'Tallow Horn', 'A cross', 1);
  await today(page);
  await expect(page.getByText(/a father to choose/)).toBeVisible();
  await addStand(page, 'pepper', 'Lock Flame', 'Pure seed', 1);
  await addStand(page, 'aubergine', 'Dusk Slip', 'Pure seed', 1);
  await page.goto('/crosses');
  await page.getByRole('button', { name: 'Choose the father of Tallow Horn' }).click();
  await expect(page.getByText(/Peppers and aubergines never cross/)).toBeVisible();
  await page.getByLabel('Seed wanted (leave empty for none)').fill('60');
  await page.getByRole('button', { name: 'Lock Flame', exact: true }).click();
  await page.getByRole('button', { name: 'Keep this goal' }).click();
  await page.goto('/crosses');
  await page.getByRole('button', { name: 'A bud at the right stage on Tallow Horn 1' }).click();
  await expect(page.getByText(/Bag 2 buds of Lock Flame today/)).toBeVisible();
  for (let i = 0; i < 2; i++) {
    await page.getByRole('button', { name: 'Bag a bud on Lock Flame 1' }).click();
    await expect(page.getByText('bagged today: ready tomorrow')).toHaveCount(i + 1);
  }
  await expect(page.getByText(/Enough bagged today: 2 buds of Lock Flame/)).toBeVisible();
  await page.getByRole('button', { name: 'Anthers out of a bud on Tallow Horn 1' }).click();
  await expect(page.getByText(/^Last: shut Tallow Horn 1/)).toBeVisible();
  await setTime(page, '2026-07-14T07:00:00.000Z');
  await page.goto('/crosses');
  await page.getByRole('button', { name: 'A bud at the right stage on Tallow Horn 1' }).click();
  await page.getByRole('button', { name: 'Anthers out of a bud on Tallow Horn 1, red thread' }).click();
  await page.getByRole('button', { name: 'Pollen on Tallow Horn 1, red thread, visit 1' }).click();
  await expect(page.getByText(/red thread · 1 visit, next 12:00/)).toBeVisible();
  // The first waits for nothing: never pollinated, she is still listed when her stigma is past it.
  await setTime(page, '2026-07-19T07:00:00.000Z');
  await page.goto('/crosses');
  await expect(page.getByText(/no pollen came in time/)).toBeVisible();
  await page.getByRole('button', { name: 'A fruit forms on Tallow Horn 1, red thread' }).click();
  await page.getByRole('button', { name: 'Bag off the spent flower of Tallow Horn 1' }).click();
  await expect(page.getByText(/no pollen came in time/)).toBeHidden();
  await page.getByRole('button', { name: /^Label for / }).click();
  const label = page.frameLocator('iframe');
  await expect(label.getByText('SEED: do not pick')).toBeVisible();
  await expect(label.getByText('Tallow Horn × Lock Flame')).toBeVisible();
});

test('a mother that dropped asks for the cause, and none is written before it is said', async ({ page }) => {
  const garden = new TestGarden();
  const father = garden.plant('pepper', 'Lock Flame', 1);
  const { plants } = garden.plant('pepper', 'Tallow Horn', 1, {
    reason: 'cross',
    goal: { seed: { amount: 60, unit: 'seeds' }, fatherVariety: father.variety },
  });
  const mother = garden.see(garden.time('2026-07-10', 9), plants[0] as never, 'perfect', 'coloured');
  garden.write(garden.time('2026-07-10', 9, 1), { kind: 'emasculated', flower: mother });
  garden.write(garden.time('2026-07-10', 9, 2), { kind: 'flowerShut', flower: mother, closure: 'mesh-bag' });
  garden.work(garden.time('2026-07-10', 12), mother, [], { tool: 'brush', shutAgain: 'mesh-bag' });
  await setTime(page, '2026-07-20T08:00:00Z');
  await takeOver(page, garden);
  await page.goto('/crosses');
  await page.getByRole('button', { name: 'The flower on Tallow Horn 1 dropped' }).click();
  await expect(page.getByText(/look from/)).toBeVisible();
  await page.getByRole('button', { name: 'weather', exact: true }).click();
  await expect(page.getByRole('button', { name: 'The flower on Tallow Horn 1 dropped' })).toBeHidden();
  await expect(page.getByText(/lost \(weather\)/)).toBeVisible();
});

test('pure tomato seed from bud to mark', async ({ page }) => {
  await setTime(page, '2026-07-13T16:00:00.000Z');
  await beginPatch(page);
  await addStand(page, 'tomato', 'Quay Ember', 'Pure seed', 1);
  await today(page);
  await page.getByRole('button', { name: 'Open: Pure seed under bags' }).click();
  await page.getByRole('button', { name: 'Quay Ember 1: open flowers and fruit off' }).click();
  await page.getByRole('button', { name: 'Quay Ember 1: a truss about to open, bag on' }).click();
  await expect(page.getByText('bagged: shaken inside from tomorrow')).toBeVisible();
  for (const day of ['14', '15']) {
    await setTime(page, `2026-07-${day}T09:00:00.000Z`);
    await page.goto('/trusses');
    await page.getByRole('button', { name: 'Quay Ember 1: bag whole, shaken inside' }).click();
    await expect(page.getByText('shaken today')).toBeVisible();
  }
  await setTime(page, '2026-07-24T09:00:00.000Z');
  await page.goto('/trusses');
  await page.getByRole('button', { name: 'Fruits stand on Quay Ember 1' }).click();
  await page
    .getByRole('button', { name: /^Quay Ember 1: Bag whole, off, mark .* on, the rest pinched off$/i })
    .click();
  await expect(page.getByText(/seed, do not pick/)).toBeVisible();
});

test('a gourd over two dusks: shut after one dusk began it belongs to the next', async ({ page }) => {
  const garden = new TestGarden();
  const flask = garden.plant('bottle-gourd', 'Lock Flask', 2);
  // Half past eight in the evening: the flowers of that dusk are open already.
  for (const plant of flask.plants)
    for (const sex of ['female', 'male'] as const) garden.shut('2026-07-13', plant, sex, 'mesh-bag', 21);
  await setTime(page, '2026-07-14T18:20:00Z');
  await takeOver(page, garden);
  await workFirstAtDusk(page);
});

test('what two devices wrote and can’t both be true is shown side by side, and settled', async ({ page }) => {
  const garden = new TestGarden();
  const { plants } = garden.plant('squash-maxima', 'Slate Dome', 2);
  const [one, two] = plants.map((plant) => garden.shut('2026-07-12', plant, 'female'));
  for (const flower of [one, two])
    for (const [device, result] of [
      ['phone', 'whole'],
      ['tablet', 'torn'],
    ])
      garden.write(garden.time('2026-07-13', 6, device === 'phone' ? 1 : 5), {
        kind: 'closureChecked',
        flower,
        result,
        device,
      } as never);
  await setTime(page, '2026-07-13T12:00:00Z');
  await takeOver(page, garden);
  await expect(page.getByRole('heading', { name: 'Which is true?' })).toBeVisible();
  await page
    .getByRole('button', { name: /^This is true: torn/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: /^This is true: / })).toHaveCount(2);
  await page.getByRole('button', { name: 'Both are true' }).click();
  await expect(page.getByRole('heading', { name: 'Which is true?' })).toBeHidden();
});

test('lettuce stands in the patch for its distances, and asks for nothing', async ({ page }) => {
  const garden = new TestGarden();
  garden.plant('lettuce', 'Sluice Frill', 3);
  await setTime(page, '2026-07-13T12:00:00Z');
  await takeOver(page, garden);
  await expect(page.getByText(/there is nothing to shut or to work/)).toBeVisible();
  await page.getByRole('link', { name: 'Patch' }).click();
  await expect(page.getByText(/3 to 6 m from other lettuces are enough/)).toBeVisible();
  await page.getByRole('link', { name: /^Sluice Frill 1/ }).click();
  await expect(page.getByText(/self before the flower opens/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Set and drop' })).toBeHidden();
});
