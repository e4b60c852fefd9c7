import { sexesOf, STAGES, stagesOf, type Crop, type FruitShape, type Sex, type Stage } from '@core/crops';
import { Tile, Tiles } from '../controls';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { partName, partNote } from '../words';

/** Which flower, and how far on: by pictures of this crop and variety. */
export function WhatYouSee({
  crop,
  shape,
  sex,
  stage,
  onChange,
}: {
  crop: Crop;
  shape: FruitShape;
  /** `null`: not said yet. */
  sex: Sex | null;
  stage: Stage | null;
  onChange: (part: { sex?: Sex; stage?: Stage }) => void;
}) {
  const sexes = sexesOf(crop);
  const shown = sex ?? (sexes[0] as Sex);
  const stages = stagesOf(crop, shown);
  return (
    <>
      {sexes.length > 1 ? (
        <Tiles question="What do you see?">
          {sexes.map((each) => (
            <Tile
              key={each}
              title={partName(crop, each)}
              note={partNote(crop, each)}
              chosen={sex === each}
              onPress={() => onChange({ sex: each })}
              picture={
                <FlowerDrawing
                  sex={each}
                  appearance={stage ?? 'coloured'}
                  shape={shape}
                  crop={crop.id}
                  size={64}
                />
              }
              minWidth={120}
            />
          ))}
        </Tiles>
      ) : null}
      <Tiles question="How far on?">
        {STAGES.map((each) => (
          <Tile
            key={each}
            title={stages[each].name}
            chosen={stage === each}
            onPress={() => onChange({ stage: each })}
            picture={<FlowerDrawing sex={shown} appearance={each} shape={shape} crop={crop.id} size={52} />}
            label={`${stages[each].name}: ${stages[each].looks}`}
            minWidth={58}
            small
          />
        ))}
      </Tiles>
    </>
  );
}
