import { readFileSync } from 'node:fs';
import { tagPlace, tagsOn, TAG_SIZES, codeText, markInCode, type Tag } from '../tags';
import { markAt } from '../purity';
import { tagPdf } from '.';

const ttf = (weight: string) =>
  readFileSync(
    `node_modules/@expo-google-fonts/atkinson-hyperlegible-next/${weight}/AtkinsonHyperlegibleNext_${weight}.ttf`,
  ).toString('base64');
const fonts = { regular: ttf('400Regular'), bold: ttf('700Bold') };
const tags = (many: number): Tag[] =>
  Array.from({ length: many }, (_, i) => ({
    mark: markAt(i * 11, i % 2 ? '4KX3' : ''),
    parents: i % 3 ? 'Slate Dome' : 'Žabja čebulica of the upper terraces × Lock Keeper by the old mill',
    about: i % 4 ? 'Slate Dome 1 · 14 July' : '',
  }));
const pagesOf = (file: ArrayBuffer) =>
  Buffer.from(file)
    .toString('latin1')
    .match(/\/Type \/Page\b/g)?.length;

test.each(TAG_SIZES.map((size) => [size.key, size] as const))(
  'on %s every tag lies on its page, beside the others',
  (_, size) => {
    const places = Array.from({ length: tagsOn(size) }, (__, n) => tagPlace(size, n));
    for (const { page, xMm, yMm } of places) {
      expect(page).toBe(0);
      expect(Math.min(xMm, yMm)).toBeGreaterThanOrEqual(0);
      expect(xMm + size.wideMm).toBeLessThanOrEqual(size.page.wideMm + 0.05);
      expect(yMm + size.highMm).toBeLessThanOrEqual(size.page.highMm + 0.05);
    }
    for (const a of places)
      for (const b of places)
        if (a !== b)
          expect(
            Math.abs(a.xMm - b.xMm) > size.wideMm - 0.01 || Math.abs(a.yMm - b.yMm) > size.highMm - 0.01,
          ).toBe(true);
    expect(tagPlace(size, tagsOn(size))).toMatchObject({ page: 1, xMm: size.leftMm, yMm: size.topMm });
  },
);

test('as many sheets as tags need, with what is used up of the first; names of any length go on', () => {
  const [sheet] = TAG_SIZES;
  if (!sheet) throw new Error('no sizes');
  const told: number[] = [];
  expect(pagesOf(tagPdf(tags(24), sheet, fonts))).toBe(1);
  expect(pagesOf(tagPdf(tags(24), sheet, fonts, { skip: 1 }))).toBe(2);
  expect(pagesOf(tagPdf(tags(60), sheet, fonts, { onProgress: (share) => told.push(share) }))).toBe(3);
  expect(told).toEqual([0, 0.4, 0.8]);
});

test('a code holds the mark and comes back as it; what is none of ours stays what it is', () => {
  expect(codeText('4kx3-F2-x')).toBe('MARK 4KX3-F2-X');
  for (const { mark } of tags(20)) {
    expect(codeText(mark)).toMatch(/^[A-Z0-9 -]+$/);
    expect(markInCode(codeText(mark))).toBe(mark);
  }
  expect(markInCode(' https://example.org ')).toBe('https://example.org');
});
