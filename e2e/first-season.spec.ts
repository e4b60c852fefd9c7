import { expect, test } from '@playwright/test';
import { beginByHand, pickMales, sees, setTime, today } from './helpers';

test('from the first start to the first fruit verdict, with one reload on the way', async ({ page }) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginByHand(page);

  await test.step('the evening walk: a female shut on plant 1, two males on plant 2', async () => {
    await page.getByRole('button', { name: 'Start the evening walk' }).click();
    await expect(page.getByRole('heading', { name: 'Harbour Lantern 1' })).toBeVisible();
    await page.getByRole('button', { name: 'healthy' }).click();
    await sees(page, 'female', 'green');
    await expect(page.getByText(/look again tomorrow evening/)).toBeVisible();
    await page.getByRole('button', { name: /^open:/ }).click();
    await expect(page.getByText(/fine for the kitchen, not for seed/)).toBeVisible();
    await page.getByRole('button', { name: /^coloured:/ }).click();
    await page.getByRole('button', { name: 'Node from the root (may be left out): one more' }).click();
    await page.getByRole('button', { name: 'Shut this female with tape' }).click();
    await expect(page.getByText('Tonight on this plant: 1 flower')).toBeVisible();
    await page.getByRole('button', { name: 'Next plant' }).click();
    await sees(page, 'male');
    await page.getByRole('button', { name: 'How many like this: one more' }).click();
    await page.getByRole('button', { name: 'Shut 2 males with tape' }).click();
    await expect(page.getByText('Tonight on this plant: 2 flowers')).toBeVisible();
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Harbour Lantern 2' })).toBeVisible();
    await expect(page.getByText('Tonight on this plant: 2 flowers')).toBeVisible();
    await page.getByRole('button', { name: 'Leave the walk; everything is kept' }).click();
  });

  await test.step('the dawn round: whole, pollinated, marked, in two taps', async () => {
    await setTime(page, '2026-07-14T03:10:00Z');
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Dawn round' })).toBeVisible();
    await page.getByRole('button', { name: /^Start the/ }).click();
    await pickMales(page);
    await page.getByRole('button', { name: 'whole', exact: true }).click();
    await expect(page.getByText('Shut again · the mark is F2-Y')).toBeVisible();
    await page.getByRole('button', { name: /^Pollinated: / }).click();
    await expect(page.getByRole('heading', { name: 'The round is done' })).toBeVisible();
    await page.getByRole('button', { name: 'Back to Today' }).click();
  });

  await test.step('day 5: growing, so it set', async () => {
    await setTime(page, '2026-07-19T07:00:00Z');
    await page.reload();
    await expect(page.getByRole('heading', { name: '1 fruit to look at' })).toBeVisible();
    await page.getByRole('button', { name: 'Look at it' }).click();
    await page.getByRole('button', { name: /: growing$/ }).click();
    await expect(page.getByRole('heading', { name: 'All looked at' })).toBeVisible();
    await page.getByRole('link', { name: 'Fruit' }).click();
    await expect(page.getByRole('button', { name: /^Harbour Lantern: 1 of 1 set/ })).toBeVisible();
    await page.getByRole('link', { name: /Harbour Lantern 1.*: set/ }).click();
    await expect(page.getByText(/Pollinated from Harbour Lantern 2 \(2 males\)/)).toBeVisible();
  });

  await test.step('the last entry can be taken back, and brought back from its story', async () => {
    await today(page);
    await expect(page.getByText(/Last: growing/)).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('heading', { name: '1 fruit to look at' })).toBeVisible();
    await page.goBack();
    await page.getByRole('button', { name: 'Bring back' }).click();
    await expect(page.getByText('taken back')).toHaveCount(0);
  });
});

test('one courgette plant for the kitchen: what for, where, which crop, how many, and Today stands', async ({
  page,
}) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await page.goto('/');
  await page.getByRole('button', { name: 'Begin my patch' }).click();
  await expect(page.getByText('What do you pollinate for?')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Where it is' })).toHaveCount(0);
  await page.getByRole('button', { name: /^Fruit,/ }).click();
  await expect(page.getByLabel('Name of the patch')).toHaveCount(0);
  await page.getByRole('button', { name: /^squash \(pepo\),/ }).click();
  for (const left of [3, 2, 1]) {
    await page.getByRole('button', { name: 'Plants: one less' }).click();
    await expect(
      page.getByRole('button', { name: `Begin with ${left} plant${left === 1 ? '' : 's'}` }),
    ).toBeVisible();
  }
  await page.getByRole('button', { name: 'Begin with 1 plant' }).click();
  await expect(page.getByRole('link', { name: 'Today' })).toHaveAttribute('aria-current', 'page');
  await page.getByRole('link', { name: 'Patch' }).click();
  await expect(page.getByText('Squash', { exact: true })).toBeVisible();
});

test('the place is asked for in words: what is wrong with it stands at its field', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Begin my patch' }).click();
  await page.getByRole('button', { name: /^Pure seed,/ }).click();
  await page.getByRole('button', { name: 'Type coordinates instead' }).click();
  await page.getByLabel('Latitude, degrees north (south is minus)').fill('north');
  await page.getByLabel('Variety', { exact: true }).fill('Any');
  await page.getByRole('button', { name: /^Begin with/ }).click();
  await expect(
    page.getByText('The latitude must be a number of degrees from -90 to 90').first(),
  ).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Type coordinates instead' }).click();
  await expect(page.getByLabel('Latitude, degrees north (south is minus)')).toHaveValue('north');
  await expect(page.getByLabel('Variety', { exact: true })).toHaveValue('Any');
});

test('a patch above the polar circle says that the sun does not set', async ({ page }) => {
  await setTime(page, '2026-06-21T10:00:00Z');
  await page.goto('/');
  await page.getByRole('button', { name: 'Begin my patch' }).click();
  await page.getByRole('button', { name: /^Pure seed,/ }).click();
  await page.getByRole('button', { name: 'Type coordinates instead' }).click();
  await page.getByLabel('Name of the place').fill('Far north');
  await page.getByLabel('Latitude, degrees north (south is minus)').fill('69,6');
  await page.getByLabel('Longitude, degrees east (west is minus)').fill('18.9');
  await page.getByLabel('Variety', { exact: true }).fill('Any');
  await page.getByRole('button', { name: /^Begin with/ }).click();
  await expect(page.getByText(/does not rise or set here/)).toBeVisible();
});

test('a name with markup is only a name', async ({ page }) => {
  let ran = false;
  page.on('dialog', (dialog) => {
    ran = true;
    void dialog.dismiss();
  });
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginByHand(page, '<img src=x onerror=alert(1)>');
  await page.getByRole('link', { name: 'Patch' }).click();
  await expect(page.getByText('<img src=x onerror=alert(1)>').first()).toBeVisible();
  expect(ran).toBe(false);
});

test('fruit for the kitchen: an open female pollinated on the walk waits for its verdict', async ({
  page,
}) => {
  await setTime(page, '2026-07-14T05:30:00Z');
  await beginByHand(page);
  await page.goto('/walk');
  await sees(page, 'female', 'open');
  await page.getByRole('button', { name: 'Pollinated now, for the kitchen' }).click();
  await expect(page.getByText('Last: pollinated Harbour Lantern 1')).toBeVisible();
  await page.goto('/fruit');
  await expect(page.getByRole('link', { name: /Harbour Lantern 1.*: waiting/ })).toBeVisible();
});
