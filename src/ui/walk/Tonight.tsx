import { View } from 'react-native';
import type { Flower } from '@core/ledger';
import type { Growing } from '@core/patch';
import { Card, Row } from '../controls';
import { flowerAppearance } from '../drawings/appearance';
import { FlowerDrawing } from '../drawings/FlowerDrawing';
import { Txt } from '../theme';
import { flowerPlace, partName, plural } from '../words';

/** What was written down on this plant tonight. */
export function Tonight({
  flowers,
  growing,
  zone,
}: {
  flowers: readonly Flower[];
  growing: Growing;
  zone: string;
}) {
  return (
    <Card>
      <Txt size="strong">Tonight on this plant: {plural(flowers.length, 'flower')}</Txt>
      <Row gap={12}>
        {flowers.map((flower) => (
          <View key={flower.id} style={{ alignItems: 'center' }}>
            <FlowerDrawing
              {...flowerAppearance(flower, growing.crop, zone)}
              shape={growing.variety.shape}
              crop={growing.crop.id}
              size={58}
            />
            <Txt size="label">
              {[partName(growing.crop, flower.sex), flowerPlace(flower)].filter(Boolean).join(', ')}
            </Txt>
          </View>
        ))}
      </Row>
    </Card>
  );
}
