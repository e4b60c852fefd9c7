import type { Page } from '@playwright/test';

const TODAY = 'Tuesday 14 July';
/** Screens in the order in which they are visited: how the name of what is pressed begins, and words that stand on the screen once it is drawn. */
const STEPS = [
  ['Patch', 'Add a bed'],
  ['Fruit', 'Set and drop'],
  ['Today', TODAY],
  ['Settings', 'Import a file'],
  ['Back', TODAY],
  ['All goals', 'What each stand is to bring'],
  ['Today', TODAY],
  ['Look at all', 'owed a look today'],
  ['Today', TODAY],
  ['Weather', 'Coldest to warmest'],
  ['Today', TODAY],
  ['Round card on paper', 'Print the card'],
  ['Today', TODAY],
  ['Open: Corn', 'This morning: swaps'],
  ['Today', TODAY],
  ['Open: Crosses', 'Pollen on'],
  ['Today', TODAY],
  ['Open: Kitchen round', 'about 15 s a flower'],
] as readonly (readonly [string, string])[];

/** Milliseconds from the press to the frame that shows the screen, one after the other, in an app that is open. */
export async function screenTimes(page: Page): Promise<string[]> {
  const times: string[] = [];
  for (const [press, words] of STEPS) {
    const ms = await page.evaluate(
      ([name, wanted]) =>
        new Promise<number>((resolve, reject) => {
          const start = performance.now();
          setTimeout(() => reject(new Error(`${name} does not show "${wanted}"`)), 30_000);
          const watch = new MutationObserver(() => {
            if (!document.body.innerText.includes(wanted)) return;
            watch.disconnect();
            requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - start), 0));
          });
          watch.observe(document.body, { subtree: true, childList: true, characterData: true });
          const key = document.querySelector<HTMLElement>(`[aria-label^="${name}"]`);
          if (key) key.click();
          else reject(new Error(`Nothing to press that begins with "${name}"`));
        }),
      [press, words] as const,
    );
    const name = press === 'Back' ? 'Today' : press.replace('Open: ', '');
    times.push(`${name} ${ms.toFixed(0)}`);
    await page.waitForTimeout(1500);
  }
  return times;
}

const WORKING = 'Adding up';

/** Milliseconds from a tap on the Fruit place to its answer, which comes from the worker: another season, grouping or curve. */
export async function filterTimes(page: Page): Promise<string[]> {
  const times: string[] = [];
  for (const name of ['Season', 'This week', 'plant', 'hour', 'males']) {
    const ms = await page.evaluate(
      ([wanted, working]) =>
        new Promise<number>((resolve, reject) => {
          const start = performance.now();
          setTimeout(() => reject(new Error(`${wanted} gives no answer`)), 30_000);
          let asked = false;
          const watch = new MutationObserver(() => {
            const busy = document.body.innerText.includes(working);
            asked ||= busy;
            if (!asked || busy) return;
            watch.disconnect();
            requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - start), 0));
          });
          watch.observe(document.body, { subtree: true, childList: true, characterData: true });
          const key = document.querySelector<HTMLElement>(`[aria-label^="${wanted}"]`);
          if (key) key.click();
          else reject(new Error(`Nothing to press that begins with "${wanted}"`));
        }),
      [name, WORKING] as const,
    );
    times.push(`${name} ${ms.toFixed(0)}`);
    await page.waitForTimeout(800);
  }
  return times;
}

/** The longest stretches, in ms, for which the screen stood still between two moments. */
export async function longTasks(page: Page, work: () => Promise<void>): Promise<number[]> {
  await page.evaluate(() => {
    const seen: number[] = [];
    const watch = new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) seen.push(duration);
    });
    watch.observe({ type: 'longtask' });
    Object.assign(window, { seen, watch });
  });
  await work();
  return page.evaluate(() => {
    const { seen, watch } = window as unknown as { seen: number[]; watch: PerformanceObserver };
    watch.disconnect();
    return seen.sort((a, b) => b - a).slice(0, 5);
  });
}

/** How many nodes the fullest screens draw. */
export async function fullestScreens(page: Page, base: string, screens: readonly string[]): Promise<string> {
  const counts: (readonly [string, number])[] = [];
  for (const path of screens) {
    await page.goto(`${base}${path}`);
    await page.getByRole('heading', { level: 1 }).waitFor();
    await page.waitForTimeout(2000);
    counts.push([path, await page.evaluate(() => document.querySelectorAll('*').length)]);
  }
  counts.sort(([, a], [, b]) => b - a);
  return counts
    .slice(0, 5)
    .map(([path, nodes]) => `${path} ${nodes}`)
    .join(', ');
}
