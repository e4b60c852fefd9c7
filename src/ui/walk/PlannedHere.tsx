import type { PlantTonight } from '@core/goals';
import { Notice } from '../controls';
import { plural } from '../words';

/** What tonight's plan wants shut on this plant. */
export function PlannedHere({ plan: { females, males } }: { plan: PlantTonight }) {
  const parts = [
    females.length > 0
      ? `${plural(females.length, 'female')} (${females.map(({ flower, chance }) => `${flower.node === null ? 'no node' : `node ${flower.node}`}, ${Math.round(chance * 100)} % likely`).join('; ')})`
      : null,
    males > 0 ? plural(males, 'male') : null,
  ].filter(Boolean);
  if (parts.length === 0) return null;
  return <Notice tone="dusk" text={`Tonight’s plan here: shut ${parts.join(' and ')}.`} />;
}
