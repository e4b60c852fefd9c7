import { varietyAdvice, type Crop, type Reason, type SexSystem, type VarietyTraits } from '@core/crops';
import { Notice } from '../controls';

/** What follows from what a variety is, where something does. */
export function VarietyAdvice({
  crop,
  variety,
  reason,
}: {
  crop: Crop;
  variety: { readonly traits: VarietyTraits; readonly system: SexSystem | null };
  reason: Reason;
}) {
  return varietyAdvice(crop, variety, reason).map((words) => (
    <Notice key={words} tone="pollen" text={words} />
  ));
}
