import { View } from 'react-native';
import type { EarStands, ScoutedPlant } from '@core/corn';
import type { Draft } from '@core/ledger';
import { plantName } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { BESIDE, Badge, Button, Card, Row } from '../controls';
import { Txt } from '../theme';
import { plural } from '../words';

const earWords: Record<EarStands, string> = {
  bare: 'no bag yet',
  bagged: 'bagged, no silk yet',
  silk: 'silk under the bag',
  poured: 'poured, covered',
  spoiled: 'spoiled for seed',
};
const tasselWords: Record<ScoutedPlant['tasselIs'], string> = {
  none: 'tassel not shedding yet',
  sheds: 'tassel sheds',
  bagged: 'tassel bagged',
  over: 'tassel over',
};

/** One corn plant of the daily look: what stands on it, and a key for each thing that can be found. */
export function ScoutRow({
  scouted: { growing, ears, tassel, tasselIs, done },
  busy,
  onSave,
}: {
  scouted: ScoutedPlant;
  busy: boolean;
  onSave: (...drafts: Draft[]) => void;
}) {
  const { newId } = useGarden();
  const name = plantName(growing);
  const plant = growing.plant.id;
  const see = (flower: string, sex: 'female' | 'male', stage: 'green' | 'open', node: number | null = null) =>
    ({ kind: 'flowerSeen', flower, plant, sex, stage, node }) as Draft;
  const counts = (Object.keys(earWords) as EarStands[]).flatMap((stands) => {
    const count = ears.filter((ear) => ear.stands === stands).length;
    return count > 0 ? [`${plural(count, 'ear')} ${earWords[stands]}`] : [];
  });
  const key = (title: string, label: string, drafts: () => Draft[]) => (
    <Button title={title} small label={label} disabled={busy} onPress={() => onSave(...drafts())} />
  );
  const of = (stands: EarStands) => ears.filter((ear) => ear.stands === stands);
  return (
    <Card style={{ gap: 6 }}>
      <Row>
        <View style={BESIDE}>
          <Txt size="strong">{name}</Txt>
          <Txt size="label" tone="muted">
            {[
              growing.bed.name,
              ...(counts.length > 0 ? counts : ['no ear noted']),
              tasselWords[tasselIs],
            ].join(' · ')}
          </Txt>
        </View>
        {done ? <Badge text="looked" tone="leaf" /> : null}
      </Row>
      <Row gap={6}>
        {of('bare').map(({ flower }, i) => (
          <Button
            key={flower.id}
            title={`Bag on ear ${i + 1}`}
            small
            label={`Shoot bag on ${name}, ear ${i + 1}`}
            disabled={busy}
            onPress={() => onSave({ kind: 'flowerShut', flower: flower.id, closure: 'shoot-bag' })}
          />
        ))}
        {of('bagged').map(({ flower }, i) => (
          <Button
            key={flower.id}
            title={`Silk under bag ${i + 1}`}
            small
            label={`Silk is out under bag ${i + 1} of ${name}`}
            disabled={busy}
            onPress={() => onSave(see(flower.id, 'female', 'open', flower.node))}
          />
        ))}
        {key('New shoot, bagged', `New shoot on ${name}, bag on`, () => {
          const flower = newId('flower');
          return [see(flower, 'female', 'green'), { kind: 'flowerShut', flower, closure: 'shoot-bag' }];
        })}
        {of('bare').length > 0
          ? of('bare').map(({ flower }, i) => (
              <Button
                key={flower.id}
                title={`Ear ${i + 1}: silk, no bag`}
                small
                label={`Silk without a bag on ${name}, ear ${i + 1}: spoiled for seed`}
                disabled={busy}
                onPress={() => onSave(see(flower.id, 'female', 'open', flower.node))}
              />
            ))
          : key('Silk, no bag', `Silk without a bag on ${name}: spoiled for seed`, () => [
              see(newId('flower'), 'female', 'open'),
            ])}
        {tasselIs === 'none'
          ? // A plant has one tassel: seen again, it is the same.
            key('Tassel sheds', `The tassel of ${name} sheds`, () => [
              see(tassel?.id ?? newId('flower'), 'male', 'open'),
            ])
          : null}
        {done ? null : key('Nothing new', `Nothing new on ${name}`, () => [{ kind: 'plantPassed', plant }])}
      </Row>
    </Card>
  );
}
