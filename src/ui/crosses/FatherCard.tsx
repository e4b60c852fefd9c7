import type { FatherSide } from '@core/crosses';
import type { Draft } from '@core/ledger';
import { plantName, type Growing } from '@core/patch';
import { shortDayText } from '@core/time';
import { useGarden } from '@/data/garden/garden';
import { Button, Card } from '../controls';
import { FlowerRow } from '../FlowerRow';
import { Txt } from '../theme';
import { plural } from '../words';
import { bagOf } from './crossProps';

/** The father's buds of one cross: to bag, bagged for tomorrow, open and ready. */
export function FatherCard({
  father: { name, plants, toBag, bagged, ready, wanted },
  busy,
  onSave,
}: {
  father: FatherSide;
  busy: boolean;
  onSave: (...drafts: Draft[]) => void;
}) {
  const { newId } = useGarden();
  const bagABud = (growing: Growing) => {
    const flower = newId('flower');
    onSave(
      { kind: 'flowerSeen', flower, plant: growing.plant.id, sex: 'perfect', stage: 'coloured', node: null },
      { kind: 'flowerShut', flower, closure: bagOf(growing), stillShut: true },
    );
  };
  return (
    <Card>
      <Txt size="heading">Fathers: {name}</Txt>
      <Txt tone="muted">
        {wanted > 0
          ? `Bag ${plural(wanted, 'bud')} of ${name} today, shut and about to open: their pollen serves tomorrow.`
          : bagged.length > 0
            ? `Enough bagged today: ${plural(bagged.length, 'bud')} of ${name}, for tomorrow.`
            : `${plural(ready.length, 'bagged flower')} of ${name} to take pollen from.`}
      </Txt>
      {toBag.map(({ flower, growing }) => (
        <FlowerRow key={flower.id} flower={flower} growing={growing} note="about to open">
          <Button
            title="Still shut: bag on"
            small
            label={`Bag a father bud of ${plantName(growing)}`}
            disabled={busy}
            onPress={() =>
              onSave({ kind: 'flowerShut', flower: flower.id, closure: bagOf(growing), stillShut: true })
            }
          />
        </FlowerRow>
      ))}
      {bagged.map(({ flower, growing }) => (
        <FlowerRow key={flower.id} flower={flower} growing={growing} note="bagged today: ready tomorrow" />
      ))}
      {ready.map(({ flower, growing, goodUntil }) => (
        <FlowerRow
          key={flower.id}
          flower={flower}
          growing={growing}
          note={`bagged, open: pollen good till ${shortDayText(goodUntil)}`}
        >
          <Button
            title="Bag torn"
            small
            label={`The bag of a father flower of ${plantName(growing)} is torn`}
            disabled={busy}
            onPress={() => onSave({ kind: 'closureChecked', flower: flower.id, result: 'torn' })}
          />
        </FlowerRow>
      ))}
      {plants.map((growing) => (
        <Button
          key={growing.plant.id}
          title={`Bag a bud on ${plantName(growing)}`}
          small
          disabled={busy}
          onPress={() => bagABud(growing)}
        />
      ))}
    </Card>
  );
}
