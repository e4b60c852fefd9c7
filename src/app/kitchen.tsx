import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { Tool } from '@core/crops';
import { plantName } from '@core/patch';
import { holdSeconds, kitchenRound, kitchenTools, SECONDS_A_FLOWER, type KitchenPlant } from '@core/rounds';
import { useGarden } from '@/data/garden';
import { Card, Key, Notice, Stat, Stepper, Tile, Tiles } from '@/ui/controls';
import { gated } from '@/ui/Gate';
import { Page } from '@/ui/Page';
import { HoldTimer } from '@/ui/round/HoldTimer';
import { Txt } from '@/ui/theme';
import { UndoLine } from '@/ui/UndoLine';
import { plural, toolWords } from '@/ui/words';

/** The kitchen round: no closures, no marks; a tally of flowers worked, plant by plant and truss by truss. */
function Kitchen() {
  const { state, place, today } = useGarden();
  const plants = useMemo(() => kitchenRound(state, place.zone, today), [state, place.zone, today]);
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
      {plants.map((plant) => (
        <PlantTally key={plant.growing.plant.id} plant={plant} />
      ))}
    </Page>
  );
}

function PlantTally({ plant }: { plant: KitchenPlant }) {
  const { record } = useGarden();
  const { growing, today, lastTruss } = plant;
  const [tool, setTool] = useState<Tool>(plant.tool);
  const [choosing, setChoosing] = useState(false);
  const [truss, setTruss] = useState<number | null>(lastTruss);
  const [busy, setBusy] = useState(false);
  const trusses = growing.crop.family === 'nightshade' || growing.crop.family === 'strawberry';
  const hold = holdSeconds(tool);
  const add = async (flowers: number) => {
    setBusy(true);
    try {
      await record({
        kind: 'tallied',
        plant: growing.plant.id,
        tool,
        flowers,
        truss: trusses ? truss : null,
      });
    } finally {
      setBusy(false);
    }
  };
  const name = plantName(growing);
  return (
    <Card style={{ gap: 8 }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
        <View style={{ flex: 1 }}>
          <Txt size="strong">{name}</Txt>
          <Txt size="label" tone="muted">
            {growing.bed.name} · {toolWords[tool]}, about {SECONDS_A_FLOWER[tool] ?? 5} s a flower
          </Txt>
        </View>
        <Txt size="number" aria-label={`${today} flowers today on ${name}`}>
          {today}
        </Txt>
      </View>
      {choosing ? (
        <Tiles question="Worked with">
          {kitchenTools(growing.crop).map((each) => (
            <Tile
              key={each}
              title={toolWords[each]}
              small
              chosen={tool === each}
              onPress={() => {
                setTool(each);
                setChoosing(false);
              }}
              minWidth={84}
            />
          ))}
        </Tiles>
      ) : null}
      {trusses ? (
        <Stepper
          label={truss === null ? 'Truss (may be left out)' : 'Truss from the root'}
          value={truss ?? 1}
          unset={truss === null}
          least={1}
          most={60}
          onChange={setTruss}
        />
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {[1, 3, 5].map((n) => (
          <Key
            key={n}
            title={`+ ${n}`}
            small
            label={`${plural(n, 'flower')} worked on ${name}`}
            disabled={busy}
            onPress={() => void add(n)}
          />
        ))}
        {hold ? <HoldTimer seconds={hold} verb={tool === 'vibration' ? 'Vibrate' : 'Brush'} /> : null}
        <Key
          title="Tool"
          look="quiet"
          small
          label={`Change the tool for ${name}`}
          onPress={() => setChoosing(!choosing)}
        />
      </View>
    </Card>
  );
}

export default gated(Kitchen);
