import type { Closure } from '../crops';
import type { ClosureFound, Draft, State } from '../ledger';
import { plantName, reasonFor } from '../patch';
import type { PlantId } from '../ids';
import type { PollenMatch } from '../planning';
import { goneDrafts } from './stopWork';
import type { Stop } from './stops';

/** Letters for a pencil: how the closure was found, and what the flower was shut again with. */
export const FOUND_CODES: Readonly<Record<ClosureFound, string>> = {
  whole: 'W',
  torn: 'T',
  holed: 'H',
  insect: 'I',
  'not-open': 'N',
  gone: 'G',
};
/** What is pencilled on the card for a closure as found. */
export const SHUT_CODES: Readonly<Record<Closure | 'open', string>> = {
  tape: 'T',
  'mesh-bag': 'M',
  'cloth-bag': 'C',
  tie: 'S',
  'shoot-bag': 'E',
  'tassel-bag': 'B',
  open: 'O',
};

/** One line of the printed card. */
export interface CardRow {
  /** Line number on the card, from 1. */
  readonly line: number;
  readonly stop: Stop;
  readonly plant: string;
  readonly node: number | null;
  /** Suggested fathers: plant and males. */
  readonly fathers: readonly {
    readonly plant: PlantId;
    readonly label: string;
    readonly males: readonly string[];
  }[];
  readonly mark: string;
}

/** The rows of a round card, in the round's order; `marks` gives the mark of the nth row. */
export function cardRows(
  state: State,
  stops: readonly Stop[],
  match: PollenMatch,
  marks: (row: number) => string,
): CardRow[] {
  return stops.map((stop, i) => {
    const fathers = new Map<string, { plant: PlantId; label: string; males: string[] }>();
    for (const { female, male } of match.pairs) {
      const father = female === stop.flower.id ? state.flowers.get(male) : undefined;
      if (!father) continue;
      const entry = fathers.get(father.plant) ?? {
        plant: father.plant,
        label: state.plants.get(father.plant)?.label ?? '?',
        males: [],
      };
      entry.males.push(male);
      fathers.set(father.plant, entry);
    }
    return {
      line: i + 1,
      stop,
      plant: plantName(stop.growing),
      node: stop.flower.node,
      fathers: [...fathers.values()],
      mark: marks(i),
    };
  });
}

/** One line of a card as it was filled in; `null` is a blank, and stays one. */
export interface CardEntry {
  readonly found: ClosureFound | null;
  /** Males used, of those printed. */
  readonly males: number | null;
  readonly shutAgain: Closure | 'open' | null;
  readonly marked: boolean | null;
}

/** A line of the card that nobody filled in. */
export const BLANK_ENTRY: CardEntry = { found: null, males: null, shutAgain: null, marked: null };

/**
 * The facts of one filled-in line: what was found and, where males, a closure or the mark say that it was worked, the pollination
 * and the mark. A blank gives nothing: not the males as printed, not the closure that was on, not a mark.
 */
export function cardDrafts({ stop, fathers, mark }: CardRow, entry: CardEntry): Draft[] {
  if (entry.found === null) return [];
  const flower = stop.flower.id;
  if (entry.found === 'gone') return goneDrafts(stop, 'unknown');
  const drafts: Draft[] = [{ kind: 'closureChecked', flower, result: entry.found }];
  const { males, shutAgain, marked } = entry;
  const worked = males === null ? shutAgain !== null || marked === true : males > 0;
  if (entry.found !== 'whole' || !worked) return drafts;
  let left = males ?? 0;
  const used = fathers.flatMap(({ plant, males: printed }) => {
    const taken = printed.slice(0, Math.min(left, printed.length));
    left -= taken.length;
    return taken.length > 0 ? [{ plant, males: taken.length, flowers: taken }] : [];
  });
  drafts.push({
    kind: 'pollinated',
    flower,
    fathers: used,
    ...(shutAgain === null ? {} : { shutAgain: shutAgain === 'open' ? null : shutAgain }),
    purpose: reasonFor(stop.flower, stop.growing) === 'fruit' ? 'kitchen' : 'seed',
  });
  if (marked) drafts.push({ kind: 'marked', flower, mark });
  return drafts;
}

const FOUND_BY_CODE = new Map(
  Object.entries(FOUND_CODES).map(([found, code]) => [code, found as ClosureFound]),
);
const SHUT_BY_CODE = new Map(
  Object.entries(SHUT_CODES).map(([shut, code]) => [code, shut as Closure | 'open']),
);

/** A line typed in from the card, or the field of it that is wrong. */
export type CardLine =
  | { readonly ok: true; readonly line: number; readonly entry: CardEntry }
  | {
      readonly ok: false;
      readonly field: 'line' | 'found' | 'males' | 'shut' | 'mark';
      readonly message: string;
    };

/**
 * Reads a line as pencilled: number, found, males, shut, and `x` when marked: `3 W 2 T x`. Only number and found must be there.
 * Never throws; names the field that cannot be read.
 * @example readCardLine('nonsense', 4).ok // false
 */
export function readCardLine(text: string, lines: number): CardLine {
  const [number = '', found = '', ...rest] = text
    .trim()
    .toUpperCase()
    .split(/[\s,;]+/);
  const line = Number(number);
  const bad = (field: 'line' | 'found' | 'males' | 'shut' | 'mark', message: string): CardLine => ({
    ok: false,
    field,
    message,
  });
  if (!Number.isInteger(line) || line < 1 || line > lines)
    return bad('line', `Line: "${number}" is not a line of this card (1 to ${lines}).`);
  const result = FOUND_BY_CODE.get(found);
  if (!result)
    return bad('found', `Found: "${found}" is not one of ${[...FOUND_BY_CODE.keys()].join(', ')}.`);
  let males: number | null = null;
  let shutAgain: Closure | 'open' | null = null;
  let marked: boolean | null = null;
  for (const part of rest) {
    if (/^\d+$/.test(part)) {
      males = Number(part);
      if (males > 12) return bad('males', `Males: ${part} for one female is too many.`);
    } else if (part === 'X') marked = true;
    else if (SHUT_BY_CODE.has(part)) shutAgain = SHUT_BY_CODE.get(part) as Closure | 'open';
    else return bad('shut', `Shut again: "${part}" is not one of ${[...SHUT_BY_CODE.keys()].join(', ')}.`);
  }
  return { ok: true, line, entry: { found: result, males, shutAgain, marked } };
}
