import { eveningOf } from '../bloom';
import type { Flower, State } from '../ledger';
import { coversFor, flowersOn, reasonFor, type Growing } from '../patch';
import { addDays, localDateOf, type LocalDate } from '../time';

/**
 * How a female that is worked as it opens stands on a day.
 * due: seen coloured the evening before (or open this morning). perhaps: still green when seen. worked: done that day.
 * passed: its morning went by, and nobody wrote what became of it.
 */
export type OpenState = 'due' | 'perhaps' | 'worked' | 'passed';

/** A female of a vine that needs no cover: for the kitchen, or alone of its species where no insect gets in. */
export interface OpenFemale {
  readonly flower: Flower;
  readonly how: OpenState;
  /** Worked for seed, so it gets a mark. */
  readonly seed: boolean;
}

/** A green bud opens the day after tomorrow (common practice). */
const GREEN_DAYS = 2;
/** What passed longer ago than this is not asked about any more [M]. */
const ASKED_DAYS = 4;

/** The garden day on which an unshut bud is expected to open; `null` where its stage tells no day. */
export function opensOn(flower: Flower, { crop }: Pick<Growing, 'crop'>, zone: string): LocalDate | null {
  const last = flower.sightings.at(-1);
  if (!last) return null;
  const at = Date.parse(last.at);
  const date = localDateOf(at, zone);
  if (last.stage === 'open') return crop.clock.round === 'dusk' ? eveningOf(at, zone) : date;
  if (last.stage === 'coloured') return crop.clock.round === 'dusk' ? date : addDays(date, 1);
  return last.stage === 'green' ? addDays(date, GREEN_DAYS) : null;
}

/** The females of one plant that are worked on `date` as they open, in the order of their nodes. */
export function openFemales(state: State, each: Growing, zone: string, date: LocalDate): OpenFemale[] {
  if (each.crop.family !== 'cucurbit') return [];
  const free = !coversFor(state, each, date).needed;
  return flowersOn(state, each.plant.id)
    .flatMap((flower): OpenFemale[] => {
      if (flower.sex !== 'female' || flower.shuttings.length > 0) return [];
      const seed = reasonFor(flower, each) !== 'fruit';
      if (seed && !free) return [];
      const how = stateOn(flower, each, zone, date);
      return how ? [{ flower, how, seed }] : [];
    })
    .sort((a, b) => (a.flower.node ?? Infinity) - (b.flower.node ?? Infinity));
}

function stateOn(flower: Flower, each: Growing, zone: string, date: LocalDate): OpenState | null {
  if (flower.pollinations.some(({ at }) => localDateOf(Date.parse(at), zone) === date)) return 'worked';
  if (flower.pollinations.length > 0 || flower.lost || flower.missed || flower.harvested) return null;
  const found = flower.checks.at(-1);
  const later = found?.result === 'not-open' ? addDays(localDateOf(Date.parse(found.at), zone), 1) : null;
  const told = opensOn(flower, each, zone);
  const expected = later && told && later > told ? later : told;
  if (expected === null || expected > date) return null;
  const green = flower.sightings.at(-1)?.stage === 'green';
  if (expected === date) return green ? 'perhaps' : 'due';
  // A green bud may take a day or two longer than told.
  if (green) return expected >= addDays(date, -2) ? 'perhaps' : null;
  return expected >= addDays(date, -ASKED_DAYS) ? 'passed' : null;
}
