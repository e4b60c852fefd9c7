import { expect, test } from '@playwright/test';
import { beginKitchen, sees, setTime, today } from './helpers';

test('a fortnight of courgettes under a net: noted in the evening, worked in the morning, looked at, a rate in Fruit', async ({
  page,
}) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginKitchen(page, /^squash \(pepo\)/i, 'Low Lantern');

  await test.step('the bed stands under a net', async () => {
    await page.getByRole('link', { name: 'Patch' }).click();
    await page.getByRole('button', { name: /^What stands over/ }).click();
    await page.getByRole('button', { name: 'a net' }).click();
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('Say whether insects can get in')).toBeVisible();
    await page.getByRole('button', { name: /^kept out/ }).click();
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText(/no insect gets in: every female that opens is yours/)).toBeVisible();
  });

  await test.step('in the evening no walk with tape: tomorrow’s females are looked for and noted', async () => {
    await today(page);
    await expect(page.getByRole('heading', { name: 'Evening walk' })).toHaveCount(0);
    await expect(page.getByRole('heading', { name: 'Kitchen round' })).toBeVisible();
    await page.getByRole('button', { name: 'Look for tomorrow’s females' }).click();
    await sees(page, 'female');
    await page.getByRole('button', { name: 'Node from the root (may be left out): one more' }).click();
    await page.getByRole('button', { name: 'Note it for tomorrow morning' }).click();
    await expect(page.getByText(/Last: noted Low Lantern 1/)).toBeVisible();
    await page.getByRole('button', { name: 'Leave the walk; everything is kept' }).click();
  });

  await test.step('next morning that very flower is due', async () => {
    await setTime(page, '2026-07-14T04:30:00Z');
    await page.goto('/');
    await expect(page.getByText('1 female should be open.')).toBeVisible();
    await page.getByRole('button', { name: 'Open: Kitchen round' }).click();
    await expect(page.getByText(/no need to shut it again/)).toBeVisible();
    await page.getByRole('button', { name: /^Low Lantern 1, node \d+: worked$/ }).click();
    await expect(page.getByText(/✓ worked/)).toBeVisible();
    await page.getByRole('button', { name: 'Low Lantern 2: an open female, worked' }).click();
    await expect(page.getByText(/Last: pollinated Low Lantern 2/)).toBeVisible();
  });

  await test.step('looked at on the crop’s days: one grows bent, one fell', async () => {
    await setTime(page, '2026-07-20T06:00:00Z');
    await page.goto('/looks');
    await page.getByRole('button', { name: /^Low Lantern 1, node \d+: grows, but bent$/ }).click();
    await page.getByRole('button', { name: /^Low Lantern 2: gone$/ }).click();
    await page.getByRole('button', { name: /not pollinated/ }).click();
    await page.goto('/fruit');
    await expect(page.getByRole('button', { name: /^Low Lantern: 1 of 2 set/ })).toBeVisible();
    // Kitchen fruit gets no mark.
    await page.goto('/looks');
    await expect(page.getByText(/no mark yet/)).toHaveCount(0);
  });

  await test.step('fruit picked is counted', async () => {
    await page.goto('/kitchen');
    await page.getByRole('button', { name: 'Fruit picked from Low Lantern' }).click();
    await page.getByLabel('How many').fill('3');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('Last: picked 3 fruits, Low Lantern')).toBeVisible();
  });
});

test('a tray of tomatoes: counted flowers are asked about on their day, and come to a rate', async ({
  page,
}) => {
  await setTime(page, '2026-07-01T10:00:00Z');
  await beginKitchen(page, /^tomato/, 'Quay Cherry');
  await today(page);
  await page.getByRole('button', { name: 'Open: Kitchen round' }).click();
  await page.getByRole('button', { name: '5 flowers worked on each plant of Quay Cherry' }).click();
  await expect(page.getByText('Last: 5 flowers worked on each of 4 plants')).toBeVisible();
  await page.goto('/fruit');
  await expect(page.getByText(/waiting/).first()).toBeVisible();
  await setTime(page, '2026-07-14T10:00:00Z');
  await page.goto('/');
  await expect(page.getByText('Quay Cherry: about 20 counted, how many grow?')).toBeVisible();
  await page.getByRole('button', { name: 'Open: what to look at' }).click();
  await page.getByLabel('Quay Cherry: how many grow').fill('25');
  await expect(page.getByText('How many set must be a whole number from 0 to 20')).toBeVisible();
  await page.getByRole('button', { name: 'Keep the count' }).click();
  await expect(page.getByLabel('Quay Cherry: how many grow')).toBeFocused();
  await page.getByLabel('Quay Cherry: how many grow').fill('14');
  await page.getByRole('button', { name: 'Keep the count' }).click();
  await expect(page.getByRole('heading', { name: 'All looked at' })).toBeVisible();
  await page.goto('/fruit');
  await expect(page.getByRole('button', { name: /^Quay Cherry: 14 of 20 set/ })).toBeVisible();
});

test('strawberries in the open in January: nothing to do, and why; indoors there is', async ({ page }) => {
  await setTime(page, '2026-01-20T10:00:00Z');
  await beginKitchen(page, /^strawberry/, 'Sill Red');
  await today(page);
  await expect(page.getByRole('heading', { name: 'Nothing to do today' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Evening walk' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Go to Patch' }).click();
  await page.getByRole('button', { name: /^What stands over/ }).click();
  await page.getByRole('button', { name: 'indoors' }).click();
  await page.getByRole('button', { name: /^kept out/ }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await today(page);
  await expect(page.getByRole('heading', { name: 'Kitchen round' })).toBeVisible();
});

test('undo names a planting, asks before it takes back what rests on it, and brings it back', async ({
  page,
}) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginKitchen(page, /^cucumber/, 'Slim Tern');
  await page.getByRole('link', { name: 'Patch' }).click();
  // Beginning the patch is no slip of the finger.
  await expect(page.getByRole('button', { name: /^Undo/ })).toHaveCount(0);
  await page.keyboard.press('u');
  await expect(page.getByText('Slim Tern').first()).toBeVisible();
  await page.getByRole('button', { name: /^Add plants to/ }).click();
  await page.getByLabel('Variety', { exact: true }).fill('Long Tern');
  await page.getByRole('button', { name: /^Add \d+ plants$/ }).click();
  await expect(page.getByText('Last: 4 plants of Long Tern')).toBeVisible();
  await page.getByRole('button', { name: 'Undo: 4 plants of Long Tern' }).click();
  await expect(page.getByText('Taken back: 4 plants of Long Tern')).toBeVisible();
  await expect(page.getByRole('link', { name: /^Long Tern 1/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Redo: 4 plants of Long Tern' }).click();
  await expect(page.getByRole('link', { name: /^Long Tern 1/ })).toBeVisible();
});
