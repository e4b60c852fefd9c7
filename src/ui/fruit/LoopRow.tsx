import type { LoopDue } from '@core/purity';
import { useRecording } from '@/data/garden/useRecording';
import { Card, Tile, Tiles } from '../controls';
import { useFlowerText } from '../useFlowerText';
import { FruitHead } from './FruitHead';

/** A marked fruit that is owed no other look: its mark is read, and its loop loosened where the stalk has filled it. */
export function LoopRow({ due: { flower, growing, days } }: { due: LoopDue }) {
  const { busy, save } = useRecording();
  const nameOf = useFlowerText();
  const name = nameOf(growing, flower);
  return (
    <Card style={{ paddingVertical: 8 }}>
      <FruitHead
        name={name}
        says={`Marked ${flower.mark} ${days === 14 ? 'two' : 'four'} weeks ago: loosen the loop where it is tight. ${growing.bed.name}`}
      />
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
