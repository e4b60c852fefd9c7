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
  trialTablesIn,
  type TrialPart,
  type TrialTables,
} from '../fruitset';
import type { PlantId } from '../ids';
import type { Patch, State, Where } from '../ledger';
import { mainPatch } from '../patch';
import { remembered, sameUnder, steady } from '../remember';
import type { Instant, LocalDate } from '../time';

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

/** The tables from which cases are read. */
type CaseTables = TrialTables & Pick<State, 'patches'>;

/** Every trial as a case, as things stand on a garden day; those whose morning is still to come are none yet. */
export const allCases = remembered(
  'cases',
  (state: CaseTables, { latitude, longitude, zone }: Where, today: LocalDate) => ({
    ...trialTablesIn(state),
    patches: state.patches,
    latitude,
    longitude,
    zone,
    today,
  }),
  ({ latitude, longitude, zone, today, ...state }): readonly Case[] => {
    const bare = [...eachCasePart(state, { latitude, longitude, zone }, today)].flat();
    const loads = loadsOf(bare);
    return bare.map((each) => ({ ...each, load: loads(each.trial) }));
  },
);

/** A case before it is known what hung on its plant: that is said by flowers of other parts, too. */
type BareCase = Omit<Case, 'load'>;

/** The cases some hundred flowers at a time, so that those of an old log can be worked out in idle moments. */
export function* eachCasePart(
  state: CaseTables,
  { zone, latitude, longitude }: Where,
  today: LocalDate,
): Generator<readonly BareCase[], void> {
  const weather = mainPatch(state)?.weather ?? NO_WEATHER;
  const setting: Setting = { ends: endsOf(state), weather, zone, latitude, longitude, today };
  for (const part of eachTrialPart(state, zone)) yield casesOfPart(part, setting);
  yield casesFrom(groupTrials(state, zone), setting);
}

/** What cases hang on besides their trials. */
interface Setting extends Where {
  /** When plants came to their end. */
  readonly ends: ReadonlyMap<PlantId, Instant>;
  /** By day, as somebody noted it, or a file or station brought it. */
  readonly weather: Patch['weather'];
  readonly today: LocalDate;
}

const NO_WEATHER: Patch['weather'] = {};

const casesOfPart = remembered(
  'case part',
  (part: TrialPart, setting: Setting) => ({ part, ...setting }),
  ({ part, ...setting }) => casesFrom(part.rows, setting),
);

function casesFrom(trials: readonly Trial[], { ends, today, weather, ...where }: Setting): BareCase[] {
  const sunriseOn = sunrises(where);
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
        season: seasonYear(trial.on, where.latitude),
        cluster: trial.plant ?? trial.id,
        judged: judged?.n ?? 0,
        set: judged?.k ?? 0,
        minutes: timed ? minutesAfterSunrise(trial, sunriseOn(trial.on)) : null,
        maxC,
        dewPointC,
        males: trial.fathers.length > 0 ? trial.males : null,
        lobes: trial.lobes,
        followed: followedFruit(trial, (trial.plant && ends.get(trial.plant)) ?? null, where.zone, today),
      },
    ];
  });
}

const steadyEnds = steady<Setting['ends']>(sameUnder((a, b) => a === b));
const endsOf = remembered(
  'ends',
  ({ plants }: Pick<State, 'plants'>) => ({ plants }),
  ({ plants }): Setting['ends'] =>
    steadyEnds(new Map([...plants.values()].flatMap(({ id, ended }) => (ended ? [[id, ended.at]] : [])))),
);

/** The sunrises of one place, each worked out once: they depend on the place alone, and of the last one asked about all are kept. */
const sunrises = ((): ((where: Where) => (date: LocalDate) => number) => {
  let last: { readonly key: string; readonly on: (date: LocalDate) => number } | null = null;
  return ({ zone, latitude, longitude }) => {
    const key = `${zone}/${latitude}/${longitude}`;
    if (last?.key === key) return last.on;
    const known = new Map<LocalDate, number>();
    const on = (date: LocalDate) => {
      const sunrise = known.get(date) ?? gardenDay({ zone, latitude, longitude }, date).sunrise;
      known.set(date, sunrise);
      return sunrise;
    };
    last = { key, on };
    return on;
  };
})();

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
