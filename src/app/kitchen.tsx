import { useMemo } from 'react';
import { View } from 'react-native';
import { isSticky, weatheredCrops } from '@core/bloom';
import { kitchenStep } from '@core/crops';
import { kitchenRound } from '@core/kitchen';
import { addDays } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { useWeather } from '@/data/weather/weather';
import { Card, Notice, Stat } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { StandTally } from '@/ui/kitchen/StandTally';
import { Page } from '@/ui/Page';
import { Txt } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';
import { plural } from '@/ui/words';

/** The kitchen round: no closures, no marks; a tally of flowers worked, plant by plant and truss by truss. */
function Kitchen() {
  const { state, place, today } = useGarden();
  const plants = useMemo(() => kitchenRound(state, place.zone, today), [state, place.zone, today]);
  const stands = [...new Set(plants.map(({ growing }) => growing.stand.id))].map((id) =>
    plants.filter(({ growing }) => growing.stand.id === id),
  );
  const total = plants.reduce((sum, plant) => sum + plant.today, 0);
  const crops = weatheredCrops(plants.map(({ growing }) => growing));
  const steps = new Set(
    plants.map(({ growing: { crop }, tool }) => `${crop.plural}: ${kitchenStep(crop, tool)}`),
  );
  const { weatherOf } = useWeather();
  const weather = weatherOf(today);
  const before = [weatherOf(addDays(today, -1))].filter((day) => day !== null);
  const sticky = weather !== null && crops.some((each) => isSticky(each, weather, before));
  return (
    <Page
      title="Kitchen round"
      over={plural(plants.length, 'plant')}
      side={
        <Card>
          <View style={{ flexDirection: 'row', gap: 20 }}>
            <Stat value={total} name="flowers today" />
            <Stat
              value={plants.filter((plant) => plant.today > 0).length}
              name={`of ${plants.length} plants`}
            />
          </View>
          {sticky ? (
            <Notice
              tone="pollen"
              text="Sticky air for days: tomato pollen clumps, and vibrating won’t help. Wait for drier days, air the tunnel."
            />
          ) : null}
          {[...steps].map((words) => (
            <Txt key={words}>{words}</Txt>
          ))}
          {crops.map(({ crop }) => (
            <Txt key={crop.id} size="label" tone="muted">
              {crop.plural}: {crop.caution}
            </Txt>
          ))}
        </Card>
      }
    >
      <UndoLine />
      {plants.length === 0 ? (
        <Notice
          tone="dusk"
          text="Nothing here is grown for the kitchen. On the Patch a stand’s reason can be fruit; or give it a kitchen goal."
        />
      ) : null}
      {stands.map((each) => (
        <StandTally key={each[0]?.growing.stand.id} plants={each} />
      ))}
    </Page>
  );
}

export default gated(Kitchen);
