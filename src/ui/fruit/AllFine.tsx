import type { OwedLook } from '@core/rounds';
import { plantName } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { Button, Card } from '../controls';
import { Txt } from '../theme';

/** All fruits of one plant that are owed a look grow: one tap for all of them, which reads no marks and says so. */
export function AllFine({ owed }: { owed: readonly OwedLook[] }) {
  const { record } = useGarden();
  const first = owed[0];
  if (!first) return null;
  const name = plantName(first.growing);
  return (
    <Card>
      <Button
        title={`All ${owed.length} on ${name} grow`}
        onPress={() => {
          void record(
            ...owed.map(({ flower }) => ({
              kind: 'lookedAt' as const,
              flower: flower.id,
              result: 'growing' as const,
              sizeMm: null,
            })),
          );
        }}
      />
      <Txt size="label" tone="muted">
        Only if you see all of them. No mark is read by this: for seed, look at each.
      </Txt>
    </Card>
  );
}
