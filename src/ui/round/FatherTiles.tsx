import { View } from 'react-native';
import { plantName } from '@core/patch';
import type { FatherOffer } from '@core/rounds';
import { useGarden } from '@/data/garden/garden';
import { Button, Tile, Tiles } from '../controls';
import { plural } from '../words';

/** Which plants' males were used, and how many of each. A male found torn is said here too. */
export function FatherTiles({
  offers,
  males,
  onChange,
}: {
  offers: readonly FatherOffer[];
  males: Readonly<Record<string, number>>;
  onChange: (males: Record<string, number>) => void;
}) {
  const { record } = useGarden();
  const usable = offers.filter(({ free }) => free.length > 0);
  const others = usable.some(({ selfing }) => !selfing);
  if (usable.length === 0) return null;
  return (
    <Tiles
      question={`Pollen from ${others ? `other ${usable[0]?.growing.variety.name ?? ''} plants` : 'this plant itself'} (tap again for one more male)`}
    >
      {usable.map(({ growing, free, used, spoiled, selfing }) => {
        const count = males[growing.plant.id] ?? 0;
        return (
          <View
            key={growing.plant.id}
            style={{ flexGrow: 1, flexBasis: 92, maxWidth: 180, alignSelf: 'flex-start' }}
          >
            <Tile
              title={`plant ${growing.plant.label}`}
              label={`Pollen of ${plantName(growing)}: ${count} of ${plural(free.length, 'male')}`}
              note={`${count > 0 ? `${count} of ${free.length}` : plural(free.length, 'male')}${selfing ? ', same plant' : ''}${used > 0 ? `, ${used} used` : ''}${spoiled > 0 ? `, ${spoiled} torn or gone` : ''}`}
              chosen={count > 0}
              onPress={() => onChange({ ...males, [growing.plant.id]: count >= free.length ? 0 : count + 1 })}
            />
            {count > 0 ? (
              <Button
                title="one is torn"
                look="quiet"
                small
                label={`A male of ${plantName(growing)} is torn`}
                onPress={() => {
                  const torn = free[free.length - 1];
                  if (!torn) return;
                  onChange({ ...males, [growing.plant.id]: Math.min(count, free.length - 1) });
                  void record({ kind: 'closureChecked', flower: torn, result: 'torn' });
                }}
              />
            ) : null}
          </View>
        );
      })}
    </Tiles>
  );
}
