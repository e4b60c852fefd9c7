import { cropOf } from '../crops';
import type { PlantId } from '../ids';
import type { GroupHow, GroupView, Plant, Stand, State } from '../ledger';
import { flowersOn, growing, plantsOfStand, type Growing, type Planted } from '../patch';
import { addDays, localDateOf, type LocalDate } from '../time';
import type { Trial } from './trials';

/**
 * The trials that are no single flowers.
 * @example groupTrials(state, zone) // []
 */
export function groupTrials(state: Planted, zone: string): Trial[] {
  return [
    ...[...state.plants.values()].flatMap((plant) => talliesOf(state, plant, zone)),
    ...[...state.stands.values()].flatMap((stand) => groupsOf(state, stand)),
  ];
}

/** No season of flowering goes back further than this; what stands for years has one after the other. */
const SEASON_DAYS = 183;

/**
 * The first day, since one, on which somebody worked flowers of a stand (or of one of its plants) by hand; `null`: nobody did.
 * @example firstHandWork(state, stand, null, '2026-01-01', zone) // '2026-07-06'
 */
export function firstHandWork(
  state: Planted & Pick<State, 'flowers' | 'flowersOf'>,
  { id, groups }: Pick<Stand, 'id' | 'groups'>,
  plant: PlantId | null,
  since: LocalDate,
  zone: string,
): LocalDate | null {
  const plants = plantsOfStand(state, id).filter((each) => plant === null || each.id === plant);
  const days = [
    ...plants.flatMap((each) => [
      ...each.tallies.map(({ at }) => localDateOf(Date.parse(at), zone)),
      ...flowersOn(state, each.id).flatMap((flower) =>
        flower.pollinations.map(({ at }) => localDateOf(Date.parse(at), zone)),
      ),
    ]),
    ...groups
      .filter((each) => each.how !== 'insects' && each.how !== 'before')
      .filter((each) => plant === null || each.plant === null || each.plant === plant)
      .map(({ from }) => from),
  ];
  return days.filter((day) => day >= since).sort()[0] ?? null;
}

/**
 * The first day of hand work, where a count of flowers "before hand work" reaches into it: it came by a file, was made by another
 * hand, or the work was written down later. It stands as it was made, and that is told. What hands did in an earlier season says nothing
 * of this one.
 * @example handWorkWithin(state, stand, { how: 'before', plant: null, from: '2026-06-12', to: '2026-06-20' }, zone) // null
 */
export function handWorkWithin(
  state: Parameters<typeof firstHandWork>[0],
  stand: Parameters<typeof firstHandWork>[1],
  { how, plant, from, to }: Pick<GroupView, 'plant' | 'from' | 'to'> & { readonly how: GroupHow | null },
  zone: string,
): LocalDate | null {
  if (how !== 'before') return null;
  const began = firstHandWork(state, stand, plant, addDays(from, -SEASON_DAYS), zone);
  return began !== null && began <= to ? began : null;
}

/** Whether a count speaks of a plant's tally of a day: what hands did on a plant (or its whole stand) is of the same flowers. */
export function covers({ plant, from, to, how }: GroupView, tallied: PlantId, on: LocalDate): boolean {
  const byHand = how !== 'insects' && how !== 'before';
  return byHand && (plant === null || plant === tallied) && from <= on && on <= to;
}

/** Whether it is their verdict, too: a look before the day for that leaves them waiting. */
export function takesIn(counted: GroupView, tallied: PlantId, on: LocalDate): boolean {
  return !counted.early && covers(counted, tallied, on);
}

function group(
  { stand, variety, crop }: Pick<Growing, 'stand' | 'variety' | 'crop'>,
  on: LocalDate,
  until: LocalDate,
) {
  return {
    kind: 'group' as const,
    stand: stand.id,
    variety: variety.id,
    crop: crop.id,
    plant: null,
    season: Number(on.slice(0, 4)),
    node: null,
    at: null,
    on,
    until,
    by: null,
    how: null,
    fathers: [],
    males: 0,
    purpose: 'kitchen' as const,
    lobes: null,
    closureBefore: null,
    closureAfter: null,
    looks: 0,
    set: null,
    bent: null,
    facts: null,
    harvested: false,
    cause: null,
    missed: null,
  };
}

/** A plant's tallies that no count of a group has taken in since. */
function talliesOf(state: Planted, plant: Plant, zone: string): Trial[] {
  const found = plant.tallies.length > 0 ? growing(state, plant.id) : null;
  if (!found) return [];
  return plant.tallies.flatMap(({ event, at, by, tool, flowers }) => {
    const on = localDateOf(Date.parse(at), zone);
    if (found.stand.groups.some((counted) => takesIn(counted, plant.id, on))) return [];
    return { ...group(found, on, on), id: event, plant: plant.id, at, by, how: tool, worked: flowers };
  });
}

function groupsOf(state: Planted, stand: Stand): Trial[] {
  const variety = state.varieties.get(stand.variety);
  if (!variety) return [];
  const crop = cropOf(variety.crop);
  // An early look is no verdict: its flowers are still their tallies.
  const verdicts = stand.groups.filter(({ early }) => !early);
  return verdicts.map(({ event, by, plant, from, to, how, worked, set, bent }) => ({
    ...group({ stand, variety, crop }, from, to),
    id: event,
    plant,
    by,
    how,
    worked,
    set,
    bent,
    looks: 1,
  }));
}
