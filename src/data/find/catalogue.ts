import type MiniSearch from 'minisearch';
import { cropOf } from '@core/crops';
import { TERMS, type Term } from '@core/key';
import type { State } from '@core/ledger';
import { growing, lotName, plantName } from '@core/patch';
import { findMark } from '@core/purity';
import { SCREENS } from './screenNames';

/** Something that can be looked for, and where it is. */
export interface Entry {
  readonly id: string;
  readonly kind: 'plant' | 'variety' | 'lot' | 'fruit' | 'screen' | 'word';
  readonly title: string;
  readonly note: string;
  /** Other words by which it can be found. */
  readonly also?: string;
  /** Its screen; `null` for a word, which is explained on the spot. */
  readonly to: string | null;
  readonly term?: Term;
}

/** The most answers that anybody would read. */
const MOST = 25;

/** Small letters without accents: "étampes" is found by "etampes". */
const plain = (word: string) => word.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** Everything there is to find on a patch, by its words. The engine is handed in: it comes when somebody looks for something. */
export function catalogueOf(state: State, Search: typeof MiniSearch): (query: string) => readonly Entry[] {
  const entries = new Map([...gardenEntries(state), ...FIXED].map((entry) => [entry.id, entry]));
  const search = new Search<{ id: string; title: string; note: string; also: string }>({
    fields: ['title', 'also', 'note'],
    processTerm: plain,
    searchOptions: { boost: { title: 4, also: 3 }, prefix: true, fuzzy: 0.2, combineWith: 'AND' },
  });
  search.addAll(
    [...entries.values()].map(({ id, title, note, also = '' }) => ({
      id,
      title,
      note,
      also,
    })),
  );
  return (query) => {
    if (query.trim() === '') return [];
    const marked = findMark(state, query);
    const fruits =
      marked.kind === 'found'
        ? marked.fruits.flatMap(({ mark, flower }) => fruitEntry(state, mark, flower))
        : [];
    const found = search.search(query).flatMap(({ id }) => entries.get(id as string) ?? []);
    return [...fruits, ...found].slice(0, MOST);
  };
}

const FIXED: readonly Entry[] = [
  ...SCREENS.map(({ title, note, to }): Entry => ({ id: `screen/${to}`, kind: 'screen', title, note, to })),
  ...TERMS.map((term): Entry => ({
    id: `word/${term.name}`,
    kind: 'word',
    title: term.name,
    note: term.means,
    also: term.also.join(' '),
    to: null,
    term,
  })),
];

function gardenEntries(state: State): readonly Entry[] {
  const plants: Entry[] = [];
  // A variety is where its first plant is.
  const grown = new Map<string, string>();
  for (const plant of state.plants.values()) {
    const found = growing(state, plant.id);
    if (!found) continue;
    const to = `/plant/${plant.id}`;
    const note = `${found.crop.name}, ${found.bed.name}`;
    // Who grows courgettes looks for a courgette.
    plants.push({ id: plant.id, kind: 'plant', title: plantName(found), note, also: found.crop.kinds, to });
    if (!grown.has(found.variety.id)) grown.set(found.variety.id, to);
  }
  const varieties = [...state.varieties.values()].map(({ id, name, crop }): Entry => ({
    id,
    kind: 'variety',
    title: name,
    note: cropOf(crop).name,
    also: cropOf(crop).kinds,
    to: grown.get(id) ?? '/seed',
  }));
  const lots = [...state.lots.values()].map((lot): Entry => ({
    id: lot.id,
    kind: 'lot',
    title: lotName(lot, state),
    note: 'a lot of seed',
    to: `/lot/${lot.id}`,
  }));
  return [...plants, ...varieties, ...lots];
}

function fruitEntry(state: State, mark: string, flower: string): Entry[] {
  const plant = state.flowers.get(flower)?.plant;
  const found = plant ? growing(state, plant) : null;
  return found
    ? [
        {
          id: flower,
          kind: 'fruit',
          title: mark,
          note: `a fruit of ${plantName(found)}`,
          to: `/proof/${flower}`,
        },
      ]
    : [];
}
