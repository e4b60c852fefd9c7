import type { Flower } from '@core/ledger';
import type { Growing } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { flowerTextIn } from './words';

/** What a flower is called in a list: told apart from another of its plant that would be called the same. */
export function useFlowerText(): (of: Growing, flower: Flower) => string {
  const { state, place } = useGarden();
  return (of, flower) => flowerTextIn(state, place.zone, of, flower);
}
