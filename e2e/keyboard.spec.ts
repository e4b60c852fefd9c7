import { expect, test, type Page } from '@playwright/test';
import { beginPatch, openDemo, pickMales, setTime } from './helpers';

/** Presses Tab until the focus is on what is called so, then Enter. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let i = 0; i < 120; i++) {
    await page.keyboard.press('Tab');
    const here = await page.evaluate(() => {
      const focused = document.activeElement;
      return focused?.getAttribute('aria-label') ?? focused?.textContent ?? '';
    });
    if (!name.test(here)) continue;
    await page.keyboard.press('Enter');
    return;
  }
  throw new Error(`No tab stop is called ${String(name)}`);
}

test('evening, dawn and look, with the keys alone', async ({ page }) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await tabTo(page, /^Start the .*walk$/);
  await expect(page.getByRole('heading', { name: 'Harbour Lantern 1' })).toBeVisible();
  await tabTo(page, /^healthy$/);
  await tabTo(page, /^female, /);
  await tabTo(page, /^coloured:/);
  await tabTo(page, /^Shut this female with tape$/);
  await expect(page.getByText('Written here tonight: 1 flower')).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { name: 'Harbour Lantern 2' })).toBeVisible();
  await tabTo(page, /^male, /);
  await tabTo(page, /^coloured:/);
  await tabTo(page, /^Shut 1 male with tape$/);
  await expect(page.getByText('Written here tonight: 1 flower')).toBeVisible();

  await setTime(page, '2026-07-14T03:20:00Z');
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Dawn round' })).toBeVisible();
  await tabTo(page, /^Start the /);
  await expect(page.getByRole('heading', { name: 'Collect 1 male' })).toBeVisible();
  await tabTo(page, /^Picked: /);
  await expect(page.getByText(/^Stop 1 of 1/).first()).toBeVisible();
  await page.keyboard.press('1');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'The round is done' })).toBeVisible();

  await setTime(page, '2026-07-19T07:00:00Z');
  await page.goto('/');
  await expect(page.getByRole('heading', { name: /to look at$/ })).toBeVisible();
  await tabTo(page, /^(Look at|Open: what to look at)/);
  await tabTo(page, /: growing$/);
  await expect(page.getByRole('heading', { name: 'All looked at' })).toBeVisible();
});

test('what matters of Today, a stop and the looks is read, and in its order', async ({ page }) => {
  await openDemo(page);
  await expect(page.locator('body')).toMatchAriaSnapshot(`
    - region "Demo clock"
    - main:
      - heading "Tuesday 14 July" [level=1]
      - button "Find anything"
      - button "Settings"
      - img /sun rises 05:23, bees about 06:23/
      - heading "Dawn round" [level=2]
      - text: /start by 05:53 11 females shut/
      - button "Start the 05:05 round"
      - heading /fruits? to look at/ [level=2]
  `);
  await page.getByRole('button', { name: /^Start the/ }).click();
  await pickMales(page);
  await expect(page.getByRole('main')).toMatchAriaSnapshot(`
    - heading /\\d$/ [level=1]
    - button /^Leave the round/
    - group "How is the tape?":
      - button "whole"
      - button "torn"
    - button /^Pollinated|First look/
  `);
  await page.goto('/looks');
  await expect(page.getByRole('main')).toMatchAriaSnapshot(`
    - heading /to look at/ [level=1]
    - button "Back"
    - group "It is":
      - 'button /: growing$/'
      - 'button /: yellowing$/'
  `);
});

test('what is announced by itself is one line, not the whole screen', async ({ page }) => {
  await openDemo(page);
  for (const path of ['/', '/looks', '/walk', '/round', '/fruit']) {
    await page.goto(path);
    await expect(page.getByRole('heading').first()).toBeVisible();
    const live = await page
      .locator('[aria-live="polite"], [aria-live="assertive"], [role="status"], [role="alert"]')
      .evaluateAll((regions) => regions.map((region) => (region as HTMLElement).innerText.length));
    expect([path, live.filter((length) => length > 400)]).toEqual([path, []]);
    expect([path, live.length <= 14]).toEqual([path, true]);
  }
});
