import { cropOf, isEdible, type Crop } from '../crops';
import type { Interval } from '../fruitset';
import type { FlowerId, LotId } from '../ids';
import { Shards, type Flower, type Lot, type State, type Variety } from '../ledger';
import {
  generationOfLot,
  growOutOf,
  mixtureOfFruits,
  plantsOfLot,
  saidOfLot,
  type Generation,
  type GrowOutFinding,
  type Mixture,
} from '../lineage';
import { growing } from '../patch';
import {
  fruitProof,
  lotShare,
  weakestGrade,
  workedIn,
  type FruitProof,
  type Grade,
  type Share,
} from '../purity';
import { remembered } from '../remember';
import type { LocalDate } from '../time';

/** What cannot be so of a lot as it was written; it stays as it is, and is reported. */
export type LotOddity =
  /** From fruits, and none is named. */
  | 'no-fruits'
  /** A fruit of it is not on this phone. */
  | 'missing-fruit'
  /** A fruit is in another lot as well. */
  | 'fruit-twice'
  /** Its mothers are of more than one variety. */
  | 'two-varieties'
  /** Its seed would be older than the work on a fruit of it. */
  | 'year-before'
  /** A fruit of it was lost, by what was written. */
  | 'lost-fruit'
  /** Plants are said to be of it that stood there before its seed was ripe. */
  | 'sown-before-ripe';

/** A lot of seed, and all that follows from its record. */
export interface LotStanding {
  readonly lot: Lot;
  readonly variety: Variety | null;
  readonly crop: Crop | null;
  readonly generation: Generation;
  /** Its fruits with their proof; none of a lot from elsewhere. */
  readonly fruits: readonly FruitProof[];
  /** That of its weakest fruit, and not pure once an off-type came of it; `null` where nobody can say. */
  readonly grade: Grade | null;
  readonly growOut: GrowOutFinding;
  /** `null` of a lot from elsewhere. */
  readonly mixture: Mixture | null;
  /** Plants on record that were sown from it. */
  readonly sown: number;
  readonly oddities: readonly LotOddity[];
  /** Its crop's caution, where seed of it may come bitter or worse. */
  readonly caution: string | null;
}

/** A lot with its parents and its purity, on a day. */
export function lotStanding(state: State, lot: Lot, today: LocalDate): LotStanding {
  const variety = state.varieties.get(lot.variety) ?? null;
  const crop = variety && cropOf(variety.crop);
  const flowers = lot.fruits.flatMap((id) => state.flowers.get(id) ?? []);
  const fruits = flowers.map((flower) => fruitProof(state, flower, today));
  const growOut = growOutOf(state, lot);
  const off = growOut.off + growOut.onRecord.off > 0;
  const grade = off ? 'not-pure' : weakestGrade(fruits.map(({ proof }) => proof.grade));
  return {
    lot,
    variety,
    crop,
    growOut,
    generation: generationOfLot(state, lot),
    fruits,
    grade,
    mixture: lot.from === 'fruits' ? mixtureOfFruits(state, flowers) : null,
    sown: plantsOfLot(state, lot.id).length,
    oddities: odditiesOfLot(state, lot, flowers),
    caution: crop && (!isEdible(crop) || mayBeBitter(crop, grade)) ? crop.caution : null,
  };
}

/** Vines of a lot whose fathers nobody can vouch for: a cross with an ornamental gourd gives poisonous fruit. */
const mayBeBitter = ({ family }: Crop, grade: Grade | null): boolean =>
  family === 'cucurbit' && grade !== 'sound' && grade !== 'good';

/** The share of its seed that is not true: by growing out where off-types were counted, else by the proof of its fruits. */
export function untrueShare({ growOut, fruits }: Pick<LotStanding, 'growOut' | 'fruits'>): Share | null {
  if (growOut.off > 0 && growOut.range) return countedShare(growOut, growOut.range);
  return fruits.length === 0 ? null : lotShare(fruits.map(({ chain }) => ({ chain, seeds: 1 })));
}

const countedShare = ({ off, grown }: GrowOutFinding, { low, high }: Interval): Share => ({
  low,
  likely: off / grown,
  high,
});

function odditiesOfLot(state: State, lot: Lot, flowers: readonly Flower[]): LotOddity[] {
  const sown: LotOddity[] = saidOfLot(state, lot.id) > 0 ? ['sown-before-ripe'] : [];
  if (lot.from !== 'fruits') return sown;
  const mothers = new Set(flowers.flatMap(({ plant }) => growing(state, plant)?.variety.id ?? []));
  const elsewhere = lotsByFruit(state);
  const checks: readonly (readonly [LotOddity, boolean])[] = [
    ['no-fruits', lot.fruits.length === 0],
    ['missing-fruit', flowers.length < lot.fruits.length],
    ['fruit-twice', lot.fruits.some((fruit) => (elsewhere.get(fruit)?.length ?? 0) > 1)],
    ['two-varieties', mothers.size > 1],
    ['year-before', flowers.some((flower) => Number(workedIn(flower)) > lot.year)],
    ['lost-fruit', flowers.some(({ lost }) => lost !== null)],
  ];
  return [...checks.flatMap(([what, so]) => (so ? [what] : [])), ...sown];
}

/** The lots in which each fruit is. */
const lotsByFruit = remembered(
  'fruit lots',
  ({ lots }: Pick<State, 'lots'>) => ({ lots }),
  ({ lots }): ReadonlyMap<FlowerId, readonly LotId[]> => {
    const by = new Map<FlowerId, LotId[]>();
    for (const lot of lots.values())
      for (const fruit of lot.fruits) {
        const had = by.get(fruit);
        if (had) had.push(lot.id);
        else by.set(fruit, [lot.id]);
      }
    return by;
  },
);

/** All lots, the latest year first, then by variety. */
export function lotsInOrder(state: State): Lot[] {
  const name = ({ variety }: Lot) => state.varieties.get(variety)?.name ?? '';
  return [...state.lots.values()].sort(
    (a, b) => b.year - a.year || name(a).localeCompare(name(b), 'en') || (a.begunAt < b.begunAt ? -1 : 1),
  );
}

/** Fruits picked for seed of one variety and year that are in no lot yet. */
export interface FruitsWaiting {
  readonly variety: Variety;
  readonly year: string;
  readonly fruits: readonly Flower[];
}

/** What was picked for seed among some hundred flowers; kept for as long as none of them changes. */
const pickedIn = remembered(
  'picked',
  (part: ReadonlyMap<unknown, Flower>) => ({ part }),
  ({ part }): readonly Flower[] =>
    [...part.values()].filter(({ harvested }) => harvested?.harvestFor === 'seed'),
);

/** What was picked for seed and is in no lot yet. */
export function fruitsWaiting(state: State): FruitsWaiting[] {
  const placed = lotsByFruit(state);
  const by = new Map<string, { variety: Variety; year: string; fruits: Flower[] }>();
  for (const flower of Shards.of(state.flowers).parts.flatMap(pickedIn)) {
    const variety = placed.has(flower.id) ? undefined : growing(state, flower.plant)?.variety;
    if (!variety) continue;
    const year = workedIn(flower);
    const key = `${variety.id}/${year}`;
    const had = by.get(key);
    if (had) had.fruits.push(flower);
    else by.set(key, { variety, year, fruits: [flower] });
  }
  return [...by.values()];
}
