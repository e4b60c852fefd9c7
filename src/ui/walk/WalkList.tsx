import { View } from 'react-native';
import type { EveningWalk } from '@core/rounds';
import { plantName } from '@core/patch';
import { Key } from '../controls';

/** The walk's plants in order, to go straight to one. */
export function WalkList({
  walk,
  index,
  onGo,
}: {
  walk: EveningWalk;
  index: number;
  onGo: (index: number) => void;
}) {
  return (
    <View style={{ gap: 4 }}>
      {walk.plants.map((each, i) => (
        <Key
          key={each.plant.id}
          small
          look={i === index ? 'plain' : 'quiet'}
          title={`${walk.walked.includes(each.plant.id) ? '✓ ' : ''}${plantName(each)} · ${each.bed.name}`}
          onPress={() => onGo(i)}
        />
      ))}
    </View>
  );
}
