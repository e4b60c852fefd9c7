import { spawn } from 'node:child_process';
import { chromium, type Browser, type Page } from '@playwright/test';
import chromiumArgs from '../scripts/chromium-args.json';

/** The built app served at a port, and a browser to measure it in; both are gone once the work is done. */
export async function withBrowser(
  port: number,
  work: (browser: Browser) => Promise<void>,
  args: readonly string[] = [],
): Promise<void> {
  const server = spawn(process.execPath, ['--import', 'tsx', 'server/index.ts'], {
    env: { ...process.env, PORT: String(port), STRICT_PORT: '1' },
    stdio: 'ignore',
  });
  await new Promise((resolve) => setTimeout(resolve, 2500));
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: [...chromiumArgs, ...args],
  });
  try {
    await work(browser);
  } finally {
    await browser.close();
    server.kill();
  }
}

/** A page of a phone's size in a garden near Ljubljana, on a day that stands still. */
export async function phonePage(browser: Browser, now: number): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    timezoneId: 'Europe/Ljubljana',
    locale: 'en-GB',
  });
  const page = await context.newPage();
  page.setDefaultTimeout(120_000);
  // Only the date is held: performance.now goes on, and is what is read.
  await page.addInitScript((at) => (Date.now = () => at), now);
  return page;
}
