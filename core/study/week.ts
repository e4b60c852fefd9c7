import { lookDays, workedOn, fateOf } from '../fruitset';
import type { LossCause, Place, State } from '../ledger';
import { walkOrder } from '../patch';
import { addDays, daysBetween, localDateOf, type LocalDate } from '../time';
import { allCases } from './cases';
import { ALL, chosen } from './choice';
import { sharesBy, type GroupShare } from './grouping';

/** What the last seven days came to, and which looks the next seven bring. */
export interface Week {
  readonly from: LocalDate;
  readonly to: LocalDate;
  readonly worked: number;
  readonly missed: number;
  readonly varieties: readonly (GroupShare & { readonly dropped: number })[];
  /** Lost on these days, whenever they were worked. */
  readonly lost: ReadonlyMap<LossCause, number>;
  readonly harvested: number;
  readonly ahead: readonly { readonly date: LocalDate; readonly looks: number }[];
}

const DAYS = 7;

/**
 * The week that ends on a day.
 * @example weekOf(state, place, '2026-07-12').worked // 1
 */
export function weekOf(state: State, place: Place, today: LocalDate): Week {
  const from = addDays(today, 1 - DAYS);
  const within = (at: string) => {
    const on = localDateOf(Date.parse(at), place.zone);
    return from <= on && on <= today;
  };
  const cases = chosen(allCases(state, place, today), { ...ALL, when: 'week' }, today);
  const sum = (missed: boolean) =>
    cases.reduce(
      (all, { outcome, trial }) => all + ((outcome === 'missed') === missed ? trial.worked : 0),
      0,
    );
  const lost = new Map<LossCause, number>();
  let harvested = 0;
  for (const { lost: loss, harvested: taken } of state.flowers.values()) {
    if (loss && within(loss.at)) lost.set(loss.cause, (lost.get(loss.cause) ?? 0) + 1);
    if (taken && within(taken.at)) harvested++;
  }
  return {
    from,
    to: today,
    worked: sum(false),
    missed: sum(true),
    varieties: sharesBy(cases, 'variety').map((share) => ({ ...share, dropped: share.judged - share.set })),
    lost,
    harvested,
    ahead: looksAhead(state, place, today),
  };
}

/** On which days flowers without a verdict come up to be looked at. */
function looksAhead(state: State, { zone }: Place, today: LocalDate): Week['ahead'] {
  const counts = new Map<LocalDate, number>();
  for (const { plant, crop } of walkOrder(state))
    for (const id of state.flowersOf.get(plant.id) ?? []) {
      const flower = state.flowers.get(id);
      const day0 = flower && workedOn(flower, zone);
      if (!flower || !day0 || fateOf(flower, crop, zone, today) !== 'waiting') continue;
      for (const day of lookDays(crop)) {
        const date = addDays(day0, day);
        const off = daysBetween(today, date);
        if (off > 0 && off <= DAYS) counts.set(date, (counts.get(date) ?? 0) + 1);
      }
    }
  return [...counts].map(([date, looks]) => ({ date, looks })).sort((a, b) => (a.date < b.date ? -1 : 1));
}
