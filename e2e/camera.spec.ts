import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import QRCode from 'qrcode';
import type { PlantId } from '../core/ids';
import { markAt } from '../core/purity';
import { TestGarden } from '../core/testGarden';
import chromiumArgs from '../scripts/chromium-args.json';
import { setTime, takeOver } from './helpers';

const FOLDER = 'test-results/camera';
const [WIDE, HIGH, MODULE] = [320, 240, 6];

/** What a camera held over a tag sees, as raw video: a second of dark ground, then the square code. */
function film(text: string): string {
  const { data, size } = QRCode.create(text, { errorCorrectionLevel: 'Q' }).modules;
  const [left, top] = [(WIDE - size * MODULE) / 2, (HIGH - size * MODULE) / 2];
  const grey = (x: number, y: number) => {
    const [column, row] = [Math.floor((x - left) / MODULE), Math.floor((y - top) / MODULE)];
    const within = column >= 0 && row >= 0 && column < size && row < size;
    return within && data[row * size + column] ? 50 : 200;
  };
  const pixels = Uint8Array.from({ length: WIDE * HIGH }, (_, i) => grey(i % WIDE, Math.floor(i / WIDE)));
  const colourless = Buffer.alloc((WIDE * HIGH) / 2, 128);
  const frame = (luma: Uint8Array) => Buffer.concat([Buffer.from('FRAME\n'), luma, colourless]);
  const ground = frame(new Uint8Array(WIDE * HIGH).fill(60));
  const path = join(FOLDER, `${text.replace(/\W/g, '-')}.y4m`);
  mkdirSync(FOLDER, { recursive: true });
  writeFileSync(
    path,
    Buffer.concat([
      Buffer.from(`YUV4MPEG2 W${WIDE} H${HIGH} F10:1 Ip A1:1 C420jpeg\n`),
      ...Array<Buffer>(10).fill(ground),
      ...Array<Buffer>(20).fill(frame(pixels)),
    ]),
  );
  return path;
}

// The browser's own stand-in for a camera, which plays a film.
test.use({
  permissions: ['camera'],
  launchOptions: {
    executablePath: process.env.CHROMIUM_WHOLE ?? '/usr/bin/chromium',
    args: [
      ...chromiumArgs,
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${film(`MARK ${markAt(0)}`)}`,
    ],
  },
});

test('a camera held over a tag finds its fruit, and is let go', async ({ page }) => {
  const garden = new TestGarden();
  const [plant] = garden.plant('squash-maxima', 'Slate Dome', 1, { reason: 'seed' }).plants as [PlantId];
  const flower = garden.see(garden.time('2026-07-13', 19), plant, 'female', 'coloured', 11);
  garden.work(garden.time('2026-07-14', 5, 10), flower, []);
  garden.write(garden.time('2026-07-14', 5, 12), { kind: 'marked', flower, mark: markAt(0) });
  await setTime(page, '2026-07-24T08:00:00Z');
  await takeOver(page, garden);
  await page.getByRole('link', { name: 'Fruit' }).click();
  await page.getByRole('button', { name: 'Find a fruit by its mark', exact: true }).click();
  await page.getByRole('button', { name: 'Use the camera', exact: true }).click();
  await expect(page.getByLabel('What the camera sees')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Slate Dome 1, node 11' })).toBeVisible();
  await expect(page.getByLabel('What the camera sees')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Use the camera', exact: true })).toBeVisible();
});
