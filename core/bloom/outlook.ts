import type { Crop, Sex, Stage } from '../crops';
import type { PlantId, VarietyId } from '../ids';
import type { Flower, Plant, State } from '../ledger';
import { walkOrder, type Growing } from '../patch';
import { hashText } from '../random';
import { addDays, daysBetween, localDateOf, type LocalDate } from '../time';
import { openedBetween, openedNextDay, recordsOf, teachingFlowers } from './budRecords';
import { alphaDraws, openingsExpected, type DayExpected, type ExpectedFlower } from './expected';
import {
  calendarFrom,
  onCalendar,
  openingAlpha,
  stillShutOn,
  type BudRecord,
  type Forecast,
} from './forecast';
import { lonelyDays, sheds, type Lonely } from './lonely';
import type { DayTemperature } from './warmth';

/** How many days ahead the patch is told of. */
export const OUTLOOK_DAYS = 5;
/** A bud not looked at for longer than this says little about tomorrow. */
const STALE_DAYS = 9;

/** A bud that may still open, with when. */
export interface ComingBud {
  /** `null`: males counted, not recorded one by one. */
  readonly flower: Flower | null;
  readonly growing: Growing;
  readonly sex: Sex;
  readonly stage: Stage;
  readonly seenOn: LocalDate;
  readonly forecast: Forecast;
}

/** A bud with the forecasts among which the truth may lie: what ranges are reckoned from. */
interface Imagined {
  readonly bud: ComingBud;
  readonly scenarios: readonly Forecast[];
}

/** Flowers of a variety to be expected open on one day. */
export interface OutlookDay {
  readonly date: LocalDate;
  /** Flowers that bear fruit: females, or perfect flowers. */
  readonly females: DayExpected;
  /** `null` where the crop has perfect flowers only. */
  readonly males: DayExpected | null;
}

/** The coming days of one variety. */
export interface VarietyOutlook {
  readonly variety: VarietyId;
  readonly name: string;
  readonly crop: Crop;
  readonly days: readonly OutlookDay[];
  readonly buds: readonly ComingBud[];
  /** Days on which females are likely and males of another plant are not. */
  readonly lonely: readonly Lonely[];
  /** Males seen and no female yet: normal early in the season. */
  readonly allMaleSoFar: boolean;
  /** The grower's own: buds of the coloured stage that opened next day, of this crop and of this variety. */
  readonly nextDay: { readonly opened: number; readonly known: number };
  readonly nextDayHere: { readonly opened: number; readonly known: number };
}

/** What the outlook is told from. */
export interface OutlookInput {
  readonly state: State;
  readonly zone: string;
  /** The day that is nearly over, or just begun: openings are told from the next morning on, or from today. */
  readonly from: LocalDate;
  readonly temperatures?: readonly DayTemperature[];
}

/** How many of the latest records of a crop and stage are looked at: far more than can matter. */
const MOST_RECORDS = 400;

/**
 * What opens in the next days, by variety: exact counts of females and males with 80 % ranges, from every bud seen
 * lately and what the grower's own records say of such buds. Cost grows with the buds in sight, not with the years.
 * @example bloomOutlook({ state, zone, from: '2026-07-06' }).length // 1
 */
export function bloomOutlook({ state, zone, from, temperatures }: OutlookInput): VarietyOutlook[] {
  const records = recordsOf(state, zone, teachingFlowers(state, from));
  const draws = kindsOf(records, temperatures);
  return [...varietiesSeen(state, zone, from, draws).values()].map((seen) =>
    outlookOf(seen, state, from, records),
  );
}

/** What is in sight of one variety: its buds with what may become of them, and what its plants have shown. */
interface VarietySeen {
  /** Any of its plants. */
  readonly growing: Growing;
  plants: number;
  readonly imagined: Imagined[];
  females: boolean;
  males: boolean;
  readonly shedding: Set<PlantId>;
}

function varietiesSeen(
  state: State,
  zone: string,
  from: LocalDate,
  draws: ReturnType<typeof kindsOf>,
): Map<VarietyId, VarietySeen> {
  const byVariety = new Map<VarietyId, VarietySeen>();
  for (const growing of walkOrder(state)) {
    let seen = byVariety.get(growing.variety.id);
    if (!seen) {
      seen = { growing, plants: 0, imagined: [], females: false, males: false, shedding: new Set() };
      byVariety.set(growing.variety.id, seen);
    }
    seen.plants++;
    for (const bud of budsOn(state, growing, zone, from, draws)) seen.imagined.push(bud);
    const flowers = (state.flowersOf.get(growing.plant.id) ?? []).map((id) => state.flowers.get(id));
    if (growing.crop.family === 'corn' && flowers.some((flower) => flower && sheds(flower, from, zone)))
      seen.shedding.add(growing.plant.id);
    seen.females ||= flowers.some((flower) => flower?.sex === 'female');
    seen.males ||= flowers.some((flower) => flower?.sex === 'male') || growing.plant.males.length > 0;
  }
  return byVariety;
}

function outlookOf(
  { growing, plants, imagined, females, males, shedding }: VarietySeen,
  state: State,
  from: LocalDate,
  records: readonly BudRecord[],
): VarietyOutlook {
  const { crop, variety, stand } = growing;
  const buds = imagined.map(({ bud }) => bud);
  const perfect = crop.flowers.perfect !== undefined;
  const days = Array.from({ length: OUTLOOK_DAYS }, (_, i) => addDays(from, i));
  const expected = (sex: 'bearing' | 'male') =>
    expectedOn(
      days,
      imagined.filter(({ bud }) => (bud.sex === 'male') === (sex === 'male')),
    );
  const bearing = expected('bearing');
  const fathers = perfect ? null : expected('male');
  const choice = state.patches.get(growing.bed.patch)?.schools.selfing;
  const alone = !perfect && stand.reason !== 'fruit';
  // The only plant of its variety has no father but its own males, unless those are never offered.
  const ownServe = choice === 'allowed' || (plants === 1 && choice !== 'never');
  return {
    variety: variety.id,
    name: variety.name,
    crop,
    buds,
    days: days.map((date, i) => ({
      date,
      females: bearing[i] as DayExpected,
      males: fathers ? (fathers[i] as DayExpected) : null,
    })),
    lonely: alone ? lonelyDays(days, buds, ownServe, shedding) : [],
    allMaleSoFar: !perfect && crop.family === 'cucurbit' && males && !females,
    nextDay: openedNextDay(
      records.filter((record) => record.crop === crop.id),
      'coloured',
    ),
    nextDayHere: openedNextDay(
      records.filter((record) => record.variety === variety.id),
      'coloured',
    ),
  };
}

function expectedOn(days: readonly LocalDate[], buds: readonly Imagined[]): DayExpected[] {
  const wanted = new Set(days);
  // Buds of one kind seen on one day share their scenarios: cut to the days once.
  const cut = new Map<readonly Forecast[], ExpectedFlower>();
  const flowers = buds.map(({ scenarios }) => {
    let flower = cut.get(scenarios);
    if (!flower) {
      flower = { scenarios: scenarios.map((forecast) => forecast.filter(({ date }) => wanted.has(date))) };
      cut.set(scenarios, flower);
    }
    return flower;
  });
  const found = new Map(openingsExpected(flowers).map((day) => [day.date, day]));
  return days.map((date) => found.get(date) ?? { date, mean: 0, low80: 0, high80: 0 });
}

interface Kind {
  /** Its forecasts when seen on a day and known to be still shut on another; worked out once for all such buds. */
  on(
    seenOn: LocalDate,
    shutOn: LocalDate | null,
  ): {
    readonly forecast: Forecast;
    readonly scenarios: readonly Forecast[];
  };
}
type Kinds = (crop: Crop, variety: VarietyId, sex: Sex, stage: Stage) => Kind;

/** Posterior of each kind of bud (crop, variety, sex, stage), worked out once. */
function kindsOf(records: readonly BudRecord[], temperatures?: readonly DayTemperature[]): Kinds {
  const byCrop = new Map<string, BudRecord[]>();
  for (const record of records) {
    const key = `${record.crop}/${record.stage}`;
    const list = byCrop.get(key);
    if (list) list.push(record);
    else byCrop.set(key, [record]);
  }
  for (const [key, list] of byCrop)
    if (list.length > MOST_RECORDS)
      byCrop.set(key, list.sort((a, b) => (a.seenOn < b.seenOn ? 1 : -1)).slice(0, MOST_RECORDS));
  const known = new Map<string, Kind>();
  return (crop, variety, sex, stage) => {
    const key = `${crop.id}/${variety}/${sex}/${stage}`;
    let kind = known.get(key);
    if (!kind) {
      const fitting = byCrop.get(`${crop.id}/${stage}`) ?? [];
      const alpha = openingAlpha({
        crop: crop.id,
        variety,
        sex,
        stage,
        seenOn: '2026-01-01',
        records: fitting,
        temperatures,
      });
      kind = kindFrom(alpha, hashText(key), temperatures);
      known.set(key, kind);
    }
    return kind;
  };
}

function kindFrom(alpha: readonly number[], seed: number, temperatures?: readonly DayTemperature[]): Kind {
  const sum = alpha.reduce((a, b) => a + b, 0);
  const mean = alpha.map((value) => value / sum);
  const draws = alphaDraws(alpha, seed);
  const known = new Map<string, ReturnType<Kind['on']>>();
  return {
    on(seenOn, shutOn) {
      const key = `${seenOn}/${shutOn}`;
      let found = known.get(key);
      if (!found) {
        const calendar = calendarFrom(seenOn, temperatures);
        const told = (chances: readonly number[]) => {
          const forecast = onCalendar(chances, calendar);
          return shutOn === null ? forecast : stillShutOn(forecast, shutOn);
        };
        known.set(key, (found = { forecast: told(mean), scenarios: draws.map(told) }));
      }
      return found;
    },
  };
}

/** Buds of one plant that may still open, recorded one by one or counted. */
function budsOn(state: State, growing: Growing, zone: string, from: LocalDate, kinds: Kinds): Imagined[] {
  const { crop, plant, variety } = growing;
  const dusk = crop.clock.round === 'dusk';
  const buds: Imagined[] = [];
  const add = (
    flower: Flower | null,
    sex: Sex,
    stage: Stage,
    seenOn: LocalDate,
    shutOn: LocalDate | null,
    count: number,
  ) => {
    const { forecast, scenarios } = kinds(crop, variety.id, sex, stage).on(seenOn, shutOn);
    // Nobody looked again, and by now it is all but certain that it opened.
    if (forecast.every(({ date, probability }) => date < from || probability < 0.01)) return;
    const bud = { bud: { flower, growing, sex, stage, seenOn, forecast }, scenarios };
    for (let i = 0; i < count; i++) buds.push(bud);
  };
  for (const id of state.flowersOf.get(plant.id) ?? []) {
    const flower = state.flowers.get(id);
    const last = flower?.sightings[flower.sightings.length - 1];
    if (!flower || !last || flower.lost || flower.pollinations.length > 0 || flower.harvested) continue;
    if (last.stage === 'open' || last.stage === 'spent') continue;
    const seenOn = localDateOf(Date.parse(last.at), zone);
    if (daysBetween(seenOn, from) > STALE_DAYS) continue;
    const { from: earliest, to } = openedBetween(flower, zone, dusk);
    if (to !== null && to < from) continue;
    add(flower, flower.sex, last.stage, seenOn, earliest === null ? null : addDays(earliest, -1), 1);
  }
  for (const { stage, date, count } of latestCounts(plant, zone))
    if (daysBetween(date, from) <= STALE_DAYS && stage !== 'open' && stage !== 'spent')
      add(null, 'male', stage, date, dusk ? null : date, count);
  return buds;
}

/** Males counted on the last day anybody counted on this plant: an older count may speak of the same buds. */
function latestCounts(plant: Plant, zone: string): { stage: Stage; date: LocalDate; count: number }[] {
  const counts = plant.males.map(({ at, stage, count }) => ({
    stage,
    count,
    date: localDateOf(Date.parse(at), zone),
  }));
  const last = counts.reduce((latest, { date }) => (date > latest ? date : latest), '');
  return counts.filter(({ date }) => date === last);
}

/** Buds of one plant, soonest first. */
export function budsOfPlant(outlook: readonly VarietyOutlook[], plant: PlantId): ComingBud[] {
  return outlook
    .flatMap(({ buds }) => buds.filter((bud) => bud.growing.plant.id === plant))
    .sort((a, b) => ((likeliest(a.forecast)?.date ?? '') < (likeliest(b.forecast)?.date ?? '') ? -1 : 1));
}

/**
 * The likeliest day of a forecast.
 * @example likeliest([{ date: '2026-07-15', probability: 0.7 }, { date: '2026-07-16', probability: 0.3 }]) // { date: '2026-07-15', probability: 0.7 }
 */
export function likeliest(
  forecast: Forecast,
): { readonly date: LocalDate; readonly probability: number } | null {
  let best: { date: LocalDate; probability: number } | null = null;
  for (const each of forecast) if (!best || each.probability > best.probability) best = each;
  return best;
}
