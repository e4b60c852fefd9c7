import { View } from 'react-native';
import type { Contribution } from '@core/lineage';
import { useGarden } from '@/data/garden/garden';
import { BESIDE, Card } from '../controls';
import { Txt, useColours } from '../theme';
import { plantText } from '../words';

const halves = (fruits: number) => fruits.toFixed(1).replace('.0', '');

/** What each plant gave, as mother and as father, as bars of one scale. */
export function GivenBars({ plants }: { plants: readonly Contribution[] }) {
  const { state } = useGarden();
  const colours = useColours();
  const most = Math.max(1, ...plants.map(({ asMother, asFather }) => asMother + asFather));
  if (plants.length === 0) return null;
  return (
    <Card>
      <Txt size="heading">Who gave how much</Txt>
      <Txt size="label" tone="muted">
        In fruits: as mother (green), and as father (outlined), by his part of the males used.
      </Txt>
      {plants.map(({ plant, asMother, asFather }) => (
        <View key={plant} style={{ gap: 2, minHeight: 40 }}>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <Txt style={BESIDE}>{plantText(state, plant)}</Txt>
            <Txt>{`mother of ${halves(asMother)}, father of ${halves(asFather)}`}</Txt>
          </View>
          <View aria-hidden style={{ flexDirection: 'row', height: 12 }}>
            <View style={{ flex: asMother / most, backgroundColor: colours.leaf }} />
            <View
              style={{
                flex: asFather / most,
                borderWidth: asFather > 0 ? 2 : 0,
                borderColor: colours.pollen,
                backgroundColor: colours.pollenSoft,
              }}
            />
            <View style={{ flex: Math.max(0, 1 - (asMother + asFather) / most) }} />
          </View>
        </View>
      ))}
    </Card>
  );
}
