import fc from 'fast-check';
import { seededRandom } from '../random';
import { inbreeding, kinship, type PedigreeRow } from '.';
import cases from './fixtures/pedigree.json';

interface Case {
  readonly id: string;
  readonly input: {
    readonly pedigree: readonly {
      readonly id: string;
      readonly dam: string | null;
      readonly sire: string | null;
    }[];
    readonly report?: readonly string[];
  };
  readonly expected: {
    readonly error?: string;
    readonly inbreeding?: Readonly<Record<string, number>>;
    readonly kinship?: readonly (readonly number[])[];
  };
}
const rowsOf = ({ input }: Case): PedigreeRow[] =>
  input.pedigree.map(({ id, dam, sire }) => ({ id, mother: dam, father: sire }));

describe('pedigrees reckoned with independent tools', () => {
  test.each((cases as unknown as Case[]).map((each) => [each.id, each] as const))('%s', (_id, each) => {
    const rows = rowsOf(each);
    const { error, inbreeding: wanted, kinship: akin } = each.expected;
    if (error) return expect(() => inbreeding(rows)).toThrow(expect.objectContaining({ reason: error }));
    const found = inbreeding(rows);
    for (const [id, f] of Object.entries(wanted ?? {})) expect(found.get(id)).toBeCloseTo(f, 10);
    for (const [i, row] of kinship(rows, each.input.report ?? []).entries())
      for (const [j, value] of row.entries()) expect(value).toBeCloseTo(akin?.[i]?.[j] ?? NaN, 10);
  });
});

/** Plants after their parents: some selfed, some of unknown father or mother. */
const pedigrees = fc
  .array(
    fc.tuple(fc.double({ min: 0, max: 0.999, noNaN: true }), fc.double({ min: 0, max: 0.999, noNaN: true })),
    {
      minLength: 1,
      maxLength: 14,
    },
  )
  .map((draws) =>
    draws.map(([m, f], i): PedigreeRow => {
      const parent = (draw: number) => {
        const at = Math.floor(draw * (i + 1)) - 1;
        return at < 0 ? null : `p${at}`;
      };
      return { id: `p${i}`, mother: parent(m), father: parent(f) };
    }),
  );

/** The table of kinships as it is drawn up by hand (Emik & Terrill 1949): row by row, each from those of the parents. */
function byHand(rows: readonly PedigreeRow[]): number[][] {
  const at = new Map(rows.map(({ id }, i) => [id, i]));
  const table: number[][] = rows.map(() => rows.map(() => 0));
  const get = (i: number | undefined, j: number | undefined) =>
    i === undefined || j === undefined ? 0 : (table[i]?.[j] ?? 0);
  rows.forEach(({ mother, father }, i) => {
    const [m, f] = [mother, father].map((id) => (id === null ? undefined : at.get(id)));
    for (let j = 0; j < i; j++) {
      const value = (get(m, j) + get(f, j)) / 2;
      (table[i] as number[])[j] = value;
      (table[j] as number[])[i] = value;
    }
    (table[i] as number[])[i] = (1 + get(m, f)) / 2;
  });
  return table;
}

describe('kinship', () => {
  test('is that of the table drawn up by hand, whatever the order of the rows', () => {
    fc.assert(
      fc.property(pedigrees, fc.nat(), (rows, seed) => {
        const random = seededRandom(seed);
        const shuffled = [...rows].sort(() => random() - 0.5);
        const wanted = byHand(rows);
        const found = kinship(
          shuffled,
          rows.map(({ id }) => id),
        );
        const inbred = inbreeding(shuffled);
        rows.forEach(({ id }, i) => {
          rows.forEach((_, j) => expect(found[i]?.[j]).toBeCloseTo(wanted[i]?.[j] ?? NaN, 10));
          expect(inbred.get(id)).toBeCloseTo(2 * (wanted[i]?.[i] ?? NaN) - 1, 10);
        });
      }),
    );
  });

  test('is how often genes dropped through the pedigree meet again', () => {
    const rows: PedigreeRow[] = [
      { id: 'a', mother: null, father: null },
      { id: 'b', mother: null, father: null },
      { id: 'c', mother: 'a', father: 'b' },
      { id: 'd', mother: 'a', father: 'b' },
      { id: 'e', mother: 'c', father: 'd' },
      { id: 'f', mother: 'e', father: 'e' },
      { id: 'g', mother: 'f', father: null },
    ];
    const random = seededRandom(17);
    const drops = 40_000;
    const met = new Map<string, number>();
    for (let drop = 0; drop < drops; drop++) {
      let next = 0;
      const genes = new Map<string, readonly [number, number]>();
      const from = (parent: string | null) =>
        parent === null
          ? next++
          : ((genes.get(parent) as [number, number])[random() < 0.5 ? 0 : 1] as number);
      for (const { id, mother, father } of rows) genes.set(id, [from(mother), from(father)]);
      for (const [id, [one, other]] of genes) if (one === other) met.set(id, (met.get(id) ?? 0) + 1);
    }
    const inbred = inbreeding(rows);
    for (const { id } of rows)
      // Four standard errors of a share of so many drops.
      expect(Math.abs((met.get(id) ?? 0) / drops - (inbred.get(id) ?? NaN))).toBeLessThan(0.01);
  });

  test('brother and sister, generation after generation (Wright 1921)', () => {
    const rows: PedigreeRow[] = ['a0', 'b0'].map((id) => ({ id, mother: null, father: null }));
    for (let g = 1; g <= 6; g++)
      for (const who of ['a', 'b']) rows.push({ id: `${who}${g}`, mother: `a${g - 1}`, father: `b${g - 1}` });
    const inbred = inbreeding(rows);
    expect([1, 2, 3, 4, 5, 6].map((g) => inbred.get(`a${g}`))).toEqual([
      0, 0.25, 0.375, 0.5, 0.59375, 0.671875,
    ]);
  });

  test('thirty generations of selfing, and one plant only', () => {
    const rows = Array.from({ length: 31 }, (_, i) => {
      const parent = i === 0 ? null : `s${i - 1}`;
      return { id: `s${i}`, mother: parent, father: parent };
    });
    expect(inbreeding(rows).get('s30')).toBeCloseTo(1 - 2 ** -30, 12);
    expect(kinship(rows.slice(0, 1), ['s0'])).toEqual([[0.5]]);
  });

  test('ten thousand generations are no deeper than the stack', () => {
    const rows = Array.from({ length: 10_000 }, (_, i) => ({
      id: `s${i}`,
      mother: i === 0 ? null : `s${i - 1}`,
      father: null,
    })).reverse();
    expect(inbreeding(rows).size).toBe(10_000);
  });

  test('its own grandmother, two rows of one plant, and a plant nobody knows are refused by name', () => {
    const row = (id: string, mother: string | null, father: string | null = null) => ({ id, mother, father });
    const grandmother = [row('a', 'b'), row('b', 'a')];
    expect(() => inbreeding(grandmother)).toThrow('a would be its own ancestor.');
    expect(() => inbreeding([row('a', 'a')])).toThrow(expect.objectContaining({ reason: 'cycle' }));
    expect(() => inbreeding([row('a', null), row('a', null)])).toThrow(
      expect.objectContaining({ reason: 'duplicate' }),
    );
    expect(() => kinship([row('a', null)], ['b'])).toThrow(expect.objectContaining({ reason: 'unknown' }));
  });

  test('a parent that has no row of its own is a founder', () => {
    expect(kinship([{ id: 'b', mother: 'a', father: 'a' }], ['a', 'b'])).toEqual([
      [0.5, 0.5],
      [0.5, 0.75],
    ]);
  });
});
