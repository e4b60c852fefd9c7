import { Shards, type Flower, type State } from '../ledger';
import { growing, type Growing } from '../patch';
import { remembered } from '../remember';
import { addDays, daysBetween, localDateOf, type LocalDate } from '../time';

/** A worked flower whose closure can be looked at today, and has to be for its proof. */
export interface ClosureDue {
  readonly flower: Flower;
  readonly growing: Growing;
}

/** On so many days after the work a closure of the squash family still tells something [M]; corn and trusses take longer (`proofOf`). */
const ASKED_DAYS = 2;

/** Flowers of the squash family for seed that were worked and shut again yesterday or the day before, and not looked at since. */
export function closuresDue(state: State, zone: string, today: LocalDate): ClosureDue[] {
  return recentlyWorked(state, addDays(today, -ASKED_DAYS - 1)).flatMap((flower): ClosureDue[] => {
    const found = growing(state, flower.plant);
    return found?.crop.family === 'cucurbit' && wantsLook(flower, zone, today)
      ? [{ flower, growing: found }]
      : [];
  });
}

function wantsLook(flower: Flower, zone: string, today: LocalDate): boolean {
  const worked = flower.pollinations.at(-1);
  if (worked?.purpose !== 'seed' || worked.shutAgain === null || worked.shutAgain === 'open') return false;
  if (flower.lost || flower.harvested || flower.coverOffAt !== null) return false;
  const on = localDateOf(Date.parse(worked.at), zone);
  const gone = daysBetween(on, today);
  const looked = flower.checks.some(
    ({ at, result }) => at > worked.at && (result !== 'whole' || localDateOf(Date.parse(at), zone) > on),
  );
  return !looked && gone >= 1 && gone <= ASKED_DAYS;
}

/** The worked flowers of a part of the log, the latest first: years of them are passed over by the first that is too old. */
const workedIn = remembered(
  (part: ReadonlyMap<unknown, Flower>) => [part],
  (part) =>
    [...part.values()]
      .flatMap((flower) => {
        const worked = flower.pollinations.at(-1);
        return worked ? [{ flower, at: worked.at }] : [];
      })
      .sort((a, b) => (a.at < b.at ? 1 : -1)),
);

/** Flowers worked since a day, the latest first within each part of the log. */
export function recentlyWorked(state: State, since: LocalDate): Flower[] {
  return Shards.of(state.flowers).parts.flatMap((part) => {
    const worked = workedIn(part);
    const old = worked.findIndex(({ at }) => at < since);
    return worked.slice(0, old < 0 ? worked.length : old).map(({ flower }) => flower);
  });
}
