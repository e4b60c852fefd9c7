import { coneShuts, selfsUnderCover } from '../crops';
import type { Flower, Place, State } from '../ledger';
import { coversFor, mainPatch, reasonFor, walkOrder, type Growing } from '../patch';
import { addDays, localDateOf, type LocalDate } from '../time';
import { seenAtStage, standing, type CrossFlower } from './crossFlower';

/** Mornings on which a bagged truss is shaken [M]: a few, while its flowers open one after the other. */
export const SHAKEN_MORNINGS = 4;

/** A truss (or bud) that selfs under its cover, and where it is. */
export interface SelfedTruss extends CrossFlower {
  /** Mornings on which it was shaken inside its bag so far. */
  readonly shaken: number;
  readonly shakenToday: boolean;
}

/** What pure seed of the perfect flowers of one plant asks for on a day. */
export interface SelfingPlant {
  readonly growing: Growing;
  /** Its open flowers and set fruit are still to be taken off: what comes under the covers is all there shall be. */
  readonly toStrip: boolean;
  /** Worked without bags by the school, or under a shelter that keeps insects out. */
  readonly withoutBags: 'school' | 'shelter' | null;
  /** Trusses seen, no flower open yet: the bag goes on now. */
  readonly toBag: readonly CrossFlower[];
  /** To be shaken inside their bags this morning, and those that were. */
  readonly toShake: readonly SelfedTruss[];
  /** Shaken on enough mornings: till fruits stand. */
  readonly waiting: readonly SelfedTruss[];
  /** Fruits stand: bag off and mark on in one visit, the rest of the truss pinched off. */
  readonly toMark: readonly CrossFlower[];
  /** Marked. */
  readonly marked: readonly CrossFlower[];
}

/**
 * Pure seed of what selfs under a cover, plant by plant in walking order: strip, cover before anything opens, shake inside
 * on a few mornings, and when fruits stand bag off, mark, pinch off the rest (common practice).
 */
export function selfingDay(state: State, place: Place, date: LocalDate): SelfingPlant[] {
  return walkOrder(state).flatMap((growing) => {
    const { crop } = growing;
    if (!selfsUnderCover(crop)) return [];
    const flowers = standing(state, growing).filter((flower) => reasonFor(flower, growing) === 'seed');
    if (growing.stand.reason !== 'seed' && flowers.length === 0) return [];
    return [plantDay(state, place, date, growing, flowers)];
  });
}

function plantDay(
  state: State,
  place: Place,
  date: LocalDate,
  growing: Growing,
  flowers: readonly Flower[],
): SelfingPlant {
  const { plant } = growing;
  const toBag: CrossFlower[] = [];
  const toShake: SelfedTruss[] = [];
  const waiting: SelfedTruss[] = [];
  const toMark: CrossFlower[] = [];
  const marked: CrossFlower[] = [];
  const school = coneShuts(growing.variety) && mainPatch(state)?.schools.cones === 'open';
  const withoutBags = coversFor(state, growing, date).needed ? (school ? 'school' : null) : 'shelter';
  for (const flower of flowers) {
    const each = { flower, growing };
    if (flower.emasculated !== null) continue;
    if (flower.mark !== null) marked.push(each);
    else if (flower.looks.some(({ result }) => result === 'growing' || result === 'bent')) toMark.push(each);
    else if (flower.shuttings.length === 0 && withoutBags === null) {
      const fresh = ['green', 'coloured'].some((stage) => seenAtStage(flower, stage, date, place.zone));
      if (fresh) toBag.push(each);
    } else {
      const truss = shakenOf(flower, growing, place, date);
      // On the evening the bag goes on nothing in it is open yet.
      const since = flower.shuttings[0]?.at ?? flower.sightings[0]?.at;
      const ripe = since !== undefined && localDateOf(Date.parse(since), place.zone) < date;
      if (truss.shaken >= SHAKEN_MORNINGS && !truss.shakenToday) waiting.push(truss);
      else if (ripe || truss.shaken > 0) toShake.push(truss);
      else waiting.push(truss);
    }
  }
  const begun = flowers.some(({ shuttings }) => shuttings.length > 0);
  return {
    growing,
    toStrip: growing.stand.reason === 'seed' && plant.strippedAt === null && !begun,
    withoutBags,
    toBag,
    toShake,
    waiting,
    toMark,
    marked,
  };
}

function shakenOf(flower: Flower, growing: Growing, place: Place, date: LocalDate): SelfedTruss {
  const mornings = new Set(flower.pollinations.map(({ at }) => localDateOf(Date.parse(at), place.zone)));
  return { flower, growing, shaken: mornings.size, shakenToday: mornings.has(date) };
}

/** From this day after the first shaking on fruits can stand. */
export function fruitsFrom({ flower, growing }: CrossFlower, zone: string): LocalDate | null {
  const first = flower.pollinations[0];
  return first ? addDays(localDateOf(Date.parse(first.at), zone), growing.crop.verdictDay.value) : null;
}
