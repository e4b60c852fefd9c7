import type { Flower } from '@core/ledger';
import { Button, Card, Row } from '../controls';
import { Txt } from '../theme';

/** Buds seen on an earlier evening that may be ready: one tap each. */
export function AwaitedCard({
  awaited,
  forFruit,
  covers,
  busy,
  onReady,
}: {
  awaited: readonly Flower[];
  forFruit: boolean;
  /** Whether flowers for seed must be shut here. */
  covers: boolean;
  busy: boolean;
  onReady: (flower: Flower) => void;
}) {
  if (awaited.length === 0) return null;
  const then = forFruit ? 'open, pollinated now' : covers ? 'coloured, shut it' : 'coloured, due tomorrow';
  return (
    <Card>
      <Txt size="label" tone="muted">
        {forFruit
          ? 'Seen before, not worked yet. Open now?'
          : 'Seen before, not shut yet. Full and coloured now?'}
      </Txt>
      <Row>
        {awaited.map((flower) => (
          <Button
            key={flower.id}
            small
            title={`${flower.node === null ? 'Its node not noted' : `Node ${flower.node}`}: ${then}`}
            disabled={busy}
            onPress={() => onReady(flower)}
          />
        ))}
      </Row>
    </Card>
  );
}
