import { Shards, type Flower, type State } from '../ledger';
import { growing, type Growing } from '../patch';
import { remembered } from '../remember';
import { addDays, daysBetween, localDateOf, type LocalDate } from '../time';

/** A worked flower whose closure can be looked at today, and has to be for its proof. */
export interface ClosureDue {
  readonly flower: Flower;
  readonly growing: Growing;
}

/**
 * Flowers for seed that were worked, shut again, and should be seen shut today: cucurbits the day after, others when it tells. Corn
 * and trusses are looked over as a whole.
 */
export function closuresDue(state: State, zone: string, today: LocalDate): ClosureDue[] {
  return recentlyWorked(state, addDays(today, -MOST_SHUT_DAYS)).flatMap((flower): ClosureDue[] => {
    const found = growing(state, flower.plant);
    const worked = flower.pollinations.at(-1);
    if (
      !found ||
      !worked ||
      worked.purpose !== 'seed' ||
      worked.shutAgain === null ||
      worked.shutAgain === 'open'
    )
      return [];
    if (flower.lost || flower.harvested || flower.coverOffAt !== null || found.crop.family !== 'cucurbit')
      return [];
    const on = localDateOf(Date.parse(worked.at), zone);
    const gone = daysBetween(on, today);
    const looked = flower.checks.some(
      ({ at, result }) => at > worked.at && (result !== 'whole' || localDateOf(Date.parse(at), zone) > on),
    );
    return !looked && gone >= 1 && gone <= 2 ? [{ flower, growing: found }] : [];
  });
}

/** So long after the work a closure may still be asked about. */
const MOST_SHUT_DAYS = 3;

/** The flowers of a part of the log that were worked since a day: years of them are passed over by the latest visit. */
const workedIn = remembered(
  (part: ReadonlyMap<unknown, Flower>) => [part],
  (part) =>
    [...part.values()].flatMap((flower) => {
      const worked = flower.pollinations.at(-1);
      return worked ? [{ flower, at: worked.at }] : [];
    }),
);

function recentlyWorked(state: State, since: LocalDate): Flower[] {
  return Shards.of(state.flowers).parts.flatMap((part) =>
    workedIn(part).flatMap(({ flower, at }) => (at.slice(0, 10) >= since ? [flower] : [])),
  );
}
