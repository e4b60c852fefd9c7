import { View } from 'react-native';
import { plantName } from '@core/patch';
import type { LoopDue } from '@core/purity';
import { useRecording } from '@/data/garden/useRecording';
import { Card, Tile, Tiles } from '../controls';
import { Txt } from '../theme';
import { flowerPlace } from '../words';

/** A marked fruit that is owed no other look: its mark is read, and its loop loosened where the stalk has filled it. */
export function LoopRow({ due: { flower, growing, days } }: { due: LoopDue }) {
  const { busy, save } = useRecording();
  const name = `${plantName(growing)}, ${flowerPlace(flower)}`;
  return (
    <Card style={{ paddingVertical: 8 }}>
      <View>
        <Txt size="strong">{name}</Txt>
        <Txt size="label" tone="muted">
          {`Marked ${flower.mark} ${days === 14 ? 'two' : 'four'} weeks ago: loosen the loop where it is tight. ${growing.bed.name}`}
        </Txt>
      </View>
      <Tiles question="Its mark" hideQuestion>
        <Tile
          title="it grows, mark read"
          label={`${name}: it grows, mark ${flower.mark} read, the loop is loose`}
          small
          chosen={false}
          onPress={() => {
            if (!busy)
              void save({
                kind: 'lookedAt',
                flower: flower.id,
                result: 'growing',
                sizeMm: null,
                markRead: true,
              });
          }}
        />
        <Tile
          title="mark gone"
          label={`${name}: mark ${flower.mark} is gone`}
          small
          chosen={false}
          onPress={() => {
            if (!busy) void save({ kind: 'markLost', flower: flower.id });
          }}
        />
      </Tiles>
    </Card>
  );
}
