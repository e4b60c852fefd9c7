import type { Sex } from '../crops';
import type { PlantId } from '../ids';
import type { Flower } from '../ledger';
import type { Growing } from '../patch';
import { addDays, localDateOf, type LocalDate } from '../time';
import type { Forecast } from './forecast';

/** From this chance on a flower is spoken of as "likely to open". */
const LIKELY = 0.4;
/** A day with a female and perhaps no male to serve her. */
export interface Lonely {
  readonly date: LocalDate;
  readonly females: number;
  /** Chance that no male of another plant of the variety is open that day. */
  readonly withoutMale: number;
}

/** A bud that may still open, as far as company matters. */
interface Bud {
  readonly growing: Growing;
  readonly sex: Sex;
  readonly forecast: Forecast;
}

/** For about how many days a tassel sheds, bagged or not (general texts, from memory). */
export const SHEDS_DAYS = 7;

/**
 * Whether a tassel was seen shedding, or bagged, so lately that it still gives pollen.
 * @example sheds(male, '2026-07-06', zone) // true
 */
export function sheds({ sex, lost, sightings, shuttings }: Flower, from: LocalDate, zone: string): boolean {
  if (sex !== 'male' || lost) return false;
  const open = sightings.find(({ stage }) => stage === 'open')?.at ?? shuttings[0]?.at;
  return open !== undefined && localDateOf(Date.parse(open), zone) >= addDays(from, -SHEDS_DAYS);
}

/** The days on which a female is likely to open and no male of another plant may be there for her. */
export function lonelyDays(
  days: readonly LocalDate[],
  buds: readonly Bud[],
  selfing: boolean,
  shedding: ReadonlySet<PlantId>,
): Lonely[] {
  const chance = (bud: Bud, date: LocalDate) =>
    bud.forecast.find((each) => each.date === date)?.probability ?? 0;
  return days.flatMap((date) => {
    // The chance that a plant has no male open, plant by plant: asked once, not anew for every female.
    const noneOn = new Map<PlantId, number>([...shedding].map((plant) => [plant, 0]));
    for (const bud of buds)
      if (bud.sex === 'male') {
        const { id } = bud.growing.plant;
        noneOn.set(id, (noneOn.get(id) ?? 1) * (1 - chance(bud, date)));
      }
    const withoutMale = (female: Bud) =>
      [...noneOn].reduce(
        (product, [plant, none]) => (selfing || plant !== female.growing.plant.id ? product * none : product),
        1,
      );
    const females = buds.filter((bud) => bud.sex === 'female' && chance(bud, date) >= LIKELY);
    const alone = females.filter((female) => withoutMale(female) > 0.5);
    const first = alone[0];
    return first ? [{ date, females: alone.length, withoutMale: withoutMale(first) }] : [];
  });
}
