import type { SetCount } from '@core/fruitset';
import { Row, Stat } from '../controls';

/** The counts of what set, side by side. */
export function SetStats({ count }: { count: SetCount }) {
  return (
    <Row gap={12}>
      <Stat value={count.worked} name="worked" />
      <Stat value={count.set} name="set" />
      <Stat value={count.dropped} name="dropped" />
      <Stat value={count.waiting} name="waiting" />
      {count.notLookedAt > 0 ? <Stat value={count.notLookedAt} name="not looked at" /> : null}
      {count.missed > 0 ? <Stat value={count.missed} name="missed" /> : null}
    </Row>
  );
}
