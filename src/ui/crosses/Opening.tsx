import { freeThread, standing } from '@core/crosses';
import { plantName, type Growing } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { Button, Card } from '../controls';
import { FlowerRow } from '../FlowerRow';
import { Txt } from '../theme';
import { bagOf, type CrossProps } from './crossProps';

/** Buds at the right stage, and the plants on which to look for more. */
export function Opening({ cross: { growing: first, plants, toEmasculate }, busy, onSave }: CrossProps) {
  const { state, newId } = useGarden();
  const bud = (growing: Growing) => {
    const flower = newId('flower');
    const thread = freeThread(othersOn(growing));
    onSave(
      { kind: 'flowerSeen', flower, plant: growing.plant.id, sex: 'perfect', stage: 'coloured', node: null },
      ...(thread ? [{ kind: 'threaded' as const, flower, colour: thread }] : []),
    );
  };
  const othersOn = (growing: Growing) =>
    standing(state, growing).filter(
      ({ coverOffAt, shuttings, emasculated, sightings }) =>
        coverOffAt === null &&
        (shuttings.length > 0 || emasculated !== null || sightings.at(-1)?.stage === 'coloured'),
    );
  return (
    <Card>
      <Txt size="heading">Mothers to open: {first.variety.name}</Txt>
      <Txt tone="muted">
        Petals pale, just parting, still shut: take the petals and the whole ring of anthers out without
        touching the stigma, then the bag. Green is too early; open is too late. Fine tweezers, wiped with
        spirit between flowers: keep points from eyes, spirit from flames.
      </Txt>
      {toEmasculate.map(({ flower, growing }) => (
        <FlowerRow key={flower.id} flower={flower} growing={growing} note="right stage">
          <Button
            title="Anthers out, bagged"
            small
            label={`Anthers out of a bud on ${plantName(growing)}${flower.thread ? `, ${flower.thread} thread` : ''}`}
            disabled={busy}
            onPress={() =>
              onSave(
                { kind: 'emasculated', flower: flower.id },
                ...(flower.shuttings.length === 0
                  ? [{ kind: 'flowerShut' as const, flower: flower.id, closure: bagOf(growing) }]
                  : []),
              )
            }
          />
          <Button
            title="Knocked off"
            small
            label={`A bud on ${plantName(growing)} was knocked off`}
            disabled={busy}
            onPress={() => onSave({ kind: 'lost', flower: flower.id, cause: 'knocked-off' })}
          />
        </FlowerRow>
      ))}
      {plants.map((growing) => {
        const thread = freeThread(othersOn(growing));
        return (
          <Button
            key={growing.plant.id}
            title={`Bud ready on ${plantName(growing)}${thread ? `, ${thread} thread on` : ''}`}
            label={`A bud at the right stage on ${plantName(growing)}`}
            small
            disabled={busy}
            onPress={() => bud(growing)}
          />
        );
      })}
    </Card>
  );
}
