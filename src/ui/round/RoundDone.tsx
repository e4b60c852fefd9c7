import { lookDays } from '@core/fruitset';
import { tooLateForSeed } from '@core/goals';
import { surplusMales, type PollinationRound } from '@core/rounds';
import type { DawnPlan } from '@/data/round/dawnPlan';
import { useGarden } from '@/data/garden/garden';
import { shortDayText } from '@core/time';
import { Card, Button, Notice, Row, Stat } from '../controls';
import { Page } from '../Page';
import { Txt } from '../theme';
import { UndoLine } from '../UndoLine';
import { plural } from '../words';
import { NextStops } from './NextStops';

/** What the round came to. */
export function RoundDone({
  round,
  dawn,
  numbered,
  onLeave,
  onGo,
}: {
  round: PollinationRound;
  dawn: DawnPlan | null;
  numbered: readonly string[];
  onLeave: () => void;
  onGo: (flower: string) => void;
}) {
  const count = (how: string) => round.stops.filter(({ state }) => state === how).length;
  const { state, place, record } = useGarden();
  // With every female done or lost nothing is reserved any more.
  const surplus =
    dawn && round.toDo.length === 0 ? surplusMales(state, place, round.date, dawn.question.match) : [];
  const firstLook = Math.min(
    ...round.stops
      .filter((stop) => stop.state === 'worked')
      .map(({ growing }) => lookDays(growing.crop)[0] ?? 3),
  );
  const late = round.stops.flatMap(({ flower, growing }) => {
    const found = tooLateForSeed(state, place, flower, growing.stand, round.date);
    return found ?? [];
  });
  const squash = surplus.filter(({ variety }) => state.varieties.get(variety)?.crop.startsWith('squash'));
  return (
    <Page
      title="The round is done"
      foot={<Button title="Back to Today" look="main" onPress={onLeave} />}
      side={<NextStops round={round} dawn={dawn} numbered={numbered} current="" onGo={onGo} all />}
    >
      <Card>
        <Row gap={20}>
          <Stat value={count('worked')} name="pollinated" />
          <Stat value={count('spoiled')} name="not whole" />
          <Stat value={count('lost')} name="lost" />
          {count('missed') > 0 ? <Stat value={count('missed')} name="left" /> : null}
          {round.toDo.length > 0 ? <Stat value={round.toDo.length} name="left out" /> : null}
        </Row>
        {count('worked') > 0 ? (
          <Txt>{`The first look that tells something is in ${plural(firstLook, 'day')}.`}</Txt>
        ) : null}
        {late[0] ? (
          <Notice
            tone="pollen"
            text={`${plural(late.length, 'flower')} worked after ${shortDayText(late[0].by)}: too late for seed to be ripe by ${shortDayText(late[0].until)}. ${late.length === 1 ? 'It counts' : 'They count'} for the kitchen.`}
          />
        ) : null}
      </Card>
      {squash.length > 0 ? (
        <Card>
          <Txt size="heading">{plural(squash.length, 'male')} left over</Txt>
          <Txt>Shut, whole, and no female needs them any more: good in the kitchen.</Txt>
          <Notice
            tone="brick"
            text="Only from plants treated with nothing that is not cleared for eating. Shake the insects out; taste a little, and eat nothing bitter. Where flowers are sold, food rules hold."
          />
          <Button
            title={`Take ${plural(squash.length, 'male')} to the kitchen`}
            onPress={() =>
              void record(
                ...squash.map(({ id }) => ({
                  kind: 'harvested' as const,
                  flower: id,
                  harvestFor: 'kitchen' as const,
                  weightG: null,
                })),
              )
            }
          />
        </Card>
      ) : null}
      <UndoLine />
    </Page>
  );
}
