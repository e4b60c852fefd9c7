import type { Crop } from '../crops';
import type { State } from '../ledger';
import { flowersOn, type Growing } from '../patch';
import type { LocalDate } from '../time';
import { fateOf } from './fate';

/** Seed fruits that a vine of these fills well (common practice: one or two). */
const MOST_ON_A_VINE = 2;
/** Those whose fruit is large and long on the vine. */
const FEW_A_VINE: ReadonlySet<Crop['id']> = new Set([
  'squash-maxima',
  'squash-moschata',
  'squash-argyrosperma',
  'melon',
  'watermelon',
]);

/**
 * What the fruits on a plant for seed ask of the grower before another flower is shut: early fruit stops what comes later, and one or
 * two fill a vine (common practice). Empty where nothing is to be said.
 * @example seedLoadWords(state, mother, zone, '2026-07-13') // []
 */
export function seedLoadWords(state: State, growing: Growing, zone: string, today: LocalDate): string[] {
  const { crop, stand, plant, variety } = growing;
  if (stand.reason === 'fruit' || crop.family !== 'cucurbit') return [];
  // Of one that nobody saw grow it is not known whether it is a fruit at all.
  const fruits = flowersOn(state, plant.id).filter(
    (flower) => flower.sex === 'female' && !flower.harvested && fateOf(flower, crop, zone, today) === 'set',
  );
  const seed = fruits.filter((flower) => (flower.pollinations.at(-1)?.purpose ?? 'kitchen') === 'seed');
  // What was set apart for the kitchen by name is the grower's plan.
  const others = fruits.filter((flower) => !seed.includes(flower) && flower.reason !== 'fruit').length;
  const words: string[] = [];
  if (others > 0 && (stand.goal?.kitchenFruits ?? 0) === 0)
    words.push(
      `${others === 1 ? 'A fruit that is' : `${others} fruits that are`} not for seed grow${others === 1 ? 's' : ''} on it: take ${others === 1 ? 'it' : 'them'} off. Early fruit holds back, or stops, those that come after.`,
    );
  const young = variety.traits.picked === 'young';
  if (seed.length >= MOST_ON_A_VINE && FEW_A_VINE.has(crop.id) && !young)
    words.push(
      `${seed.length} seed fruits are on this vine already: one or two are as many as it fills. Rather shut a flower on another plant.`,
    );
  return words;
}
