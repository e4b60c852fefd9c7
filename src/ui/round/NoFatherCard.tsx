import type { Crop } from '@core/crops';
import { isEdible } from '@core/crops';
import type { NoFather } from '@core/rounds';
import { Button, Card } from '../controls';
import { Txt } from '../theme';

const WHY: Record<NoFather, string> = {
  'own-only': 'The only males there are stand on this very plant, and this patch never uses those.',
  'never-shut':
    'No male of its variety was shut for this morning. One that stood open may carry any pollen: no good for seed.',
  used: 'Every male of its variety that was shut has served as many females as it may.',
  spoiled: 'The males of its variety that were shut are torn, gone, not open, or shed no pollen.',
};

/** What selfing once costs, by crop (common practice). */
function selfingCost(crop: Crop): string {
  return crop.family === 'corn'
    ? 'Corn suffers badly from its own pollen: weak plants next year.'
    : 'Cucurbits stand it fairly well: the seed is true to this mother, and carries less of the variety’s breadth.';
}

/** Nothing to pollinate with, and why; and the ways out. */
export function NoFatherCard({
  why,
  crop,
  onSelf,
  onKitchen,
  onLeave,
}: {
  why: NoFather;
  crop: Crop;
  onSelf: () => void;
  onKitchen: () => void;
  onLeave: () => void;
}) {
  return (
    <Card>
      <Txt size="strong">No father for it</Txt>
      <Txt>{WHY[why]}</Txt>
      {why === 'own-only' ? (
        <>
          <Txt size="label" tone="muted">
            {selfingCost(crop)}
          </Txt>
          <Button title="Use its own males this once" onPress={onSelf} />
        </>
      ) : null}
      {isEdible(crop) ? (
        <Button title="Work it for the kitchen, with any open male" onPress={onKitchen} />
      ) : null}
      <Button title="Leave it: not worked" onPress={onLeave} />
    </Card>
  );
}
