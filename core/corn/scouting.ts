import type { Flower, Place, State } from '../ledger';
import { sheds, SHEDS_DAYS } from '../bloom';
import { walkOrder, type Growing } from '../patch';
import { fitForSeed } from '../purity';
import { silkSeenAt } from '../rounds';
import { addDays, localDateOf, type LocalDate } from '../time';

/** How one ear stands for the daily look. bare: no bag yet. bagged: no silk seen under it. silk: silk under the bag. */
export type EarStands = 'bare' | 'bagged' | 'silk' | 'poured' | 'spoiled';

/** One corn plant on the daily walk: its ears, its tassel, and whether somebody looked today. */
export interface ScoutedPlant {
  readonly growing: Growing;
  readonly ears: readonly { readonly flower: Flower; readonly stands: EarStands }[];
  /** Its tassel, where one was noted. */
  readonly tassel: Flower | null;
  /** sheds: seen shedding in the last days. bagged: under its bag. over: bagged and poured, or shed long ago. */
  readonly tasselIs: 'none' | 'sheds' | 'bagged' | 'over';
  /** Looked over today: something was noted of it, or that there was nothing. */
  readonly done: boolean;
}

/** The corn plants grown for seed or a cross, in walking order, for the daily look: shoots to bag, silk unbagged, tassels shedding. */
export function cornScouting(state: State, place: Place, date: LocalDate): ScoutedPlant[] {
  const on = (at: string) => localDateOf(Date.parse(at), place.zone);
  return walkOrder(state)
    .filter(({ crop, stand }) => crop.family === 'corn' && stand.reason !== 'fruit')
    .map((growing) => {
      const flowers = (state.flowersOf.get(growing.plant.id) ?? []).flatMap((id) => {
        const flower = state.flowers.get(id);
        return flower && !flower.lost && !flower.harvested ? [flower] : [];
      });
      const tassel = flowers.find(({ sex }) => sex === 'male') ?? null;
      const { passedAt } = growing.plant;
      const noted = flowers.some(
        ({ sightings, shuttings }) =>
          sightings.some(({ at }) => on(at) === date) || shuttings.some(({ at }) => on(at) === date),
      );
      return {
        growing,
        ears: flowers
          .filter(({ sex }) => sex === 'female')
          .map((flower) => ({ flower, stands: standsOf(flower, state) })),
        tassel,
        tasselIs: tasselIs(tassel, date, place.zone),
        done: noted || (passedAt !== null && on(passedAt) === date),
      };
    });
}

function standsOf(flower: Flower, state: State): EarStands {
  if (flower.pollinations.length > 0) return 'poured';
  if (fitForSeed(flower, state).verdict === 'unfit') return 'spoiled';
  if (flower.shuttings.length === 0) return silkSeenAt(flower) === null ? 'bare' : 'spoiled';
  return silkSeenAt(flower) === null ? 'bagged' : 'silk';
}

function tasselIs(tassel: Flower | null, date: LocalDate, zone: string): ScoutedPlant['tasselIs'] {
  if (!tassel) return 'none';
  const bag = tassel.shuttings.at(-1);
  const last = tassel.sightings.at(-1);
  const on = (at: string) => localDateOf(Date.parse(at), zone);
  if (bag && on(bag.at) >= addDays(date, -1)) return 'bagged';
  if (bag) return last?.stage !== 'spent' && sheds(tassel, date, zone) ? 'sheds' : 'over';
  if (last?.stage !== 'open') return last?.stage === 'spent' ? 'over' : 'none';
  return on(last.at) >= addDays(date, -SHEDS_DAYS) ? 'sheds' : 'over';
}
