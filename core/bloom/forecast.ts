import { cropOf, stagesOf, type CropId, type Sex, type Stage } from '../crops';
import { TrowelError } from '../errors';
import { addDays, daysBetween, isLocalDate, type LocalDate } from '../time';
import { growthAfter, type DayTemperature } from './warmth';

/** Days ahead that a forecast reaches; a pin seen today may take more than a week in the cool. */
export const REACH_DAYS = 10;
/** How many buds of the grower's own the catalogue is worth [M]: after five of theirs, theirs say more. */
export const CATALOGUE_STRENGTH = 4;
/** How many buds of a variety the rest of its crop is worth [M]. */
export const CROP_STRENGTH = 5;
/**
 * However many were seen, they count for at most this many [M]: no season is like another, and a range that knows
 * last year too well would be too narrow.
 */
export const MOST_WEIGHT = 60;

/** Chance (0..1) that a bud opens on this day. */
export interface DayChance {
  readonly date: LocalDate;
  readonly probability: number;
}
/** Dates in order; the probabilities sum to 1. */
export type Forecast = readonly DayChance[];

/** What became of a bud seen at a stage: it opened between the two dates (both included); `null` = not known. */
export interface BudRecord {
  readonly stage: Stage;
  readonly seenOn: LocalDate;
  /** The day it opened, where that is known exactly. */
  readonly openedOn?: LocalDate | null;
  readonly openedFrom?: LocalDate | null;
  readonly openedTo?: LocalDate | null;
  readonly crop?: CropId;
  readonly variety?: string;
  readonly sex?: Sex;
}

/** A bud as somebody saw it, and what is known that bears on when it opens. */
export interface BudSeen {
  readonly crop: CropId;
  readonly stage: Stage;
  readonly seenOn: LocalDate;
  readonly sex?: Sex;
  readonly variety?: string;
  /** The grower's own; those of another crop, stage or sex are passed over. */
  readonly records?: readonly BudRecord[];
  /** Mean temperatures of days, where known; they speed buds up or hold them back. */
  readonly temperatures?: readonly DayTemperature[];
}

/**
 * What the catalogue expects: chances of opening 0, 1, 2 ... days after being seen. The stage's usual days share 80 %,
 * a little comes early, more comes late [M: buds are held up by cold more often than they hurry].
 * @example openingPrior('squash-maxima', 'coloured') // [0.05, 0.8, 0.11, 0.04, 0, 0, 0, 0, 0, 0, 0]
 */
export function openingPrior(crop: CropId, stage: Stage, sex?: Sex): number[] {
  const [least, most] = stagesOf(cropOf(crop), sex)[stage].opensInDays.value;
  const chances = new Array<number>(REACH_DAYS + 1).fill(0);
  const add = (day: number, chance: number) => {
    const at = Math.max(0, Math.min(REACH_DAYS, day));
    chances[at] = (chances[at] as number) + chance;
  };
  if (stage === 'open' || stage === 'spent') {
    add(0, 1);
    return chances;
  }
  for (let day = least; day <= most; day++) add(day, 0.8 / (most - least + 1));
  add(Math.max(0, least - 1), 0.05);
  add(most + 1, 0.11);
  add(most + 2, 0.04);
  return chances;
}

/**
 * Mean of a Dirichlet distribution: the prior's chances times its strength, plus what was counted, over the sum.
 * @example dirichletMean([0.8, 0.2], 4, [0, 4]) // [0.4, 0.6]
 */
export function dirichletMean(
  prior: readonly number[],
  strength: number,
  counts: readonly number[],
): number[] {
  const alpha = prior.map((chance, i) => chance * strength + (counts[i] ?? 0));
  const sum = alpha.reduce((a, b) => a + b, 0);
  return alpha.map((value) => value / sum);
}

/**
 * Parameters of the Dirichlet over days ahead at the reference temperature, after the grower's records.
 * @example openingAlpha({ crop: 'squash-maxima', stage: 'coloured', seenOn: '2026-07-05' }).slice(0, 4) // [0.2, 3.2, 0.44, 0.16]
 */
export function openingAlpha({ crop, stage, sex, variety, records = [], temperatures }: BudSeen): number[] {
  const prior = openingPrior(crop, stage, sex);
  const fitting = records.filter(
    (record) =>
      record.stage === stage &&
      (record.crop === undefined || record.crop === crop) &&
      (record.sex === undefined || sex === undefined || record.sex === sex),
  );
  const own = (record: BudRecord) => variety !== undefined && record.variety === variety;
  const others = dayCounts(
    fitting.filter((record) => !own(record)),
    prior,
    temperatures,
  );
  const wide = capped(prior.map((chance, i) => chance * CATALOGUE_STRENGTH + (others[i] as number)));
  if (variety === undefined) return wide;
  const sum = wide.reduce((a, b) => a + b, 0);
  const mean = wide.map((value) => value / sum);
  // While nothing of the crop was seen, the variety's prior is no stronger than the catalogue's.
  const strength = Math.min(CROP_STRENGTH, sum);
  const counts = dayCounts(fitting.filter(own), mean, temperatures);
  return capped(mean.map((chance, i) => chance * strength + (counts[i] as number)));
}

function capped(alpha: number[]): number[] {
  const sum = alpha.reduce((a, b) => a + b, 0);
  return sum > MOST_WEIGHT ? alpha.map((value) => (value * MOST_WEIGHT) / sum) : alpha;
}

/** Days ahead (at the reference temperature) that the records speak for; a span of days is shared out as expected. */
function dayCounts(
  records: readonly BudRecord[],
  expected: readonly number[],
  temperatures?: readonly DayTemperature[],
): number[] {
  const counts = new Array<number>(REACH_DAYS + 1).fill(0);
  for (const { seenOn, openedOn, openedFrom, openedTo } of records) {
    const from = openedOn ?? openedFrom ?? null;
    const to = openedOn ?? openedTo ?? null;
    if (from === null && to === null) continue;
    const first = from === null ? 0 : daysBetween(seenOn, from);
    const last = to === null ? REACH_DAYS : Math.min(REACH_DAYS, daysBetween(seenOn, to));
    if (last < 0 || first > last) continue;
    const grown = growthAfter(seenOn, Math.max(0, last), temperatures);
    const start = first <= 0 ? -1 : (grown[first - 1] as number);
    const end = grown[Math.max(0, last)] as number;
    const shares = expected.map((chance, day) => {
      const overlap = Math.min(day, end) - Math.max(day - 1, start);
      // One known day is what it is; only a longer span leans on what was expected.
      return overlap <= 0 ? 0 : overlap * (first === last ? 1 : chance + 1e-6);
    });
    const sum = shares.reduce((a, b) => a + b, 0);
    if (sum === 0) counts[REACH_DAYS] = (counts[REACH_DAYS] as number) + 1;
    else for (const [day, share] of shares.entries()) counts[day] = (counts[day] as number) + share / sum;
  }
  return counts;
}

/**
 * How reference days fall on calendar dates for a bud seen on a day: `share[ahead][day]` of the buds that need `day`
 * reference days open `ahead` calendar days on.
 */
export interface Calendar {
  readonly dates: readonly LocalDate[];
  readonly share: readonly (readonly number[])[];
}

/**
 * How reference days of growth fall on the days after one, by the temperatures known; a day each where none are.
 * @example calendarFrom('2026-07-05').dates[2] // '2026-07-07'
 */
export function calendarFrom(seenOn: LocalDate, temperatures?: readonly DayTemperature[]): Calendar {
  // Without temperatures a reference day is a day: nothing can fall beyond the reach.
  const days = temperatures && temperatures.length > 0 ? 2 * REACH_DAYS : REACH_DAYS;
  const grown = growthAfter(seenOn, days, temperatures);
  const share: number[][] = [];
  for (let ahead = 0; ahead <= days; ahead++) {
    const now = grown[ahead] as number;
    const before = ahead === 0 ? 0 : (grown[ahead - 1] as number);
    const row: number[] = [];
    for (let day = 0; day <= REACH_DAYS; day++) {
      if (ahead === 0 || day === 0) row.push(ahead === day ? 1 : 0);
      else row.push(Math.max(0, Math.min(day, now) - Math.max(day - 1, before)));
    }
    share.push(row);
  }
  return { dates: share.map((_, ahead) => addDays(seenOn, ahead)), share };
}

/**
 * Chances by reference days ahead as chances by date.
 * @example onCalendar([0, 1], calendarFrom('2026-07-05')) // [{ date: '2026-07-06', probability: 1 }]
 */
export function onCalendar(chances: readonly number[], { dates, share }: Calendar): Forecast {
  const forecast: { date: LocalDate; probability: number }[] = [];
  let sum = 0;
  for (const [ahead, row] of share.entries()) {
    let probability = 0;
    for (let day = 0; day < row.length; day++) probability += (row[day] as number) * (chances[day] ?? 0);
    if (probability > 0) forecast.push({ date: dates[ahead] as LocalDate, probability });
    sum += probability;
  }
  for (const each of forecast) each.probability /= sum;
  return forecast;
}

/**
 * When a bud seen at a stage will open: a distribution over dates (for a spent flower, when it was open). Starts from
 * the catalogue, a Dirichlet prior worth `CATALOGUE_STRENGTH` buds, and learns from the grower's records of the crop
 * and, more closely, of the variety; known temperatures stretch or shorten it (`warmth.ts`). Throws `date`.
 * @example forecastOpening({ crop: 'squash-maxima', stage: 'coloured', seenOn: '2026-07-05' })[0] // { date: '2026-07-05', probability: 0.05 }
 */
export function forecastOpening(bud: BudSeen): DayChance[] {
  checkDate(bud.seenOn);
  if (bud.stage === 'spent')
    return [
      { date: addDays(bud.seenOn, -2), probability: 0.3 },
      { date: addDays(bud.seenOn, -1), probability: 0.7 },
    ];
  if (bud.stage === 'open') return [{ date: bud.seenOn, probability: 1 }];
  const alpha = openingAlpha(bud);
  const sum = alpha.reduce((a, b) => a + b, 0);
  const calendar = calendarFrom(bud.seenOn, bud.temperatures);
  return [
    ...onCalendar(
      alpha.map((value) => value / sum),
      calendar,
    ),
  ];
}

function checkDate(date: LocalDate): void {
  if (!isLocalDate(date))
    throw new TrowelError('date', `"${date}" is not a day (YYYY-MM-DD).`, { field: 'seenOn' });
}

/**
 * The forecast once it is known that the bud was still shut on `date`; as it was where that leaves nothing.
 * @example stillShutOn([{ date: '2026-07-15', probability: 0.75 }, { date: '2026-07-16', probability: 0.25 }], '2026-07-15') // [{ date: '2026-07-16', probability: 1 }]
 */
export function stillShutOn(forecast: Forecast, date: LocalDate): Forecast {
  const later = forecast.filter((each) => each.date > date);
  const sum = later.reduce((total, { probability }) => total + probability, 0);
  if (sum <= 1e-9) return forecast;
  return later.map((each) => ({ ...each, probability: each.probability / sum }));
}
