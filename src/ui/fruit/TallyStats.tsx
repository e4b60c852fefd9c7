import type { Tally } from '@core/fruitset';
import { Row, Stat } from '../controls';

/** The counts of a tally, side by side. */
export function TallyStats({ tally }: { tally: Tally }) {
  return (
    <Row gap={22}>
      <Stat value={tally.worked} name="worked" />
      <Stat value={tally.set} name="set" />
      <Stat value={tally.dropped} name="dropped" />
      <Stat value={tally.waiting} name="waiting" />
      {tally.notLookedAt > 0 ? <Stat value={tally.notLookedAt} name="not looked at" /> : null}
    </Row>
  );
}
