import { gardenDay } from '../bloom';
import {
  allTrials,
  fruitsBefore,
  minutesAfterOpening,
  minutesAfterSunrise,
  outcomeDays,
  outcomeOn,
  countSet,
  type SetCount,
  type Trial,
} from '../fruitset';
import { latestAt, type Flower, type NotedDay, type State } from '../ledger';
import { growing, mainPatch, plantName, plantPlace, standingOrder, type Growing } from '../patch';
import { fitForSeed, type SeedFitness } from '../purity';
import { localDateOf, type LocalDate } from '../time';
import { tableOf, type Column } from './column';
import { csvText, type Cell } from './csv';
import { dictionaryRows } from './dictionary';
import { lineageRows, lotRows } from './seedTables';
import {
  careRows,
  eventRows,
  fruitRows,
  groupRows,
  lookRows,
  pollinationRows,
  weatherRows,
} from './tidyTables';

const EPOCH = '1970-01-01T00:00:00.000Z';

/** The tables that can be saved as CSV. */
export const TABLES = [
  'events',
  'flowers',
  'pollinations',
  'looks',
  'fruits',
  'trials',
  'groups',
  'care',
  'plants',
  'lots',
  'lineage',
  'weather',
  'dictionary',
] as const;
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
  events: eventRows,
  flowers: flowerRows,
  pollinations: pollinationRows,
  looks: lookRows,
  fruits: fruitRows,
  trials: trialRows,
  groups: groupRows,
  care: careRows,
  plants: plantRows,
  lots: (state, _zone, today) => lotRows(state, today),
  lineage: lineageRows,
  weather: weatherRows,
  dictionary: dictionaryRows,
};

interface FlowerRow {
  readonly state: State;
  readonly flower: Flower;
  readonly found: Growing;
  readonly fit: SeedFitness;
}

const FLOWER_COLUMNS: readonly Column<FlowerRow>[] = [
  ['flower', ({ flower }) => flower.id],
  ['bed', ({ found }) => found.bed.name],
  ['variety', ({ found }) => found.variety.name],
  ['plant', ({ found }) => found.plant.label],
  ['node', ({ flower }) => flower.node],
  ['sex', ({ flower }) => flower.sex],
  ['first seen', ({ flower }) => flower.sightings[0]?.at],
  ['stage', ({ flower }) => flower.sightings.at(-1)?.stage],
  ['shut', ({ flower }) => flower.shuttings[0]?.at],
  ['closure', ({ flower }) => flower.shuttings[0]?.closure],
  ['at dawn', ({ flower }) => flower.checks.map(({ result }) => result).join(' ')],
  ['pollinated', ({ flower }) => flower.pollinations[0]?.at],
  ['by', ({ flower }) => flower.pollinations[0]?.by],
  [
    'fathers',
    ({ state, flower }) =>
      fathersText(
        state,
        flower.pollinations.flatMap(({ fathers }) => fathers.map(({ plant }) => plant)),
      ),
  ],
  ['males', ({ flower }) => malesOf(flower)],
  ['tool', ({ flower }) => flower.pollinations.at(-1)?.tool],
  ['meant for', ({ flower }) => flower.pollinations.at(-1)?.purpose],
  ['shut again', ({ flower }) => flower.pollinations.at(-1)?.shutAgain],
  ['mark', ({ flower }) => flower.mark],
  ['fit for seed', ({ fit }) => fit.verdict],
  [
    'why not',
    ({ fit }) =>
      fit.reasons
        .filter((reason) => reason.state !== 'seen')
        .map(({ link, what }) => `${link}: ${what}`)
        .join('; '),
  ],
  ['lost', ({ flower }) => flower.lost?.at],
  ['cause', ({ flower }) => flower.lost?.cause],
  ['harvested', ({ flower }) => flower.harvested?.at],
];

/** What was recorded of every flower, and what it is fit for. */
function flowerRows(state: State): Cell[][] {
  const rows = [...state.flowers.values()].flatMap((flower): FlowerRow[] => {
    const found = growing(state, flower.plant);
    return found ? [{ state, flower, found, fit: fitForSeed(flower, state) }] : [];
  });
  return tableOf(FLOWER_COLUMNS, rows);
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

interface TrialRow {
  readonly state: State;
  readonly zone: string;
  readonly today: LocalDate;
  readonly trial: Trial;
  readonly weather: NotedDay | undefined;
  readonly sunrise: number | null;
}

const TRIAL_COLUMNS: readonly Column<TrialRow>[] = [
  ['trial', ({ trial }) => trial.id],
  ['kind', ({ trial }) => trial.kind],
  ['stand', ({ trial }) => trial.stand],
  ['variety', ({ state, trial }) => state.varieties.get(trial.variety)?.name],
  ['crop', ({ trial }) => trial.crop],
  ['plant', ({ state, trial }) => (trial.plant === null ? null : state.plants.get(trial.plant)?.label)],
  ['plant id', ({ trial }) => trial.plant],
  ['season', ({ trial }) => trial.season],
  ['node', ({ trial }) => trial.node],
  ['worked at', ({ trial }) => trial.at],
  ['day', ({ trial }) => trial.on],
  ['until', ({ trial }) => trial.until],
  [
    'minutes after sunrise',
    ({ trial, sunrise }) => (sunrise === null ? null : minutesAfterSunrise(trial, sunrise)),
  ],
  ['minutes after opening', ({ state, trial, zone }) => minutesAfterOpening(state, trial, zone)],
  ['by', ({ trial }) => trial.by],
  ['tool', ({ trial }) => trial.how],
  [
    'fathers',
    ({ state, trial }) =>
      fathersText(
        state,
        trial.fathers.map((father) => father.plant),
      ),
  ],
  ['males', ({ trial }) => (trial.fathers.length > 0 ? trial.males : null)],
  ['meant for', ({ trial }) => trial.purpose],
  ['lobes', ({ trial }) => trial.lobes],
  ['closure before', ({ trial }) => trial.closureBefore],
  ['closure after', ({ trial }) => trial.closureAfter],
  ['min (C)', ({ weather }) => weather?.minC],
  ['max (C)', ({ weather }) => weather?.maxC],
  ['rain (mm)', ({ weather }) => weather?.rainMm],
  ['fruits before', ({ state, trial, zone }) => fruitsBefore(state, trial, zone)],
  ['looks', ({ trial }) => trial.looks],
  ['flowers', ({ trial }) => trial.worked],
  ['set', ({ trial }) => trial.set],
  ['bent', ({ trial }) => trial.bent],
  ['outcome', ({ trial, today }) => outcomeOn(trial, today)],
  ['after day', ({ trial }) => outcomeDays(trial)?.after],
  ['by day', ({ trial }) => outcomeDays(trial)?.by],
  ['cause', ({ trial }) => trial.cause],
];

/** The table of trials: a row a flower worked (or missed), or a counted group. */
function trialRows(state: State, zone: string, today: LocalDate): Cell[][] {
  const patch = mainPatch(state);
  const place = patch?.place ?? null;
  const sunrises = new Map<LocalDate, number>();
  const sunriseOn = (date: LocalDate): number | null => {
    if (place === null) return null;
    const known = sunrises.get(date) ?? gardenDay(place, date).sunrise;
    sunrises.set(date, known);
    return known;
  };
  return tableOf(
    TRIAL_COLUMNS,
    allTrials(state, zone).map((trial) => ({
      state,
      zone,
      today,
      trial,
      weather: patch?.weather[trial.on],
      sunrise: sunriseOn(trial.on),
    })),
  );
}

interface PlantRow {
  readonly found: Growing;
  readonly own: SetCount;
}

const PLANT_COLUMNS: readonly Column<PlantRow>[] = [
  ['bed', ({ found }) => found.bed.name],
  ['variety', ({ found }) => found.variety.name],
  ['plant', ({ found }) => found.plant.label],
  ['crop', ({ found }) => found.crop.name],
  ['x (m)', ({ found }) => rounded(plantPlace(found).xM)],
  ['y (m)', ({ found }) => rounded(plantPlace(found).yM)],
  ['worked', ({ own }) => own.worked],
  ['set', ({ own }) => own.set],
  ['dropped', ({ own }) => own.dropped],
  ['waiting', ({ own }) => own.waiting],
  ['not looked at', ({ own }) => own.notLookedAt],
  ['missed', ({ own }) => own.missed],
  ['set share', ({ own }) => rounded(own.share)],
  ['low 95 %', ({ own }) => rounded(own.interval?.low)],
  ['high 95 %', ({ own }) => rounded(own.interval?.high)],
];

function plantRows(state: State, zone: string, today: LocalDate): Cell[][] {
  const trialsOf = new Map<string | null, Trial[]>();
  for (const trial of allTrials(state, zone))
    trialsOf.set(trial.plant, [...(trialsOf.get(trial.plant) ?? []), trial]);
  return tableOf(
    PLANT_COLUMNS,
    standingOrder(state).map((found) => ({
      found,
      own: countSet(trialsOf.get(found.plant.id) ?? [], today),
    })),
  );
}

function rounded(share: number | null | undefined): number | null {
  return share === null || share === undefined ? null : Math.round(share * 1000) / 1000;
}
