import type { Closure, Crop, Family } from '../crops';
import { fateOf, workedOn } from '../fruitset';
import type { Flower, State } from '../ledger';
import { growing } from '../patch';
import { isWhole, lastCheck } from './stops';

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

/** Share of hand-pollinated females that set [M]; worth this many flowers of the grower's own. */
const SET_PRIOR: Readonly<Record<Family, Prior>> = {
  cucurbit: { mean: 0.6, weight: 6 },
  corn: { mean: 0.85, weight: 6 },
  nightshade: { mean: 0.4, weight: 6 },
  strawberry: { mean: 0.9, weight: 6 },
};
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

const known = new WeakMap<State['flowers'], Rates>();

/** Set and closure rates as posteriors: our prior, the crop's other varieties (discounted), the variety's own records. */
export function ratesOf(state: State, zone: string): Rates {
  const found = known.get(state.flowers);
  if (found) return found;
  const set = new Map<string, Count>();
  const whole = new Map<string, Count>();
  const add = (table: Map<string, Count>, keys: readonly string[], good: boolean) => {
    for (const key of keys) {
      const count = table.get(key) ?? { k: 0, n: 0 };
      table.set(key, { k: count.k + (good ? 1 : 0), n: count.n + 1 });
    }
  };
  for (const flower of state.flowers.values()) {
    const each = growing(state, flower.plant);
    if (!each) continue;
    const keys = [`c/${each.crop.id}`, `v/${each.variety.id}`];
    const check = lastCheck(flower);
    const closure = flower.shuttings[0]?.closure;
    if (check && closure && check.result !== 'not-open')
      add(
        whole,
        keys.map((key) => `${key}/${closure}`),
        isWhole(check.result),
      );
    if (flower.sex === 'male' || workedOn(flower, zone) === null) continue;
    const fate = fateOf(flower, each.crop, zone);
    if (fate !== null && fate !== 'waiting') add(set, keys, fate !== 'dropped');
  }
  const split = (table: Map<string, Count>, crop: string, variety: string, tail = '') => {
    const own = table.get(`v/${variety}${tail}`) ?? { k: 0, n: 0 };
    const all = table.get(`c/${crop}${tail}`) ?? { k: 0, n: 0 };
    return [own, { k: all.k - own.k, n: all.n - own.n }] as const;
  };
  const rates: Rates = {
    set: (crop, variety) => posterior(SET_PRIOR[crop.family], ...split(set, crop.id, variety)),
    whole: (crop, variety, closure) =>
      posterior(WHOLE_PRIOR[closure], ...split(whole, crop.id, variety, `/${closure}`)),
  };
  known.set(state.flowers, rates);
  return rates;
}

/** Whether a female carries a fruit that feeds on the plant now. */
export function bearsFruit(flower: Flower, crop: Crop, zone: string): boolean {
  const fate = fateOf(flower, crop, zone);
  return (fate === 'set' || fate === 'waiting') && flower.harvested === null && flower.lost === null;
}
