import { expect, test } from '@playwright/test';
import type { PlantId } from '../core/ids';
import { TestGarden } from '../core/testGarden';
import { Seasons } from '../core/testSeasons';
import { check } from './screens';
import { openDemo, setTime, takeOver } from './helpers';

test('fruits become a lot, the lot is sown again, and its plants are traced back', async ({ page }) => {
  await setTime(page, '2027-04-20T09:00:00Z');
  const s = new Seasons(2026);
  const [mother, father] = s.stand('Slate Dome', 2).plants as [PlantId, PlantId];
  s.fruit(mother, [father], 'F2-Y');
  s.fruit(father, [mother], 'F3-R');
  await takeOver(page, s.garden);
  await page.getByRole('link', { name: 'Seed' }).click();
  await expect(
    page.getByText(/^2 fruits of Slate Dome of 2026, picked for seed, are in no lot yet\./),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Make a lot of Slate Dome 2026' }).click();
  await expect(page.getByRole('button', { name: /^F2-Y,/ })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Begin the lot' }).click();
  await expect(page.getByRole('heading', { name: 'Slate Dome 2026' })).toBeVisible();
  await expect(
    page.getByText('As varied as seed of 2 plants that are unrelated and gave equally.'),
  ).toBeVisible();
  await expect(page.getByText('No plant on record was sown from it.')).toBeVisible();
  await check(page, 'a lot');
  // Sown again next spring.
  await page.getByRole('button', { name: 'Sow it: go to Patch' }).click();
  await page.getByRole('button', { name: /^Add plants to / }).click();
  await page.getByRole('button', { name: /^squash \(maxima\),/ }).click();
  await page.getByLabel('Variety', { exact: true }).fill('Slate Dome');
  await page.getByRole('button', { name: 'Slate Dome 2026', exact: true }).click();
  await page.getByRole('button', { name: 'F3-R', exact: true }).click();
  await page.getByRole('button', { name: 'Add 4 plants' }).click();
  await page
    .getByRole('link', { name: /Slate Dome 3/ })
    .first()
    .click();
  await expect(page.getByText('Sown from Slate Dome 2026, fruit F3-R.')).toBeVisible();
  await page.getByRole('button', { name: 'Its forebears' }).click();
  await expect(page.getByRole('button', { name: /^mother: Slate Dome 2/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^father: Slate Dome 1/ })).toBeVisible();
  await check(page, 'a tree');
  await page.getByRole('link', { name: 'Seed' }).click();
  await expect(page.getByRole('link', { name: /^Slate Dome 2026: .*4 plants sown from it/ })).toBeVisible();
});

test('a cross of three generations: names, heterozygosity, and a tree that the arrow keys move through', async ({
  page,
}) => {
  await setTime(page, '2023-03-20T09:00:00Z');
  const s = new Seasons(2020);
  const lamp = s.stand("Ferryman's Lamp", 1);
  const dome = s.stand('Slate Dome', 1);
  const crossed = s.fruit(lamp.plants[0] as PlantId, dome.plants);
  const cross = s.stand('Lamp by Dome', 1);
  s.sow(cross.stand, s.lot(cross.variety, [crossed]));
  const selfed = s.fruit(cross.plants[0] as PlantId, cross.plants);
  const second = s.stand('Lamp by Dome, second', 2);
  s.sow(second.stand, s.lot(cross.variety, [selfed]));
  const [keeper] = second.plants as [PlantId, PlantId];
  s.fruit(keeper, [keeper], 'F2-Y', 2022);
  await takeOver(page, s.garden);
  await page.getByRole('link', { name: 'Seed' }).click();
  await page.getByRole('button', { name: 'Make a lot of Lamp by Dome, second 2022' }).click();
  await page.getByRole('button', { name: 'Begin the lot' }).click();
  await expect(page.getByText("F3 of Ferryman's Lamp × Slate Dome")).toBeVisible();
  await expect(page.getByText(/25 % is still mixed in a plant, on average\./)).toBeVisible();
  await page.getByRole('button', { name: 'Its forebears' }).click();
  const root = page.getByRole('button', { name: /^itself: Lamp by Dome, second 2022/ });
  const mother = page.getByRole('button', { name: /^mother: Lamp by Dome, second 1, F2/ });
  await expect(mother).toBeVisible();
  await expect(page.getByText(/came of selfing/).first()).toBeVisible();
  await root.focus();
  await page.keyboard.press('ArrowUp');
  await expect(mother).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('button', { name: /^father: Lamp by Dome, second 1/ })).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('button', { name: /^father’s mother: Lamp by Dome 1, F1/ })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Lamp by Dome 1' })).toBeVisible();
  await expect(page.getByText("It is F1 of Ferryman's Lamp × Slate Dome.")).toBeVisible();
  await expect(page.getByText('Inbred by 0 %, as far as its forebears are known.')).toBeVisible();
});

test('a grow-out with two off-types points to one father, and marking him flags every fruit that he served', async ({
  page,
}) => {
  await setTime(page, '2027-08-20T09:00:00Z');
  const s = new Seasons(2026);
  const { variety, plants } = s.stand('Slate Dome', 4);
  const [a, b, good, bad] = plants as [PlantId, PlantId, PlantId, PlantId];
  s.lot(variety, [s.fruit(a, [bad], 'F2-Y'), s.fruit(b, [bad], 'F3-R'), s.fruit(a, [good], 'F4-7')]);
  await takeOver(page, s.garden);
  await page.getByRole('link', { name: 'Seed' }).click();
  await page.getByRole('link', { name: /^Slate Dome 2026: .*proof sound$/ }).click();
  const count = async (mark: string, off: boolean) => {
    await page.getByRole('button', { name: 'Write down a count' }).click();
    await page.getByRole('button', { name: mark, exact: true }).click();
    await page.getByRole('button', { name: 'Keep the count' }).click();
    await expect(page.getByText('Say how far they have grown')).toBeVisible();
    await page.getByRole('button', { name: 'in fruit', exact: true }).click();
    if (off) {
      await page.getByRole('button', { name: 'Off, found now: one more' }).click();
      await page.getByLabel('What is off about them').fill('round fruit');
      await page.getByRole('button', { name: 'pulled after they shed pollen' }).click();
    }
    await page.getByRole('button', { name: 'Keep the count' }).click();
    await expect(page.getByText('Growing out: a count')).toHaveCount(0);
  };
  await count('F2-Y', true);
  await count('F3-R', true);
  await count('F4-7', false);
  await expect(
    page.getByText(/^2 of 60 plants were off: the true share lies between 0\.4 % and 12 %\.$/),
  ).toBeVisible();
  await expect(page.getByText('Father Slate Dome 4: 2 of 40 off, from 2 fruits')).toBeVisible();
  await expect(page.getByText(/^All off-types came from fruits of one father, Slate Dome 4/)).toBeVisible();
  await page.getByRole('button', { name: 'Mark this father as off-type' }).click();
  await expect(page.getByText(/^Slate Dome 4 is marked as off-type/)).toBeVisible();
  await page.getByRole('link', { name: /^F2-Y: .*proof not true to the variety$/ }).click();
  await expect(page.getByText('a father turned out not to be true to the variety')).toBeVisible();
});

test('tonight’s fathers are evened out: who gave least goes first, and the round takes him', async ({
  page,
}) => {
  await setTime(page, '2026-07-17T03:10:00Z');
  const garden = new TestGarden();
  const [mother, used, fresh] = garden.plant('squash-maxima', 'Slate Dome', 3).plants as [
    PlantId,
    PlantId,
    PlantId,
  ];
  for (const day of [12, 13]) {
    const male = garden.shut(`2026-07-${day}`, used, 'male');
    const female = garden.shut(`2026-07-${day}`, mother, 'female');
    garden.work(garden.time(`2026-07-${day + 1}`, 5), female, [male]);
  }
  garden.shut('2026-07-16', mother, 'female');
  for (const father of [used, used, fresh, fresh]) garden.shut('2026-07-16', father, 'male');
  await takeOver(page, garden);
  await page.getByRole('link', { name: 'Seed' }).click();
  await page.getByRole('button', { name: 'How Slate Dome is mixed' }).click();
  await expect(
    page.getByText(/^Least used so far: Slate Dome 3 \(nothing yet\), Slate Dome 1 \(2 fruits\), and/),
  ).toBeVisible();
  await expect(
    page.getByText(/^With the flower of the next round, as it is planned, it comes to 2\.6 instead of 2\.$/),
  ).toBeVisible();
  await check(page, 'mixing');
  await page.getByRole('link', { name: 'Today' }).click();
  await page.getByRole('button', { name: /^Start the .* round$/ }).click();
  await expect(page.getByText(/Slate Dome 3/).first()).toBeVisible();
  await expect(page.getByText(/Slate Dome 2/)).toHaveCount(0);
});

test('what cannot be so of a lot or a plant is told, and nothing is lost', async ({ page }) => {
  await setTime(page, '2027-08-20T09:00:00Z');
  const s = new Seasons(2026);
  const { variety, plants } = s.stand('Slate Dome', 2);
  const [a, b] = plants as [PlantId, PlantId];
  const lot = s.lot(variety, [s.fruit(a, [b], 'F2-Y')]);
  s.sow(a, lot);
  s.lot(variety, [], 2025);
  await takeOver(page, s.garden);
  await page.goto(`/lineage/${a}`);
  await expect(
    page.getByText(/^It stood in the ground before the seed of the lot .* Its parents count as not known\.$/),
  ).toBeVisible();
  await page.goto(`/plant/${a}`);
  await expect(page.getByText('Said to be sown from Slate Dome 2026.')).toBeVisible();
  await page.getByRole('link', { name: 'Seed' }).click();
  await page.getByRole('link', { name: /^Slate Dome 2026:/ }).click();
  await expect(page.getByText(/^Plants that stood in the ground before its seed was ripe/)).toBeVisible();
  await expect(page.getByText('No plant on record was sown from it.')).toBeVisible();
  await page.getByRole('link', { name: 'Seed' }).click();
  await page.getByRole('link', { name: /^Slate Dome 2025:/ }).click();
  await expect(
    page.getByText('No fruit is named for it, so nobody can say who its parents are.'),
  ).toBeVisible();
  await page.goto('/lot/nothing');
  await expect(page.getByRole('heading', { name: 'No such lot' })).toBeVisible();
});

test('a lot from elsewhere by hand; the sums of generations answer as they are turned', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Seed' }).click();
  await page.getByRole('button', { name: 'Begin a lot' }).click();
  await page.getByRole('button', { name: 'Begin the lot' }).click();
  await expect(page.getByText('Say which variety it is')).toBeVisible();
  await page.getByRole('button', { name: /^Quiet Bell,/ }).click();
  await page.getByRole('button', { name: 'Begin the lot' }).click();
  await expect(page.getByRole('heading', { name: 'Quiet Bell 2025' })).toBeVisible();
  await expect(page.getByText('How pure it is, nobody here has seen: grow some out.')).toBeVisible();
  await page.getByRole('button', { name: '5 plants in Lower terrace: sown from this lot' }).click();
  await expect(page.getByText(/^Sown from it: Quiet Bell 1, /)).toBeVisible();
  await page.goto('/generations');
  await expect(page.getByText('47', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Genes it takes: one more' }).click();
  await expect(page.getByText('191', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: '1 %', exact: true }).click();
  await expect(page.getByText('299', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Of these off: one more' }).click();
  await expect(page.getByText(/no more than 7\.7 % are off/)).toBeVisible();
});
