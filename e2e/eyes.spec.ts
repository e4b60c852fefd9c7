import { expect, test, type Page } from '@playwright/test';
import { openDemo } from './helpers';
import { PARTS, visit } from './screens';

// Every screen two ways, each until nothing moves on it.
test.describe.configure({ timeout: 150_000 });

/** Waits until nothing on the screen has changed for a while: what the worker works out comes after the heading. */
async function still(page: Page) {
  await expect(page.getByRole('heading').first()).toBeVisible();
  await page.evaluate(
    () =>
      new Promise<void>((done) => {
        const end = () => (watch.disconnect(), done());
        let timer = setTimeout(end, 400);
        const watch = new MutationObserver(() => {
          clearTimeout(timer);
          timer = setTimeout(end, 400);
        });
        watch.observe(document.body, { subtree: true, childList: true, characterData: true });
      }),
  );
}

/** What of a screen cannot be read or reached: keys past its edge, words in pieces, a page that is wider than it. */
async function lost(page: Page): Promise<readonly string[]> {
  return page.evaluate(() => {
    const wide = document.documentElement.clientWidth;
    const past = [...document.querySelectorAll<HTMLElement>('button, [role="button"], [role="link"]')]
      // What scrolls sideways by itself (the demo's clock) can be reached.
      .filter((each) => !each.closest('[aria-label="Demo clock"]'))
      .map((each) => ({ name: each.textContent ?? '', box: each.getBoundingClientRect() }))
      .filter(({ box }) => box.width > 0 && (box.right > wide + 1 || box.left < -3))
      .map(({ name, box }) => `${name} lies from ${Math.round(box.left)} to ${Math.round(box.right)}`);
    // A word of usual length stands on one line, or nobody reads it at a glance.
    const texts = document.createTreeWalker(document.querySelector('#root') as Node, NodeFilter.SHOW_TEXT);
    const range = document.createRange();
    const torn: string[] = [];
    for (let text = texts.nextNode(); text; text = texts.nextNode())
      for (const word of (text.textContent ?? '').matchAll(/[\p{L}\d]{2,12}/gu)) {
        range.setStart(text, word.index);
        range.setEnd(text, word.index + word[0].length);
        const tops = new Set([...range.getClientRects()].map(({ top }) => Math.round(top)));
        if (tops.size > 1) torn.push(`"${word[0]}" of "${text.textContent}" stands on ${tops.size} lines`);
      }
    const widest = [...document.querySelectorAll<HTMLElement>('#root *')].find(
      (each) => !each.closest('[aria-label="Demo clock"]') && each.getBoundingClientRect().right > wide + 1,
    );
    const over =
      document.documentElement.scrollWidth > wide
        ? [`the page is wider than the screen: ${widest?.textContent?.slice(0, 40) ?? '?'}`]
        : [];
    return [...past, ...torn, ...over];
  });
}

/** Letters of twice the usual size, as who needs them sets them in the browser; from before the app measures anything. */
async function largeLetters(page: Page) {
  await page.addInitScript(() => {
    const large = document.createElement('style');
    large.id = 'large-letters';
    large.textContent = 'html { font-size: 200% }';
    new MutationObserver((_, watch) => {
      if (!document.head) return;
      document.head.append(large);
      watch.disconnect();
    }).observe(document, { childList: true, subtree: true });
  });
}

test('letters follow the size that the browser is set to', async ({ page }) => {
  await openDemo(page);
  const title = page.getByRole('heading', { level: 1 });
  const size = () => title.evaluate((each) => parseFloat(getComputedStyle(each).fontSize));
  const before = await size();
  await largeLetters(page);
  await page.reload();
  expect(await size()).toBeCloseTo(before * 2, 1);
});

for (const [part, screens] of PARTS.entries())
  test(`at 200 %, by the letters or by the screen (195 px wide), nothing lies off it, part ${part + 1}`, async ({
    page,
  }) => {
    await openDemo(page);
    await largeLetters(page);
    const found: (readonly string[])[] = [];
    for (const path of screens) {
      await page.setViewportSize({ width: 390, height: 844 });
      await visit(page, path, () => Promise.resolve());
      await still(page);
      found.push([`${path}, large letters`, ...(await lost(page))]);
      await page.evaluate(() => document.getElementById('large-letters')?.remove());
      await page.setViewportSize({ width: 195, height: 422 });
      await still(page);
      found.push([`${path}, 195 px`, ...(await lost(page))]);
    }
    expect(found.filter(([, ...what]) => what.length > 0)).toEqual([]);
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
