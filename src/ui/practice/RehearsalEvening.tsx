import type { ReactNode } from 'react';
import { catalogue, cropOf, stalkTells, type Crop, type CropId } from '@core/crops';
import type { Rehearsal } from '@core/simulation';
import { Card, Button, Tile, Tiles } from '../controls';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { Page } from '../Page';
import { Txt } from '../theme';
import { plural } from '../words';

const CROPS = catalogue.filter(({ family }) => family === 'cucurbit');

/** Which flowers to shut with the tape there is. */
export function RehearsalEvening({
  rehearsal,
  shut,
  corner,
  onShut,
  onCrop,
  onDone,
}: {
  rehearsal: Rehearsal;
  shut: readonly string[];
  corner: ReactNode;
  onShut: (shut: readonly string[]) => void;
  onCrop: (crop: CropId) => void;
  onDone: () => void;
}) {
  const left = rehearsal.tape - shut.length;
  const crop = cropOf(rehearsal.crop);
  const toggle = (id: string) =>
    shut.includes(id)
      ? onShut(shut.filter((each) => each !== id))
      : left > 0
        ? onShut([...shut, id])
        : undefined;
  return (
    <Page
      title={`Tape for ${left} more`}
      over={`Rehearsal · evening · ${rehearsal.flowers.length} flowers on ${rehearsal.plants} plants`}
      corner={corner}
      foot={
        <Button
          title={
            shut.length === 0
              ? 'Shut nothing, see the dawn'
              : `See the dawn with ${plural(shut.length, 'flower')} shut`
          }
          look="main"
          onPress={onDone}
        />
      }
      side={
        <Card>
          <Txt size="strong">What you are after</Txt>
          <Txt>As many pure fruits as this roll of tape allows. Tap a shut flower again to leave it.</Txt>
          {shut.length === 0 ? (
            <Tiles question="Crop">
              {CROPS.map(({ id, name }) => (
                <Tile
                  key={id}
                  title={name}
                  small
                  chosen={id === rehearsal.crop}
                  onPress={() => onCrop(id)}
                  minWidth={110}
                />
              ))}
            </Tiles>
          ) : null}
        </Card>
      }
    >
      <Txt>
        Shut what opens tomorrow: each female wants a shut male of another plant, better two. Tap a flower to
        shut it.
      </Txt>
      {Array.from({ length: rehearsal.plants }, (_, i) => i + 1).map((plant) => (
        <Card key={plant} style={{ padding: 8, gap: 6 }}>
          <Txt size="strong">Plant {plant}</Txt>
          <Tiles question={`Plant ${plant}`} hideQuestion>
            {rehearsal.flowers
              .filter((flower) => flower.plant === plant)
              .map(({ id, node, sex, stage, fullness }) => {
                const chosen = shut.includes(id);
                return (
                  <Tile
                    key={id}
                    title={`node ${node}`}
                    small
                    chosen={chosen}
                    disabled={!chosen && left === 0}
                    onPress={() => toggle(id)}
                    label={`Plant ${plant}, node ${node}: ${seenWords(cropOf(rehearsal.crop), sex, stage, fullness)}${chosen ? ', shut' : ''}`}
                    minWidth={64}
                    picture={
                      <FlowerDrawing
                        crop={crop.id}
                        sex={sex}
                        appearance={stage}
                        fullness={fullness}
                        shape={rehearsal.shape}
                        closure={chosen ? 'tape' : null}
                        size={92}
                      />
                    }
                  />
                );
              })}
          </Tiles>
        </Card>
      ))}
    </Page>
  );
}

/** The flower in words, for those who can't see it: what shows, not what it is called. */
function seenWords(crop: Crop, sex: string, stage: string, fullness: number): string {
  const below =
    sex === 'female'
      ? 'a swelling below the petals'
      : stalkTells(crop)
        ? 'a thin straight stalk'
        : 'no swelling below the petals';
  const petals: Record<string, string> = {
    pin: 'tiny and tight, green',
    green: fullness > 0.5 ? 'slim and long, all green' : 'slim, green',
    coloured: fullness < -0.5 ? 'shut, first colour along the petals' : 'shut, full and coloured',
    open: 'wide open',
    spent: 'limp',
  };
  return `${below}, ${petals[stage] ?? stage}`;
}
