import { lastCheck } from '@core/bloom';
import type { Crop } from '@core/crops';
import { fateFacts } from '@core/fruitset';
import type { Flower } from '@core/ledger';
import type { FlowerLook } from './geometry';

/** How a recorded flower is drawn: its latest stage, its closure as last found, or its fruit by fate. */
export function flowerAppearance(
  flower: Flower,
  crop: Crop,
  zone: string,
): Omit<FlowerLook, 'shape' | 'crop'> {
  const facts = fateFacts(flower, crop, zone);
  if (facts?.set && !facts.failed) return { sex: flower.sex, appearance: 'set' };
  if (facts?.failed || flower.lost) return { sex: flower.sex, appearance: 'dropped' };
  const worked = flower.pollinations[flower.pollinations.length - 1];
  const stage = flower.sightings[flower.sightings.length - 1]?.stage ?? 'coloured';
  if (worked) {
    // Left open, or nobody said: no closure is drawn that nobody saw.
    const bare = flower.coverOffAt || worked.shutAgain === null || worked.shutAgain === 'open';
    return { sex: flower.sex, appearance: 'spent', closure: bare ? null : worked.shutAgain };
  }
  const shut = flower.shuttings[flower.shuttings.length - 1];
  if (!shut) return { sex: flower.sex, appearance: stage };
  const found = lastCheck(flower)?.result;
  const closureState =
    found === 'torn' ? 'torn' : found === 'holed' || found === 'insect' ? 'holed' : 'whole';
  return { sex: flower.sex, appearance: stage, closure: shut.closure, closureState };
}
