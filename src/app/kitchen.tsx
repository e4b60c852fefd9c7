import { useMemo } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { bloomDayOf, isSticky, weatheredCrops } from '@core/bloom';
import { kitchenMinutes, kitchenRound } from '@core/kitchen';
import { addDays, clockText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useWeather } from '@/data/weather/weather';
import { Button, Card, Notice, Stat } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { StandTally } from '@/ui/kitchen/StandTally';
import { Page } from '@/ui/Page';
import { ToToday } from '@/ui/ToToday';
import { Txt, useIsWide } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';
import { plural } from '@/ui/words';

/** The kitchen round: no closures, no marks; a tally of flowers worked, plant by plant and truss by truss. */
function Kitchen() {
  const { state, place, today, now, prefs } = useGarden();
  const router = useRouter();
  const wide = useIsWide();
  const plants = useMemo(() => kitchenRound(state, place.zone, today), [state, place.zone, today]);
  const stands = [...new Set(plants.map(({ growing }) => growing.stand.id))].map((id) =>
    plants.filter(({ growing }) => growing.stand.id === id),
  );
  const total = plants.reduce((sum, plant) => sum + plant.today, 0);
  const crops = weatheredCrops(plants.map(({ growing }) => growing));
  const { weatherOf } = useWeather();
  const weather = weatherOf(today);
  const before = [weatherOf(addDays(today, -1))].filter((day) => day !== null);
  const sticky = weather !== null && crops.some((each) => isSticky(each, weather, before));
  const vines = plants.filter(({ growing }) => growing.crop.family === 'cucurbit');
  const due = vines.reduce(
    (sum, { females }) => sum + females.filter(({ how }) => how === 'due' || how === 'perhaps').length,
    0,
  );
  const bloomDay = useMemo(
    () => bloomDayOf(state, place, today, weatherOf),
    [state, place, today, weatherOf],
  );
  const time = (at: number) => clockText(at, place.zone, prefs.clock === '12');
  const hours = [...new Set(vines.map(({ growing }) => growing.crop))].map((crop) => {
    const { opens, bestUntil, closes } = bloomDay.window(crop);
    const until =
      bestUntil < closes
        ? `best till ${time(bestUntil)}, shut by ${time(closes)}`
        : `shut by ${time(closes)}`;
    return `${crop.plural}: open from ${time(opens)}, ${until}${now > closes ? '; over for today' : ''}.`;
  });
  const half = wide ? Math.ceil(stands.length / 2) : stands.length;
  const tallies = (of: typeof stands) =>
    of.map((each) => <StandTally key={each[0]?.growing.stand.id} plants={each} />);
  return (
    <Page
      title={plants.some(({ seed }) => seed) ? 'Open flowers' : 'Kitchen round'}
      over={plural(plants.length, 'plant')}
      corner={<ToToday />}
      side={
        <>
          <Card>
            <View style={{ flexDirection: 'row', gap: 20 }}>
              {due > 0 ? <Stat value={due} name={due === 1 ? 'female to work' : 'females to work'} /> : null}
              <Stat value={total} name={total === 1 ? 'flower today' : 'flowers today'} />
              <Stat
                value={kitchenMinutes(plants)}
                name={kitchenMinutes(plants) === 1 ? 'minute' : 'minutes'}
              />
            </View>
            {sticky ? (
              <Notice
                tone="pollen"
                text="Sticky air for days: tomato pollen clumps, and vibrating won’t help. Wait for drier days, air the tunnel."
              />
            ) : null}
            {hours.map((words) => (
              <Txt key={words}>{words}</Txt>
            ))}
            {crops.map(({ crop }) => (
              <Txt key={crop.id} size="label" tone="muted">
                {crop.plural}: {crop.caution}
              </Txt>
            ))}
          </Card>
          {tallies(stands.slice(half))}
        </>
      }
      foot={
        vines.length > 0 ? (
          <Button title="Look for tomorrow’s females" onPress={() => router.navigate('/walk?kitchen=1')} />
        ) : undefined
      }
    >
      <UndoLine />
      {plants.length === 0 ? (
        <Notice
          tone="dusk"
          text="Nothing here is grown for the kitchen. On the Patch a stand’s reason can be fruit; or give it a kitchen goal."
        />
      ) : null}
      {tallies(stands.slice(0, half))}
    </Page>
  );
}

export default gated(Kitchen);
