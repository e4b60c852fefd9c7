import { TrowelError } from '../errors';

/** One plant of a pedigree. The same parent twice: it selfed. `null`: an unknown founder, akin to nobody. */
export interface PedigreeRow {
  readonly id: string;
  readonly mother: string | null;
  readonly father: string | null;
}

/** A pedigree with parents before their offspring; a parent is the place of its row, or -1 where it is not known. */
export interface Ordered {
  readonly ids: readonly string[];
  readonly place: ReadonlyMap<string, number>;
  readonly mother: Int32Array;
  readonly father: Int32Array;
}

/**
 * The rows with parents before offspring. A parent without a row of its own is a founder. Throws `duplicate` for two rows of one id,
 * and `cycle` where a plant would be its own ancestor; both name the plant.
 */
export function ordered(rows: readonly PedigreeRow[]): Ordered {
  const byId = new Map<string, PedigreeRow>();
  for (const row of rows) {
    if (byId.has(row.id))
      throw new TrowelError('duplicate', `Two rows of the pedigree are of ${row.id}.`, { field: 'id' });
    byId.set(row.id, row);
  }
  const place = new Map<string, number>();
  const ids: string[] = [];
  const open = new Set<string>();
  // By hand and not by recursion: thirty generations are nothing, ten thousand would be too deep.
  const stack: string[] = [];
  for (const { id: first } of rows) {
    stack.push(first);
    for (let id = stack.at(-1); id !== undefined; id = stack.at(-1)) {
      if (place.has(id)) {
        stack.pop();
        continue;
      }
      const row = byId.get(id);
      const wanting = row ? [row.mother, row.father].filter((p) => p !== null && !place.has(p)) : [];
      if (wanting.length === 0) {
        stack.pop();
        open.delete(id);
        place.set(id, ids.push(id) - 1);
        continue;
      }
      open.add(id);
      for (const parent of wanting) {
        if (parent === null) continue;
        if (open.has(parent))
          throw new TrowelError('cycle', `${parent} would be its own ancestor.`, { field: 'id' });
        stack.push(parent);
      }
    }
  }
  const parent = (which: 'mother' | 'father') =>
    Int32Array.from(ids, (id) => {
      const of = byId.get(id)?.[which] ?? null;
      return of === null ? -1 : (place.get(of) as number);
    });
  return { ids, place, mother: parent('mother'), father: parent('father') };
}

/** How much of a plant's variance its parents do not explain (Mendelian sampling), by how inbred they are: 1 for a founder, a half for two founders' offspring. */
function unexplained(mother: number, father: number, inbred: Float64Array): number {
  if (mother < 0 && father < 0) return 1;
  const ofMother = mother < 0 ? 0.25 : 0.25 * (1 - (inbred[mother] as number));
  const ofFather = father < 0 ? 0.25 : 0.25 * (1 - (inbred[father] as number));
  return ofMother + ofFather + (mother < 0 || father < 0 ? 0.25 : 0);
}

// The loops below run hundreds of millions of times for a large pedigree: plain steps over typed arrays, nothing made on the way.

/** Coefficients of inbreeding in the order of `ordered`, by Meuwissen & Luo (1992): each plant's ancestors are gone through once. */
function coefficients({ ids, mother, father }: Ordered): Float64Array {
  const n = ids.length;
  const inbred = new Float64Array(n);
  const apart = new Float64Array(n);
  const share = new Float64Array(n);
  const known = new Map<number, number>();
  for (let i = 0; i < n; i++) {
    const m = mother[i] as number;
    const f = father[i] as number;
    apart[i] = unexplained(m, f, inbred);
    if (m < 0 || f < 0) continue;
    // Sisters are as inbred as each other.
    const pair = Math.min(m, f) * n + Math.max(m, f);
    const sister = known.get(pair);
    if (sister !== undefined) {
      inbred[i] = sister;
      continue;
    }
    share[m] = 0.5;
    share[f] = (share[f] as number) + 0.5;
    const sum = (apart[i] as number) + explained(Math.max(m, f), mother, father, apart, share);
    inbred[i] = sum - 1;
    known.set(pair, sum - 1);
  }
  return inbred;
}

/** What the ancestors up to a place add, by the share each has; leaves no shares behind. */
function explained(
  top: number,
  mother: Int32Array,
  father: Int32Array,
  apart: Float64Array,
  share: Float64Array,
): number {
  let sum = 0;
  for (let i = top; i >= 0; i--) {
    const part = share[i] as number;
    if (part === 0) continue;
    share[i] = 0;
    sum += part * part * (apart[i] as number);
    const m = mother[i] as number;
    const f = father[i] as number;
    if (m >= 0) share[m] = (share[m] as number) + part / 2;
    if (f >= 0) share[f] = (share[f] as number) + part / 2;
  }
  return sum;
}

/**
 * How inbred each plant is: the chance that its two copies of a gene are one and the same in an ancestor; 0 of founders. Rows in any
 * order. Throws `cycle` and `duplicate`. Meuwissen & Luo (1992), from memory.
 * @example inbreeding([{ id: 'a', mother: null, father: null }, { id: 'b', mother: 'a', father: 'a' }]).get('b') // 0.5
 */
export function inbreeding(rows: readonly PedigreeRow[]): Map<string, number> {
  const pedigree = ordered(rows);
  const inbred = coefficients(pedigree);
  return new Map(pedigree.ids.map((id, i) => [id, inbred[i] as number]));
}

/** Up to this many plants the whole table (half a square) is drawn up. */
const MOST_IN_TABLE = 4000;

/**
 * Kinship of the plants asked about, one row each in the order asked: the chance that a gene drawn from one and the same gene drawn
 * from the other are one and the same in an ancestor; of a plant with itself (1 + F) / 2. Throws `cycle`, `duplicate`, and `unknown`
 * for an id that is not in the pedigree.
 * @example kinship([{ id: 'a', mother: null, father: null }], ['a']) // [[0.5]]
 */
export function kinship(rows: readonly PedigreeRow[], ids: readonly string[]): number[][] {
  const pedigree = ordered(rows);
  const places = ids.map((id) => {
    const found = pedigree.place.get(id);
    if (found === undefined)
      throw new TrowelError('unknown', `${id} is not in the pedigree.`, { field: 'ids' });
    return found;
  });
  const size = Math.max(-1, ...places) + 1;
  // The table costs the square of all, passes up and down cost all for each of those asked about.
  return size <= MOST_IN_TABLE && size <= 6 * ids.length
    ? byTable(pedigree, places, size)
    : byPasses(pedigree, places, size);
}

/** Row by row, each from those of the parents (Emik & Terrill 1949, from memory). */
function byTable({ mother, father }: Ordered, places: readonly number[], size: number): number[][] {
  const rows: Float64Array[] = [];
  const nobody = new Float64Array(size);
  const between = (a: number, b: number): number =>
    a < 0 || b < 0
      ? 0
      : a >= b
        ? ((rows[a] as Float64Array)[b] as number)
        : ((rows[b] as Float64Array)[a] as number);
  for (let i = 0; i < size; i++) {
    const m = mother[i] as number;
    const f = father[i] as number;
    const row = new Float64Array(i + 1);
    const ofMother = m < 0 ? nobody : (rows[m] as Float64Array);
    const ofFather = f < 0 ? nobody : (rows[f] as Float64Array);
    for (let j = 0; j < i; j++) {
      const one = m < 0 ? 0 : j <= m ? (ofMother[j] as number) : ((rows[j] as Float64Array)[m] as number);
      const other = f < 0 ? 0 : j <= f ? (ofFather[j] as number) : ((rows[j] as Float64Array)[f] as number);
      row[j] = (one + other) / 2;
    }
    row[i] = (1 + between(m, f)) / 2;
    rows.push(row);
  }
  return places.map((a) => places.map((b) => between(a, b)));
}

/** One pass up the pedigree and one down for each, no square of it (Colleau 2002, from memory). */
function byPasses(pedigree: Ordered, places: readonly number[], size: number): number[][] {
  const { mother, father } = pedigree;
  const inbred = coefficients(pedigree);
  const apart = new Float64Array(size);
  for (let i = 0; i < size; i++) apart[i] = unexplained(mother[i] as number, father[i] as number, inbred);
  const way = new Float64Array(size);
  return places.map((asked) => {
    way.fill(0);
    up(asked, mother, father, way);
    down(size, mother, father, apart, way);
    return places.map((other) => (way[other] as number) / 2);
  });
}

function up(from: number, mother: Int32Array, father: Int32Array, way: Float64Array): void {
  way[from] = 1;
  for (let i = from; i >= 0; i--) {
    const part = (way[i] as number) / 2;
    if (part === 0) continue;
    const m = mother[i] as number;
    const f = father[i] as number;
    if (m >= 0) way[m] = (way[m] as number) + part;
    if (f >= 0) way[f] = (way[f] as number) + part;
  }
}

function down(
  size: number,
  mother: Int32Array,
  father: Int32Array,
  apart: Float64Array,
  way: Float64Array,
): void {
  for (let i = 0; i < size; i++) {
    const m = mother[i] as number;
    const f = father[i] as number;
    const ofMother = m < 0 ? 0 : (way[m] as number);
    const ofFather = f < 0 ? 0 : (way[f] as number);
    way[i] = (way[i] as number) * (apart[i] as number) + (ofMother + ofFather) / 2;
  }
}
