import { expect, test } from '@playwright/test';
import { openDemo } from './helpers';
import { largeLetters } from './screens';

test('letters follow the size that the browser is set to', async ({ page }) => {
  await openDemo(page);
  const title = page.getByRole('heading', { level: 1 });
  const size = () => title.evaluate((each) => parseFloat(getComputedStyle(each).fontSize));
  const before = await size();
  await largeLetters(page);
  await page.reload();
  expect(await size()).toBeCloseTo(before * 2, 1);
});

test('what has the focus is seen to have it, by another sign than what is chosen', async ({ page }) => {
  await openDemo(page);
  await page.goto('/settings');
  await expect(page.getByRole('heading', { name: 'Settings' })).toBeVisible();
  const rings: string[] = [];
  for (let i = 0; i < 25; i++) {
    await page.keyboard.press('Tab');
    const seen = await page.evaluate(() => {
      const at = document.activeElement as HTMLElement;
      const own = getComputedStyle(at);
      // A field shows it on its frame.
      const around = getComputedStyle(at.parentElement as HTMLElement);
      const ring = own.outlineStyle === 'none' ? around : own;
      return `${ring.outlineStyle} ${ring.outlineWidth} ${ring.outlineColor} ${ring.outlineOffset}`;
    });
    rings.push(seen);
  }
  expect(new Set(rings)).toEqual(new Set(['solid 3px rgb(47, 53, 97) -3px']));
});
