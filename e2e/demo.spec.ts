import { expect, test } from '@playwright/test';
import { demoByAddress, openDemo, pickMales, today } from './helpers';

test('the demo round: worked, torn, not open, gone; left and taken up again', async ({ page }) => {
  await demoByAddress(page);
  await page.getByRole('button', { name: 'Start the 05:05 round' }).click();
  await pickMales(page);
  await expect(page.getByText(/^Stop 1 of 11/)).toBeVisible();
  await expect(page.getByText(/^bees in/)).toBeVisible();

  await page.getByRole('button', { name: 'whole', exact: true }).click();
  await page.getByRole('button', { name: /^Pollinated: / }).click();
  await pickMales(page);
  await expect(page.getByText(/^Stop 2 of 11/)).toBeVisible();

  await page.getByRole('button', { name: 'torn', exact: true }).click();
  await expect(page.getByText(/not for seed/)).toBeVisible();
  await page.getByRole('button', { name: 'Skip it', exact: true }).click();
  await pickMales(page);
  await expect(page.getByText(/^Stop 3 of 11/)).toBeVisible();

  await page.getByRole('button', { name: 'hole', exact: true }).click();
  await page.getByRole('button', { name: /^For the kitchen/ }).click();
  await expect(page.getByText(/Never eat a bitter fruit/)).toBeVisible();
  await page.getByRole('button', { name: /^Pollinated: / }).click();
  await pickMales(page);
  await expect(page.getByText(/^Stop 4 of 11/)).toBeVisible();

  await page.getByRole('button', { name: 'not open', exact: true }).click();
  await page.getByRole('button', { name: /^Come back to it/ }).click();
  await pickMales(page);
  await expect(page.getByText(/^Stop 5 of 11/)).toBeVisible();

  await page.getByRole('button', { name: 'gone', exact: true }).click();
  await page.getByRole('button', { name: 'knocked off' }).click();
  await pickMales(page);
  await expect(page.getByText(/^Stop 6 of 11/)).toBeVisible();

  // Half an answer is kept through a reload; the round goes on where it was.
  await page.getByRole('button', { name: 'whole', exact: true }).click();
  await page.reload();
  await pickMales(page);
  await expect(page.getByText(/^Stop 6 of 11/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'whole', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.getByRole('button', { name: 'Leave the round; it can be taken up again' }).click();
  await expect(page.getByRole('button', { name: 'Go on: 7 flowers left' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Go on: 8 flowers left' })).toBeVisible();
});

test('a look that shows a drop asks for its cause', async ({ page }) => {
  await openDemo(page);
  const announced = page.getByRole('button', { name: /^Look at all \d+$/ });
  const many = (await announced.innerText()).replace('Look at all ', '');
  await announced.click();
  await expect(page.getByRole('heading', { name: `${many} to look at` })).toBeVisible();
  // What was worked yesterday is to be seen shut besides.
  const stillShut = page.getByRole('button', { name: /^All \d+ are still shut and whole$/ });
  await stillShut.click();
  await expect(stillShut).toHaveCount(0);
  const toLookAt = async () =>
    Number.parseInt(await page.getByRole('heading', { name: /^\d+ to look at$/ }).innerText(), 10);
  const before = await toLookAt();
  await page
    .getByRole('button', { name: /: yellowing$/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'poorly pollinated' }).click();
  await expect.poll(toLookAt).toBe(before - 1);
  await expect(page.getByText(/Last: lost \(poorly pollinated\)/)).toBeVisible();
});

test('the demo clock moves on, and the patch with it: at once, and no clock is called wrong', async ({
  page,
}) => {
  await openDemo(page);
  await page.evaluate(() => {
    const seen = new Set<string>();
    Object.assign(window, { seen });
    const look = () => {
      const text = document.body.innerText;
      if (text.includes('A clock is wrong')) seen.add('a clock is wrong');
      requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  });
  await page.getByRole('button', { name: 'Move the demo clock to this evening' }).click();
  await expect(page.getByRole('heading', { name: 'Evening walk' })).toBeVisible();
  await page.getByRole('button', { name: 'Start the evening walk' }).click();
  await expect(page.getByText(/^In the demo patch you would see/)).toBeVisible();
  await page.getByRole('button', { name: 'Leave the walk; everything is kept' }).click();
  await page.getByRole('button', { name: 'Move the demo clock to tomorrow’s dawn' }).click();
  await expect(page.getByRole('heading', { name: 'Wednesday 15 July' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Dawn round' })).toBeVisible();
  const seen = await page.evaluate(() => [...(window as unknown as { seen: Set<string> }).seen]);
  expect(seen).not.toContain('a clock is wrong');
});

test('the demo never mixes with the own patch', async ({ page }) => {
  await demoByAddress(page);
  await page.getByRole('button', { name: 'Settings' }).click();
  await page.getByRole('button', { name: 'Go to my own patch' }).click();
  await expect(page.getByRole('button', { name: 'Begin my patch' })).toBeVisible();
  await page.getByRole('button', { name: 'Look round the demo patch' }).click();
  await expect(page.getByRole('heading', { name: 'Dawn round' })).toBeVisible();
});

test('patch: a bed added, plants put in, one renamed and removed', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Patch' }).click();
  await page.getByRole('button', { name: 'Add a bed' }).click();
  await page.getByLabel('Length, metres').fill('0');
  await page.getByRole('button', { name: 'Add the bed' }).click();
  await expect(page.getByText(/^The (length|width) must be a number of metres above 0/)).toBeVisible();
  await page.getByLabel('Length, metres').fill('4,5');
  await page.getByLabel('Name', { exact: true }).fill('Gate bed');
  await page.getByRole('button', { name: 'Add the bed' }).click();
  await page.getByRole('button', { name: 'Edit Gate bed' }).click();
  await page.getByRole('button', { name: 'Remove Gate bed' }).click();
  await expect(page.getByRole('heading', { name: 'Gate bed' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Add a bed' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Gate bed');
  await page.getByRole('button', { name: 'Add the bed' }).click();
  await page.getByRole('button', { name: 'Add plants to Gate bed' }).click();
  await page.getByRole('button', { name: /^cucumber/ }).click();
  await page.getByLabel('Variety', { exact: true }).fill('Sluice Green');
  await page.getByRole('button', { name: 'Add 4 plants' }).click();
  await page.getByRole('button', { name: 'Edit Sluice Green' }).click();
  await page.getByLabel('Variety', { exact: true }).fill('Sluice Gold');
  await page.getByRole('button', { name: 'Keep the change' }).click();
  await page.getByRole('link', { name: /Sluice Gold 2/ }).click();
  await page.getByLabel('Number or name of this plant').fill('two');
  await page.getByRole('button', { name: 'Rename' }).click();
  await expect(page.getByRole('heading', { name: 'Sluice Gold two' })).toBeVisible();
  await page.getByRole('button', { name: 'Removed or died' }).click();
  await page.getByRole('button', { name: 'I removed it' }).click();
  await expect(page.getByText(/left out of walks and rounds/)).toBeVisible();
  await today(page);
  await expect(page.getByText('Last: removed: Sluice Gold two')).toBeVisible();
});

test('an unknown address says so', async ({ page }) => {
  await openDemo(page);
  await page.goto('/nowhere/at/all');
  await expect(page.getByRole('heading', { name: 'Nothing grows here' })).toBeVisible();
  await page.goto('/plant/plant:none');
  await expect(page.getByRole('heading', { name: 'No such plant' })).toBeVisible();
});
