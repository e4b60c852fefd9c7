import type { Closure } from '../crops';
import type { CheckResult, Draft, State } from '../ledger';
import { plantName } from '../patch';
import type { PlantId } from '../ids';
import type { PollenMatch } from './matching';
import type { Stop } from './stops';

/** Letters for a pencil: how the closure was found, and what the flower was shut again with. */
export const FOUND_CODES: Readonly<Record<CheckResult, string>> = {
  whole: 'W',
  torn: 'T',
  holed: 'H',
  insect: 'I',
  'not-open': 'N',
  gone: 'G',
};
export const SHUT_CODES: Readonly<Record<Closure | 'open', string>> = {
  tape: 'T',
  'mesh-bag': 'M',
  'cloth-bag': 'C',
  tie: 'S',
  'shoot-bag': 'E',
  'tassel-bag': 'B',
  open: 'O',
};

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

/** One line of a card as it was filled in. */
export interface CardEntry {
  readonly found: CheckResult | null;
  /** Males used; `null` = as printed. */
  readonly males: number | null;
  readonly shutAgain: Closure | 'open' | null;
  readonly marked: boolean;
}

/**
 * The facts of one filled-in line: what was found and, where it was worked, pollination and mark. A blank line gives
 * none. Whole closures make seed; torn ones only count when they were worked for the kitchen, which a card does not ask.
 */
export function cardDrafts({ stop, fathers, mark }: CardRow, entry: CardEntry): Draft[] {
  if (entry.found === null) return [];
  const flower = stop.flower.id;
  const drafts: Draft[] = [{ kind: 'closureChecked', flower, result: entry.found }];
  if (entry.found === 'gone') drafts.push({ kind: 'lost', flower, cause: 'unknown' });
  if (entry.found !== 'whole' || entry.males === 0) return drafts;
  let left = entry.males ?? Infinity;
  const used = fathers.flatMap(({ plant, males }) => {
    const taken = males.slice(0, Math.min(left, males.length));
    left -= taken.length;
    return taken.length > 0 ? [{ plant, males: taken.length, flowers: taken }] : [];
  });
  if (used.length === 0) return drafts;
  for (const { flowers } of used)
    for (const id of flowers) drafts.push({ kind: 'closureChecked', flower: id, result: 'whole' });
  const shut = entry.shutAgain ?? stop.flower.shuttings[stop.flower.shuttings.length - 1]?.closure ?? 'tape';
  drafts.push({
    kind: 'pollinated',
    flower,
    fathers: used,
    tool: stop.growing.crop.tools[0] ?? 'male-flower',
    shutAgain: shut === 'open' ? null : shut,
    purpose: 'seed',
  });
  if (entry.marked) drafts.push({ kind: 'marked', flower, mark });
  return drafts;
}

const FOUND_BY_CODE = new Map(
  Object.entries(FOUND_CODES).map(([found, code]) => [code, found as CheckResult]),
);
const SHUT_BY_CODE = new Map(
  Object.entries(SHUT_CODES).map(([shut, code]) => [code, shut as Closure | 'open']),
);

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
  let marked = false;
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
