import type { PollinationRound } from '@core/rounds';
import { Card, Key, Row, Stat } from '../controls';
import { Page } from '../Page';
import { Txt } from '../theme';
import { UndoLine } from '../UndoLine';
import { NextStops } from './NextStops';

/** What the round came to. */
export function RoundDone({
  round,
  onLeave,
  onGo,
}: {
  round: PollinationRound;
  onLeave: () => void;
  onGo: (flower: string) => void;
}) {
  const count = (how: string) => round.stops.filter(({ state }) => state === how).length;
  return (
    <Page
      title="The round is done"
      foot={<Key title="Back to Today" look="main" onPress={onLeave} />}
      side={<NextStops round={round} current="" onGo={onGo} all />}
    >
      <Card>
        <Row gap={20}>
          <Stat value={count('worked')} name="pollinated" />
          <Stat value={count('spoiled')} name="not whole" />
          <Stat value={count('lost')} name="lost" />
        </Row>
        <Txt>
          The first look that tells something is in three days. Males left over are good in the kitchen, if
          nothing was sprayed: shake the insects out.
        </Txt>
      </Card>
      <UndoLine />
    </Page>
  );
}
