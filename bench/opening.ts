import type { Browser, Page } from '@playwright/test';
import { seededRandom } from '../core/random';
import { fillStorage } from '../e2e/prepared';
import { LedgerStore, memoryBox, noNeighbours } from '../src/data/store';
import { partsHere } from '../src/data/store/testing/parts';
import { makeLog } from './makeLog';
import { phonePage, withBrowser } from './served';

const PORT = 8394;
const BASE = `http://127.0.0.1:${PORT}`;
const NOW = Date.parse('2026-07-14T03:05:00Z');
/** Entries of the last days, each stored by itself: those that can be taken back, and some. */
const LOOSE = 50;

/** What a phone's storage holds after so many entries and an opening or two, as the store itself leaves it. */
async function keptAt(size: number): Promise<Map<string, string>> {
  const contents = new Map<string, string>();
  const events = makeLog(size).slice(0, size < 1000 ? size : undefined);
  const open = () =>
    new LedgerStore({
      box: memoryBox(contents),
      neighbours: noNeighbours,
      clock: { now: () => NOW },
      random: seededRandom(7),
      device: 'bench',
      by: () => 'Oda',
      parts: partsHere,
    }).open();
  const store = await open();
  await store.add(events.slice(0, -LOOSE));
  for (const event of events.slice(-LOOSE)) await store.add([event]);
  for (let i = 0; i < 2; i++) {
    await open();
    await new Promise((resolve) => setTimeout(resolve, size > 100_000 ? 3000 : 500));
  }
  return contents;
}

interface Opening {
  /** Milliseconds until Today can be read, and until what it leads to can be pressed. */
  readonly shown: number;
  readonly round: number;
}

/**
 * Looks at every frame from within the page: a wait from outside asks every half second, which is longer than what is measured. As text,
 * since a compiled function asks for helpers that the page does not have.
 */
const WATCH = `(() => {
  const stood = (window.stood = {});
  const look = () => {
    const text = document.getElementById('root')?.textContent ?? '';
    if (stood.shown === undefined && text.includes('Tuesday 14 July')) stood.shown = performance.now();
    if (stood.round === undefined && /Start the |Add plants/.test(text)) stood.round = performance.now();
    if (stood.round === undefined || stood.shown === undefined) requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
})()`;

async function opening(page: Page): Promise<Opening> {
  await page.goto('about:blank');
  await page.goto(BASE, { waitUntil: 'commit' });
  const stood = await page.waitForFunction(() => {
    const { stood } = window as unknown as { readonly stood?: Partial<Opening> };
    return stood?.shown !== undefined && stood.round !== undefined ? (stood as Opening) : null;
  });
  return (await stood.jsonValue()) as Opening;
}

const middle = (numbers: readonly number[]) => [...numbers].sort((a, b) => a - b)[numbers.length >> 1] ?? NaN;

/**
 * Prints how long Today takes to stand with logs of these sizes, against an almost empty one; then offline and four times slower. One
 * opening of each after the other, over and over: a machine is not as quick in one minute as in the next.
 */
export async function benchOpening(sizes: readonly number[], repeats: number): Promise<void> {
  await withBrowser(PORT, async (browser) => {
    const all: Opened[] = [];
    for (const size of [ALMOST_EMPTY, ...sizes]) all.push(await prepared(browser, size));
    for (let i = 0; i < repeats; i++)
      for (const each of all) {
        each.quick.push(await opening(each.page));
        await leave(each.page);
      }
    for (let i = 0; i < Math.min(repeats, 3); i++)
      for (const each of all) each.slow.push(await slowOpening(each.page));
    const empty = middle(all[0]?.quick.map(({ shown }) => shown) ?? []);
    for (const { size, quick, slow, parts } of all) {
      const shown = middle(quick.map((each) => each.shown));
      console.log(
        `${size} events: Today stands after ${shown.toFixed(0)} ms, ${(shown / empty).toFixed(2)} times an almost empty log; four times slower and without a network after ${(middle(slow.map((each) => each.shown)) / 1000).toFixed(2)} s, its round after ${(middle(slow.map(({ round }) => round)) / 1000).toFixed(2)} s (wanted 2.5)`,
      );
      console.log(`  kept: ${parts}`);
    }
  });
}

const ALMOST_EMPTY = 40;

interface Opened {
  readonly size: number;
  readonly page: Page;
  readonly quick: Opening[];
  readonly slow: Opening[];
  /** What of storage each kind of key takes. */
  readonly parts: string;
}

async function prepared(browser: Browser, size: number): Promise<Opened> {
  const contents = await keptAt(size);
  const page = await phonePage(browser, NOW);
  await page.addInitScript(WATCH);
  // In pieces: one message of a hundred megabytes is more than the way into a page takes.
  for (const pair of contents) await fillStorage(page, 'own', new Map([pair]), BASE);
  await opening(page);
  await page.evaluate(() => navigator.serviceWorker.ready);
  await page.waitForTimeout(4000);
  await leave(page);
  const kinds = new Map<string, number>();
  for (const [key, text] of contents) {
    const kind = key.split('/')[0] as string;
    kinds.set(kind, (kinds.get(kind) ?? 0) + text.length);
  }
  const parts = [...kinds].map(([kind, length]) => `${kind} ${(length / 1000).toFixed(0)} kB`).join(', ');
  return { size, page, quick: [], slow: [], parts };
}

/** What goes on behind an opened page must not be measured in the next one. */
async function leave(page: Page): Promise<void> {
  await page.waitForTimeout(1000);
  await page.goto('about:blank');
}

/** Slow only while it is measured: a page held back takes the time of the others. */
async function slowOpening(page: Page): Promise<Opening> {
  const context = page.context();
  const session = await context.newCDPSession(page);
  await context.setOffline(true);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const opened = await opening(page);
  await leave(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  await context.setOffline(false);
  await session.detach();
  return opened;
}
