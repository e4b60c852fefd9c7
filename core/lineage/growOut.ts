import { proportionInterval, upperBound, type Interval } from '../fruitset';
import type { FlowerId, LotId, PlantId } from '../ids';
import type { GrowOutStage, Lot, OffTypes, State } from '../ledger';
import { sownFrom } from '../patch';
import { countedIn } from '../purity';
import { plantsOfLot } from './generation';

/** Plants grown from seed, and how many of them were off. */
export interface Grown {
  readonly grown: number;
  readonly off: number;
}

/**
 * What growing out proves, one-sided: with 95 % no more than `upTo` is off. Of counted plants alone: that nobody found fault with a
 * plant on record says nothing.
 */
export interface GrowOutFinding extends Grown {
  /** Plants on record that were sown from the lot, and those of them that were found off. */
  readonly onRecord: Grown;
  /** `null` while nothing was grown. */
  readonly upTo: number | null;
  /** Two-sided. */
  readonly range: Interval | null;
  /** How far the plants had grown at the last look: what shows later does not count. */
  readonly stage: GrowOutStage | null;
  readonly reasons: readonly OffTypes[];
  /** By fruit, where the seed of each was sown apart. */
  readonly fruits: readonly (Grown & { readonly fruit: FlowerId })[];
  /** By father: his fruits' seed together. */
  readonly fathers: readonly FatherFinding[];
}

/** What came of the seed that one father gave his pollen to. */
export interface FatherFinding extends Grown {
  readonly father: PlantId;
  readonly fruits: number;
  /** He is the only one who fathered all fruits that gave off-types, and others fathered fruits that gave none. */
  readonly stands: boolean;
}

const CONFIDENCE = 0.95;

/**
 * What 0, or some, off-types among n plants say of a lot (exact, one-sided: Clopper & Pearson 1934). A sowing is as
 * many plants as its largest count, and all off-types of its stages. By fruit and father the plants on record stand with them.
 */
export function growOutOf(state: State, lot: Lot): GrowOutFinding {
  const [sown, single] = [countedIn(lot), recorded(state, lot.id)];
  const all = added(sown);
  const fruits = byFruit([...sown, ...single]);
  return {
    ...all,
    onRecord: added(single),
    upTo: all.grown === 0 ? null : upperBound(all.off, all.grown, CONFIDENCE),
    range:
      all.grown === 0
        ? null
        : proportionInterval(all.off, all.grown, { method: 'clopper-pearson', confidence: CONFIDENCE }),
    stage: lot.growOuts.at(-1)?.stage ?? null,
    reasons: merged(lot.growOuts.flatMap(({ off }) => off)),
    fruits,
    fathers: byFather(state, fruits),
  };
}

/** What was said in the same words is told once. */
function merged(reasons: readonly OffTypes[]): OffTypes[] {
  const by = new Map<string, OffTypes>();
  for (const each of reasons) {
    const key = `${each.rogued ?? ''} ${each.reason}`;
    by.set(key, { ...each, count: each.count + (by.get(key)?.count ?? 0) });
  }
  return [...by.values()];
}

function added(sowings: readonly Grown[]): Grown {
  return sowings.reduce((sum, { grown, off }) => ({ grown: sum.grown + grown, off: sum.off + off }), {
    grown: 0,
    off: 0,
  });
}

interface Sowing extends Grown {
  readonly fruit: FlowerId | null;
}

/** Plants on record that were sown from the lot: each one grown, and off where it was found so. */
function recorded(state: State, lot: LotId): Sowing[] {
  return plantsOfLot(state, lot).flatMap((id) => {
    const plant = state.plants.get(id);
    if (!plant) return [];
    return [{ fruit: sownFrom(plant, state)?.fruit ?? null, grown: 1, off: plant.offType ? 1 : 0 }];
  });
}

function byFruit(sowings: readonly Sowing[]): (Grown & { readonly fruit: FlowerId })[] {
  const by = new Map<FlowerId, Grown>();
  for (const { fruit, grown, off } of sowings) {
    if (fruit === null) continue;
    const had = by.get(fruit) ?? { grown: 0, off: 0 };
    by.set(fruit, { grown: had.grown + grown, off: had.off + off });
  }
  return [...by].map(([fruit, found]) => ({ fruit, ...found }));
}

function byFather(state: State, fruits: readonly (Grown & { readonly fruit: FlowerId })[]): FatherFinding[] {
  const by = new Map<PlantId, { grown: number; off: number; fruits: number; bad: number }>();
  const bad = fruits.filter(({ off }) => off > 0).length;
  for (const { fruit, grown, off } of fruits) {
    const fathers = new Set(
      (state.flowers.get(fruit)?.pollinations ?? []).flatMap((each) =>
        each.fathers.map(({ plant }) => plant),
      ),
    );
    for (const father of fathers) {
      const had = by.get(father) ?? { grown: 0, off: 0, fruits: 0, bad: 0 };
      by.set(father, {
        grown: had.grown + grown,
        off: had.off + off,
        fruits: had.fruits + 1,
        bad: had.bad + (off > 0 ? 1 : 0),
      });
    }
  }
  const inAll = [...by.values()].filter((each) => bad > 0 && each.bad === bad).length;
  return [...by]
    .map(([father, { grown, off, fruits: many, bad: his }]) => ({
      father,
      grown,
      off,
      fruits: many,
      stands: bad > 0 && his === bad && inAll === 1 && fruits.some((each) => each.off === 0),
    }))
    .sort((a, b) => b.off / b.grown - a.off / a.grown || b.off - a.off);
}
