import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import { pickMales } from './helpers';

/** Every screen that an address alone opens. */
export const SCREENS = [
  '/',
  '/walk',
  '/round',
  '/looks',
  '/fruit',
  '/patch',
  '/plan',
  '/crossing',
  '/plan-sheet',
  '/purity',
  '/seed',
  '/generations',
  '/find',
  '/tags',
  '/search',
  '/settings',
  '/begin',
  '/corn',
  '/scout',
  '/crosses',
  '/trusses',
  '/kitchen',
  '/goals',
  '/week',
  '/weather',
  '/card',
  '/key',
  '/key?crop=melon',
  '/practice',
  '/practice/children',
  '/practice/train',
  '/practice/rehearse',
  '/dev/broken',
];

/** All rules, or those of colours alone where the light is all that differs. */
export async function check(page: Page, path: string, colours = false): Promise<void> {
  // Else every answer is put together in a new page, which takes longer than the rules.
  const axe = new AxeBuilder({ page }).setLegacyMode();
  const { violations } = await (
    colours
      ? axe.withRules(['color-contrast'])
      : axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
  ).analyze();
  expect(
    violations.map(
      ({ id, nodes }) => `${path}: ${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`,
    ),
  ).toEqual([]);
}

/** No text is cut at the side, and buttons are large enough to hit. */
export async function checkSizes(page: Page, path: string): Promise<void> {
  const wide = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect([path, wide]).toEqual([path, 0]);
  // A page that scrolls hides what sticks out of it.
  const out = await page.getByRole('button').evaluateAll((buttons) =>
    buttons
      .map((button) => ({ name: button.textContent, right: button.getBoundingClientRect().right }))
      .filter(({ right }) => right > window.innerWidth + 1)
      .map(({ name, right }) => `${name} ends at ${Math.round(right)}`),
  );
  expect([path, out]).toEqual([path, []]);
  const cut = await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('[dir="auto"]')]
      .filter((text) => {
        const { right, width, height } = text.getBoundingClientRect();
        return (
          width > 1 && height > 1 && right > window.innerWidth + 1 && !text.closest('[aria-hidden="true"]')
        );
      })
      .map((text) => text.innerText.slice(0, 60)),
  );
  expect([path, cut]).toEqual([path, []]);
  const small = await page.getByRole('button').evaluateAll((buttons) =>
    buttons
      .map((button) => ({
        name: button.getAttribute('aria-label') ?? button.textContent,
        box: button.getBoundingClientRect(),
      }))
      .filter(({ box }) => box.width > 0 && (box.height < 47.5 || box.width < 40))
      .map(({ name, box }) => `${name} ${box.width}x${box.height}`),
  );
  expect([path, small]).toEqual([path, []]);
}

/** The screens in parts, so that no one test holds a worker for minutes. */
export const PARTS = [0, 1, 2, 3].map((part) => SCREENS.filter((_, i) => i % 4 === part));

/** What the frame of every screen is painted with. */
const PAPER: Readonly<Record<string, string>> = {
  day: 'rgb(246, 241, 230)',
  sun: 'rgb(255, 255, 255)',
  'before-dawn': 'rgb(21, 20, 28)',
};

/** The page of another tab, in which the light is chosen: the app under test takes it over at once. */
export async function otherTab(page: Page): Promise<(light: string) => Promise<void>> {
  const other = await page.context().newPage();
  await other.goto('/fonts/fonts.css');
  await page.bringToFront();
  return async (light) => {
    await other.evaluate((chosen) => {
      const prefs = JSON.parse(localStorage.getItem('steady-trowel/prefs') ?? '{}') as object;
      localStorage.setItem('steady-trowel/prefs', JSON.stringify({ ...prefs, light: chosen }));
    }, light);
    // A screen that has failed stands without the frame, and follows no choice until it is opened anew.
    const broken = page.getByRole('heading', { name: 'This screen broke' });
    if (await broken.isVisible()) {
      await page.goto('/dev/broken');
      await expect(broken).toBeVisible();
      return;
    }
    const paper = PAPER[light];
    await page.waitForFunction(
      (colour) =>
        [...document.querySelectorAll('#root div')]
          .slice(0, 60)
          .some((each) => getComputedStyle(each).backgroundColor === colour),
      paper,
    );
  };
}

const OTHER_LIGHTS = ['before-dawn', 'sun'];

/**
 * All rules by day; in the other lights, which differ in their colours alone, those of colours: in one of them, screen about, in
 * `npm test`, and in both in `npm run acceptance`.
 */
export async function checkLights(
  page: Page,
  path: string,
  choose: (light: string) => Promise<void>,
): Promise<void> {
  await check(page, path);
  const one = OTHER_LIGHTS[path.length % 2] as string;
  for (const light of process.env.FULL === '1' ? OTHER_LIGHTS : [one]) {
    await choose(light);
    await check(page, `${path}, ${light}`, true);
  }
  await choose('day');
}

/** Opens a screen; the round is opened where it can be worked. */
export async function visit(page: Page, path: string, collecting: () => Promise<void>): Promise<void> {
  await page.goto(path);
  await expect(page.getByRole('heading').first()).toBeVisible();
  if (path !== '/round') return;
  await expect(page.getByRole('heading', { name: /^Collect/ })).toBeVisible();
  await collecting();
  await pickMales(page);
  await page.getByRole('button', { name: 'whole', exact: true }).click();
}

/** Waits until nothing on the screen has changed for so long, ms: what the worker works out comes after the heading. */
export async function still(page: Page, quiet = 400) {
  await expect(page.getByRole('heading').first()).toBeVisible();
  await page.evaluate(
    (ms) =>
      new Promise<void>((done) => {
        const end = () => (watch.disconnect(), done());
        let timer = setTimeout(end, ms);
        const watch = new MutationObserver(() => {
          clearTimeout(timer);
          timer = setTimeout(end, ms);
        });
        watch.observe(document.body, { subtree: true, childList: true, characterData: true });
      }),
    quiet,
  );
}

/** What of a screen cannot be read or reached: keys past its edge, words in pieces, a page that is wider than it. */
export async function lost(page: Page): Promise<readonly string[]> {
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
export async function largeLetters(page: Page) {
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

const PHONE = { width: 390, height: 844 };
export const WIDE = { width: 1280, height: 800 };
/** A phone of 390 px as who enlarges the whole screen to 200 % sees it. */
const NARROW = { width: 195, height: 422 };
/** A screen that stands already is laid out anew at once. */
const LAID_OUT_MS = 120;

/**
 * Looks at the screen that is open in every way: with large letters and on a narrow screen nothing is lost; on a phone and a wide screen
 * nothing is cut or too small to hit; all rules of accessibility hold. Stands on a phone before and after.
 */
export async function seen(
  page: Page,
  path: string,
  choose: (light: string) => Promise<void>,
): Promise<void> {
  await letters(page, '200%');
  await still(page);
  expect([`${path}, large letters`, ...(await lost(page))]).toEqual([`${path}, large letters`]);
  await letters(page, '');
  await page.setViewportSize(NARROW);
  await still(page, LAID_OUT_MS);
  expect([`${path}, narrow`, ...(await lost(page))]).toEqual([`${path}, narrow`]);
  await page.setViewportSize(WIDE);
  await still(page, LAID_OUT_MS);
  await checkSizes(page, `${path}, wide`);
  await page.setViewportSize(PHONE);
  await still(page, LAID_OUT_MS);
  await checkSizes(page, path);
  await checkLights(page, path, choose);
}

const letters = (page: Page, size: string) =>
  page.evaluate((wanted) => {
    const sheet = document.getElementById('large-letters');
    if (sheet) sheet.textContent = wanted === '' ? '' : `html { font-size: ${wanted} }`;
  }, size);
