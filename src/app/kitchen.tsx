import { useMemo } from 'react';
import { View } from 'react-native';
import { kitchenRound } from '@core/kitchen';
import { useGarden } from '@/data/garden/garden';
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
  const crops = [...new Map(plants.map(({ growing: { crop } }) => [crop.id, crop])).values()];
  const tomato = crops.some(({ id }) => id === 'tomato');
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
          {tomato ? (
            <Txt>
              Hold the truss from below and the vibrating tool to its stalk: a puff of pollen means a
              near-certain set. Towards noon, when it is dry.
            </Txt>
          ) : null}
          {crops.some(({ id }) => id === 'strawberry') ? (
            <Txt>Brush round the whole middle of each open flower, about 3 seconds.</Txt>
          ) : null}
          {crops.some(({ family }) => family === 'cucurbit') ? (
            <Txt>
              Peel a male, twist and dab over every lobe, leave the flower open: insects may add to it.
            </Txt>
          ) : null}
          {crops.map((crop) => (
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
