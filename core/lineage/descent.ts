import type { FlowerId, LotId, PlantId, SubjectId } from '../ids';
import type { Flower, Lot, Plant, Stand, State } from '../ledger';
import { lotFlowers, sownFrom, sownSaid } from '../patch';
import { remembered, sameUnder, steady } from '../remember';

/** A mother and a father that a plant may have, and how likely these two are; `null`: nobody knows. */
export interface ParentPair {
  readonly mother: PlantId | null;
  readonly father: PlantId | null;
  readonly weight: number;
}

/** What cannot be so in the lineage as it was written; kept, and the parents then count as unknown. */
export type LineageOddity =
  /** It would be its own ancestor. */
  | 'cycle'
  /** It stood in the ground before its lot was ripe. */
  | 'sown-before-ripe'
  /** Its lot is said to be from fruits, and none is named. */
  | 'no-fruits'
  /** The mother of a fruit of its lot was never planted, or is on another phone. */
  | 'no-mother'
  /** It would be a cutting of itself. */
  | 'own-clone';

/** Where one plant comes from. Clones have one descent, that of the plant they were taken from. */
export interface Descent {
  readonly plant: PlantId;
  readonly lot: LotId | null;
  /** None: a founder, whose parents nobody knows. */
  readonly pairs: readonly ParentPair[];
  readonly oddities: readonly LineageOddity[];
}

/** The descent of all plants of a patch. */
export interface Lineage {
  /** The plant that stands for it and all its clones. */
  self(plant: PlantId): PlantId;
  of(plant: PlantId): Descent;
}

/** The plant from which a runner, a tuber or a cutting was taken in the end; the plant itself where it would go round in a circle. */
function originOf(plant: PlantId, state: Known): PlantId {
  const seen = new Set([plant]);
  let at = plant;
  for (let up = takenFrom(at, state); up !== null; up = takenFrom(at, state)) {
    if (seen.has(up)) return plant;
    seen.add(up);
    at = up;
  }
  return at;
}

/** The plant of which one is a cutting, as it was said; else the seedling with which its variety began. */
function takenFrom(id: PlantId, { plants, stands, varieties }: Known): PlantId | null {
  const plant = plants.get(id);
  if (!plant) return null;
  const began = varieties.get(stands.get(plant.stand)?.variety ?? '')?.from ?? null;
  return plant.cloneOf ?? (began === id ? null : began);
}

/**
 * The parents of the seed of one fruit: its mother, and each father by the males he gave. A perfect flower that nobody emasculated
 * and for which no father was named selfed.
 */
export function fruitPairs(
  { plants, stands }: Pick<Known, 'plants' | 'stands'>,
  flower: Flower,
  self: (plant: PlantId) => PlantId,
): ParentPair[] {
  const plant = plants.get(flower.plant);
  const mother = plant ? self(plant.id) : null;
  const males = flower.pollinations.flatMap(({ fathers }) => fathers);
  const all = males.reduce((sum, { males: n }) => sum + n, 0);
  if (all > 0) return males.map(({ plant, males: n }) => ({ mother, father: self(plant), weight: n / all }));
  const selfed =
    flower.sex === 'perfect' &&
    flower.emasculated === null &&
    (plant?.reason ?? (plant && stands.get(plant.stand))?.reason) !== 'cross';
  return [{ mother, father: selfed ? mother : null, weight: 1 }];
}

/** A plant as far as its descent goes: its health or its tallies change none of it. */
type Sown = Pick<Plant, 'id' | 'stand' | 'plantedOn' | 'addedAt' | 'sown' | 'cloneOf' | 'reason'>;

const sameSown = (a: Sown, b: Sown) =>
  a.stand === b.stand &&
  a.plantedOn === b.plantedOn &&
  a.addedAt === b.addedAt &&
  a.sown?.lot === b.sown?.lot &&
  a.sown?.fruit === b.sown?.fruit &&
  a.cloneOf === b.cloneOf &&
  a.reason === b.reason;

const steadyPlants = steady<ReadonlyMap<SubjectId, Sown>>(sameUnder(sameSown));
const steadyStands = steady<ReadonlyMap<SubjectId, SownStand>>(
  sameUnder(
    (a, b) =>
      a.variety === b.variety &&
      a.reason === b.reason &&
      a.sown?.lot === b.sown?.lot &&
      a.sown?.fruit === b.sown?.fruit,
  ),
);

type SownStand = Pick<Stand, 'id' | 'variety' | 'sown' | 'reason'>;

/** What a lineage is read from. */
interface Known extends Pick<State, 'flowers' | 'lots' | 'varieties'> {
  readonly plants: ReadonlyMap<SubjectId, Sown>;
  readonly stands: ReadonlyMap<SubjectId, SownStand>;
}

const plantsSown = remembered(
  'plants sown',
  ({ plants }: Pick<State, 'plants'>) => ({ plants }),
  ({ plants }) =>
    steadyPlants(
      new Map(
        [...plants.values()].map(({ id, stand, plantedOn, addedAt, sown, cloneOf, reason }) => [
          id,
          { id, stand, plantedOn, addedAt, sown, cloneOf, reason },
        ]),
      ),
    ),
);

const standsSown = remembered(
  'stands sown',
  ({ stands }: Pick<State, 'stands'>) => ({ stands }),
  ({ stands }) =>
    steadyStands(
      new Map(
        [...stands.values()].map(({ id, variety, sown, reason }) => [id, { id, variety, sown, reason }]),
      ),
    ),
);

/** Where every plant of the patch comes from, circles taken out. */
export const lineageOf = remembered(
  'lineage',
  (state: Pick<State, 'plants' | 'stands' | 'flowers' | 'lots' | 'varieties'>) => ({
    lots: state.lots,
    varieties: state.varieties,
    plants: plantsSown(state),
    stands: standsSown(state),
    flowers: lotFlowers(state),
  }),
  (state): Lineage => {
    const origins = new Map<PlantId, PlantId>();
    const self = (plant: PlantId): PlantId => {
      const known = origins.get(plant);
      if (known !== undefined) return known;
      const origin = originOf(plant, state);
      origins.set(plant, origin);
      return origin;
    };
    const descents = new Map<PlantId, Descent>();
    const written = (plant: PlantId): Descent => {
      const known = descents.get(plant);
      if (known) return known;
      const made = descentOf(plant, state, self);
      descents.set(plant, made);
      return made;
    };
    const checked = new Map<PlantId, Descent>();
    return {
      self,
      of: (plant) => {
        const id = self(plant);
        const known = checked.get(id);
        if (known) return known;
        const descent = written(id);
        const made = circles(id, written)
          ? { ...descent, pairs: [], oddities: [...descent.oddities, 'cycle' as const] }
          : descent;
        checked.set(id, made);
        return made;
      },
    };
  },
);

function descentOf(id: PlantId, state: Known, self: (plant: PlantId) => PlantId): Descent {
  const plant = state.plants.get(id);
  const sown = plant ? sownFrom(plant, state) : null;
  const lot = sown?.lot == null ? undefined : state.lots.get(sown.lot);
  const clone: LineageOddity[] = plant?.cloneOf != null && self(id) === id ? ['own-clone'] : [];
  if (plant && !sown && sownSaid(plant, state))
    return { plant: id, lot: null, pairs: [], oddities: [...clone, 'sown-before-ripe'] };
  if (!plant || !sown || lot?.from !== 'fruits')
    return { plant: id, lot: sown?.lot ?? null, pairs: [], oddities: clone };
  const fruits = fruitsOf(state, lot, sown.fruit);
  const pairs = fruits.flatMap((flower) =>
    fruitPairs(state, flower, self).map((pair) => ({ ...pair, weight: pair.weight / fruits.length })),
  );
  const named = sown.fruit === null ? lot.fruits.length : 1;
  const checks: readonly (readonly [LineageOddity, boolean])[] = [
    ['no-fruits', lot.fruits.length === 0],
    ['no-mother', fruits.length < named || pairs.some(({ mother }) => mother === null)],
  ];
  return {
    plant: id,
    lot: lot.id,
    pairs,
    oddities: [...clone, ...checks.flatMap(([what, so]) => (so ? [what] : []))],
  };
}

/** The fruits that a plant of a lot may be from: the one named, or any of them. */
function fruitsOf({ flowers }: Known, lot: Lot, fruit: FlowerId | null): Flower[] {
  const ids = fruit === null ? lot.fruits : lot.fruits.filter((id) => id === fruit);
  return ids.flatMap((id) => flowers.get(id) ?? []);
}

const parentsOf = ({ pairs }: Descent): PlantId[] => [
  ...new Set(pairs.flatMap(({ mother, father }) => [mother, father].filter((id) => id !== null))),
];

/** Whether a plant is found among its own ancestors. */
function circles(plant: PlantId, of: (plant: PlantId) => Descent): boolean {
  const seen = new Set<PlantId>();
  const open = parentsOf(of(plant));
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    if (id === plant) return true;
    if (seen.has(id)) continue;
    seen.add(id);
    open.push(...parentsOf(of(id)));
  }
  return false;
}

/** The ancestors of some plants and these themselves, parents before their offspring. */
export function ancestorsFirst(lineage: Lineage, plants: readonly PlantId[]): PlantId[] {
  const done = new Set<PlantId>();
  const order: PlantId[] = [];
  const stack = plants.map((plant) => lineage.self(plant)).reverse();
  for (let id = stack.at(-1); id !== undefined; id = stack.at(-1)) {
    const waiting = done.has(id) ? [] : parentsOf(lineage.of(id)).filter((parent) => !done.has(parent));
    if (waiting.length > 0) stack.push(...waiting);
    else {
      stack.pop();
      if (!done.has(id)) order.push(id);
      done.add(id);
    }
  }
  return order;
}

/**
 * Kinship of plants of the patch, each pair of parents weighed by how likely it is (a lot of several fruits was sown mixed): the
 * averaged table of Henderson (1988, from memory), drawn up over the ancestors of those asked about. Where nobody knows, 0.
 */
export function kinshipAmong(
  lineage: Lineage,
  plants: readonly PlantId[],
): (a: PlantId, b: PlantId) => number {
  const order = ancestorsFirst(lineage, plants);
  const place = new Map(order.map((id, i) => [id, i]));
  const table: Float64Array[] = [];
  const between = (i: number, j: number) =>
    i >= j ? ((table[i] as Float64Array)[j] as number) : ((table[j] as Float64Array)[i] as number);
  for (const [i, id] of order.entries()) {
    const row = new Float64Array(i + 1);
    const { pairs } = lineage.of(id);
    const parts = new Map<number, number>();
    let inbred = 0;
    for (const { mother, father, weight } of pairs) {
      const [m, f] = [mother, father].map((parent) => (parent === null ? undefined : place.get(parent)));
      for (const parent of [m, f])
        if (parent !== undefined) parts.set(parent, (parts.get(parent) ?? 0) + weight / 2);
      if (m !== undefined && f !== undefined) inbred += weight * between(m, f);
    }
    for (let j = 0; j < i; j++) {
      let sum = 0;
      for (const [parent, part] of parts) sum += part * between(parent, j);
      row[j] = sum;
    }
    row[i] = (1 + inbred) / 2;
    table.push(row);
  }
  return (a, b) => {
    const [i, j] = [place.get(lineage.self(a)), place.get(lineage.self(b))];
    return i === undefined || j === undefined ? 0 : between(i, j);
  };
}
