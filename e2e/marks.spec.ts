import { expect, test } from '@playwright/test';
import { beginPatch, pickMales, sees, setTime } from './helpers';

test('a mark forgotten is asked for until it is on, also when marking waits till the fruit grows', async ({
  page,
}) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.getByRole('button', { name: 'Settings' }).click();
  await page.getByRole('button', { name: /^Once it grows/ }).click();
  await page.goto('/walk');
  await page.getByRole('button', { name: 'healthy' }).click();
  await sees(page, 'female');
  await page.getByRole('button', { name: 'Shut this female with tape' }).click();
  await expect(page.getByText('Written here tonight: 1 flower')).toBeVisible();
  await page.getByRole('button', { name: 'Next plant' }).click();
  await sees(page, 'male');
  await page.getByRole('button', { name: 'Shut 1 male with tape' }).click();
  await expect(page.getByText(/^Last: shut/)).toBeVisible();

  await setTime(page, '2026-07-14T03:20:00Z');
  await page.goto('/round?date=2026-07-14&kind=dawn');
  await pickMales(page);
  await page.getByRole('button', { name: 'whole', exact: true }).click();
  await page.getByRole('button', { name: /^Pollinated: / }).click();
  await expect(page.getByRole('heading', { name: 'The round is done' })).toBeVisible();
  // Nothing grows yet: no mark is asked for.
  await page.goto('/looks');
  await expect(page.getByRole('heading', { name: 'All looked at' })).toBeVisible();

  await setTime(page, '2026-07-19T07:00:00Z');
  await page.goto('/looks');
  await page.getByRole('button', { name: /: growing$/ }).click();
  await expect(page.getByText(/no mark yet/)).toBeVisible();
  await page.goto('/');
  await expect(page.getByText('1 seed fruit without a mark')).toBeVisible();
  await page.getByRole('button', { name: 'Open: what to look at' }).click();
  await page.getByRole('button', { name: /: mark F2-Y is on$/ }).click();
  await expect(page.getByRole('heading', { name: 'All looked at' })).toBeVisible();
});

test('a plant of a seed stand is given to the kitchen, and one flower of it back to seed', async ({
  page,
}) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.getByRole('link', { name: 'Patch' }).click();
  await page.getByRole('link', { name: /^Harbour Lantern 1/ }).click();
  await page.getByRole('group', { name: 'This plant is for' }).getByRole('button', { name: 'fruit' }).click();
  await expect(page.getByText('Last: Harbour Lantern 1: for fruit')).toBeVisible();
  // It left the walk; the other three are in it.
  await page.goto('/walk');
  await expect(page.getByText(/^Plant 1 of 3/)).toBeVisible();
  await page.goto('/walk?kitchen=1');
  await expect(page.getByRole('heading', { name: 'Harbour Lantern 1' })).toBeVisible();
  await sees(page, 'female');
  await page.getByRole('button', { name: 'Note it for tomorrow morning' }).click();
  await expect(page.getByText(/^Last: noted/)).toBeVisible();
  await setTime(page, '2026-07-14T04:00:00Z');
  await page.goto('/kitchen');
  await expect(page.getByText(/should be open/)).toBeVisible();
});
