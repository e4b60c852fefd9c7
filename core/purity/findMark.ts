import { distance } from 'fastest-levenshtein';
import type { FlowerId } from '../ids';
import { Shards, type Flower, type State } from '../ledger';
import { remembered } from '../remember';
import { bare, readCode } from './codes';

/** A mark, and the fruit that carries it; `still`: no other was put on since, and it was not lost. */
export interface MarkFound {
  readonly mark: string;
  readonly flower: FlowerId;
  readonly still: boolean;
}

/**
 * What a mark that was keyed, said or read from its code leads to.
 * found: the fruits that carry it, or once did; more than one is a mark that hangs twice.
 * unknown: a mark that can be, on no fruit known here: it may be on another phone.
 * wrong: no mark at all; `stray` are characters that stand in none, and `check` tells that one is wrong or two are swapped.
 */
export type FindMark =
  | { readonly kind: 'found'; readonly fruits: readonly MarkFound[] }
  | { readonly kind: 'unknown'; readonly mark: string; readonly nearest: readonly MarkFound[] }
  | {
      readonly kind: 'wrong';
      readonly check: boolean;
      readonly stray: readonly string[];
      readonly nearest: readonly MarkFound[];
    };

type Part = ReadonlyMap<unknown, Flower>;

interface Found extends MarkFound {
  readonly bare: string;
}

// Years of marks are looked through at every key: those of a part that did not change are known.
const marksOf = remembered(
  'marks',
  (part: Part) => ({ part }),
  ({ part }): ReadonlyMap<string, readonly Found[]> => {
    const found = new Map<string, Found[]>();
    for (const flower of part.values()) {
      if (flower.markings.length === 0) continue;
      const worn = marksWorn(flower);
      for (const mark of new Set(flower.markings.map((each) => each.mark))) {
        const key = bare(mark);
        const fruit = { mark, flower: flower.id, still: worn.includes(mark), bare: key };
        const there = found.get(key);
        if (there) there.push(fruit);
        else found.set(key, [fruit]);
      }
    }
    return found;
  },
);

/** The marks that hang on a fruit, as far as anybody said: of several the one put on last is the last. */
export const marksWorn = ({ markings }: Pick<Flower, 'markings'>): readonly string[] => [
  ...new Set(markings.flatMap(({ mark, goneAt }) => (goneAt === null ? [mark] : []))),
];

type Flowers = Pick<State, 'flowers'>;
const partsOf = ({ flowers }: Flowers) => Shards.of(flowers).parts.map(marksOf);

/** Farther off than this a mark is no longer taken for another: characters put in, left out or changed; a swap is two. */
const NEAR = 2;

/**
 * Finds the fruit of a mark: one of today's, of old or of one's own making, with or without hyphens, in small letters or capitals.
 * @example findMark(state, '1a').kind // 'found'
 */
export function findMark(state: Flowers, text: string): FindMark {
  const key = bare(text);
  const fruits = key === '' ? [] : partsOf(state).flatMap((part) => part.get(key) ?? []);
  if (fruits.length > 0) return { kind: 'found', fruits };
  const read = readCode(text);
  const nearest = nearestMarks(state, text);
  if (read.ok) return { kind: 'unknown', mark: read.mark, nearest };
  return { kind: 'wrong', check: read.wrong === 'check', stray: read.stray, nearest };
}

/**
 * The marks on record that are most nearly written so: those still worn first, then in the order of their letters.
 * @example nearestMarks(state, '1-B').map(({ mark }) => mark) // ['1-A']
 */
export function nearestMarks(state: Flowers, text: string, most = 5): readonly MarkFound[] {
  const key = bare(text);
  if (key === '') return [];
  const near: { readonly fruit: MarkFound; readonly off: number }[] = [];
  // Of a short mark two wrong characters leave nothing to know it by.
  const reach = Math.min(NEAR, key.length - 1);
  for (const part of partsOf(state))
    for (const [other, fruits] of part) {
      if (Math.abs(other.length - key.length) > reach) continue;
      const off = distance(key, other);
      if (off <= reach) for (const fruit of fruits) near.push({ fruit, off });
    }
  return near
    .sort(
      (a, b) =>
        a.off - b.off ||
        Number(b.fruit.still) - Number(a.fruit.still) ||
        (a.fruit.mark < b.fruit.mark ? -1 : 1),
    )
    .slice(0, most)
    .map(({ fruit }) => fruit);
}

/** The marks that begin with what was keyed so far. */
export function marksBeginning(state: Flowers, text: string, most = 5): readonly MarkFound[] {
  const key = bare(text);
  if (key === '') return [];
  const found: MarkFound[] = [];
  for (const part of partsOf(state))
    for (const [mark, fruits] of part) {
      if (!mark.startsWith(key)) continue;
      found.push(...fruits);
      if (found.length >= most) return found.slice(0, most);
    }
  return found;
}

/** Fruits on their plants that carry more than one mark. */
export const twiceMarked = remembered(
  'two marks',
  ({ flowers }: Flowers) => ({ flowers }),
  ({ flowers }): readonly FlowerId[] => Shards.of(flowers).parts.flatMap(twiceMarkedIn),
);
const twiceMarkedIn = remembered(
  'two marks in',
  (part: Part) => ({ part }),
  ({ part }): readonly FlowerId[] =>
    [...part.values()].flatMap((flower) =>
      flower.markings.length > 1 && !flower.lost && marksWorn(flower).length > 1 ? [flower.id] : [],
    ),
);

/** Marks that hang on two fruits at once, each with its fruits: somebody has to look which it is. */
export const doubleMarks = remembered(
  'double marks',
  ({ flowers }: Flowers) => ({ flowers }),
  (state): readonly { readonly mark: string; readonly flowers: readonly FlowerId[] }[] => {
    const found = new Map<string, Found[]>();
    for (const part of Shards.of(state.flowers).parts)
      for (const fruit of wornIn(part)) {
        const there = found.get(fruit.bare);
        if (there) there.push(fruit);
        else found.set(fruit.bare, [fruit]);
      }
    return [...found.values()].flatMap(([first, ...others]) =>
      first && others.length > 0
        ? [{ mark: first.mark, flowers: [first, ...others].map(({ flower }) => flower).sort() }]
        : [],
    );
  },
);

/** The marks that fruits of a part carry, but for those of lost ones. */
const wornIn = remembered(
  'worn',
  (part: Part) => ({ part }),
  ({ part }): readonly Found[] =>
    [...marksOf(part).values()]
      .flat()
      .filter(({ still, flower }) => still && !(part.get(flower)?.lost ?? null)),
);
