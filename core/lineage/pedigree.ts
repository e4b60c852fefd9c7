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

/** What of a plant its parents do not explain, by how inbred they are: 1 of a founder, a half of two founders' offspring. */
function mendelian({ mother, father }: Ordered, inbred: Float64Array, i: number): number {
  const part = (parent: number) => (parent < 0 ? 0 : 0.25 * (1 - (inbred[parent] as number)));
  const [m, f] = [mother[i] as number, father[i] as number];
  const known = Number(m >= 0) + Number(f >= 0);
  return known === 0 ? 1 : (known === 1 ? 0.5 : 0) + part(m) + part(f);
}

/** Coefficients of inbreeding in the order of `ordered`, by Meuwissen & Luo (1992): each plant's ancestors are gone through once. */
function coefficients(pedigree: Ordered): Float64Array {
  const { ids, mother, father } = pedigree;
  const n = ids.length;
  const inbred = new Float64Array(n);
  const apart = new Float64Array(n);
  const share = new Float64Array(n);
  const known = new Map<number, number>();
  for (let i = 0; i < n; i++) {
    const [m, f] = [mother[i] as number, father[i] as number];
    apart[i] = mendelian(pedigree, inbred, i);
    if (m < 0 || f < 0) continue;
    // Sisters are as inbred as each other.
    const pair = Math.min(m, f) * n + Math.max(m, f);
    const sister = known.get(pair);
    if (sister !== undefined) {
      inbred[i] = sister;
      continue;
    }
    let sum = apart[i] as number;
    let top = Math.max(m, f);
    share[m] = 0.5;
    share[f] = (share[f] as number) + 0.5;
    for (; top >= 0; top--) {
      const part = share[top] as number;
      if (part === 0) continue;
      share[top] = 0;
      sum += part * part * (apart[top] as number);
      const [gm, gf] = [mother[top] as number, father[top] as number];
      if (gm >= 0) share[gm] = (share[gm] as number) + part / 2;
      if (gf >= 0) share[gf] = (share[gf] as number) + part / 2;
    }
    inbred[i] = sum - 1;
    known.set(pair, sum - 1);
  }
  return inbred;
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

/**
 * Kinship of the plants asked about, one row each in the order asked: the chance that a gene drawn from one and the same gene drawn
 * from the other are one and the same in an ancestor; of a plant with itself (1 + F) / 2. Throws `cycle`, `duplicate`, and `unknown`
 * for an id that is not in the pedigree. Colleau (2002), from memory: one pass up and one down for each, no square of the pedigree.
 * @example kinship([{ id: 'a', mother: null, father: null }], ['a']) // [[0.5]]
 */
export function kinship(rows: readonly PedigreeRow[], ids: readonly string[]): number[][] {
  const pedigree = ordered(rows);
  const { mother, father, place } = pedigree;
  const inbred = coefficients(pedigree);
  const places = ids.map((id) => {
    const found = place.get(id);
    if (found === undefined)
      throw new TrowelError('unknown', `${id} is not in the pedigree.`, { field: 'ids' });
    return found;
  });
  const apart = Float64Array.from(pedigree.ids, (_, i) => mendelian(pedigree, inbred, i));
  const last = Math.max(-1, ...places);
  return places.map((asked) => {
    const way = new Float64Array(last + 1);
    way[asked] = 1;
    for (let i = asked; i >= 0; i--) {
      const part = (way[i] as number) / 2;
      if (part === 0) continue;
      const [m, f] = [mother[i] as number, father[i] as number];
      if (m >= 0) way[m] = (way[m] as number) + part;
      if (f >= 0) way[f] = (way[f] as number) + part;
    }
    for (let i = 0; i <= last; i++) {
      const [m, f] = [mother[i] as number, father[i] as number];
      way[i] =
        (way[i] as number) * (apart[i] as number) +
        ((m < 0 ? 0 : (way[m] as number)) + (f < 0 ? 0 : (way[f] as number))) / 2;
    }
    return places.map((other) => (way[other] as number) / 2);
  });
}
