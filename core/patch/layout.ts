import { hasRounds, isEdible, type Crop } from '../crops';
import { remembered } from '../remember';
import type { Bed, Flower, Plant, State } from '../ledger';
import { growing, plantedIn, standFor, type Growing, type Planted } from './garden';

/** Path between beds where the grower hasn't measured [M]. */
const PATH_M = 0.6;
/** Plants whose rows lie closer than this are one row [M]. */
const SAME_ROW_M = 0.4;

/** A bed’s size in metres where nobody measured it. */
export const DEFAULT_BED = { lengthM: 8, widthM: 1.5 } as const;

/**
 * Where a new bed goes when nobody has measured: below the ones there are, a path between. Metres.
 * @example nextBedCorner([]) // { xM: 0, yM: 0 }
 */
export function nextBedCorner(beds: readonly Pick<Bed, 'xM' | 'yM' | 'widthM'>[]): {
  xM: number;
  yM: number;
} {
  const below = beds.reduce((edge, bed) => Math.max(edge, bed.yM + bed.widthM + PATH_M), 0);
  return { xM: beds[0]?.xM ?? 0, yM: round(below) };
}

/**
 * Places for `count` more plants in a bed: along rows by the crop's spacing, going on after the plants already
 * there. Where the bed is too small they are set closer, as a grower may well crowd a bed. Metres on the plan.
 * @example nextPlantPlaces({ xM: 0, yM: 0, lengthM: 4, widthM: 1 }, [], 2, crop).length // 2
 */
export function nextPlantPlaces(
  bed: Pick<Bed, 'xM' | 'yM' | 'lengthM' | 'widthM'>,
  standing: readonly { readonly xM: number; readonly yM: number }[],
  count: number,
  crop: Crop,
): { xM: number; yM: number }[] {
  const rows = Math.max(1, Math.floor(bed.widthM / crop.spacingM.value.row));
  const rowY = (row: number) => bed.yM + ((row + 0.5) * bed.widthM) / rows;
  const last = standing.reduce<{ xM: number; yM: number } | null>(
    (found, plant) =>
      !found || plant.yM > found.yM || (plant.yM === found.yM && plant.xM > found.xM) ? plant : found,
    null,
  );
  const firstRow = last
    ? Math.min(rows - 1, Math.max(0, Math.round(((last.yM - bed.yM) * rows) / bed.widthM - 0.5)))
    : 0;
  for (let spacing = crop.spacingM.value.plant; ; spacing *= 0.85) {
    const places: { xM: number; yM: number }[] = [];
    let x = last ? last.xM + spacing : bed.xM + spacing / 2;
    for (let row = firstRow; row < rows && places.length < count; row++, x = bed.xM + spacing / 2) {
      for (; x <= bed.xM + bed.lengthM && places.length < count; x += spacing)
        places.push({ xM: round(x), yM: round(rowY(row)) });
    }
    if (places.length === count) return places;
    // A bed filled to its very end: the rest stand at the end, a hand apart.
    if (spacing < 0.05)
      return Array.from(
        { length: count },
        (_, i) => places[i] ?? { xM: round(bed.xM + bed.lengthM), yM: round(rowY(rows - 1)) },
      );
  }
}

/** The plants that stand and are worked by hand, in the order one walks past them. */
export const walkOrder = remembered('walk order', plantedIn, (planted): readonly Growing[] =>
  standingOrder(planted).filter(({ crop }) => hasRounds(crop)),
);

/**
 * What is found of the flowers on standing plants, in the order of `walkOrder`.
 * @example alongTheWalk(state, (flower) => (flower.mark ? flower.mark : null)) // ['1-A']
 */
export function alongTheWalk<T>(
  state: Planted & Pick<State, 'flowers' | 'flowersOf'>,
  find: (flower: Flower, growing: Growing) => T | null,
): T[] {
  return walkOrder(state).flatMap((growing) =>
    (state.flowersOf.get(growing.plant.id) ?? []).flatMap((id) => {
      const flower = state.flowers.get(id);
      return (flower && find(flower, growing)) ?? [];
    }),
  );
}

/**
 * All plants that stand, in the order one walks past them: bed by bed from the nearest, along one row and back along the next. A
 * fixed order that a person can follow without a map.
 */
export const standingOrder = remembered('standing order', plantedIn, inOrder);

/** A plant found not true to its variety ends as a mother: what is left of it is for the kitchen. */
function asWorked(found: Growing): Growing {
  const { plant, stand, crop } = found;
  return plant.offType === null || stand.reason === 'fruit' || !isEdible(crop)
    ? found
    : { ...found, stand: standFor(stand, 'fruit') };
}

function inOrder(state: Planted): readonly Growing[] {
  const byBed = new Map<string, Growing[]>();
  for (const plant of state.plants.values()) {
    if (plant.ended) continue;
    const whole = growing(state, plant.id);
    if (!whole) continue;
    const found = asWorked(whole);
    const list = byBed.get(found.bed.id);
    if (list) list.push(found);
    else byBed.set(found.bed.id, [found]);
  }
  const beds = [...byBed.values()].sort((a, b) => compareBeds((a[0] as Growing).bed, (b[0] as Growing).bed));
  let forward = true;
  return beds.flatMap((plants) =>
    rowsOf(plants).flatMap((row) => {
      const ordered = [...row].sort((a, b) => a.plant.xM - b.plant.xM || comparePlants(a.plant, b.plant));
      if (!forward) ordered.reverse();
      forward = !forward;
      return ordered;
    }),
  );
}

/** Walking order of beds. */
export function compareBeds(a: Bed, b: Bed): number {
  return a.yM - b.yM || a.xM - b.xM || (a.id < b.id ? -1 : 1);
}

/** Walking order of a bed’s plants. */
export function comparePlants(a: Plant, b: Plant): number {
  return a.label.localeCompare(b.label, 'en', { numeric: true }) || (a.id < b.id ? -1 : 1);
}

function rowsOf(plants: readonly Growing[]): Growing[][] {
  const rows: Growing[][] = [];
  let edge = -Infinity;
  for (const each of [...plants].sort((a, b) => a.plant.yM - b.plant.yM)) {
    if (each.plant.yM - edge > SAME_ROW_M) rows.push([]);
    rows[rows.length - 1]?.push(each);
    edge = each.plant.yM;
  }
  return rows;
}

function round(metres: number): number {
  return Math.round(metres * 100) / 100;
}
