import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, type Page } from '@playwright/test';
import { catalogue } from '../core/crops';
import { idMaker } from '../core/ids';
import { emptyState, SCHEMA_VERSION, type AnyEvent, type Draft } from '../core/ledger';
import { DEFAULT_BED } from '../core/patch';
import type { TestGarden } from '../core/testGarden';
import { toInstant } from '../core/time';
import { plantingDrafts } from '../src/data/forms/planting';
import { batchText } from '../src/data/store/batch';

/** A file of the app that starts nothing: from it a page's storage can be filled before the app looks at it. */
const QUIET = '/fonts/fonts.css';
const DEVICE = 'device-1-1';

/** Fills a page's storage before the app looks at it. */
export async function fillStorage(
  page: Page,
  space: 'own' | 'demo',
  contents: ReadonlyMap<string, string>,
  origin = '',
): Promise<void> {
  await page.goto(`${origin}${QUIET}`);
  await page.evaluate(
    async ({ space, pairs, device }) => {
      const name = space === 'demo' ? 'steady-trowel-demo' : 'steady-trowel';
      const db = await new Promise<IDBDatabase>((done, failed) => {
        const asked = indexedDB.open(name, 1);
        asked.onupgradeneeded = () => asked.result.createObjectStore('entries');
        asked.onsuccess = () => done(asked.result);
        asked.onerror = () => failed(asked.error);
      });
      await new Promise<void>((done, failed) => {
        const writing = db.transaction('entries', 'readwrite');
        for (const [key, text] of pairs) writing.objectStore('entries').put(text, key);
        writing.oncomplete = () => done();
        writing.onerror = () => failed(writing.error);
      });
      db.close();
      const kept = JSON.parse(localStorage.getItem('steady-trowel/prefs') ?? '{}') as object;
      const prefs = { device, units: 'metric', clock: '24', ...kept, space };
      localStorage.setItem('steady-trowel/prefs', JSON.stringify(prefs));
    },
    { space, pairs: [...contents], device: DEVICE },
  );
}

/**
 * Fills a page's storage as the app itself would have left it, and opens an address. A journey that begins with a patch is spared the
 * taps to it: how those go is the matter of first-season.spec.ts, of files taken in that of files.spec.ts.
 */
async function openKept(page: Page, space: 'own' | 'demo', batch: string, path: string): Promise<void> {
  await fillStorage(page, space, new Map([['log/01KS22Y8C047C4FEZDQK8Y1000', batch]]));
  await page.goto(path);
}

/** A patch written by the ledger itself, opened on Today. */
export async function takeOver(page: Page, garden: TestGarden, path = '/'): Promise<void> {
  await openKept(page, 'own', batchText(garden.events as readonly AnyEvent[]), path);
  await expect(page.getByRole('link', { name: 'Patch' }).or(page.getByRole('heading')).first()).toBeVisible();
}

/** A patch of four plants of one variety in Ljubljana, as `beginByHand` begins it, opened on Today. */
export async function beginPatch(page: Page, variety = 'Harbour Lantern', crop?: RegExp): Promise<void> {
  const found = catalogue.find(({ name, id }) => (crop ? crop.test(name) : id === 'squash-maxima'));
  if (!found) throw new Error(`No crop is called ${String(crop)}.`);
  await page.goto(QUIET);
  const now = await page.evaluate(() => Date.now());
  const ids = idMaker(Math.random);
  const newId = <Kind extends Parameters<typeof ids.subject>[0]>(kind: Kind) => ids.subject(kind, now);
  const [patch, bed] = [newId('patch'), { id: newId('bed'), first: { xM: 0, yM: 0 }, ...DEFAULT_BED }];
  const place = { name: 'Ljubljana, Slovenia', latitude: 46.05, longitude: 14.52, zone: 'Europe/Ljubljana' };
  const planting = { crop: found.id, variety, shape: found.usualShape, plants: 4, reason: 'seed' } as const;
  const drafts: readonly Draft[] = [
    { kind: 'patchBegun', patch, name: 'My patch' },
    { kind: 'placeSet', patch, place },
    { kind: 'bedAdded', bed: bed.id, patch, name: 'Bed 1', ...bed.first, ...DEFAULT_BED },
    ...plantingDrafts(newId, emptyState(), patch, bed, planting, null),
  ];
  const events = drafts.map((draft) => ({
    id: ids.event(now),
    v: SCHEMA_VERSION,
    at: toInstant(now),
    by: 'Grower',
    device: DEVICE,
    ...draft,
  }));
  await openKept(page, 'own', batchText(events as readonly AnyEvent[]), '/');
  await expect(page.getByRole('link', { name: 'Patch' })).toBeVisible();
}

let season: string | null = null;

/** The demo as it stands once it was opened; by its own address it is opened in demo.spec.ts. */
export async function openDemo(page: Page, path = '/'): Promise<void> {
  season ??= batchText(
    (JSON.parse(readFileSync(join(__dirname, '../dist/demo/season.json'), 'utf8')) as { events: AnyEvent[] })
      .events,
  );
  await openKept(page, 'demo', season, path);
  if (path === '/') await expect(page.getByRole('heading', { name: 'Dawn round' })).toBeVisible();
}
