import { gardenDay } from '../bloom';
import {
  allTrials,
  followedFruit,
  hungAt,
  judgedOf,
  minutesAfterSunrise,
  outcomeOn,
  weatherOf,
  type FollowedFruit,
  type Outcome,
  type Trial,
} from '../fruitset';
import type { PlantId } from '../ids';
import type { Place, State } from '../ledger';
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
    const trials = allTrials(state, place.zone);
    const sunriseOn = sunrises(place);
    const loads = loadsOf(trials);
    return trials.flatMap((trial): Case[] => {
      const outcome = outcomeOn(trial, today);
      if (outcome === null) return [];
      const weather = weatherOf(state, trial);
      const judged = judgedOf(trial, outcome);
      return [
        {
          trial,
          outcome,
          season: seasonYear(trial.on, place.latitude),
          cluster: trial.plant ?? trial.id,
          judged: judged?.n ?? 0,
          set: judged?.k ?? 0,
          minutes:
            trial.at === null || trial.kind === 'group' || trial.how === 'insects'
              ? null
              : minutesAfterSunrise(trial, sunriseOn(trial.on)),
          maxC: weather?.maxC ?? null,
          dewPointC: weather?.dewPointC ?? null,
          males: trial.fathers.length > 0 ? trial.males : null,
          lobes: trial.lobes,
          load: loads(trial),
          followed: followedFruit(state, trial, place.zone, today),
        },
      ];
    });
  },
);

function sunrises(place: Place): (date: LocalDate) => number {
  const known = new Map<LocalDate, number>();
  return (date) => {
    const sunrise = known.get(date) ?? gardenDay(place, date).sunrise;
    known.set(date, sunrise);
    return sunrise;
  };
}

/** `fruitsBefore` of all trials, with each plant gone through once. */
function loadsOf(trials: readonly Trial[]): (trial: Trial) => number | null {
  const fruits = new Map<PlantId, Trial[]>();
  for (const trial of trials) {
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
