import { daysUntilSeed } from '@core/goals';
import { workedOn } from '@core/fruitset';
import type { Draft, Flower } from '@core/ledger';
import { reasonFor, type Growing } from '@core/patch';
import { daysBetween } from '@core/time';
import { useState, type ReactNode } from 'react';
import { useGarden } from '@/data/garden/garden';
import { Button, Sheet } from '../controls';
import { Txt } from '../theme';
import { plural } from '../words';

/**
 * Keeps that a fruit was picked; of one for seed that can't be ripe yet it asks first. `sheet` is to stand somewhere on the screen.
 */
export function useHarvest({ flower, growing }: { readonly flower: Flower; readonly growing: Growing }): {
  readonly pick: (draft: Extract<Draft, { kind: 'harvested' }>) => void;
  readonly sheet: ReactNode;
} {
  const { place, today, record } = useGarden();
  const [asked, setAsked] = useState<Extract<Draft, { kind: 'harvested' }> | null>(null);
  const worked = workedOn(flower, place.zone);
  const day = worked === null ? null : daysBetween(worked, today);
  const left = day === null ? null : daysUntilSeed(growing.crop, day);
  const forKitchen = reasonFor(flower, growing) === 'fruit';
  return {
    pick: (draft) => {
      if (draft.harvestFor === 'seed' && left !== null && !forKitchen) setAsked(draft);
      else void record(draft);
    },
    sheet: (
      <Sheet open={asked !== null} onClose={() => setAsked(null)} title="Is its seed ripe?">
        <Txt>
          {`Day ${day ?? 0}: by the usual days its seed is ripe in ${plural(left ?? 0, 'day')} at the earliest. Picked now it will hardly sprout.`}
        </Txt>
        <Button title="It stays on the plant" look="main" onPress={() => setAsked(null)} />
        <Button
          title="It is picked all the same"
          onPress={() => {
            if (asked) void record(asked);
            setAsked(null);
          }}
        />
      </Sheet>
    ),
  };
}
