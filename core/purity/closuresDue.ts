import type { Flower, State } from '../ledger';
import { alongTheWalk, type Growing } from '../patch';
import { daysBetween, localDateOf, type LocalDate } from '../time';

/** A worked flower whose closure can be looked at today, and has to be for its proof. */
export interface ClosureDue {
  readonly flower: Flower;
  readonly growing: Growing;
}

/** On so many days after the work a closure of the squash family still tells something [M]; corn and trusses take longer (`proofOf`). */
const ASKED_DAYS = 2;

/**
 * Flowers of the squash family for seed that were worked and shut again yesterday or the day before, and not looked at since; in walking
 * order.
 */
export function closuresDue(state: State, zone: string, today: LocalDate): ClosureDue[] {
  return alongTheWalk(state, (flower, growing) =>
    growing.crop.family === 'cucurbit' && wantsLook(flower, zone, today) ? { flower, growing } : null,
  );
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
