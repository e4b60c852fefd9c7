import { markWords } from '@core/crops';
import type { Flower } from '@core/ledger';
import { type Growing } from '@core/patch';
import { useNextMark } from '@/data/garden/nextMark';
import { useRecording } from '@/data/garden/useRecording';
import { Button, Card, Row } from '../controls';
import { Txt } from '../theme';
import { useFlowerText } from '../useFlowerText';
import { FruitHead } from './FruitHead';

/** A seed fruit that has no mark yet: nothing else tells it from the rest. */
export function MarkRow({ flower, growing }: { flower: Flower; growing: Growing }) {
  const { busy, save } = useRecording();
  const mark = useNextMark();
  const nameOf = useFlowerText();
  const name = nameOf(growing, flower);
  return (
    <Card style={{ paddingVertical: 8 }}>
      <Row>
        <FruitHead name={name} says={`no mark yet · ${growing.bed.name}`} />
        <Button
          title={`Mark ${mark} is on`}
          small
          label={`${name}: mark ${mark} is on`}
          disabled={busy}
          onPress={() => void save({ kind: 'marked', flower: flower.id, mark })}
        />
      </Row>
      <Txt size="label" tone="muted">
        {markWords(growing.crop)}
      </Txt>
    </Card>
  );
}
