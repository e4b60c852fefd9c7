import { expect, test, type Locator, type Page } from '@playwright/test';
import { openDemo } from './helpers';
import { holdUpLateParts, LATE_MS } from './late';

/** What stands above the fold and was pushed away, taken away or covered after it could be read. */
interface Moved {
  readonly what: string;
  readonly how: string;
}

/** Looks at every frame, from the first, at all that can be read or pressed above the fold. */
async function watchAbove(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const seen = new Map<
      Element,
      { name: string; top: number; left: number; width: number; height: number }
    >();
    const told = new Map<string, string>();
    Object.assign(window, { movedAbove: told, stoodAbove: seen });
    const nameOf = (element: Element) =>
      (element.getAttribute('aria-label') ?? element.textContent ?? '').trim().slice(0, 60);
    const look = () => {
      for (const [element, { name, top, left, width, height }] of seen) {
        const now = element.getBoundingClientRect();
        if (!element.isConnected) {
          // Where the same stands in its place a press does the same.
          const there = document
            .elementFromPoint(left + width / 2, top + height / 2)
            ?.closest('button, [role=button], a');
          if (!there || nameOf(there) !== name) told.set(name, 'gone');
          seen.delete(element);
        } else if (Math.abs(now.top - top) > 4 || Math.abs(now.left - left) > 4)
          told.set(name, `moved by ${Math.round(now.left - left)}, ${Math.round(now.top - top)}`);
        else {
          const hit = document.elementFromPoint(now.left + now.width / 2, now.top + now.height / 2);
          if (hit && !element.contains(hit) && !hit.contains(element)) told.set(name, `under ${nameOf(hit)}`);
        }
      }
      for (const element of document.querySelectorAll(
        '#root :is(button, [role=button], a, h1, h2, h3, [role=heading])',
      )) {
        const { top, bottom, left, width } = element.getBoundingClientRect();
        // The foot of the page stands over what lies under it.
        if (
          seen.has(element) ||
          width === 0 ||
          top < 0 ||
          bottom > innerHeight ||
          element.closest('[role=status]')
        )
          continue;
        const hit = document.elementFromPoint(left + width / 2, (top + bottom) / 2);
        if (hit && (element.contains(hit) || hit.contains(element)))
          seen.set(element, { name: nameOf(element), top, left, width, height: bottom - top });
      }
      requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  });
}

/** What a screen is called while it waits: read as a state, not as words to be found again. */
const WAITING = /^(Planning the round|Opening)$/;

type Press = readonly [press: RegExp, then: (page: Page) => Locator];
const heading = (name: RegExp) => (page: Page) => page.getByRole('heading', { name }).first();
const words = (text: RegExp) => (page: Page) => page.getByText(text).first();
const button = (name: RegExp) => (page: Page) => page.getByRole('button', { name }).first();
const today = heading(/^Tuesday 14 July/);
const purity = heading(/^Purity/);

/** What can be pressed above the fold, and what is there once it was. The first of each screen here, all in `npm run acceptance`. */
const SCREENS: Readonly<Record<string, readonly [Press, ...Press[]]>> = {
  '/': [
    [/^Start the 05:05 round/, heading(/^Collect \d+ males?$/)],
    [/^Find anything/, heading(/^Find/)],
    [/^Settings/, heading(/^Settings/)],
    [/^People on this round: one more/, (page) => page.getByLabel('People on this round: 2')],
  ],
  '/walk': [
    [/^Nothing here. Next plant/, words(/^Plant 2 of/)],
    [/^Leave the walk/, today],
    [/^coloured:/, (page) => page.getByRole('button', { name: /^coloured:/, pressed: true })],
    [/^male, /, (page) => page.getByRole('button', { name: /^male, /, pressed: true })],
    [/^Not sure\? Ask the key/, (page) => page.getByRole('button', { name: /^Leave the key/ })],
  ],
  '/round': [
    [/^Leave the round/, today],
    [/ is missing$/, words(/^(Last|Saving): /)],
    [/^Picked: /, button(/^whole$/)],
  ],
  '/looks': [
    [/its closure is whole$/, words(/^(Last|Saving): /)],
    [/^All \d+ are still shut and whole/, words(/^(Last|Saving): /)],
    [/^Back$/, today],
  ],
  '/fruit': [
    [/^Find a fruit by its mark/, heading(/^Find/)],
    [/^Purity/, purity],
    [/^Show only some/, heading(/^Show only/)],
  ],
  '/seed': [
    [/^Begin a lot/, heading(/lot/i)],
    [/^Purity/, purity],
  ],
  '/goals': [
    [/^Open the goal of Ferryman/, heading(/^Goal: Ferryman/)],
    [/^Back to Today/, today],
  ],
};

/** Those that a grower presses in a hurry; `npm run acceptance` looks at all. */
const IN_A_HURRY = ['/', '/walk', '/round'];
const FULL = process.env.FULL === '1';

for (const [path, presses] of Object.entries(SCREENS).filter(([path]) => FULL || IN_A_HURRY.includes(path)))
  test(`nothing that can be read on ${path} moves when what is late comes, and a press in between does what it says`, async ({
    page,
  }) => {
    await holdUpLateParts(page);
    await watchAbove(page);
    await openDemo(page, path);
    await expect(page.getByRole('heading').first()).toBeVisible();
    // A busy machine takes its time to whatever there is.
    await expect
      .poll(() =>
        page.evaluate(() => (window as unknown as { stoodAbove: Map<Element, unknown> }).stoodAbove.size),
      )
      .toBeGreaterThan(3);
    // Nothing says that no more will come: this is longer than whatever is held up.
    await page.waitForTimeout(2.5 * LATE_MS);
    const { moved, stood } = await page.evaluate(() => {
      const { movedAbove, stoodAbove } = window as unknown as {
        movedAbove: Map<string, string>;
        stoodAbove: Map<Element, unknown>;
      };
      return { moved: [...movedAbove].map(([what, how]): Moved => ({ what, how })), stood: stoodAbove.size };
    });
    expect(stood).toBeGreaterThan(3);
    expect(moved.filter(({ what }) => !WAITING.test(what))).toEqual([]);
    for (const [press, then] of FULL ? presses : presses.slice(0, 1)) {
      // The same screen anew, and pressed as soon as there is something to press.
      await page.goto(path);
      await expect(then(page)).toBeHidden();
      await button(press)(page).click();
      await expect(then(page), String(press)).toBeVisible();
    }
  });
