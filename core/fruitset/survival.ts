import { chiSquareTail, normalQuantile } from '../distributions';
import { mustBe } from '../errors';

/** One fruit followed: for how long, and whether it dropped then (else nothing more is known of it). */
export interface Followed {
  /** Days, 0 or more. */
  readonly time: number;
  readonly event: boolean;
}

/** The curve at one time at which something dropped. */
export interface SurvivalStep {
  readonly time: number;
  readonly atRisk: number;
  readonly events: number;
  /** Share still there after this time. */
  readonly survival: number;
  /** Greenwood's; `null`, like the bounds, where none is left. */
  readonly standardError: number | null;
  readonly low: number | null;
  readonly high: number | null;
}

/** How many of what was followed drop, and are still at risk, at each time at which one does. */
interface AtTime {
  readonly time: number;
  readonly atRisk: number;
  readonly events: number;
}

function checkTimes(who: string, list: readonly { readonly time: number }[]): void {
  for (const { time } of list)
    if (!Number.isFinite(time) || time < 0) throw mustBe(who, 'time', 'a number of days, 0 or more', time);
}

/** Those censored at a time count as at risk then. */
function eventTimes(list: readonly Followed[]): AtTime[] {
  // Days are few and fruits many: counted by time first, so that only the times are put in order.
  const at = new Map<number, { all: number; events: number }>();
  for (const { time, event } of list) {
    let here = at.get(time);
    if (!here) at.set(time, (here = { all: 0, events: 0 }));
    here.all++;
    if (event) here.events++;
  }
  let atRisk = list.length;
  return [...at]
    .sort(([a], [b]) => a - b)
    .flatMap(([time, { all, events }]): AtTime[] => {
      const found = events > 0 ? [{ time, atRisk, events }] : [];
      atRisk -= all;
      return found;
    });
}

/**
 * The Kaplan-Meier curve, with Greenwood's standard error and log-log bounds (Kaplan & Meier 1958; R: `survfit` with
 * `conf.type = "log-log"`). Steps at the times of events; `median` is the first time with half or less left, `null` before.
 * Throws `time` or `confidence` out of range.
 * @example kaplanMeier([{ time: 4, event: true }, { time: 7, event: false }, { time: 9, event: true }], { confidence: 0.95 }).steps.map(({ survival }) => survival) // [0.667, 0]
 */
export function kaplanMeier(
  followed: readonly Followed[],
  { confidence }: { readonly confidence: number },
): { readonly steps: SurvivalStep[]; readonly median: number | null } {
  checkTimes('kaplanMeier', followed);
  if (!(confidence > 0 && confidence < 1))
    throw mustBe('kaplanMeier', 'confidence', 'between 0 and 1', confidence);
  const z = normalQuantile(1 - (1 - confidence) / 2);
  let [survival, sum] = [1, 0];
  const steps = eventTimes(followed).map(({ time, atRisk, events }): SurvivalStep => {
    survival *= 1 - events / atRisk;
    sum += events / (atRisk * (atRisk - events));
    if (atRisk === events)
      return { time, atRisk, events, survival: 0, standardError: null, low: null, high: null };
    const reach = (z * Math.sqrt(sum)) / Math.log(survival);
    return {
      time,
      atRisk,
      events,
      survival,
      standardError: survival * Math.sqrt(sum),
      low: survival ** Math.exp(-reach),
      high: survival ** Math.exp(reach),
    };
  });
  return { steps, median: steps.find((step) => step.survival <= 0.5)?.time ?? null };
}

/** A log-rank test of two groups or more. */
export interface LogRank {
  readonly chiSquare: number;
  readonly degreesOfFreedom: number;
  readonly pValue: number;
  /** Events by group: seen, and to be expected if all groups were alike. */
  readonly observed: readonly number[];
  readonly expected: readonly number[];
}

/**
 * The log-rank test (Mantel 1966; R: `survdiff`): whether groups drop alike. Without an event, or with one group, nothing is told:
 * chi-square 0, p 1. Throws `time` out of range.
 * @example logRank([[{ time: 1, event: true }, { time: 2, event: true }], [{ time: 3, event: true }, { time: 4, event: true }]]).chiSquare // 2.882
 */
export function logRank(groups: readonly (readonly Followed[])[]): LogRank {
  for (const group of groups) checkTimes('logRank', group);
  const times = eventTimes(groups.flat());
  const observed = groups.map((group) => group.filter(({ event }) => event).length);
  const expected = groups.map(() => 0);
  const size = Math.max(0, groups.length - 1);
  const variance = Array.from({ length: size }, () => new Float64Array(size));
  const sorted = groups.map((group) => Float64Array.from(group, ({ time }) => time).sort());
  const gone = groups.map(() => 0);
  for (const { time, atRisk, events } of times) {
    const here = sorted.map((list, g) => {
      while (
        gone[g] !== undefined &&
        (gone[g] as number) < list.length &&
        (list[gone[g] as number] as number) < time
      )
        gone[g] = (gone[g] as number) + 1;
      return list.length - (gone[g] as number);
    });
    const spread = atRisk > 1 ? (events * (atRisk - events)) / (atRisk - 1) : 0;
    for (const [g, n] of here.entries()) {
      expected[g] = (expected[g] as number) + (events * n) / atRisk;
      for (let h = 0; g < size && h < size; h++)
        (variance[g] as Float64Array)[h] =
          ((variance[g] as Float64Array)[h] as number) +
          spread * (n / atRisk) * ((g === h ? 1 : 0) - (here[h] as number) / atRisk);
    }
  }
  const off = Array.from({ length: size }, (_, g) => (observed[g] as number) - (expected[g] as number));
  const chiSquare = Math.max(0, quadratic(variance, off));
  return {
    chiSquare,
    degreesOfFreedom: size,
    pValue: size === 0 || chiSquare === 0 ? 1 : chiSquareTail(chiSquare, size),
    observed,
    expected,
  };
}

/** `off' V^-1 off` by elimination; a direction without spread adds nothing. */
function quadratic(variance: readonly Float64Array[], off: readonly number[]): number {
  const rows = variance.map((row, i) => [...row, off[i] as number]);
  let sum = 0;
  for (const [i, row] of rows.entries()) {
    const pivot = row[i] as number;
    if (!(pivot > 1e-12)) continue;
    const rest = row[rows.length] as number;
    sum += (rest * rest) / pivot;
    for (const below of rows.slice(i + 1)) {
      const factor = (below[i] as number) / pivot;
      for (let k = i; k <= rows.length; k++) below[k] = (below[k] as number) - factor * (row[k] as number);
    }
  }
  return sum;
}

/** One fruit followed to one of several ends; `cause` `null`: nothing more is known of it. */
export interface FollowedToEnd {
  readonly time: number;
  readonly cause: string | null;
}

/** What has become of fruits by one time. */
export interface IncidenceStep {
  readonly time: number;
  /** Share to which nothing has happened yet. */
  readonly remaining: number;
  readonly byCause: Readonly<Record<string, { readonly incidence: number; readonly standardError: number }>>;
}

/**
 * Cumulative incidence of ends that exclude each other (Aalen & Johansen 1978), with standard errors by the infinitesimal jackknife
 * (R: `survfit` of a multi-state response). Steps at the times at which something happened. Throws `time` out of range.
 * @example cumulativeIncidence([{ time: 4, cause: 'rot' }, { time: 6, cause: null }]).steps[0].byCause.rot.incidence // 0.5
 */
export function cumulativeIncidence(followed: readonly FollowedToEnd[]): { readonly steps: IncidenceStep[] } {
  checkTimes('cumulativeIncidence', followed);
  const causes = [...new Set(followed.flatMap(({ cause }) => cause ?? []))].sort();
  // Fruits alike in time and end move every sum alike: one row for all of them.
  const kinds = new Map<string, { readonly time: number; readonly cause: string | null; count: number }>();
  for (const { time, cause } of followed) {
    const key = `${time}/${cause ?? ''}`;
    const kind = kinds.get(key);
    if (kind) kind.count++;
    else kinds.set(key, { time, cause, count: 1 });
  }
  const rows = [...kinds.values()].map((kind) => ({
    ...kind,
    remaining: 0,
    incidence: new Float64Array(causes.length),
  }));
  const incidence = new Float64Array(causes.length);
  let remaining = 1;
  const times = [...new Set(rows.filter(({ cause }) => cause !== null).map(({ time }) => time))];
  const steps = times
    .sort((a, b) => a - b)
    .map((time): IncidenceStep => {
      const atRisk = rows.reduce((sum, row) => sum + (row.time >= time ? row.count : 0), 0);
      const share = causes.map(
        (cause) =>
          rows.reduce((sum, row) => sum + (row.time === time && row.cause === cause ? row.count : 0), 0) /
          atRisk,
      );
      const all = share.reduce((sum, part) => sum + part, 0);
      for (const row of rows) {
        const here = row.time >= time ? 1 : 0;
        let moved = 0;
        for (const [k, part] of share.entries()) {
          const own = row.time === time && row.cause === causes[k] ? 1 : 0;
          const change = (own - part * here) / atRisk;
          moved += change;
          row.incidence[k] = (row.incidence[k] as number) + row.remaining * part + remaining * change;
        }
        row.remaining = row.remaining * (1 - all) - remaining * moved;
      }
      for (const [k, part] of share.entries()) incidence[k] = (incidence[k] as number) + remaining * part;
      remaining *= 1 - all;
      const byCause = Object.fromEntries(
        causes.map((cause, k) => [
          cause,
          {
            incidence: incidence[k] as number,
            standardError: Math.sqrt(
              rows.reduce((sum, row) => sum + row.count * (row.incidence[k] as number) ** 2, 0),
            ),
          },
        ]),
      );
      return { time, remaining, byCause };
    });
  return { steps };
}
