import { gardenDay } from '../bloom';
import {
  eachTrialPart,
  followedFruit,
  groupTrials,
  hungAt,
  judgedOf,
  minutesAfterSunrise,
  outcomeOn,
  type FollowedFruit,
  type Outcome,
  type Trial,
  type TrialPart,
} from '../fruitset';
import type { PlantId } from '../ids';
import type { Patch, Place, State } from '../ledger';
import { mainPatch } from '../patch';
import { remembered } from '../remember';
import type { LocalDate } from '../time';

/** A trial with all that may have had a hand in how it went; `null`: nobody wrote it down. */
export interface Case {
  readonly trial: Trial;
  readonly outcome: Outcome;
  /** The year of its season: from July to June, where that is winter to winter. */
  readonly season: number;
  /** Its plant; a count of a whole stand stands for itself. */
  readonly cluster: string;
  /** With a verdict: of so many flowers so many set. */
  readonly judged: number;
  readonly set: number;
  /** Minutes from sunrise to the work; a flower left to the insects has no hour. */
  readonly minutes: number | null;
  readonly maxC: number | null;
  readonly dewPointC: number | null;
  /** Males that gave their pollen; `null` where no father was named. */
  readonly males: number | null;
  readonly lobes: number | null;
  /** Fruits that stood on the plant by then. */
  readonly load: number | null;
  readonly followed: FollowedFruit | null;
}

/**
 * The year of the season that a day belongs to. South of the equator the summer lies over New Year: its season runs from July to June
 * and is called by the year in which it begins.
 * @example seasonYear('2027-01-12', -36.8) // 2026
 * @example seasonYear('2027-01-12', 46.2) // 2027
 */
export function seasonYear(date: LocalDate, latitude: number): number {
  const year = Number(date.slice(0, 4));
  return latitude < 0 && date.slice(5) < '07-01' ? year - 1 : year;
}

/** Every trial as a case, as things stand on a garden day; those whose morning is still to come are none yet. */
export const allCases = remembered(
  (state: State, _place: Place, today: LocalDate) => [state, today],
  (state, place, today): readonly Case[] => {
    const bare = [...eachCasePart(state, place, today)].flat();
    const loads = loadsOf(bare);
    return bare.map((each) => ({ ...each, load: loads(each.trial) }));
  },
);

/** A case before it is known what hung on its plant: that is said by flowers of other parts, too. */
type BareCase = Omit<Case, 'load'>;

/** The cases some hundred flowers at a time, so that those of an old log can be worked out in idle moments. */
export function* eachCasePart(
  state: State,
  place: Place,
  today: LocalDate,
): Generator<readonly BareCase[], void> {
  const { zone, latitude, longitude } = place;
  const sunriseOn = sunrises(zone, latitude, longitude);
  const weather = mainPatch(state)?.weather ?? NO_WEATHER;
  const setting: Setting = { state, place, today, weather, sunriseOn };
  for (const part of eachTrialPart(state, zone)) yield casesOfPart(part, setting);
  yield casesFrom(groupTrials(state, zone), setting);
}

interface Setting {
  readonly state: State;
  readonly place: Place;
  readonly today: LocalDate;
  /** By day, as somebody noted it, or a file or station brought it. */
  readonly weather: Patch['weather'];
  readonly sunriseOn: (date: LocalDate) => number;
}

const NO_WEATHER: Patch['weather'] = {};

// A place that came by message is a new object each time, so it is compared by its numbers.
const casesOfPart = remembered(
  (part: TrialPart, { state, place, today, weather }: Setting) => [
    part,
    endsOf(state),
    weather,
    place.latitude,
    place.longitude,
    place.zone,
    today,
  ],
  ({ rows }, setting) => casesFrom(rows, setting),
);

function casesFrom(
  trials: readonly Trial[],
  { state, place, today, weather, sunriseOn }: Setting,
): BareCase[] {
  return trials.flatMap((trial): BareCase[] => {
    const outcome = outcomeOn(trial, today);
    if (outcome === null) return [];
    const { maxC = null, dewPointC = null } = weather[trial.on] ?? {};
    const judged = judgedOf(trial, outcome);
    const timed = trial.at !== null && trial.kind === 'flower' && trial.how !== 'insects';
    return [
      {
        trial,
        outcome,
        season: seasonYear(trial.on, place.latitude),
        cluster: trial.plant ?? trial.id,
        judged: judged?.n ?? 0,
        set: judged?.k ?? 0,
        minutes: timed ? minutesAfterSunrise(trial, sunriseOn(trial.on)) : null,
        maxC,
        dewPointC,
        males: trial.fathers.length > 0 ? trial.males : null,
        lobes: trial.lobes,
        followed: followedFruit(state, trial, place.zone, today),
      },
    ];
  });
}

let latestEnds: ReadonlyMap<PlantId, string> = new Map();
/** When plants came to their end; the same object for as long as it says the same: a plant looked over ends nothing. */
const endsOf = remembered(
  ({ plants }: State) => [plants],
  ({ plants }) => {
    const ends = new Map<PlantId, string>();
    for (const { id, ended } of plants.values()) if (ended) ends.set(id, ended.at);
    const same = ends.size === latestEnds.size && [...ends].every(([id, at]) => latestEnds.get(id) === at);
    if (!same) latestEnds = ends;
    return latestEnds;
  },
);

let latestSunrises: { readonly key: string; readonly of: (date: LocalDate) => number } | null = null;

/** The sunrises of one place, each worked out once. */
function sunrises(zone: string, latitude: number, longitude: number): (date: LocalDate) => number {
  const key = `${zone}/${latitude}/${longitude}`;
  if (latestSunrises?.key === key) return latestSunrises.of;
  const known = new Map<LocalDate, number>();
  const of = (date: LocalDate) => {
    const sunrise = known.get(date) ?? gardenDay({ zone, latitude, longitude }, date).sunrise;
    known.set(date, sunrise);
    return sunrise;
  };
  latestSunrises = { key, of };
  return of;
}

/** `fruitsBefore` of all trials, with each plant gone through once. */
function loadsOf(cases: readonly BareCase[]): (trial: Trial) => number | null {
  const fruits = new Map<PlantId, Trial[]>();
  for (const { trial } of cases) {
    if (trial.plant === null || !trial.facts?.set) continue;
    const list = fruits.get(trial.plant);
    if (list) list.push(trial);
    else fruits.set(trial.plant, [trial]);
  }
  return ({ id, plant, at }) => {
    if (plant === null || at === null) return null;
    let hanging = 0;
    for (const other of fruits.get(plant) ?? [])
      if (other.id !== id && other.facts && hungAt(other.facts, at)) hanging++;
    return hanging;
  };
}
