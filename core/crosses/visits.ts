import type { Closure, Tool } from '../crops';
import { THREAD_COLOURS, type Draft, type Flower, type ThreadColour } from '../ledger';
import type { CrossFlower } from './crossFlower';

/**
 * The facts of one visit to a mother: pollen of a bagged father's flower, the bag on again; the mark with the first visit, where
 * one is given. A father's flower serves several dabs.
 */
export function visitDrafts(
  mother: CrossFlower,
  father: CrossFlower,
  tool: Tool,
  bag: Closure,
  mark: string | null,
  /** How it went, as far as it was said. */
  went: { readonly beeIn?: boolean; readonly clean?: boolean } = {},
  /** Both bags were found whole. */
  whole = false,
): Draft[] {
  const flower = mother.flower.id;
  const seen = whole ? [flower, father.flower.id] : [];
  return [
    ...seen.map((each): Draft => ({ kind: 'closureChecked', flower: each, result: 'whole' })),
    {
      kind: 'pollinated',
      flower,
      fathers: [{ plant: father.growing.plant.id, males: 1, flowers: [father.flower.id] }],
      tool,
      shutAgain: bag,
      purpose: 'seed',
      ...went,
    },
    ...(mark === null ? [] : [{ kind: 'marked' as const, flower, mark }]),
  ];
}

/**
 * A thread colour that no other flower on the plant wears, `null` where this is the only one there or all are taken.
 * @example freeThread([{ thread: 'red' }]) // 'white'
 */
export function freeThread(others: readonly Pick<Flower, 'thread'>[]): ThreadColour | null {
  if (others.length === 0) return null;
  const worn = new Set(others.map(({ thread }) => thread));
  return THREAD_COLOURS.find((colour) => !worn.has(colour)) ?? null;
}
