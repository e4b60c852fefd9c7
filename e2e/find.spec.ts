import { readFile } from 'node:fs/promises';
import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import QRCode from 'qrcode';
import type { FlowerId, PlantId } from '../core/ids';
import { markAt, readCode } from '../core/purity';
import { TestGarden } from '../core/testGarden';
import { setTime, takeOver } from './helpers';

const EVENING = '2026-07-13';
const DAWN = '2026-07-14';
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: true });

/** Three fruits of one plant with the first marks of the patch, and one of another with a mark of old. */
function marked() {
  const garden = new TestGarden();
  const [one, two] = garden.plant('squash-maxima', 'Slate Dome', 2, { reason: 'seed' }).plants as [
    PlantId,
    PlantId,
  ];
  const fruit = (plant: PlantId, node: number, mark: string): FlowerId => {
    const flower = garden.see(garden.time(EVENING, 19), plant, 'female', 'coloured', node);
    garden.write(garden.time(EVENING, 19, 1), { kind: 'flowerShut', flower, closure: 'tape' });
    garden.work(garden.time(DAWN, 5, 10), flower, []);
    garden.write(garden.time(DAWN, 5, 12), { kind: 'marked', flower, mark });
    return flower;
  };
  const fruits = [
    fruit(one, 11, markAt(0)),
    fruit(one, 17, markAt(1)),
    fruit(one, 22, markAt(2)),
    fruit(two, 14, '7-K'),
  ];
  return { garden, fruits };
}

async function open(page: Page, garden: TestGarden) {
  await setTime(page, '2026-07-24T08:00:00Z');
  await takeOver(page, garden);
  await page.getByRole('link', { name: 'Fruit' }).click();
  await button(page, 'Find a fruit by its mark').click();
  await expect(page.getByRole('heading', { name: 'Find a fruit' })).toBeVisible();
}

test('a fruit is found by its mark on the keys; a wrong one is refused with the nearest on record', async ({
  page,
}) => {
  await open(page, marked().garden);
  for (const key of 'F2Y') await button(page, key).click();
  await expect(page.getByRole('heading', { name: 'Slate Dome 1, node 11' })).toBeVisible();
  await button(page, 'Clear the mark').click();
  // One character wrong.
  for (const key of 'F2X') await button(page, key).click();
  await expect(
    page.getByText(/^There is no such mark: a character is wrong, or two are swapped/),
  ).toBeVisible();
  await button(page, 'F2-Y').click();
  await expect(page.getByRole('heading', { name: 'Slate Dome 1, node 11' })).toBeVisible();
  // What looks like others stands in no mark; a mark of old is found as it was written.
  await page.getByLabel('The mark', { exact: true }).fill('F0O');
  await expect(page.getByText(/^No mark of ours has 0 or O in it/)).toBeVisible();
  await page.getByLabel('The mark', { exact: true }).fill('7k');
  await expect(page.getByRole('heading', { name: 'Slate Dome 2, node 14' })).toBeVisible();
  await page.getByLabel('The mark', { exact: true }).fill(markAt(40));
  await expect(page.getByText(/is a good mark, but on no fruit on this phone/)).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).setLegacyMode().analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
  await page.getByLabel('The mark', { exact: true }).fill('F2-Y');
  await button(page, 'Proof of Slate Dome 1, node 11').click();
  await expect(page.getByRole('heading', { name: 'Proof of F2-Y' })).toBeVisible();
});

test('a fruit is found by the square of its tag in a picture, dim as it may be; a torn one and no picture are told', async ({
  page,
}) => {
  await open(page, marked().garden);
  const give = async (name: string, mimeType: string, buffer: Buffer) => {
    const chooser = page.waitForEvent('filechooser');
    await button(page, 'From a picture').click();
    await (await chooser).setFiles({ name, mimeType, buffer });
  };
  const picture = (text: string, dark = '#000', light = '#fff') =>
    QRCode.toBuffer(text, { errorCorrectionLevel: 'Q', scale: 8, color: { dark, light } });
  await give('tag.png', 'image/png', await picture(`MARK ${markAt(1)}`, '#3a3a30', '#5c5c50'));
  await expect(page.getByRole('heading', { name: 'Slate Dome 1, node 17' })).toBeVisible();
  await button(page, 'Clear the mark').click();
  // Half of it is gone.
  const whole = await picture(`MARK ${markAt(2)}`);
  const torn = await page.evaluate(async (data) => {
    const bytes = Uint8Array.from(atob(data), (each) => each.charCodeAt(0));
    const image = await createImageBitmap(new Blob([bytes]));
    const canvas = document.createElement('canvas');
    canvas.width = canvas.height = 200;
    const context = canvas.getContext('2d') as CanvasRenderingContext2D;
    context.fillStyle = '#fff';
    context.fillRect(0, 0, 200, 200);
    context.drawImage(image, 0, 0, image.width / 2, image.height, 0, 0, 100, 200);
    return canvas.toDataURL('image/png').split(',')[1] as string;
  }, whole.toString('base64'));
  await give('torn.png', 'image/png', Buffer.from(torn, 'base64'));
  await expect(page.getByText(/^No code was found in this picture/)).toBeVisible();
  await give('notes.txt', 'image/png', Buffer.from('no picture at all'));
  await expect(page.getByText('This file is no picture that can be opened here.')).toBeVisible();
  await give('other.png', 'image/png', await picture('https://example.org/a-shop'));
  await expect(page.getByText(/^No mark of ours has /)).toBeVisible();
  // There is no camera on this machine.
  await button(page, 'Use the camera').click();
  await expect(page.getByText(/camera here|camera was not allowed|camera does not answer/)).toBeVisible();
});

test('tags are printed for marks to come and for the fruits of the year', async ({ page }) => {
  await open(page, marked().garden);
  await button(page, 'Print tags').click();
  await expect(page.getByRole('heading', { name: 'Tags', exact: true })).toBeVisible();
  // Not the phone that began the patch: its marks begin with a roll of their own.
  const next = await page.getByLabel('First mark').inputValue();
  const read = readCode(next);
  expect(read).toMatchObject({ ok: true, n: 0 });
  const roll = read.ok ? read.roll : '';
  await page.getByLabel('First mark').fill('1-A');
  await expect(page.getByText(/^Write a mark of this phone/)).toBeVisible();
  await page.getByLabel('First mark').fill(markAt(30, roll));
  await page.getByLabel('Labels of the first sheet used up already').fill('4');
  const saved = async (name: string) => {
    const download = page.waitForEvent('download');
    await button(page, name).click();
    const file = await download;
    expect(file.suggestedFilename()).toBe('steady-trowel-tags-2026-07-24.pdf');
    return (await readFile(await file.path())).toString('latin1');
  };
  await button(page, /^A4: 24 of/).click();
  const blank = await saved('Save 20 tags as PDF');
  expect(blank.startsWith('%PDF-')).toBe(true);
  expect(blank.match(/\/Type \/Page\b/g)).toHaveLength(1);
  await page.getByRole('button', { name: /^Roll: / }).click();
  await page.getByRole('button', { name: /^fruits of this year/ }).click();
  const fruits = await saved('Save 4 tags as PDF');
  expect(fruits.match(/\/Type \/Page\b/g)).toHaveLength(4);
  const { violations } = await new AxeBuilder({ page }).setLegacyMode().analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
});

test('a fruit without its mark: what is seen tells which it may be, and its proof says that it was lost', async ({
  page,
}) => {
  await open(page, marked().garden);
  await button(page, 'It has no mark').click();
  await button(page, 'Slate Dome 1').click();
  await page.getByLabel('At which node (may be left out)').fill('16');
  const rows = page.getByRole('button', { name: /^It is Slate Dome/ });
  await expect(rows.first()).toHaveAccessibleName(/^It is Slate Dome 1, node 17: mark \S+ goes on$/);
  const next = / mark (\S+) goes/.exec((await rows.first().getAttribute('aria-label')) ?? '')?.[1] as string;
  await expect(page.getByText('on that plant · a node or two off')).toBeVisible();
  await rows.first().click();
  await expect(page.getByRole('heading', { name: `Proof of ${next}` })).toBeVisible();
  await expect(page.getByText(/its mark was lost and put on again/)).toBeVisible();
  // The mark that fell off still leads to it.
  await page.goBack();
  await page.getByLabel('The mark', { exact: true }).fill(markAt(1));
  await expect(page.getByText(`${markAt(1)} was its mark before; now it carries ${next}.`)).toBeVisible();
});

test('one mark on two fruits and two on one are asked about until somebody says which hangs', async ({
  page,
}) => {
  const { garden, fruits } = marked();
  const [first, second] = fruits as [FlowerId, FlowerId];
  garden.write(garden.time(DAWN, 6), { kind: 'marked', flower: second, mark: markAt(0) });
  await open(page, garden);
  await expect(page.getByText(/^F2-Y is on Slate Dome 1, node 11 and Slate Dome 1, node 17\./)).toBeVisible();
  await page.getByLabel('The mark', { exact: true }).fill('F2-Y');
  await page.getByRole('button', { name: /^F2-Y is not on Slate Dome 1, node 11: mark / }).click();
  await expect(page.getByText(/^F2-Y is on Slate Dome 1/)).toHaveCount(0);
  // The second has two marks still.
  await button(page, `${markAt(1)} is off Slate Dome 1, node 17`)
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'Marks to look at' })).toHaveCount(0);
  expect(first).not.toBe(second);
});

test('two weeks after marking the loops are asked about, and read', async ({ page }) => {
  await setTime(page, '2026-07-29T08:00:00Z');
  const { garden, fruits } = marked();
  for (const flower of fruits) garden.look(garden.time('2026-07-24', 9), flower, 'growing');
  await takeOver(page, garden);
  await expect(page.getByText('4 loops to look at: tight, or gone?')).toBeVisible();
  await page.goto('/looks');
  await expect(page.getByText(/^Marked F2-Y two weeks ago: loosen the loop/)).toBeVisible();
  await page.getByRole('button', { name: /mark F2-Y read, the loop is loose$/ }).click();
  await expect(page.getByText(/^Marked F2-Y two weeks ago/)).toHaveCount(0);
  await expect(page.getByText(/two weeks ago: loosen the loop/)).toHaveCount(3);
});
