import { eveningOf } from '../bloom';
import type { Flower, State } from '../ledger';
import { beesAtWork, coversFor, flowersOn, mainPatch, reasonFor, type Growing } from '../patch';
import { addDays, localDateOf, type LocalDate } from '../time';

/**
 * How a female that is worked as it opens stands on a day.
 * due: seen coloured the evening before (or open this morning). perhaps: still green when seen. worked: done that day.
 * passed: its morning went by, and nobody wrote what became of it. again: worked the morning before, and worth a second visit if it is
 * still fresh (a school).
 */
export type OpenState = 'due' | 'perhaps' | 'worked' | 'passed' | 'again';

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

/**
 * The garden day on which an unshut bud is expected to open; `null` where its stage tells no day.
 * @example opensOn(female, { crop }, zone) // '2026-07-06'
 */
export function opensOn(flower: Flower, { crop }: Pick<Growing, 'crop'>, zone: string): LocalDate | null {
  const last = flower.sightings.at(-1);
  if (!last) return null;
  const at = Date.parse(last.at);
  const date = localDateOf(at, zone);
  if (last.stage === 'open') return crop.clock.round === 'dusk' ? eveningOf(at, zone) : date;
  if (last.stage === 'coloured') return crop.clock.round === 'dusk' ? date : addDays(date, 1);
  return last.stage === 'green' ? addDays(date, GREEN_DAYS) : null;
}

/**
 * The females of one plant that are worked on `date` as they open, in the order of their nodes.
 * @example openFemales(state, mother, zone, '2026-07-06').length // 0
 */
export function openFemales(state: State, each: Growing, zone: string, date: LocalDate): OpenFemale[] {
  if (each.crop.family !== 'cucurbit') return [];
  const { needed, shelter } = coversFor(state, each, date);
  const free = !needed && !beesAtWork(shelter);
  return flowersOn(state, each.plant.id)
    .flatMap((flower): OpenFemale[] => {
      if (flower.sex !== 'female' || flower.shuttings.length > 0) return [];
      const seed = reasonFor(flower, each) !== 'fruit';
      if (seed && !free) return [];
      const how =
        stateOn(flower, each, zone, date) ?? (again(state, flower, each, zone, date) ? 'again' : null);
      return how ? [{ flower, how, seed }] : [];
    })
    .sort((a, b) => (a.flower.node ?? Infinity) - (b.flower.node ?? Infinity));
}

/** Worked for the first time the morning before, not looked at since, where the patch works a second morning. */
function again(state: State, flower: Flower, { crop }: Growing, zone: string, date: LocalDate): boolean {
  if (mainPatch(state)?.schools.mornings !== 'second' || crop.clock.round === 'dusk') return false;
  if (flower.lost || flower.harvested || flower.looks.length > 0) return false;
  const days = flower.pollinations.map(({ at }) => localDateOf(Date.parse(at), zone));
  return days.length > 0 && days.every((day) => day === addDays(date, -1));
}

function stateOn(flower: Flower, each: Growing, zone: string, date: LocalDate): OpenState | null {
  if (flower.pollinations.some(({ at }) => localDateOf(Date.parse(at), zone) === date)) return 'worked';
  if (flower.pollinations.length > 0 || flower.lost || flower.missed || flower.left || flower.harvested)
    return null;
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
