import { View } from 'react-native';
import { markWords } from '@core/crops';
import type { Flower } from '@core/ledger';
import { plantName, type Growing } from '@core/patch';
import { useNextMark } from '@/data/garden/nextMark';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Card } from '../controls';
import { Txt } from '../theme';
import { flowerPlace } from '../words';

/** A seed fruit that has no mark yet: nothing else tells it from the rest. */
export function MarkRow({ flower, growing }: { flower: Flower; growing: Growing }) {
  const { busy, save } = useRecording();
  const mark = useNextMark();
  return (
    <Card style={{ paddingVertical: 8 }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
        <View style={{ flex: 1 }}>
          <Txt size="strong">
            {plantName(growing)}, {flowerPlace(flower)}
          </Txt>
          <Txt size="label" tone="muted">
            no mark yet · {growing.bed.name}
          </Txt>
        </View>
        <Button
          title={`Mark ${mark} is on`}
          small
          label={`${plantName(growing)}, ${flowerPlace(flower)}: mark ${mark} is on`}
          disabled={busy}
          onPress={() => void save({ kind: 'marked', flower: flower.id, mark })}
        />
      </View>
      <Txt size="label" tone="muted">
        {markWords(growing.crop)}
      </Txt>
    </Card>
  );
}
