import { useMemo } from 'react';
import { catalogue, type CropId } from '@core/crops';
import { walkOrder } from '@core/patch';
import { useDraft } from '@/data/device/draft';
import { useGarden } from '@/data/garden/garden';
import { Tile, Tiles } from '../controls';

export interface TrainerChoices {
  readonly which: 'mine' | 'all';
  /** Text only, for those who can't see the drawings. */
  readonly inWords: boolean;
}

/** What the trainer asks about, kept on the device. */
export function useTrainerChoices() {
  const { state, space } = useGarden();
  const { value, ready, change } = useDraft<TrainerChoices>(`trainer/${space}`, {
    which: 'mine',
    inWords: false,
  });
  const crops = useMemo<readonly CropId[]>(() => {
    const mine = [...new Set(walkOrder(state).map(({ crop }) => crop.id))];
    return value.which === 'mine' && mine.length > 0 ? mine : catalogue.map(({ id }) => id);
  }, [state, value.which]);
  return { choices: value, ready, change, crops };
}

/** Which crops, and whether with drawings or in words. */
export function WhatToAsk() {
  const { choices, change } = useTrainerChoices();
  return (
    <>
      <Tiles question="Crops">
        <Tile
          title="those I grow"
          small
          chosen={choices.which === 'mine'}
          onPress={() => change({ which: 'mine' })}
          minWidth={120}
        />
        <Tile
          title="all crops"
          small
          chosen={choices.which === 'all'}
          onPress={() => change({ which: 'all' })}
          minWidth={120}
        />
      </Tiles>
      <Tiles question="Questions">
        <Tile
          title="drawn"
          small
          chosen={!choices.inWords}
          onPress={() => change({ inWords: false })}
          minWidth={120}
        />
        <Tile
          title="in words"
          small
          chosen={choices.inWords}
          onPress={() => change({ inWords: true })}
          minWidth={120}
        />
      </Tiles>
    </>
  );
}
