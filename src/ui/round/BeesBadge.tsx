import type { PollinationRound } from '@core/rounds';
import { useGarden } from '@/data/garden/garden';
import { Badge } from '../controls';

/** How long till the insects; nothing at dusk. */
export function BeesBadge({ round }: { round: PollinationRound }) {
  const { now } = useGarden();
  if (round.kind !== 'dawn') return null;
  const bees = Math.round((round.insectsFrom - now) / 60_000);
  return (
    <Badge text={bees > 0 ? `bees in ${bees} min` : 'bees are about'} tone={bees > 0 ? 'pollen' : 'brick'} />
  );
}
