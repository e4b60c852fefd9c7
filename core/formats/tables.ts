import { gardenDay } from '../bloom';
import {
  allTrials,
  fruitsBefore,
  minutesAfterOpening,
  minutesAfterSunrise,
  outcomeDays,
  outcomeOn,
  countSet,
  weatherOf,
} from '../fruitset';
import { latestAt, type Flower, type State } from '../ledger';
import { growing, mainPatch, plantName, walkOrder } from '../patch';
import { fitForSeed } from '../purity';
import { localDateOf, type LocalDate } from '../time';
import { csvText, type Cell } from './csv';

const EPOCH = '1970-01-01T00:00:00.000Z';

/** The tables that can be saved as CSV. */
export const TABLES = ['flowers', 'trials', 'plants'] as const;
export type Table = (typeof TABLES)[number];

/**
 * One table as CSV for a spreadsheet, as things stand on a garden day (the log's last, where none is given); formulas in names are
 * defused. Times are UTC instants; what nobody recorded is an empty cell.
 */
export function toCsv(state: State, table: Table, today?: LocalDate): string {
  const zone = mainPatch(state)?.place?.zone ?? 'UTC';
  const day = today ?? localDateOf(Date.parse(latestAt(state) ?? EPOCH), zone);
  return csvText(TABLE[table](state, zone, day), { guardFormulas: true });
}

const TABLE: Record<Table, (state: State, zone: string, today: LocalDate) => Cell[][]> = {
  flowers: flowerRows,
  trials: trialRows,
  plants: plantRows,
};

/** What was recorded of every flower, and what it is fit for. */
function flowerRows(state: State): Cell[][] {
  const rows: Cell[][] = [
    [
      'flower',
      'bed',
      'variety',
      'plant',
      'node',
      'sex',
      'first seen',
      'stage',
      'shut',
      'closure',
      'at dawn',
      'pollinated',
      'by',
      'fathers',
      'males',
      'tool',
      'meant for',
      'shut again',
      'mark',
      'fit for seed',
      'why not',
      'lost',
      'cause',
      'harvested',
    ],
  ];
  for (const flower of state.flowers.values()) {
    const found = growing(state, flower.plant);
    if (!found) continue;
    const shut = flower.shuttings[0];
    const worked = flower.pollinations[0];
    const last = flower.pollinations[flower.pollinations.length - 1];
    const { verdict, reasons } = fitForSeed(flower, state);
    rows.push([
      flower.id,
      found.bed.name,
      found.variety.name,
      found.plant.label,
      flower.node,
      flower.sex,
      flower.sightings[0]?.at,
      flower.sightings[flower.sightings.length - 1]?.stage,
      shut?.at,
      shut?.closure,
      flower.checks.map(({ result }) => result).join(' '),
      worked?.at,
      worked?.by,
      fathersText(
        state,
        flower.pollinations.flatMap(({ fathers }) => fathers.map(({ plant }) => plant)),
      ),
      malesOf(flower),
      last?.tool,
      last?.purpose,
      last?.shutAgain,
      flower.mark,
      verdict,
      reasons
        .filter((reason) => reason.state !== 'seen')
        .map(({ link, what }) => `${link}: ${what}`)
        .join('; '),
      flower.lost?.at,
      flower.lost?.cause,
      flower.harvested?.at,
    ]);
  }
  return rows;
}

/** `null` where no father was named. */
function malesOf({ pollinations }: Flower): number | null {
  const fathers = pollinations.flatMap((each) => each.fathers);
  return fathers.length === 0 ? null : fathers.reduce((sum, { males }) => sum + males, 0);
}

/** Each father once, by name. */
function fathersText(state: State, plants: readonly string[]): string {
  return [...new Set(plants)]
    .map((plant) => {
      const father = growing(state, plant);
      return father ? plantName(father) : plant;
    })
    .join('; ');
}

/** The table of trials: a row a flower worked (or missed), or a counted group. */
function trialRows(state: State, zone: string, today: LocalDate): Cell[][] {
  const place = mainPatch(state)?.place ?? null;
  const sunrises = new Map<LocalDate, number>();
  const sunriseOn = (date: LocalDate): number | null => {
    if (place === null) return null;
    const known = sunrises.get(date) ?? gardenDay(place, date).sunrise;
    sunrises.set(date, known);
    return known;
  };
  const rows: Cell[][] = [
    [
      'trial',
      'kind',
      'stand',
      'variety',
      'crop',
      'plant',
      'season',
      'node',
      'worked at',
      'day',
      'until',
      'minutes after sunrise',
      'minutes after opening',
      'by',
      'tool',
      'fathers',
      'males',
      'meant for',
      'lobes',
      'closure before',
      'closure after',
      'min (C)',
      'max (C)',
      'rain (mm)',
      'fruits before',
      'looks',
      'flowers',
      'set',
      'bent',
      'outcome',
      'after day',
      'by day',
      'cause',
    ],
  ];
  for (const trial of allTrials(state, zone)) {
    const plant = trial.plant === null ? undefined : state.plants.get(trial.plant);
    const outcome = outcomeOn(trial, today);
    const between = outcomeDays(trial);
    const weather = weatherOf(state, trial);
    const sunrise = sunriseOn(trial.on);
    rows.push([
      trial.id,
      trial.kind,
      trial.stand,
      state.varieties.get(trial.variety)?.name,
      trial.crop,
      plant?.label,
      trial.season,
      trial.node,
      trial.at,
      trial.on,
      trial.until,
      sunrise === null ? null : minutesAfterSunrise(trial, sunrise),
      minutesAfterOpening(state, trial, zone),
      trial.by,
      trial.how,
      fathersText(
        state,
        trial.fathers.map((father) => father.plant),
      ),
      trial.fathers.length > 0 ? trial.males : null,
      trial.purpose,
      trial.lobes,
      trial.closureBefore,
      trial.closureAfter,
      weather?.minC,
      weather?.maxC,
      weather?.rainMm,
      fruitsBefore(state, trial, zone),
      trial.looks,
      trial.worked,
      trial.set,
      trial.bent,
      outcome,
      between?.after,
      between?.by,
      trial.cause,
    ]);
  }
  return rows;
}

function plantRows(state: State, zone: string, today: LocalDate): Cell[][] {
  const rows: Cell[][] = [
    [
      'bed',
      'variety',
      'plant',
      'crop',
      'x (m)',
      'y (m)',
      'worked',
      'set',
      'dropped',
      'waiting',
      'not looked at',
      'missed',
      'set share',
      'low 95 %',
      'high 95 %',
    ],
  ];
  const trials = allTrials(state, zone);
  for (const { plant, bed, variety, crop } of walkOrder(state)) {
    const own = countSet(
      trials.filter((trial) => trial.plant === plant.id),
      today,
    );
    rows.push([
      bed.name,
      variety.name,
      plant.label,
      crop.name,
      plant.xM,
      plant.yM,
      own.worked,
      own.set,
      own.dropped,
      own.waiting,
      own.notLookedAt,
      own.missed,
      rounded(own.share),
      rounded(own.interval?.low),
      rounded(own.interval?.high),
    ]);
  }
  return rows;
}

function rounded(share: number | null | undefined): number | null {
  return share === null || share === undefined ? null : Math.round(share * 1000) / 1000;
}
