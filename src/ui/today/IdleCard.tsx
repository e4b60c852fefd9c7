import { useMemo } from 'react';
import { useRouter } from 'expo-router';
import { standingOrder, type Growing } from '@core/patch';
import { leftToBees } from '@core/rounds';
import { useGarden } from '@/data/garden/garden';
import { Button, Card, Row } from '../controls';
import { Txt } from '../theme';
import { plural } from '../words';

/** A day without a round, and why there is none. `grown`: plants that stand here and are pollinated by hand; `over`: all have had their season. */
export function IdleCard({ grown, over }: { grown: readonly Growing[]; over: boolean }) {
  const { state, today } = useGarden();
  const worked = grown.length;
  const router = useRouter();
  const standing = useMemo(() => standingOrder(state).length, [state]);
  if (standing === 0)
    return (
      <Card>
        <Txt size="heading">Nothing grows here yet</Txt>
        <Txt>Add a bed and its plants, and what to do each day begins here.</Txt>
        <Button title="Add plants" look="main" onPress={() => router.navigate('/patch')} />
      </Card>
    );
  if (grown.some((each) => leftToBees(state, each, today)))
    return (
      <Card>
        <Txt size="heading">The bees do the work</Txt>
        <Txt>
          Nothing is to be shut or dabbed in the cages. Note a flower that you see open, and mark its fruit:
          its proof hangs on the day on which it opened.
        </Txt>
        <Button title="Note a flower" onPress={() => router.navigate('/walk')} />
      </Card>
    );
  if (over)
    return (
      <Card>
        <Txt size="heading">The season is over</Txt>
        <Txt>
          What is left: seed to take in and note, next year’s plan, and practice for it. Is something in
          flower indoors or in a closed house? Say so in Patch, under Cover.
        </Txt>
        <Row>
          <Button title="Seed" small onPress={() => router.navigate('/seed')} />
          <Button title="The plan" small onPress={() => router.navigate('/plan')} />
          <Button title="Practice" small onPress={() => router.navigate('/practice')} />
        </Row>
      </Card>
    );
  return (
    <Card>
      <Txt size="heading">Nothing to do today</Txt>
      <Txt>
        {worked === 0
          ? `${plural(standing, 'plant')} here, all of kinds that self in a shut flower: there is nothing to shut or to work.`
          : `${plural(worked, 'plant')} here, and in this season nothing should flower in the open. Do they stand indoors or in a closed house? Say so in Patch, under Cover, or note a flower when you see one.`}
      </Txt>
      <Button title="Go to Patch" onPress={() => router.navigate('/patch')} />
    </Card>
  );
}
