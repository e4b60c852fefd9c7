import fc from 'fast-check';
import { markAt, MARK_ALPHABET, readCode } from '.';
import { bare, rollAt, ROLLS } from './codes';
import { dammCheck, dammHolds, dammTable, type DammTable } from './damm';

/** The table of order 10 that Damm gives (Total anti-symmetrische Quasigruppen, 2004, p. 111), as it is printed in most accounts of it. */
const OF_TEN: DammTable = [
  '0317598642',
  '7092154863',
  '4206871359',
  '1750983426',
  '6123045978',
  '3674209581',
  '5869720134',
  '8945362017',
  '9438617205',
  '2581436790',
].map((row) => [...row].map(Number));

test('the published example: the check digit of 572 is 4', () => {
  expect(dammCheck(OF_TEN, [5, 7, 2])).toBe(4);
  expect(dammHolds(OF_TEN, [5, 7, 2, 4])).toBe(true);
  expect(dammHolds(OF_TEN, [5, 2, 7, 4])).toBe(false);
});

// What the scheme rests on, tried for every state and every pair of characters: then no code of any length can hide either mistake.
test.each([
  ['published, of ten', OF_TEN],
  ['of eight', dammTable(3)],
  ['ours, of sixteen', dammTable(4)],
] as const)('every single error and every swap of neighbours is caught: %s', (_, table) => {
  const order = table.length;
  let tried = 0;
  for (let state = 0; state < order; state++) {
    expect(new Set(table[state]).size).toBe(order);
    expect(new Set(table.map((row) => row[state])).size).toBe(order);
    expect(table[state]?.[state]).toBe(0);
    for (let a = 0; a < order; a++)
      for (let b = 0; b < order; b++) {
        if (a === b) continue;
        const run = (x: number, y: number) => table[table[state]?.[x] as number]?.[y];
        if (run(a, b) === run(b, a)) throw new Error(`${a} and ${b} can be swapped after ${state}`);
        tried++;
      }
  }
  expect(tried).toBe(order * order * (order - 1));
});

/** Every mark that differs from a code by one character, or by a swap of two neighbours. */
function mistakes(code: string): readonly string[] {
  const characters = [...code];
  const others = characters.flatMap((own, i) =>
    [...MARK_ALPHABET].flatMap((other) => (other === own ? [] : [characters.with(i, other).join('')])),
  );
  const swapped = characters.flatMap((own, i) => {
    const next = characters[i + 1];
    return next === undefined || next === own
      ? []
      : [
          characters
            .with(i, next)
            .with(i + 1, own)
            .join(''),
        ];
  });
  return [...others, ...swapped];
}

test('of all 1071 marks of up to four characters no single error and no swap is another mark', () => {
  let tried = 0;
  for (let n = 0; n < 63 + 1008; n++)
    for (const wrong of mistakes(bare(markAt(n)))) {
      if (readCode(wrong).ok) throw new Error(`${wrong} is taken for ${markAt(n)}`);
      tried++;
    }
  expect(tried).toBeGreaterThan(60_000);
});

const roll = fc.oneof(fc.constant(''), fc.integer({ min: 0, max: ROLLS - 1 }).map(rollAt));
const index = fc.integer({ min: 0, max: 4_000_000 });

test('of marks of any roll and length neither', () => {
  fc.assert(
    fc.property(index, roll, (n, of) => {
      for (const wrong of mistakes(bare(markAt(n, of)))) expect(readCode(wrong).ok).toBe(false);
    }),
    { numRuns: 150 },
  );
});

test('a mark is read back however it is written, and no two are alike', () => {
  fc.assert(
    fc.property(index, roll, (n, of) => {
      const mark = markAt(n, of);
      for (const written of [mark, mark.toLowerCase(), bare(mark), mark.replaceAll('-', ' ')])
        expect(readCode(written)).toEqual({ ok: true, roll: of, n, mark });
    }),
  );
  const marks = new Set(Array.from({ length: 50_000 }, (_, n) => bare(markAt(n))));
  expect(marks.size).toBe(50_000);
});

test('no mark is written like one of old, and none has characters that look or sound alike', () => {
  const OLD = /^([A-Y]{4})?\d{1,6}[A-Y]$/;
  fc.assert(fc.property(index, roll, (n, of) => expect(bare(markAt(n, of))).not.toMatch(OLD)));
  expect(MARK_ALPHABET).toHaveLength(16);
  for (const group of ['0ODQ', '1IL', '2Z', '5S', '69G', '8B', 'MNW', 'UV', 'AHJ', 'BCDEGPTVZ'])
    expect([...MARK_ALPHABET].filter((each) => group.includes(each)).length).toBeLessThanOrEqual(1);
});

test('what stands in no mark is named', () => {
  expect(readCode('F0-O')).toEqual({ ok: false, wrong: 'shape', stray: ['0', 'O'] });
  expect(readCode('F2-X')).toEqual({ ok: false, wrong: 'check', stray: [] });
  expect(readCode('')).toEqual({ ok: false, wrong: 'shape', stray: [] });
  expect(readCode('<b>f2</b>')).toMatchObject({ ok: false, stray: ['B'] });
});
