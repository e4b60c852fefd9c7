import { useRouter } from 'expo-router';
import type { BloomDay } from '@core/bloom';
import { kitchenMinutes, type KitchenPlant } from '@core/kitchen';
import { clockText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { BETWEEN, Badge, Card, Button, Row, Stat } from '../controls';
import { Txt } from '../theme';
import { plural } from '../words';

/** Flowers worked for the fruit (or where no cover is needed): how many this morning, until when, how long it takes. */
export function KitchenCard({
  plants,
  bloomDay,
  lead,
}: {
  plants: readonly KitchenPlant[];
  /** Of today. */
  bloomDay: BloomDay;
  /** Whether it is the next thing to do. */
  lead: boolean;
}) {
  const { place, prefs, now } = useGarden();
  const router = useRouter();
  const time = (at: number) => clockText(at, place.zone, prefs.clock === '12');
  const vines = plants.filter(({ growing }) => growing.crop.family === 'cucurbit');
  const females = vines.flatMap((plant) => plant.females);
  const due = females.filter(({ how }) => how === 'due' || how === 'perhaps').length;
  const passed = females.filter(({ how }) => how === 'passed').length;
  const done = plants.reduce((sum, { today }) => sum + today, 0);
  const closes = Math.max(...vines.map(({ growing }) => bloomDay.window(growing.crop).closes));
  const over = vines.length > 0 && now >= closes;
  const alone = plants.some(({ insectsOut }) => insectsOut);
  const corn = plants.filter(({ growing }) => growing.crop.family === 'corn').length;
  const others = plants.length - vines.length - corn;
  const words = [
    vines.length === 0
      ? null
      : over
        ? 'The vines’ flowers have shut for today: look for tomorrow’s females in the evening.'
        : due > 0
          ? `${plural(due, 'female')} should be open.`
          : alone
            ? 'No female was noted last evening: look each plant over for open ones.'
            : 'Look each plant over for open females, or leave them to the insects.',
    alone && !over ? 'Where no insect gets in, every flower is yours to pollinate.' : null,
    others > 0 ? `${plural(others, 'plant')} to shake or brush, in the dry middle of the day.` : null,
    corn > 0
      ? `While silk shows: shake the tassels over the block of ${plural(corn, 'corn plant')} once the dew is off.`
      : null,
    passed > 0
      ? `Of ${plural(passed, 'female')} nobody wrote what became of ${passed === 1 ? 'it' : 'them'}.`
      : null,
  ].filter((each) => each !== null);
  return (
    <Card>
      <Row style={BETWEEN}>
        <Txt size="heading">Kitchen round</Txt>
        {vines.length > 0 && !over ? <Badge text={`shut by ${time(closes)}`} tone="pollen" /> : null}
      </Row>
      <Row gap={20}>
        {due > 0 && !over ? (
          <Stat value={due} name={due === 1 ? 'female to work' : 'females to work'} />
        ) : null}
        <Stat value={plants.length} name={plants.length === 1 ? 'plant' : 'plants'} />
        <Stat value={kitchenMinutes(plants)} name={kitchenMinutes(plants) === 1 ? 'minute' : 'minutes'} />
        {done > 0 ? <Stat value={done} name={done === 1 ? 'flower today' : 'flowers today'} /> : null}
      </Row>
      <Txt tone="muted">{words.join(' ')}</Txt>
      <Button
        title={over ? 'Look for tomorrow’s females' : 'Open the kitchen round'}
        look={lead ? 'main' : 'plain'}
        label={over ? 'Look for tomorrow’s females' : 'Open: Kitchen round'}
        onPress={() => router.navigate(over ? '/walk?kitchen=1' : '/kitchen')}
      />
      {over ? (
        <Button
          title="Open the kitchen round"
          look="quiet"
          small
          label="Open: Kitchen round"
          onPress={() => router.navigate('/kitchen')}
        />
      ) : null}
    </Card>
  );
}
