import type { Study } from '@core/study';
import { useGarden } from '@/data/garden/garden';
import { SetChart } from '../charts/SetChart';
import { Card } from '../controls';
import { Txt } from '../theme';
import { PairNotice } from './PairNotice';
import { groupName } from './studyWords';

/** Whether hands bring anything: what was worked, beside what was left to insects and what fell before there was any hand work. */
export function HandsCard({ study: { hands } }: { study: Study }) {
  const { state } = useGarden();
  const rows = hands.shares.map((share) => ({
    ...share,
    shrunken: null,
    name: groupName(state, 'hands', share.id),
  }));
  return (
    <Card>
      <Txt size="heading">Do the hands help?</Txt>
      {rows.length > 1 ? (
        <>
          <SetChart rows={rows} />
          {hands.pairs.map((pair) => (
            <PairNotice key={pair.b.id} pair={pair} grouping="hands" />
          ))}
        </>
      ) : (
        <Txt tone="muted">
          To know, leave some flowers to the insects and count them, too: the same plants, the same days. Or
          count what set before you began.
        </Txt>
      )}
    </Card>
  );
}
