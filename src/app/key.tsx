import { useState } from 'react';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { catalogue, sexesOf, type Crop, type CropId, type Sex } from '@core/crops';
import { growing, walkOrder } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { Button, Tile, Tiles } from '@/ui/controls';
import { FlowerDrawing } from '@/ui/drawings/FlowerDrawing';
import { gated } from '@/ui/Gate';
import { KeyRun } from '@/ui/key/KeyRun';
import { Page } from '@/ui/Page';
import { Txt } from '@/ui/theme';

/** What am I looking at? From Today for any crop, from the walk for the plant one stands at. */
function KeyPage() {
  const { plant, crop } = useLocalSearchParams<{ plant?: string; crop?: string }>();
  const { state } = useGarden();
  const router = useRouter();
  const [chosen, setChosen] = useState<CropId | null>(catalogue.find(({ id }) => id === crop)?.id ?? null);
  const found = plant ? growing(state, plant) : null;
  const leave = () => (found ? router.replace('/walk') : router.replace('/'));
  if (found) return <KeyRun key={found.plant.id} crop={found.crop} growing={found} onLeave={leave} />;
  const one = catalogue.find(({ id }) => id === chosen);
  if (one) return <KeyRun key={one.id} crop={one} growing={null} onLeave={() => setChosen(null)} />;
  const here = new Set(walkOrder(state).map((each) => each.crop.id));
  const first = catalogue.filter(({ id }) => here.has(id));
  const rest = catalogue.filter(({ id }) => !here.has(id));
  const tile = (each: Crop) => (
    <Tile
      key={each.id}
      title={each.name}
      chosen={false}
      onPress={() => setChosen(each.id)}
      minWidth={100}
      picture={
        <FlowerDrawing
          crop={each.id}
          sex={sexesOf(each)[0] as Sex}
          appearance={each.family === 'corn' ? 'open' : 'coloured'}
          shape={each.usualShape}
          size={64}
        />
      }
    />
  );
  return (
    <Page
      title="What am I looking at?"
      over="Of which crop is it?"
      corner={<Button title="Back" look="quiet" small onPress={leave} />}
    >
      {first.length > 0 ? <Tiles question="In your patch">{first.map(tile)}</Tiles> : null}
      <Tiles question={first.length > 0 ? 'Others' : 'Crops'}>{rest.map(tile)}</Tiles>
      <Txt size="label" tone="muted">
        A few questions, each with drawings. “Can’t tell” is always an answer.
      </Txt>
    </Page>
  );
}

export default gated(KeyPage);
