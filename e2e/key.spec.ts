import { expect, test } from '@playwright/test';
import { beginPatch, openDemo, sees, setTime } from './helpers';

test('the key, from Today: a coloured female in four questions, confirmed, with what to do by reason', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'What am I looking at? Ask the key' }).click();
  await page.getByRole('button', { name: 'squash (maxima)' }).click();
  await expect(page.getByRole('heading', { name: 'How do the petals stand?' })).toBeVisible();
  await page.getByRole('button', { name: 'shut, full and plump' }).click();
  await page.getByRole('button', { name: 'a swelling: a small fruit' }).click();
  const answers = [/^yellow along them/, /^petal edges loosening/, /^short and stout/];
  for (let i = 0; i < 3 && (await page.getByRole('button', { name: 'Can’t tell' }).count()) > 0; i++)
    for (const name of answers) {
      const answer = page.getByRole('button', { name });
      if ((await answer.count()) > 0) {
        await answer.click();
        break;
      }
    }
  await expect(page.getByRole('heading', { name: 'coloured female' })).toBeVisible();
  await expect(page.getByText(/% sure/)).toBeVisible();
  await expect(page.getByText(/^Because: shut, full and plump; a swelling/)).toBeVisible();
  await expect(page.getByText(/The usual mistake is to take a green one for it/)).toBeVisible();
  await expect(page.getByText(/^For pure seed/)).toBeVisible();
});

test('the key asks back when two answers cannot both be, and names candidates when nothing is sure', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/key?crop=squash-maxima');
  await page.getByRole('button', { name: 'tiny and tight' }).click();
  // A pin whose petals are spread and yellow: one of the two was a slip.
  for (let i = 0; i < 7 && (await page.getByText('These two do not go together').count()) === 0; i++) {
    const slip = page.getByRole('button', { name: 'all yellow, spread' });
    await ((await slip.count()) > 0 ? slip : page.getByRole('button', { name: 'Can’t tell' }))
      .first()
      .click();
  }
  await expect(page.getByText(/“tiny and tight” and “all yellow, spread” are never seen/)).toBeVisible();
  await page.getByRole('button', { name: 'Again: How do the petals stand?' }).click();
  await expect(page.getByText('These two do not go together')).toHaveCount(0);
  await page.goto('/key?crop=tomato');
  for (let i = 0; i < 4; i++) {
    await page.getByRole('button', { name: 'Can’t tell' }).click();
  }
  await expect(page.getByRole('heading', { name: 'Not sure' })).toBeVisible();
  await expect(page.getByText(/Nothing was seen that tells it/)).toBeVisible();
  await page.getByRole('button', { name: 'Ask me again' }).click();
  await expect(page.getByRole('button', { name: 'Can’t tell' })).toBeVisible();
});

test('the walk with "not sure": the key is asked at the plant, and its verdict is taken over', async ({
  page,
}) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.getByRole('button', { name: 'Start the evening walk' }).click();
  await page.getByRole('button', { name: 'Not sure? Ask the key' }).click();
  await expect(page.getByText(/^Harbour Lantern 1/)).toBeVisible();
  await page.getByRole('button', { name: 'shut, slim' }).click();
  for (let i = 0; i < 5; i++) {
    const next = page
      .getByRole('button', {
        name: /^(a swelling|green only|drawn tight|short and stout|a few leaves back|alone)/,
      })
      .first();
    if ((await page.getByRole('button', { name: 'Can’t tell' }).count()) === 0) break;
    await next.click();
  }
  await page.getByRole('button', { name: 'Take over to the walk: green female' }).click();
  await expect(page.getByRole('heading', { name: 'Harbour Lantern 1' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^green:/ })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText('Tonight on this plant: 1 flower')).toBeVisible();
});

test('what was noted is forecast: on Today and on the plant, with a warning where no male is', async ({
  page,
}) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.getByRole('button', { name: 'Start the evening walk' }).click();
  await sees(page, 'male');
  await page.getByRole('button', { name: 'Count 1 male, not shut' }).click();
  await page.getByRole('button', { name: 'Leave the walk; everything is kept' }).click();
  await expect(page.getByText(/all male so far. That is normal/)).toBeVisible();
  await expect(page.getByRole('img', { name: /^Harbour Lantern: Tue 14 0 female, 0–1 male/ })).toBeVisible();
  await page.goto('/walk');
  // The walk goes on at the second plant; the female is on the first, beside the only male.
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Harbour Lantern 1' })).toBeVisible();
  await sees(page, 'female');
  await page.getByRole('button', { name: 'Shut this female with tape' }).click();
  await page.getByRole('button', { name: 'Leave the walk; everything is kept' }).click();
  await expect(page.getByText(/females and no father, Tuesday 14 July/)).toBeVisible();
  await page.getByRole('link', { name: 'Patch' }).click();
  await page.getByRole('link', { name: /Harbour Lantern 1/ }).click();
  await expect(page.getByRole('heading', { name: 'Opening next' })).toBeVisible();
  await expect(page.getByRole('img', { name: /^female: .*Tue 14/ })).toBeVisible();
});

test('an observation that cannot be gets a question back, and is kept if the grower says so', async ({
  page,
}) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.goto('/walk');
  await page.getByRole('button', { name: 'Node from the root (may be left out): one more' }).click();
  await sees(page, 'female');
  await page.getByRole('button', { name: 'Note it' }).first().click();
  await setTime(page, '2026-07-14T17:30:00Z');
  await page.goto('/walk');
  await sees(page, 'female', 'pin');
  await page.getByRole('button', { name: 'Node from the root (may be left out): one less' }).click();
  await page.getByRole('button', { name: /Node from the root: one less/ }).click();
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText(/buds don’t grow younger/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep it as I saw it' }).click();
  await expect(page.getByText('Tonight on this plant: 1 flower')).toBeVisible();
});

test('corn and tomato on the walk: their own parts, stages and closures', async ({ page }) => {
  await setTime(page, '2026-07-13T15:30:00Z');
  await beginPatch(page, 'Weir Copper', /^corn/);
  await page.goto('/walk');
  await page.getByRole('button', { name: /^ear shoot, / }).click();
  await page.getByRole('button', { name: /^plump shoot:/ }).click();
  await expect(page.getByText(/put a shoot bag on today/)).toBeVisible();
  await page.getByRole('button', { name: 'Shut this ear shoot with shoot bag' }).click();
  await expect(page.getByText('Tonight on this plant: 1 flower')).toBeVisible();
  await page.getByRole('button', { name: /^tassel/ }).click();
  await page.getByRole('button', { name: /^shedding:/ }).click();
  await expect(page.getByText(/bag it this afternoon/)).toBeVisible();
});
