import { sexesOf, type Closure, type Crop, type Sex, type Stage } from '../crops';
import type { FlowerId, PlantId } from '../ids';
import { workedForKitchen, type Draft, type Flower, type Plant, type State } from '../ledger';
import { fitForSeed } from '../purity';
import { daysBetween, localDateOf, type LocalDate } from '../time';

/** What one entry of the evening walk says. */
export interface EveningSight {
  readonly sex: Sex;
  readonly stage: Stage;
  /** Counted from the root; `null` where nobody counted. */
  readonly node: number | null;
  /** Males alike that stand together. */
  readonly count: number;
  readonly ovaryMm: number | null;
}

/** A pin takes this many days at most till it opens, a green bud so many [M]: after that it was missed. */
const PIN_AWAITED_DAYS = 5;
const BUD_AWAITED_DAYS = 3;

/**
 * The sex that bears fruit is the first of the crop's: the one that is looked for.
 * @example bearingSex(cropOf('tomato')) // 'perfect'
 */
export const bearingSex = (crop: Crop): Sex => sexesOf(crop)[0] as Sex;

/** Of a plant's flowers those with something written down on this evening. */
export function writtenOn(flowers: readonly Flower[], today: LocalDate, zone: string): Flower[] {
  const on = ({ at }: { readonly at: string }) => localDateOf(Date.parse(at), zone) === today;
  return flowers.filter(({ sightings, shuttings }) => sightings.some(on) || shuttings.some(on));
}

/** Buds seen on an earlier evening that may be ready now: not shut, not worked, not lost, and not open already when last seen. */
export function awaitedBuds(
  flowers: readonly Flower[],
  crop: Crop,
  state: State,
  today: LocalDate,
  zone: string,
): Flower[] {
  return flowers.filter((flower) => {
    if (flower.sex !== bearingSex(crop) || flower.lost) return false;
    if (flower.shuttings.length > 0 || flower.pollinations.length > 0) return false;
    const last = flower.sightings[flower.sightings.length - 1];
    // What stood open already is not worth the tape.
    if (!last || fitForSeed(flower, state).verdict === 'unfit') return false;
    const days = daysBetween(localDateOf(Date.parse(last.at), zone), today);
    return days >= 1 && days <= (last.stage === 'pin' ? PIN_AWAITED_DAYS : BUD_AWAITED_DAYS);
  });
}

/** The record of the same bud among those awaited: of its sex, at its node. */
export function sameBud(
  sight: Pick<EveningSight, 'sex' | 'node'>,
  awaited: readonly Flower[],
): Flower | null {
  if (sight.node === null) return null;
  return awaited.find(({ sex, node }) => sex === sight.sex && node === sight.node) ?? null;
}

/**
 * One entry of the walk as events: males only counted are one count; every other flower is seen, and shut where `closure` says how.
 * A bud that has a record (`known`) goes on in it.
 */
export function eveningDrafts(
  sight: EveningSight,
  plant: PlantId,
  closure: Closure | null,
  known: Flower | null,
  newFlower: () => FlowerId,
  /** A mother of a cross, laid bare before the bag goes on. */
  anthersOut = false,
  /** Somebody saw that it was still shut when it was covered. */
  stillShut = false,
): Draft[] {
  const { sex, stage, node, ovaryMm } = sight;
  if (sex === 'male' && !closure) return [{ kind: 'malesCounted', plant, stage, count: sight.count }];
  return Array.from({ length: sex === 'male' ? sight.count : 1 }, () => known?.id ?? newFlower()).flatMap(
    (flower): Draft[] => [
      {
        kind: 'flowerSeen',
        flower,
        plant,
        sex,
        stage,
        node,
        ...(ovaryMm === null ? {} : { ovaryMm }),
      },
      ...(anthersOut ? [{ kind: 'emasculated', flower } as const] : []),
      ...(closure
        ? [{ kind: 'flowerShut', flower, closure, ...(stillShut ? { stillShut } : {}) } as const]
        : []),
    ],
  );
}

/**
 * An open flower worked as it stands, as events. kitchen: no more is said. tied: for seed by the school that works a flower as it
 * opens and ties it shut. One that has a record (`known`) goes on in it.
 */
export function openDrafts(
  { sex, node }: Pick<EveningSight, 'sex' | 'node'>,
  plant: PlantId,
  known: Flower | null,
  newFlower: () => FlowerId,
  how: 'kitchen' | 'tied',
): Draft[] {
  const flower = known?.id ?? newFlower();
  return [
    { kind: 'flowerSeen', flower, plant, sex, stage: 'open', node: known?.node ?? node },
    how === 'kitchen'
      ? workedForKitchen(flower)
      : { kind: 'pollinated', flower, fathers: [], shutAgain: 'tie', purpose: 'seed' },
  ];
}

/**
 * Flowers of a plant that bear and were never worked: work at one of their nodes is work on that very flower.
 * @example unworkedOn([female], crop).length // 0
 */
export function unworkedOn(flowers: readonly Flower[], crop: Crop): Flower[] {
  return flowers.filter(
    ({ sex, pollinations, lost, missed, left }) =>
      sex === bearingSex(crop) && pollinations.length === 0 && !lost && !missed && !left,
  );
}

/**
 * Whether somebody looked a plant over on this day: a flower written, its health, males counted, or nothing found.
 * @example lookedOverOn(mother.plant, [female], '2026-07-05', zone) // true
 */
export function lookedOverOn(
  plant: Plant,
  written: readonly Flower[],
  today: LocalDate,
  zone: string,
): boolean {
  const on = (at: string | null) => at !== null && localDateOf(Date.parse(at), zone) === today;
  return (
    written.length > 0 || on(plant.healthAt) || on(plant.passedAt) || plant.males.some(({ at }) => on(at))
  );
}
