import type { FruitShape } from '@core/crops';
import { LOSS_CAUSES, type LossCause } from '@core/ledger';
import { Button, Row, Sheet, Tile } from '../controls';
import { LossDrawing } from '../drawings/LossDrawing';
import { Txt } from '../theme';
import { causeHints, causeWords } from '../words';

const capital = (words: string) => `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}`;

/** Why a fruit was lost, with pictures; growers disagree on brown tips, so both readings are offered with how to tell. */
export function CauseSheet({
  open,
  title,
  onClose,
  onCause,
  onWait,
  crop,
}: {
  open: boolean;
  title: string;
  onClose: () => void;
  onCause: (cause: LossCause) => void;
  /** Where it may still come round: only noted, and looked at again. */
  onWait?: (() => void) | undefined;
  crop: { shape: FruitShape } | null;
}) {
  return (
    <Sheet open={open} title={title} onClose={onClose}>
      {onWait ? <Button title="Not given up yet: look again" onPress={onWait} /> : null}
      <Row gap={6} style={{ alignItems: 'stretch' }}>
        {LOSS_CAUSES.map((cause) => (
          <Tile
            key={cause}
            title={causeWords[cause]}
            chosen={false}
            onPress={() => onCause(cause)}
            picture={<LossDrawing cause={cause} shape={crop?.shape ?? 'round'} size={46} />}
            minWidth={104}
          />
        ))}
      </Row>
      <Txt size="label" tone="muted">
        {(['poorly-pollinated', 'blossom-end-rot', 'wet-rot', 'borer'] as const)
          .map((cause) => `${capital(causeWords[cause])}: ${causeHints[cause]}`)
          .join('. ')}
        . Growers disagree on brown tips; when it stopped growing tells most. Take the failed fruit off, so
        that the plant doesn’t feed it. If you spray: nothing on open flowers, it kills the bees; read the
        label, keep its days to re-entry and to harvest, and local law.
      </Txt>
    </Sheet>
  );
}
