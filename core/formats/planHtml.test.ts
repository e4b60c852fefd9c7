import fc from 'fast-check';
import { planHtml, planScale, type PlanSheet } from './planHtml';

const SHEET: PlanSheet = {
  patch: 'Weir <garden>',
  date: '1 July',
  beds: [
    {
      name: 'Long & low',
      corners: [
        [0, 0],
        [10, 0],
        [10, 1.2],
        [0, 1.2],
      ],
    },
  ],
  stands: [
    {
      name: 'Slate Dome',
      ring: [
        [1, 0.6],
        [4, 0.6],
      ],
      plants: [
        [1, 0.6],
        [4, 0.6],
      ],
    },
  ],
  obstacles: [
    {
      what: 'hedge',
      corners: [
        [0, -2],
        [10, -2],
      ],
      area: false,
    },
  ],
  unit: { short: 'm', metres: 1 },
  lines: ['Long & low: 10 m by 1.2 m'],
};
const numbers = (text: string) => [...text.matchAll(/-?\d+(?:\.\d+)?/g)].map(([n]) => Number(n));

test('a bed is as long on paper as its scale says', () => {
  const html = planHtml(SHEET, 'A4');
  expect(html).toContain('scale 1 : 100 ');
  const [x1, , x2] = numbers(/class="bed" d="([^"]+)"/.exec(html)?.[1] ?? '');
  expect((x2 as number) - (x1 as number)).toBeCloseTo(100, 6);
});

test.each([
  ['m', 1, '5 m', 50],
  ['ft', 0.3048, '10 ft', 30.48],
] as const)('the bar is marked in %s, and as long as it says', (short, metres, words, long) => {
  const html = planHtml({ ...SHEET, unit: { short, metres } }, 'A4');
  expect(html).toContain(`>${words} · N`);
  expect(Number(/M1 3v3h([\d.]+)v-3/.exec(html)?.[1])).toBeCloseTo(long, 6);
});

test('names are written, not run', () => {
  const html = planHtml(SHEET, 'A4');
  expect(html).toContain('Weir &lt;garden&gt;');
  expect(html).not.toContain('<garden>');
  expect(html).toContain('Long &amp; low');
});

test('whatever its size a patch goes on the sheet, at the largest scale that holds it', () => {
  const size = fc.double({ min: 0.5, max: 20_000, noNaN: true });
  fc.assert(
    fc.property(size, size, fc.constantFrom('A4' as const, 'Letter' as const), (wide, high, paper) => {
      const scale = planScale(wide, high, paper);
      const [roomWide, roomHigh] = paper === 'A4' ? [184, 170] : [190, 155];
      expect((wide * 1000) / scale).toBeLessThanOrEqual(roomWide);
      expect((high * 1000) / scale).toBeLessThanOrEqual(roomHigh);
    }),
  );
});

test('a patch without beds has a sheet that says so in words alone', () => {
  const html = planHtml({ ...SHEET, beds: [], stands: [], obstacles: [] }, 'Letter');
  expect(html).not.toMatch(/NaN|Infinity/);
});
