// npm run screenshots: one current picture of each main view, from the demo patch.
import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { wholeChromium, ensurePackages, root } from './ensure.mjs';

await ensurePackages();
const executablePath = await wholeChromium();
const { build } = await import('./build.mjs');
await build();
const { chromium } = await import('@playwright/test');

const port = 8394;
const base = `http://127.0.0.1:${port}`;
const folder = join(root, 'docs/screenshots');
mkdirSync(folder, { recursive: true });
const server = spawn(process.execPath, ['--import', 'tsx', 'server/index.ts'], {
  cwd: root,
  env: { ...process.env, PORT: String(port), STRICT_PORT: '1' },
  stdio: 'ignore',
});
// A busy machine takes its time to start it.
while (!(await fetch(base).catch(() => null))?.ok) await new Promise((resolve) => setTimeout(resolve, 200));
const browser = await chromium.launch({
  executablePath,
  args: JSON.parse(readFileSync(join(root, 'scripts/chromium-args.json'), 'utf8')),
});

async function tour(size, viewport) {
  const context = await browser.newContext({
    viewport,
    locale: 'en-GB',
    timezoneId: 'Europe/Ljubljana',
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  const shot = async (name) => {
    await page.waitForTimeout(700);
    await page.screenshot({ path: join(folder, `${name}-${size}.png`) });
  };
  const button = (name) => page.getByRole('button', { name });
  await page.goto(`${base}/demo`);
  await page.getByRole('heading', { name: 'Dawn round' }).waitFor();
  await shot('today');
  if (size === 'phone') await phoneOnly(page, shot, button);
  else {
    await page.goto(`${base}/patch`);
    await page
      .getByRole('link', { name: /Slate Dome 1/ })
      .first()
      .click();
    await button('Its forebears').click();
    await page.getByRole('heading', { name: 'About it' }).waitFor();
    await shot('lineage');
    await page.goto(`${base}/plan`);
    await page.getByRole('button', { name: 'Slate Dome', exact: true }).click();
    await page.waitForTimeout(1000);
    await shot('plan');
  }
  await page.goto(base);
  await button(/^Start the/).click();
  const flower = page.getByRole('button', { name: 'whole', exact: true });
  const picked = button(/^Picked: /);
  // The males of each variety are asked for before its first flower.
  for (await picked.or(flower).first().waitFor(); await picked.isVisible(); await page.waitForTimeout(800))
    await picked.click();
  await flower.click();
  if (size === 'phone') await shot('round');
  if (size === 'phone') {
    await page.goto(base);
    await button('Move the demo clock to this evening').click();
    await button('Start the evening walk').click();
    await page.getByText(/^In the demo patch you would see/).waitFor();
    await shot('walk');
  }
  await context.close();
}

/** Views whose wide form shows nothing that the phone's does not. */
async function phoneOnly(page, shot, button) {
  const at = async (path, heading, name) => {
    await page.goto(`${base}/${path}`);
    await page.getByRole('heading', { name: heading }).first().waitFor();
    await shot(name);
  };
  await page.goto(`${base}/purity`);
  await page
    .getByRole('link', { name: /Proof / })
    .first()
    .click();
  await page.getByRole('heading', { name: /^Proof of/ }).waitFor();
  await shot('proof');
  await at('seed', 'Lots', 'seed');
  await at('practice', 'How it goes', 'practice');
  await at('fruit', 'Set and drop', 'fruit');
  await at('corn', 'This morning: swaps', 'corn');
  await page.goto(`${base}/crosses`);
  await page.getByText('Pollen on', { exact: true }).waitFor();
  await shot('crosses');
  await at('kitchen', 'Kitchen round', 'kitchen');
  await page.goto(`${base}/find`);
  for (const key of ['F', '3', 'U']) await page.getByRole('button', { name: key, exact: true }).click();
  await button(/^Proof of/).waitFor();
  await shot('find');
  await page.goto(`${base}/goals`);
  await button("Open the goal of Ferryman's Lamp").click();
  await page.getByText(/^One more now would add/).waitFor();
  await page.getByText('Mornings left').scrollIntoViewIfNeeded();
  await shot('goal');
  await page.goto(`${base}/key?crop=squash-maxima`);
  await button('shut, full and plump').click();
  await button(/^a swelling/).click();
  await button(/^yellow along/).click();
  await page.getByRole('heading', { name: 'coloured female' }).waitFor();
  await shot('key');
  await at('crossing', 'When they flower', 'crossing');
  await page.goto(`${base}/patch`);
  await page.getByRole('link', { name: /Slate Dome 8/ }).waitFor();
  await shot('patch');
  await page.getByRole('link', { name: /Slate Dome 8/ }).click();
  await page.getByRole('heading', { name: 'Slate Dome 8' }).waitFor();
  await shot('plant');
}

try {
  await tour('phone', { width: 390, height: 844 });
  await tour('wide', { width: 1280, height: 800 });
} finally {
  await browser.close();
  server.kill();
}
