import { DROP_KINDS, followedFruit, groupTrials, outcomeOn, trialOf, type FollowedFruit } from '../fruitset';
import {
  eventsOf,
  subjectOf,
  type AnyEvent,
  type CareView,
  type Flower,
  type GroupView,
  type NotedDay,
  type Stand,
  type State,
} from '../ledger';
import { careDay, growing, mainPatch, plantName, type Growing } from '../patch';
import { daysBetween, localDateOf, type LocalDate } from '../time';
import { tableOf, type Column } from './column';
import type { Cell } from './csv';

/** One event, with what all of them carry; the rest as JSON, as it stands in the file. */
const EVENT_COLUMNS: readonly Column<AnyEvent>[] = [
  ['event', ({ id }) => id],
  ['at', ({ at }) => at],
  ['by', ({ by }) => by],
  ['device', ({ device }) => device],
  ['kind', ({ kind }) => kind],
  ['subject', (event) => subjectOf(event)],
  ['version', ({ v }) => v],
  ['content', (event) => JSON.stringify(contentOf(event))],
];

function contentOf(event: AnyEvent): Record<string, unknown> {
  const { id: _id, v: _v, at: _at, by: _by, device: _device, kind: _kind, ...rest } = event;
  return rest;
}

/** Every entry of the log, corrections and what was taken back among them. */
export function eventRows(state: State): Cell[][] {
  return tableOf(EVENT_COLUMNS, eventsOf(state));
}

interface OfFlower<Part> {
  readonly state: State;
  readonly zone: string;
  readonly flower: Flower;
  readonly found: Growing;
  readonly part: Part;
}

function partsOf<Part>(
  state: State,
  zone: string,
  parts: (flower: Flower) => readonly Part[],
): OfFlower<Part>[] {
  return [...state.flowers.values()].flatMap((flower) => {
    const found = growing(state, flower.plant);
    return found ? parts(flower).map((part) => ({ state, zone, flower, found, part })) : [];
  });
}

const POLLINATION_COLUMNS: readonly Column<OfFlower<Flower['pollinations'][number]>>[] = [
  ['flower', ({ flower }) => flower.id],
  ['plant', ({ flower }) => flower.plant],
  ['variety', ({ found }) => found.variety.name],
  ['at', ({ part }) => part.at],
  ['by', ({ part }) => part.by],
  ['tool', ({ part }) => part.tool],
  [
    'males',
    ({ part: { fathers } }) =>
      fathers.length === 0 ? null : fathers.reduce((sum, { males }) => sum + males, 0),
  ],
  [
    'fathers',
    ({ state, part }) =>
      part.fathers
        .map(({ plant }) => {
          const father = growing(state, plant);
          return father ? plantName(father) : plant;
        })
        .join('; '),
  ],
  ['shut again', ({ part }) => part.shutAgain],
  ['meant for', ({ part }) => part.purpose],
  ['lobes', ({ part }) => part.lobes],
];

/** Every visit with pollen to a flower. */
export function pollinationRows(state: State, zone: string): Cell[][] {
  return tableOf(
    POLLINATION_COLUMNS,
    partsOf(state, zone, ({ pollinations }) => pollinations),
  );
}

const LOOK_COLUMNS: readonly Column<OfFlower<Flower['looks'][number]>>[] = [
  ['flower', ({ flower }) => flower.id],
  ['plant', ({ flower }) => flower.plant],
  ['variety', ({ found }) => found.variety.name],
  ['at', ({ part }) => part.at],
  [
    'day',
    ({ flower, zone, part }) => {
      const first = flower.pollinations[0] ?? flower.left;
      const dayOf = (at: string) => localDateOf(Date.parse(at), zone);
      return first ? daysBetween(dayOf(first.at), dayOf(part.at)) : null;
    },
  ],
  ['result', ({ part }) => part.result],
  ['size (mm)', ({ part }) => part.sizeMm],
];

/** Every look at a flower or fruit. */
export function lookRows(state: State, zone: string): Cell[][] {
  return tableOf(
    LOOK_COLUMNS,
    partsOf(state, zone, ({ looks }) => looks),
  );
}

const DROPS: ReadonlySet<string> = new Set(DROP_KINDS);

const FRUIT_COLUMNS: readonly Column<
  FollowedFruit & { readonly found: Growing; readonly today: LocalDate }
>[] = [
  ['flower', ({ trial }) => trial.id],
  ['plant', ({ trial }) => trial.plant],
  ['variety', ({ found }) => found.variety.name],
  ['crop', ({ trial }) => trial.crop],
  ['worked on', ({ trial }) => trial.on],
  ['tool', ({ trial }) => trial.how],
  ['outcome', ({ trial, today }) => outcomeOn(trial, today)],
  ['after day', ({ after }) => after],
  ['by day', ({ by }) => by],
  ['end', ({ end }) => end],
  ['dropped', ({ end }) => Number(end !== null && DROPS.has(end))],
];

/** Every fruit that was followed: between which days its end came, or how long it was seen. */
export function fruitRows(state: State, zone: string, today: LocalDate): Cell[][] {
  const rows = partsOf(state, zone, () => [null]).flatMap(({ flower, found }) => {
    const trial = trialOf(flower, found, zone);
    const fruit = trial && followedFruit(trial, found.plant.ended?.at ?? null, zone, today);
    return fruit ? [{ ...fruit, found, today }] : [];
  });
  return tableOf(FRUIT_COLUMNS, rows);
}

/** A count of flowers together, or a tally that no count has taken in yet. */
interface GroupRow extends Pick<GroupView, 'plant' | 'from' | 'to' | 'how' | 'worked'> {
  readonly event: string;
  readonly variety: string | undefined;
  readonly stand: string;
  readonly set: number | null;
  readonly bent: number | null;
  readonly early: boolean | null;
  readonly by: string | null;
  readonly at: string | null;
}

const GROUP_COLUMNS: readonly Column<GroupRow>[] = [
  ['group', ({ event }) => event],
  ['stand', ({ stand }) => stand],
  ['variety', ({ variety }) => variety],
  ['plant', ({ plant }) => plant],
  ['from', ({ from }) => from],
  ['to', ({ to }) => to],
  ['how', ({ how }) => how],
  ['flowers', ({ worked }) => worked],
  ['set', ({ set }) => set],
  ['bent', ({ bent }) => bent],
  ['early', ({ early }) => early],
  ['by', ({ by }) => by],
  ['counted at', ({ at }) => at],
];

/** Every count of flowers that were counted together, and what was tallied and is still to be counted: what the screen lists. */
export function groupRows(state: State, zone: string): Cell[][] {
  const nameOf = (variety: string) => state.varieties.get(variety as never)?.name;
  const counted = [...state.stands.values()].flatMap((stand) =>
    stand.groups.map((group): GroupRow => ({ ...group, stand: stand.id, variety: nameOf(stand.variety) })),
  );
  const tallied = groupTrials(state, zone).flatMap((trial): GroupRow[] =>
    trial.set !== null || trial.how === null
      ? []
      : [
          {
            event: trial.id,
            stand: trial.stand,
            variety: nameOf(trial.variety),
            plant: trial.plant,
            from: trial.on,
            to: trial.until,
            how: trial.how,
            worked: trial.worked,
            set: null,
            bent: null,
            early: null,
            by: trial.by,
            at: trial.at,
          },
        ],
  );
  return tableOf(GROUP_COLUMNS, [...counted, ...tallied]);
}

const CARE_COLUMNS: readonly Column<{ state: State; stand: Stand; care: CareView; zone: string }>[] = [
  ['care', ({ care }) => care.event],
  ['stand', ({ stand }) => stand.id],
  ['variety', ({ state, stand }) => state.varieties.get(stand.variety)?.name],
  ['what', ({ care }) => care.care],
  ['with', ({ care }) => care.product],
  ['day', ({ care, zone }) => careDay(care, zone)],
  ['keep out (h)', ({ care }) => care.reentryHours],
  ['days to harvest', ({ care }) => care.daysToHarvest],
  ['by', ({ care }) => care.by],
  ['written at', ({ care }) => care.at],
];

/** Everything that was done for a stand besides pollinating. */
export function careRows(state: State, zone: string): Cell[][] {
  const rows = [...state.stands.values()].flatMap((stand) =>
    stand.cares.map((care) => ({ state, stand, care, zone })),
  );
  return tableOf(CARE_COLUMNS, rows);
}

const WEATHER_COLUMNS: readonly Column<NotedDay>[] = [
  ['date', ({ date }) => date],
  ['min (C)', ({ minC }) => minC],
  ['max (C)', ({ maxC }) => maxC],
  ['rain (mm)', ({ rainMm }) => rainMm],
  ['dew point (C)', ({ dewPointC }) => dewPointC],
  ['felt', ({ felt }) => felt],
  ['wind from (degrees)', ({ windFromDeg }) => windFromDeg],
];

/** Every day of which somebody noted the weather, in order. */
export function weatherRows(state: State): Cell[][] {
  const days = Object.values(mainPatch(state)?.weather ?? {});
  return tableOf(
    WEATHER_COLUMNS,
    days.sort((a, b) => (a.date < b.date ? -1 : 1)),
  );
}
