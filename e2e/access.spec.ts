import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { openDemo, pickMales } from './helpers';

const SCREENS = [
  '/',
  '/walk',
  '/round',
  '/looks',
  '/fruit',
  '/patch',
  '/settings',
  '/begin',
  '/corn',
  '/crosses',
  '/kitchen',
  '/goals',
  '/weather',
  '/card',
  '/key',
  '/key?crop=melon',
  '/practice',
  '/practice/train',
  '/practice/rehearse',
  '/dev/broken',
];

/** All rules, or those of colours alone where the light is all that differs. */
async function check(page: Page, path: string, colours = false): Promise<void> {
  const axe = new AxeBuilder({ page });
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
async function checkSizes(page: Page, path: string): Promise<void> {
  const wide = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect([path, wide]).toEqual([path, 0]);
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

test('the first screen passes the accessibility rules', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Begin my patch' })).toBeVisible();
  await check(page, 'first');
});

/** The screens in three parts, so that no one test holds a worker for minutes. */
const PARTS = [0, 1, 2].map((part) => SCREENS.filter((_, i) => i % 3 === part));

async function inLight(page: Page, light: string): Promise<void> {
  await openDemo(page);
  await page.evaluate((chosen) => {
    const prefs = JSON.parse(localStorage.getItem('steady-trowel/prefs') ?? '{}') as object;
    localStorage.setItem('steady-trowel/prefs', JSON.stringify({ ...prefs, light: chosen }));
  }, light);
}

for (const light of ['day', 'sun', 'before-dawn'] as const) {
  const colours = light !== 'day';
  const here = (project: string) => !colours || project === 'phone';
  for (const [part, screens] of PARTS.entries())
    test(`every screen passes the accessibility rules in the light "${light}", part ${part + 1}`, async ({
      page,
    }, { project }) => {
      test.skip(!here(project.name), 'colours are the same at every size');
      test.setTimeout(120_000);
      await inLight(page, light);
      // The same elements in the same colours stand on the wide screen: there only the sizes are asked anew.
      const rules = project.name === 'phone';
      for (const path of screens) {
        await page.goto(path);
        await expect(page.getByRole('heading').first()).toBeVisible();
        if (path === '/round') {
          await expect(page.getByRole('heading', { name: /^Collect/ })).toBeVisible();
          if (rules) await check(page, '/round, collecting', colours);
          await pickMales(page);
          await page.getByRole('button', { name: 'whole', exact: true }).click();
        }
        if (rules) await check(page, path, colours);
        if (!colours) await checkSizes(page, path);
      }
    });
  test(`a goal and a plant pass the accessibility rules in the light "${light}"`, async ({ page }, {
    project,
  }) => {
    test.skip(project.name !== 'phone', 'the same elements at every size');
    await inLight(page, light);
    await page.goto('/goals');
    await page.getByRole('button', { name: 'Open the goal of Long Halyard' }).click();
    await expect(page.getByRole('heading', { name: 'The sum', exact: true })).toBeVisible();
    await check(page, '/goals, one', colours);
    await page.goto('/patch');
    await page.getByRole('link', { name: /Slate Dome 3/ }).click();
    await expect(page.getByRole('heading', { name: 'Slate Dome 3' })).toBeVisible();
    await check(page, '/plant', colours);
  });
}
