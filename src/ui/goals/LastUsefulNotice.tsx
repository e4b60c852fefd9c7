import { useMemo } from 'react';
import { lastUseful } from '@core/goals';
import type { Growing } from '@core/patch';
import { shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { Notice } from '../controls';

/** Whether a flower worked from now on still ripens seed here: said where it does not, or may not. */
export function LastUsefulNotice({ growing: { stand } }: { growing: Growing }) {
  const { state, place, today } = useGarden();
  const { on, until, said } = useMemo(
    () => lastUseful(state, place, stand, today),
    [state, place, stand, today],
  );
  if (stand.reason === 'fruit' || on === null || until === null || today <= on) return null;
  return (
    <Notice
      tone={said ? 'brick' : 'pollen'}
      text={
        said
          ? `Too late for seed: worked now it would not ripen by ${shortDayText(until)}. The last useful day was ${shortDayText(on)}.`
          : `Perhaps too late for seed: should the first frost come about ${shortDayText(until)}, what is worked now does not ripen. Say under Goals when you expect it.`
      }
    />
  );
}
