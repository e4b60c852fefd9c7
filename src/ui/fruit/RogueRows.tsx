import { useState } from 'react';
import { useRouter } from 'expo-router';
import { rogueLook } from '@core/crops';
import type { RogueDue } from '@core/purity';
import { useRecording } from '@/data/garden/useRecording';
import { Card, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import { plural } from '../words';
import { rogueWords } from './rogueWords';

/** The stands that are to be looked over, a card each. */
export function RogueRows({ rogues }: { rogues: readonly RogueDue[] }) {
  return rogues.map((due) => <RogueRow key={due.stand.id} due={due} />);
}

/** A stand for seed gone through for plants that are not what its seed promised; one that is not is said on its own page. */
function RogueRow({ due: { stand, variety, crop, stage, plants } }: { due: RogueDue }) {
  const { busy, save } = useRecording();
  const router = useRouter();
  const [asking, setAsking] = useState(false);
  return (
    <Card style={{ paddingVertical: 8 }}>
      <Txt size="strong">{`${variety.name}, ${rogueWords[stage]}`}</Txt>
      <Txt size="label" tone="muted">
        {`Are its ${plural(plants.length, 'plant')} all true to the variety? ${rogueLook(crop, stage).value}`}
      </Txt>
      <Tiles question="All true?" hideQuestion>
        <Tile
          title="all are true"
          label={`${variety.name}: all plants are true to the variety`}
          small
          chosen={false}
          onPress={() => {
            if (!busy) void save({ kind: 'lookedOver', stand: stand.id, stage });
          }}
        />
        <Tile
          title="one is not"
          label={`${variety.name}: one plant is not true to the variety`}
          small
          chosen={asking}
          onPress={() => setAsking(!asking)}
        />
      </Tiles>
      {asking ? (
        <Tiles question="Which? Its page asks what shows it">
          {plants.map(({ id, label }) => (
            <Tile
              key={id}
              title={label}
              label={`${variety.name} ${label} is not true to the variety`}
              small
              minWidth={48}
              chosen={false}
              onPress={() => router.push(`/plant/${encodeURIComponent(id)}`)}
            />
          ))}
        </Tiles>
      ) : null}
    </Card>
  );
}
