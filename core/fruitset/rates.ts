import { isWhole, lastCheck } from '../bloom';
import type { Closure, Crop } from '../crops';
import type { Flower } from '../ledger';
import type { LocalDate } from '../time';
import { remembered } from '../remember';
import { fateOf } from './fate';
import { groupTrials } from './groups';
import type { Trial } from './trials';
import { trialParts, trialTablesIn, type TrialPart, type TrialTables } from './trialTable';

/** A share known as a beta distribution, and what of it is the grower's own. */
export interface Rate {
  readonly alpha: number;
  readonly beta: number;
  readonly mean: number;
  /** The variety's own: k of n. */
  readonly own: { readonly k: number; readonly n: number };
  /** The rest of the crop's, discounted in the sum. */
  readonly crop: { readonly k: number; readonly n: number };
}

interface Prior {
  readonly mean: number;
  readonly weight: number;
}

/** The catalogue's share of flowers that set is worth this many flowers of the grower's own [M]. */
const SET_WEIGHT = 6;
/** Share of closures found whole [M]. */
const WHOLE_PRIOR: Readonly<Record<Closure, Prior>> = {
  tape: { mean: 0.86, weight: 10 },
  'mesh-bag': { mean: 0.94, weight: 10 },
  'cloth-bag': { mean: 0.92, weight: 10 },
  tie: { mean: 0.8, weight: 10 },
  'shoot-bag': { mean: 0.93, weight: 10 },
  'tassel-bag': { mean: 0.9, weight: 10 },
};
/** Other varieties of the crop count for no more than this many flowers [M]. */
const CROP_WEIGHT = 10;

function posterior(prior: Prior, own: { k: number; n: number }, crop: { k: number; n: number }): Rate {
  const share = crop.n === 0 ? 0 : Math.min(1, CROP_WEIGHT / crop.n);
  const alpha = prior.mean * prior.weight + share * crop.k + own.k;
  const beta = (1 - prior.mean) * prior.weight + share * (crop.n - crop.k) + (own.n - own.k);
  return { alpha, beta, mean: alpha / (alpha + beta), own, crop };
}

/** The two shares a plan hangs on, for every crop and variety of the log; gathered once for a state. */
export interface Rates {
  set(crop: Crop, variety: string): Rate;
  whole(crop: Crop, variety: string, closure: Closure): Rate;
}

interface Count {
  k: number;
  n: number;
}

function noteIn(count: Count, good: boolean): void {
  count.n++;
  if (good) count.k++;
}

interface PartCounts {
  readonly set: Map<string, Count>;
  readonly whole: Map<string, Count>;
}

/** What some hundred flowers add to the counts; kept for as long as none of them changes. */
const countsOf = remembered('counts', (part: TrialPart) => ({ part }), countsIn);

function countsIn({ part }: { readonly part: TrialPart }): PartCounts {
  const counts: PartCounts = { set: new Map(), whole: new Map() };
  for (const flower of part.flowers.values()) {
    const check = checkAtWork(flower);
    const closure = flower.shuttings[0]?.closure;
    if (!check || !closure || check.result === 'not-open') continue;
    const at = part.ground.get(flower.plant);
    if (!at) continue;
    for (const key of [`c/${at.crop}/${closure}`, `v/${at.variety}/${closure}`])
      noteIn(countOf(counts.whole, key), isWhole(check.result));
  }
  countTrials(counts.set, part.rows);
  return counts;
}

/** How its closure was found when its turn came: what a swelling fruit does to it days later says nothing of the closure. */
function checkAtWork(flower: Flower): Pick<Flower['checks'][number], 'at' | 'result'> | null {
  const [worked] = flower.pollinations;
  return worked ? (flower.checks.findLast(({ at }) => at <= worked.at) ?? null) : lastCheck(flower);
}

function countTrials(set: Map<string, Count>, trials: readonly Trial[]): void {
  for (const trial of trials) {
    // What insects did, or time before any hand work, says nothing of hands.
    if (trial.how === 'insects' || trial.how === 'before') continue;
    const { facts, worked } = trial;
    const took = trial.set ?? (facts?.set ? 1 : facts?.failed ? 0 : null);
    if (took === null) continue;
    for (const key of [`c/${trial.crop}`, `v/${trial.variety}`]) {
      const count = countOf(set, key);
      count.k += took;
      count.n += worked;
    }
  }
}

function countOf(table: Map<string, Count>, key: string): Count {
  let count = table.get(key);
  if (!count) table.set(key, (count = { k: 0, n: 0 }));
  return count;
}

function addUp(into: Map<string, Count>, from: ReadonlyMap<string, Count>): void {
  for (const [key, { k, n }] of from) {
    const count = countOf(into, key);
    count.k += k;
    count.n += n;
  }
}

/** Set and closure rates as posteriors: our prior, the crop's other varieties (discounted), the variety's own records. */
export const ratesOf = remembered(
  'rates',
  (state: TrialTables, zone: string) => ({ ...trialTablesIn(state), zone }),
  ratesFrom,
);

function ratesFrom({ zone, ...state }: TrialTables & { readonly zone: string }): Rates {
  const set = new Map<string, Count>();
  const whole = new Map<string, Count>();
  for (const part of trialParts(state, zone)) {
    const counts = countsOf(part);
    addUp(set, counts.set);
    addUp(whole, counts.whole);
  }
  countTrials(set, groupTrials(state, zone));
  const split = (table: Map<string, Count>, crop: string, variety: string, tail = '') => {
    const own = table.get(`v/${variety}${tail}`) ?? { k: 0, n: 0 };
    const all = table.get(`c/${crop}${tail}`) ?? { k: 0, n: 0 };
    return [own, { k: all.k - own.k, n: all.n - own.n }] as const;
  };
  return {
    set: (crop, variety) =>
      posterior({ mean: crop.setShare.value, weight: SET_WEIGHT }, ...split(set, crop.id, variety)),
    whole: (crop, variety, closure) =>
      posterior(WHOLE_PRIOR[closure], ...split(whole, crop.id, variety, `/${closure}`)),
  };
}

/**
 * Whether a female carries a fruit that feeds on the plant now.
 * @example bearsFruit(female, crop, zone, '2026-07-13') // true
 */
export function bearsFruit(flower: Flower, crop: Crop, zone: string, today: LocalDate): boolean {
  const fate = fateOf(flower, crop, zone, today);
  return (fate === 'set' || fate === 'waiting') && flower.harvested === null && flower.lost === null;
}
