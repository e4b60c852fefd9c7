import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { beginPatch, openDemo, setTime } from './helpers';

test('a session with the trainer: answers explain themselves, can be asked in words, and end after two minutes', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2026-07-13T17:30:00Z') });
  await beginPatch(page);
  await page.getByRole('link', { name: 'Practice' }).click();
  await expect(page.getByText('Nothing asked yet')).toBeVisible();
  await page.getByRole('button', { name: 'Practise two minutes' }).click();
  for (let i = 0; i < 5; i++) {
    await expect(page.getByRole('img', { name: /.{25,}/ }).first()).toBeVisible();
    await page.getByRole('group').last().getByRole('button').first().click();
    await expect(page.getByText(/^(Right\.|No:)/)).toBeVisible();
    await page.getByRole('button', { name: 'Next' }).click();
  }
  await page.getByRole('button', { name: 'In words' }).click();
  await expect(page.getByRole('button', { name: 'Show the drawing' })).toBeVisible();
  await page.clock.fastForward(125_000);
  await expect(page.getByRole('heading', { name: 'Two minutes are over' })).toBeVisible();
  await expect(page.getByText(/\d of 5 right/)).toBeVisible();
  await page.getByRole('button', { name: 'Back to Practice' }).click();
  await expect(page.getByText(/^5 answers so far/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/^5 answers so far/)).toBeVisible();
});

test('a rehearsal: a short roll of tape, the dawn, the fruit, the score; half of it outlives a reload', async ({
  page,
}) => {
  await openDemo(page);
  await page.goto('/practice');
  await page.getByRole('button', { name: 'Begin a rehearsal' }).click();
  const ready = page.getByRole('button', { name: /shut, full and coloured$/ });
  await expect(page.getByRole('heading', { name: /^Tape for \d+ more/ })).toBeVisible();
  const tape = Number((await page.getByRole('heading', { name: /^Tape for/ }).innerText()).match(/\d+/)?.[0]);
  await ready.first().click();
  await expect(page.getByRole('heading', { name: `Tape for ${tape - 1} more` })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: `Tape for ${tape - 1} more` })).toBeVisible();
  for (let i = 1; i < tape; i++) {
    const next = page.getByRole('button', { name: /^Plant \d, node \d+: .*[a-z]$/, pressed: false }).first();
    if (!(await next.isEnabled())) break;
    await next.click();
  }
  await expect(page.getByRole('heading', { name: 'Tape for 0 more' })).toBeVisible();
  await page.getByRole('button', { name: /^See the dawn with/ }).click();
  await expect(page.getByRole('heading', { name: 'Dawn' })).toBeVisible();
  await page.getByRole('button', { name: 'Pollinate, and see the fruit two weeks on' }).click();
  await expect(page.getByText(/^\d+ of \d+$/)).toBeVisible();
  await expect(page.getByText(/^Cost \d|Nothing to regret/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Another evening' }).click();
  await expect(page.getByRole('heading', { name: /^Tape for \d+ more/ })).toBeVisible();
  await page.getByRole('button', { name: 'Leave the rehearsal; it is kept' }).click();
  await expect(page.getByText(/pure fruits? of \d+ that could be had/).first()).toBeVisible();
});

test('practice goes out in the same file, apart from the garden, and comes back on another phone', async ({
  page,
  browser,
}) => {
  await setTime(page, '2026-07-13T17:30:00Z');
  await beginPatch(page);
  await page.goto('/practice/train');
  await page.getByRole('group').last().getByRole('button').first().click();
  await expect(page.getByText(/^(Right\.|No:)/)).toBeVisible();
  await page.goto('/settings');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export everything (JSON)' }).click();
  const path = await (await download).path();
  const file = JSON.parse(readFileSync(path, 'utf8')) as {
    events: { kind: string }[];
    practice: { kind: string }[];
  };
  expect(file.practice.map(({ kind }) => kind)).toEqual(['practised']);
  expect(file.events.some(({ kind }) => kind === 'practised')).toBe(false);
  const other = await browser.newPage();
  await setTime(other, '2026-07-14T05:30:00Z');
  await beginPatch(other, 'Elsewhere');
  await other.goto('/settings');
  const chooser = other.waitForEvent('filechooser');
  await other.getByRole('button', { name: 'Import a file' }).click();
  await (await chooser).setFiles(path);
  await expect(other.getByText('1 answer to the trainer, kept apart.')).toBeVisible();
  await other.getByRole('button', { name: /^Add \d+ records/ }).click();
  await expect(other.getByText(/records added/)).toBeVisible();
  await other.goto('/practice');
  await expect(other.getByText(/^1 answer so far/)).toBeVisible();
  await other.close();
});

test('every drawing stands in the gallery, in every light', async ({ page }) => {
  await page.goto('/dev/gallery');
  await expect(page.getByTestId('gallery-time')).toHaveText(/^Drawn in \d+ ms$/);
  await expect(page.getByRole('heading', { name: 'strawberry', exact: true })).toBeVisible();
  expect(await page.locator('svg').count()).toBeGreaterThan(300);
  await page.getByRole('button', { name: 'before-dawn' }).click();
  await expect(page.getByTestId('gallery-time')).toHaveText(/^Drawn in \d+ ms$/);
});
