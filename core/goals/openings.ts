import type { Flower, Place, Plant, State } from '../ledger';
import { flowersOn, growing, openingOn } from '../patch';
import { addDays, localDateOf, type LocalDate } from '../time';

/** The longest stretch of mornings that is reckoned through one by one. */
const MOST_MORNINGS = 200;
/** What plants usually open is worth so many mornings of the grower's own [M]. */
const USUAL_MORNINGS = 4;
/** How far back openings tell what is to come: plants wax and wane [M]. */
const LATELY_DAYS = 21;

/**
 * Females (perfect flowers, ears) that open on a morning in a stand, over the mornings that are left: what plants of their ages usually
 * open, and what was seen of late to open on the days on which somebody looked. Mean of a gamma; the weights are ours [M].
 * @example openingRate(state, place, [mother.plant], '2026-07-13', 20) // 0.36
 */
export function openingRate(
  state: State,
  place: Place,
  plants: readonly Plant[],
  today: LocalDate,
  morningsLeft: number | null,
): number {
  const usual = usualOpening(state, plants, today, morningsLeft);
  const since = addDays(today, -LATELY_DAYS);
  const looked = new Set<LocalDate>();
  let opened = 0;
  for (const { id } of plants)
    for (const flower of flowersOn(state, id)) {
      const days = daysSeen(flower, place.zone).filter((day) => day > since && day <= today);
      for (const day of days) looked.add(day);
      if (flower.sex !== 'male' && days.length > 0) opened++;
    }
  return (usual * USUAL_MORNINGS + opened) / (USUAL_MORNINGS + looked.size);
}

/** The days on which somebody noted a flower near its opening: in colour, open, or shut. */
const daysSeen = ({ sightings, shuttings }: Flower, zone: string): LocalDate[] =>
  [...sightings.filter(({ stage }) => stage === 'coloured' || stage === 'open'), ...shuttings].map(({ at }) =>
    localDateOf(Date.parse(at), zone),
  );

/** What plants of their ages usually open on a morning, over the mornings that are left: young ones have theirs to come. */
function usualOpening(
  state: State,
  plants: readonly Plant[],
  today: LocalDate,
  morningsLeft: number | null,
): number {
  const mornings = Math.min(MOST_MORNINGS, morningsLeft ?? MOST_MORNINGS);
  const found = plants.flatMap(({ id }) => growing(state, id) ?? []);
  // Neither the first morning nor the last speaks for all: some ten of them do.
  const days = Array.from({ length: 10 }, (_, i) => addDays(today, Math.round((mornings * (i + 0.5)) / 10)));
  const sum = days.reduce(
    (total, date) => total + found.reduce((all, each) => all + openingOn(state, each, date), 0),
    0,
  );
  return sum / days.length;
}
