import { appendFileSync, cpSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { expect, test } from '@playwright/test';
import { createApp } from '../server/app';
import { pickMales } from './helpers';

test.use({ serviceWorkers: 'allow' });

test('a new version is offered, not forced, and kept back during a round', async ({ browser }) => {
  const dist = join(mkdtempSync(join(tmpdir(), 'trowel-update-')), 'dist');
  cpSync(join(__dirname, '../dist'), dist, { recursive: true });
  const server = await new Promise<Server>((resolve) => {
    const started: Server = createApp(dist).listen(0, '127.0.0.1', () => resolve(started));
  });
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const page = await (
    await browser.newContext({ locale: 'en-GB', timezoneId: 'Europe/Ljubljana' })
  ).newPage();
  const offer = page.getByText('A new version of Steady Trowel is ready.');
  try {
    await page.goto(`${base}/demo`);
    await expect(page.getByRole('heading', { name: 'Dawn round' })).toBeVisible();
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
    });
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Dawn round' })).toBeVisible();
    await expect(offer).toHaveCount(0);

    // The next version: another worker file, and its compressed twin.
    appendFileSync(join(dist, 'sw.js'), '\n// next\n');
    writeFileSync(join(dist, 'sw.js.br'), brotliCompressSync(readFileSync(join(dist, 'sw.js'))));

    await page.goto(`${base}/round`);
    await pickMales(page);
    await expect(page.getByText(/^Stop 1 of 11/)).toBeVisible();
    await page.waitForFunction(
      async () => (await navigator.serviceWorker.getRegistration())?.waiting !== null,
    );
    await expect(offer).toHaveCount(0);
    await page.getByRole('button', { name: 'Leave the round; it can be taken up again' }).click();
    await expect(offer).toBeVisible();
    for (const work of ['corn', 'crosses', 'kitchen', 'card']) {
      await page.goto(`${base}/${work}`);
      await expect(page.getByRole('heading').first()).toBeVisible();
      await expect(offer).toHaveCount(0);
    }

    // Another tab in the middle of work would lose its files: the change waits for it.
    const other = await page.context().newPage();
    await other.goto(`${base}/kitchen`);
    await expect(other.getByRole('heading').first()).toBeVisible();
    await page.goto(base);
    await page.getByRole('button', { name: 'Use it now' }).click();
    await expect(page.getByText(/^Another tab is in the middle of work/)).toBeVisible();
    await other.goto(`${base}/fruit`);
    await expect(other.getByRole('heading').first()).toBeVisible();
    const anew = other.waitForEvent('load');
    await page.getByRole('button', { name: 'Use it now' }).click();
    await expect(page.getByRole('heading', { name: 'Dawn round' })).toBeVisible();
    await expect(offer).toHaveCount(0);
    await anew;
    await other.getByRole('link', { name: 'Practice' }).click();
    await expect(other.getByRole('heading', { name: 'Practice' }).first()).toBeVisible();
  } finally {
    await page.context().close();
    server.close();
  }
});
