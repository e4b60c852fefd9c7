import { expect, test, type Page } from '@playwright/test';
import { TestGarden } from '../core/testGarden';
import { beginPatch, sees, setTime, takeOver } from './helpers';

const EVENING = '2026-07-13';

/** Two females of the first plant shut on the evening, and males of the plant named. */
async function shutTwo(page: Page, malesOn: 1 | 2): Promise<void> {
  await page.getByRole('button', { name: 'Start the evening walk' }).click();
  await page.getByRole('button', { name: 'healthy' }).click();
  for (let node = 1; node <= 2; node++) {
    await page.getByRole('button', { name: 'Node from the root (may be left out): one more' }).click();
    await sees(page, 'female');
    await page.getByRole('button', { name: 'Shut this female with tape' }).click();
    await expect(page.getByText(/^Last: shut/)).toBeVisible();
  }
  await expect(page.getByText('Written here tonight: 2 flowers')).toBeVisible();
  if (malesOn === 2) await page.getByRole('button', { name: 'Next plant' }).click();
  await sees(page, 'male');
  await page.getByRole('button', { name: 'How many like this: one more' }).click();
  await page.getByRole('button', { name: 'Shut 2 males with tape' }).click();
  await expect(page.getByText(/^Last: shut 2 flowers/)).toBeVisible();
  await page.getByRole('button', { name: 'Leave the walk; everything is kept' }).click();
}

test('two quick taps write one female; a node that has one is asked about', async ({ page }) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.getByRole('button', { name: 'Start the evening walk' }).click();
  await page.getByRole('button', { name: 'healthy' }).click();
  await page.getByRole('button', { name: 'Node from the root (may be left out): one more' }).click();
  await sees(page, 'female');
  await page.getByRole('button', { name: 'Shut this female with tape' }).dblclick();
  await expect(page.getByText('Written here tonight: 1 flower')).toBeVisible();
  await page.getByRole('button', { name: 'Node from the root (may be left out): one more' }).click();
  await page.getByRole('button', { name: 'Node from the root: one less' }).click();
  await sees(page, 'female');
  await page.getByRole('button', { name: 'Shut this female with tape' }).click();
  await expect(page.getByText('Node 1 has a female already. Is this another one?')).toBeVisible();
  await page.getByRole('button', { name: 'Look again' }).click();
  await expect(page.getByText('Written here tonight: 1 flower')).toBeVisible();
});

test('two shut, one worked: once the flowers are over Today asks what became of the other', async ({
  page,
}) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await shutTwo(page, 2);
  await setTime(page, '2026-07-14T03:30:00Z');
  await page.goto('/round?date=2026-07-14&kind=dawn');
  await page.getByRole('button', { name: /^Picked: / }).click();
  await page.getByRole('button', { name: 'whole', exact: true }).click();
  await page.getByRole('button', { name: /^Pollinated: / }).click();
  await expect(page.getByText(/^Stop 2 of 2/)).toBeVisible();
  await page.getByRole('button', { name: /^Leave the round/ }).click();
  await expect(page.getByRole('heading', { name: 'What became of it?' })).toHaveCount(0);
  await setTime(page, '2026-07-14T10:10:00Z');
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'What became of it?' })).toBeVisible();
  await page.getByRole('button', { name: /: not reached$/ }).click();
  await expect(page.getByText(/^Last: not worked: Harbour Lantern 1/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'What became of it?' })).toHaveCount(0);
  await page.goto('/fruit');
  await expect(page.getByText('missed').first()).toBeVisible();
});

test('one plant in a patch that never selfs: what stands in the way is said, and selfing this once works', async ({
  page,
}) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.getByRole('button', { name: 'Settings' }).click();
  await page.getByRole('button', { name: /^Never/ }).click();
  await page.goto('/');
  await shutTwo(page, 1);
  await setTime(page, '2026-07-14T03:30:00Z');
  await page.goto('/round?date=2026-07-14&kind=dawn');
  await page.getByRole('button', { name: 'whole', exact: true }).click();
  await expect(page.getByText(/stand on this very plant, and this patch never uses those/)).toBeVisible();
  await page.getByRole('button', { name: 'Use its own males this once' }).click();
  await expect(page.getByText(/Pollen from this plant itself/)).toBeVisible();
  await page.getByRole('button', { name: /^Pollinated: / }).click();
  // The other is left: nothing more is due, and nothing is called pollinated that was not.
  await page.getByRole('button', { name: 'whole', exact: true }).click();
  await page.getByRole('button', { name: 'Leave it: not worked' }).click();
  await expect(page.getByRole('heading', { name: 'The round is done' })).toBeVisible();
});

test('the walk goes on at the first plant not looked over, and ends when all are', async ({ page }) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.getByRole('button', { name: 'Start the evening walk' }).click();
  await page.getByRole('button', { name: 'healthy' }).click();
  await sees(page, 'female');
  await page.getByRole('button', { name: 'Shut this female with tape' }).click();
  await expect(page.getByText('Written here tonight: 1 flower')).toBeVisible();
  await page.getByRole('button', { name: 'Leave the walk; everything is kept' }).click();
  await page.getByRole('button', { name: 'Go on with the walk' }).click();
  await expect(page.getByRole('heading', { name: 'Harbour Lantern 2' })).toBeVisible();
  for (const plant of [3, 4]) {
    await page.getByRole('button', { name: 'Nothing here. Next plant' }).click();
    await expect(page.getByRole('heading', { name: `Harbour Lantern ${plant}` })).toBeVisible();
  }
  await page.getByRole('button', { name: 'Nothing here. Finish the walk' }).click();
  // All four were looked over: nothing is left of this evening's walk.
  await expect(page.getByRole('button', { name: /^(Start|Go on with) the/ })).toHaveCount(0);
});

test('one plant, no other father: the round says why and offers the plant’s own', async ({ page }) => {
  const garden = new TestGarden();
  const lone = garden.plant('squash-maxima', 'Slate Dome', 1);
  const pair = garden.plant('squash-moschata', 'Ferryman', 1);
  garden.shut(EVENING, lone.plants[0] as never, 'female');
  for (const sex of ['female', 'male'] as const) garden.shut(EVENING, pair.plants[0] as never, sex);
  await setTime(page, '2026-07-14T03:10:00Z');
  await takeOver(page, garden);
  await page.getByRole('button', { name: /^Start the/ }).click();
  await expect(page.getByText(/1 flower left out/)).toBeVisible();
  await page.getByRole('button', { name: /^Picked: 1 male/ }).click();
  await page.getByRole('button', { name: 'whole', exact: true }).click();
  await expect(page.getByText(/Pollen of the same plant: selfing/)).toBeVisible();
  await page.getByRole('button', { name: /^Pollinated: / }).click();
  // The one without a father is not passed over: it comes last, with why and what can be done.
  await expect(page.getByRole('heading', { name: 'Slate Dome 1' })).toBeVisible();
  await page.getByRole('button', { name: 'whole', exact: true }).click();
  await expect(page.getByText(/No male of its variety was shut for this morning/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'No male to be had' })).toBeDisabled();
  await page.getByRole('button', { name: 'Work it for the kitchen, with any open male' }).click();
  await page.getByRole('button', { name: 'Clean hands, fresh brush' }).click();
  await page.getByRole('button', { name: /^Pollinated: / }).click();
  await expect(page.getByRole('heading', { name: 'The round is done' })).toBeVisible();
});
