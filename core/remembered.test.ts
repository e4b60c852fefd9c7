import fc from 'fast-check';
import './bloom';
import './corn';
import './crosses';
import './formats';
import './kitchen';
import './practice';
import './rounds';
import './seed';
import './simulation';
import './study';
import './tags';
import { cropOf, type Crop } from './crops';
import type { PlantId } from './ids';
import { applyAll, emptyState, fold, Shards, type AnyEvent, type Flower, type State } from './ledger';
import { everyRemembered } from './remember';
import { mainPatch } from './patch';
import { arrivingLog, LOG_DAY } from './testLogs';
import { TEST_PLACE } from './testGarden';

type Answer = (...args: unknown[]) => never;
/** Asks a remembered answer of a state, and gives what it said as plain data, in an order of its own where it promises none. */
type Ask = (answer: Answer, state: State, others: (name: string) => Answer) => unknown;

const { zone } = TEST_PLACE;
const flowersIn = (state: State): Flower[] => [...state.flowers.values()].sort(byId);
const byId = (a: { readonly id: string }, b: { readonly id: string }) => (a.id < b.id ? -1 : 1);
const ids = (list: Iterable<{ readonly id: string }>) => [...list].map(({ id }) => id);
const sorted = <T>(list: Iterable<T>): T[] =>
  [...list]
    .map((item) => ({ item, text: JSON.stringify(plain(item)) }))
    .sort((a, b) => (a.text < b.text ? -1 : 1))
    .map(({ item }) => item);
const wholeOf: Ask = (answer, state) => answer(state);
const sortedOf: Ask = (answer, state) => sorted(answer(state) as Iterable<unknown>);
const partsOf =
  (...more: unknown[]): Ask =>
  (answer, state) =>
    sorted(Shards.of(state.flowers).parts.flatMap((part) => sorted(entriesOf(answer(part, ...more)))));
const logPartsOf =
  (...more: unknown[]): Ask =>
  (answer, state) =>
    Shards.of(state.log).parts.map((part) =>
      Object.values(answer(part, ...more) as object).map((found: unknown) => sorted(entriesOf(found))),
    );
const entriesOf = (value: unknown): Iterable<unknown> =>
  value && typeof value === 'object' && Symbol.iterator in value ? (value as Iterable<unknown>) : [value];
const eachFlower =
  (args: (flower: Flower, state: State) => readonly unknown[] | null): Ask =>
  (answer, state) =>
    flowersIn(state).map((flower) => {
      const asked = args(flower, state);
      return asked && [flower.id, answer(flower, ...asked)];
    });
const grownAs = (flower: Flower, state: State) => {
  const stand = state.stands.get(state.plants.get(flower.plant)?.stand ?? '');
  const variety = state.varieties.get(stand?.variety ?? '');
  return stand && variety ? { stand: stand.id, variety: variety.id, crop: variety.crop } : null;
};
const learntIn = (known: unknown) => {
  const { gaps, lastTool } = known as Record<'gaps' | 'lastTool', Map<string, unknown>>;
  return [sorted(gaps), sorted(lastTool)];
};
const plantsIn = (state: State) => sorted(state.plants.keys()) as PlantId[];
const trialsOf = (state: State, others: (name: string) => Answer) => others('trials')(state, zone);
const WARM = [{ date: '2026-07-02', meanC: 24 }];
const QUESTION = {
  today: LOG_DAY,
  choice: { when: null, variety: null, how: null, father: null },
  grouping: 'plant',
  pair: null,
  along: 'minutes',
} as const;

/** How each is asked. Whoever remembers something new says here how. */
const ASK: Readonly<Record<string, Ask>> = {
  reason: (answer, state) =>
    sorted(state.stands.values()).flatMap((stand) => [answer(stand, 'seed'), answer(stand, 'fruit')]),
  'by stand': (answer, state) =>
    sorted(answer(state) as Map<string, { id: string }[]>).map(([stand, list]) => [stand, ids(list).sort()]),
  'walk order': wholeOf,
  'standing order': wholeOf,
  standings: (answer, state) =>
    sorted(answer(state) as Iterable<{ stand: { id: string }; plants: { id: string }[] }>).map(
      ({ stand, plants }) => [stand, ids(plants).sort()],
    ),
  ground: (answer, state, others) =>
    sorted(others('standings')(state) as Iterable<Record<string, never>>).map(({ stand, bed, plants }) =>
      sorted(entriesOf(answer(stand, bed, plants))),
    ),
  extent: (answer, state) => answer(state.beds),
  'main patch': wholeOf,
  buds: eachFlower((flower, state) => {
    const kind = grownAs(flower, state);
    return kind && [{ ...kind, dusk: cropOf(kind.crop).clock.round === 'dusk' }, zone];
  }),
  'last seen': partsOf(),
  growth: (answer, state) => [answer(WARM), answer([{ date: '2026-07-02', meanC: 12 + (state.count % 9) }])],
  'opening hours': (answer, state) =>
    (['squash-maxima', 'tomato', 'bottle-gourd'] as const).map((crop) =>
      (answer(state) as { of(crop: Crop, date: string): unknown }).of(cropOf(crop), '2026-07-05'),
    ),
  clock: (answer, state) => sorted(answer(state, TEST_PLACE) as Iterable<unknown>),
  fate: eachFlower((flower, state) => {
    const kind = grownAs(flower, state);
    return kind && [cropOf(kind.crop), zone];
  }),
  // One variety alone: an answer is kept for the last one asked about.
  sizes: (answer, state) => {
    const variety = [...state.varieties.values()].find(({ name }) => name === 'Slate Dome');
    return variety ? answer(state, variety.id, zone) : null;
  },
  paces: wholeOf,
  'trial ground': sortedOf,
  'trial part': (answer, state, others) =>
    Shards.of(state.flowers).parts.map((part) =>
      sorted((answer(part, others('trial ground')(state), zone) as { rows: unknown[] }).rows),
    ),
  counts: (answer, state, others) =>
    Shards.of(state.flowers).parts.map((flowers) => {
      const ground = others('trial ground')(state);
      const counts = answer({ flowers, ground, rows: trialsOf(state, others) }) as Record<
        string,
        Map<string, unknown>
      >;
      return Object.values(counts).map(sorted);
    }),
  rates: (answer, state) => {
    const rates = answer(state, zone) as Record<'set' | 'whole', (...args: unknown[]) => unknown>;
    return sorted(state.varieties.values()).map(({ id, crop }) => [
      rates.set(cropOf(crop), id),
      rates.whole(cropOf(crop), id, 'tape'),
    ]);
  },
  trial: eachFlower((flower, state) => {
    const kind = grownAs(flower, state);
    return kind && [kind, zone];
  }),
  trials: (answer, state) => sorted(answer(state, zone) as unknown[]),
  'trials by stand': (answer, state, others) =>
    sorted(answer(trialsOf(state, others)) as Map<string, unknown[]>).map(([stand, list]) => [
      stand,
      sorted(list),
    ]),
  'bygone work times': (answer, state) => learntIn(answer(Shards.of(state.flowers).parts, state, 0)),
  'work times': (answer, state) => learntIn(answer(state)),
  work: (answer, state) => Shards.of(state.flowers).parts.map((part) => sorted(answer(part) as unknown[])),
  'last work': (answer, state) => Shards.of(state.flowers).parts.map((part) => answer(part)),
  isolations: (answer, state) => sorted(answer(state, LOG_DAY) as unknown[]).map(unordered),
  opened: sortedOf,
  'opened in': partsOf(),
  warmth: (answer, state) => {
    const patch = mainPatch(state);
    const warmth =
      patch?.place && (answer(patch.weather, patch.place) as { warmth: (on: string) => number }).warmth;
    return ['2026-07-02', '2026-07-04', '2026-08-01'].map((day) => warmth && warmth(day));
  },
  'plants sown': sortedOf,
  'stands sown': sortedOf,
  'lot fruits': sortedOf,
  lineage: (answer, state) => {
    const lineage = answer(state) as Record<'self' | 'of', (plant: string) => unknown>;
    return plantsIn(state).map((plant) => [plant, lineage.self(plant), lineage.of(plant)]);
  },
  given: partsOf('2026'),
  kinship: (answer, state, others) => {
    const plants = plantsIn(state);
    const kinship = answer(others('lineage')(state), plants) as (a: string, b: string) => number;
    return plants.map((a) => plants.map((b) => kinship(a, b)));
  },
  'lot plants': (answer, state) => {
    const { of, cannotBe } = answer(state) as {
      of: Map<string, string[]>;
      cannotBe: Map<string, number>;
    };
    return [sorted(of).map(([lot, plants]) => [lot, sorted(plants)]), sorted(cannotBe)];
  },
  'seed fruits': partsOf('2026'),
  marks: (answer, state) =>
    Shards.of(state.flowers).parts.map((part) =>
      sorted(answer(part) as Map<string, unknown[]>).map(([mark, found]) => [mark, sorted(found)]),
    ),
  'two marks': sortedOf,
  'two marks in': partsOf(),
  'double marks': (answer, state) =>
    sorted(answer(state) as { mark: string; flowers: string[] }[]).map(({ flowers }) => sorted(flowers)),
  worn: partsOf(),
  'mark index': wholeOf,
  'highest marks': partsOf(),
  'offspring off': sortedOf,
  'on tool': partsOf(),
  twins: (answer, state) =>
    sorted(answer(state) as Map<string, string[]>).map(([flower, twins]) => [flower, sorted(twins)]),
  about: (answer, state) => {
    const about = answer(state, LOG_DAY) as (stand: string) => unknown;
    return sorted(state.stands.keys()).map(about);
  },
  sheltered: sortedOf,
  proof: eachFlower((_flower, state) => [state, LOG_DAY, { low: 0, likely: 0.1, high: 0.2 }]),
  contradictions: logPartsOf(zone, '2026-07-01'),
  'log uses': logPartsOf('2026-07-01'),
  'used males': partsOf('2026-07-04', zone),
  'fruit lots': sortedOf,
  picked: partsOf(),
  ends: sortedOf,
  cases: (answer, state) => sorted(answer(state, TEST_PLACE, LOG_DAY) as unknown[]),
  'case part': (answer, state, others) =>
    Shards.of(state.flowers).parts.map((flowers) => {
      const ground = others('trial ground')(state);
      const part = others('trial part')(flowers, ground, zone);
      const { latitude, longitude } = TEST_PLACE;
      const setting = {
        ends: others('ends')(state),
        weather: mainPatch(state)?.weather ?? {},
        zone,
        latitude,
        longitude,
        today: LOG_DAY,
      };
      return sorted(answer(part, setting) as unknown[]);
    }),
  chosen: (answer, state, others) => {
    const { overview } = answer(others('cases')(state, TEST_PLACE, LOG_DAY), QUESTION.choice, LOG_DAY) as {
      overview: unknown;
    };
    return overview;
  },
  study: (answer, state) => {
    const { overview, shares } = answer(state, TEST_PLACE, QUESTION) as {
      overview: unknown;
      shares: unknown[];
    };
    return [overview, sorted(shares)];
  },
};

/** Plain data, numbers without the last digits, in which a sum depends on its order. */
function plain(value: unknown): unknown {
  if (typeof value === 'number') return Number(value.toPrecision(9));
  if (value instanceof Map || value instanceof Shards) return [...value].map(plain);
  if (Array.isArray(value)) return value.map(plain);
  if (value && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, plain(each)]));
  return value;
}
/** Of lists that come in the order in which things were added, on this phone. */
function unordered(value: unknown): unknown {
  if (Array.isArray(value)) return sorted(value.map(unordered));
  if (value && typeof value === 'object' && !(value instanceof Map))
    return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, unordered(each)]));
  return value;
}

/** Where two texts part. */
function apart(a: string, b: string): string {
  let at = 0;
  while (a[at] === b[at]) at++;
  return [a, b].map((text) => `\n... ${text.slice(Math.max(0, at - 120), at + 120)}`).join('');
}

const answers = new Map(everyRemembered().map(({ name, answer }) => [name, answer as unknown as Answer]));
const other = (name: string) => answers.get(name) as Answer;
const said = (name: string, state: State) => JSON.stringify(plain(ASK[name]?.(other(name), state, other)));

test('every remembered answer has a name of its own and is asked here', () => {
  expect(everyRemembered()).toHaveLength(answers.size);
  expect(Object.keys(ASK).sort()).toEqual([...answers.keys()].sort());
});

test('in whatever order and pieces a log comes, every remembered answer is the one of a fresh fold', () => {
  const heard = new Map<string, Set<string>>();
  fc.assert(
    fc.property(arrivingLog, (pieces) => {
      let state = emptyState();
      const come: AnyEvent[] = [];
      for (const piece of pieces) {
        state = applyAll(state, piece);
        come.push(...piece);
        const fresh = fold(come);
        for (const name of answers.keys()) {
          const now = said(name, state);
          const anew = said(name, fresh);
          if (now !== anew) throw new Error(`"${name}" is not what a fresh fold says: ${apart(now, anew)}`);
          heard.set(name, (heard.get(name) ?? new Set()).add(anew));
        }
      }
    }),
    { numRuns: 5, seed: 20261201 },
  );
  // One that always says the same could not be caught telling yesterday's answer.
  const mute = [...heard].filter(([, each]) => each.size < 2).map(([name]) => name);
  expect(mute).toEqual([]);
});
