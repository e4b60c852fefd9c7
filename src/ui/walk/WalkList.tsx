import { useState } from 'react';
import type { EveningWalk } from '@core/rounds';
import { plantName } from '@core/patch';
import { Card, Button, Tile } from '../controls';
import { LongList } from '../LongList';
import { Txt, useIsWide } from '../theme';

/** The walk's plants in order, to go straight to one. Folded away on a phone. */
export function WalkList({
  walk,
  index,
  onGo,
}: {
  walk: EveningWalk;
  index: number;
  onGo: (index: number) => void;
}) {
  const wide = useIsWide();
  const [open, setOpen] = useState(false);
  if (!wide && !open)
    return <Button title="List of plants" look="quiet" small onPress={() => setOpen(true)} />;
  return (
    <Card>
      <Txt size="strong">
        {walk.walked.length} of {walk.plants.length} plants looked over
      </Txt>
      <LongList
        items={walk.plants}
        keyOf={({ plant }) => plant.id}
        row={(each) => (
          <Tile
            title={`${walk.walked.includes(each.plant.id) ? '✓ ' : ''}${plantName(each)}`}
            note={each.bed.name}
            chosen={each === walk.plants[index]}
            onPress={() => onGo(walk.plants.indexOf(each))}
          />
        )}
        about={68}
        gap={10}
      />
    </Card>
  );
}
