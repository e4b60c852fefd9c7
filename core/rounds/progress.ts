import { lastCheck } from '../bloom';
import type { FlowerId } from '../ids';
import type { State } from '../ledger';
import { fatherVarietyOf, plantPlace, walkOrder, type Growing } from '../patch';
import { pollenOnTool } from '../purity';
import { localDateOf, type LocalDate } from '../time';
import { workTime } from '../fruitset';
import type { Collecting, DawnQuestion } from './dawn';
import type { PollinationRound } from './next';
import { inHand } from './stops';

/** Fewer flowers than this say nothing of the pace. */
const PACE_FROM = 3;

/** The plants of which males are still to be picked. */
export function toCollect(
  state: State,
  { collecting }: Pick<DawnQuestion, 'collecting'>,
  date: LocalDate,
  zone: string,
): Collecting[] {
  const picked = (id: FlowerId) => {
    const male = state.flowers.get(id);
    return male !== undefined && inHand(male, date, zone);
  };
  return collecting.filter(({ males }) => !males.every(picked));
}

/** What is collected before a flower: all of its variety that the route still collects, in one go; nothing when it needs none. */
export function collectBefore(
  flower: string | null,
  { request }: Pick<DawnQuestion, 'request'>,
  open: ReadonlyMap<string, Collecting>,
  route: readonly { readonly id: string }[],
): Collecting[] {
  const needs = request.stops.find(({ id }) => id === flower)?.needs ?? [];
  const own = needs.flatMap((id) => open.get(id) ?? []);
  const first = own[0];
  if (!first) return [];
  const planned = route.flatMap(({ id }) => {
    const each = open.get(id);
    return each && each.variety === first.variety ? [each] : [];
  });
  return [...new Set([...planned, ...own])];
}

/**
 * The flowers of a round in order, as numbered on the screen: what was handled, as it was handled, then `ahead` in its own
 * order (what is on the screen, or the list someone leafs through: no new plan may number it anew), then the rest as planned.
 */
export function numberedStops(
  round: PollinationRound,
  ahead: readonly string[],
  order: readonly string[],
): string[] {
  const handledAt = ({ flower }: PollinationRound['stops'][number]) =>
    [...flower.checks, ...flower.pollinations].reduce((last, { at }) => (at > last ? at : last), '');
  const handled = round.stops
    .filter(({ state }) => state !== 'to-do')
    .sort((a, b) => (handledAt(a) < handledAt(b) ? -1 : 1))
    .map(({ flower }) => flower.id as string);
  const done = new Set(handled);
  const planned = order.length > 0 ? order : round.stops.map(({ flower }) => flower.id);
  return [...new Set([...handled, ...[...ahead, ...planned].filter((id) => !done.has(id))])];
}

/** How a round under way is going. */
export interface RoundProgress {
  /** 1 = as reckoned, 1.3 = three tenths slower; between 0.6 and 2. */
  readonly pace: number;
  /** Variety whose pollen is on the hands; `null` before any. */
  readonly hands: string | null;
  /** Where the last thing was done. */
  readonly at: { readonly xM: number; readonly yM: number } | null;
  /** When, epoch ms. */
  readonly lastAt: number | null;
}

/** How the round goes so far, from its own entries: flowers worked and males picked. */
export function roundProgress(state: State, round: PollinationRound, zone: string): RoundProgress {
  const today = ({ at }: { at: string }) => localDateOf(Date.parse(at), zone) === round.date;
  const worked = round.stops
    .flatMap(({ flower, growing }) =>
      flower.pollinations.filter(today).map(({ at }) => ({ at: Date.parse(at), growing })),
    )
    .sort((a, b) => a.at - b.at);
  const carried = [...worked, ...malesPicked(state, round, zone)];
  const handled: { at: number; growing: Growing }[] = [...carried];
  for (const { flower, growing } of round.stops)
    for (const check of flower.checks.filter(today)) handled.push({ at: Date.parse(check.at), growing });
  // Kitchen work done in between is on the hands too.
  const kitchen = pollenOnTool(state, zone, round.date);
  if (handled.length === 0) return { pace: 1, hands: kitchen?.variety ?? null, at: null, lastAt: null };
  const last = handled.reduce((a, b) => (b.at >= a.at ? b : a));
  const touched = carried.length > 0 ? carried.reduce((a, b) => (b.at >= a.at ? b : a)) : null;
  let taken = 0;
  let reckoned = 0;
  let gaps = 0;
  for (let i = 1; i < worked.length; i++) {
    const { at, growing } = worked[i] as (typeof worked)[number];
    const minutes = (at - (worked[i - 1] as (typeof worked)[number]).at) / 60_000;
    const usual = workTime(state, growing.crop).minutes;
    // A pause is no pace.
    if (minutes > usual * 3) continue;
    taken += minutes;
    reckoned += usual;
    gaps++;
  }
  return {
    pace: gaps < PACE_FROM ? 1 : Math.min(2, Math.max(0.6, taken / reckoned)),
    // A male carries its own variety's pollen, a flower worked that of its father.
    hands:
      kitchen && (!touched || kitchen.at > touched.at)
        ? kitchen.variety
        : touched
          ? 'variety' in touched
            ? touched.variety
            : fatherVarietyOf(touched.growing)
          : null,
    at: plantPlace(last.growing),
    lastAt: last.at,
  };
}

interface Picked {
  readonly at: number;
  readonly growing: Growing;
  readonly variety: string;
}

/** The males picked this morning, of the plants that may be fathers in this round. */
function malesPicked(state: State, round: PollinationRound, zone: string): Picked[] {
  const wanted = new Set<string>(round.stops.map(({ growing }) => fatherVarietyOf(growing)));
  return walkOrder(state)
    .filter(({ variety }) => wanted.has(variety.id))
    .flatMap((growing) =>
      (state.flowersOf.get(growing.plant.id) ?? []).flatMap((id): Picked[] => {
        const flower = state.flowers.get(id);
        const check = flower && lastCheck(flower);
        return flower?.sex === 'male' && check && inHand(flower, round.date, zone)
          ? [{ at: Date.parse(check.at), growing, variety: growing.variety.id }]
          : [];
      }),
    );
}
