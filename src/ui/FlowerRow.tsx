import type { ReactNode } from 'react';
import { View } from 'react-native';
import type { Flower } from '@core/ledger';
import { plantName, type Growing } from '@core/patch';
import { useGarden } from '@/data/garden';
import { flowerAppearance } from './drawings/appearance';
import { FlowerDrawing } from './drawings/FlowerDrawing';
import { Txt, useColours } from './theme';
import { flowerPlace } from './words';

/** One flower in a list of work: drawn, named, with what can be done about it. */
export function FlowerRow({
  flower,
  growing,
  note,
  children,
}: {
  flower: Flower;
  growing: Growing;
  note?: string;
  children?: ReactNode;
}) {
  const { place } = useGarden();
  const colours = useColours();
  return (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: 8,
        borderTopWidth: 1,
        borderTopColor: colours.rule,
        paddingTop: 6,
      }}
    >
      <FlowerDrawing
        {...flowerAppearance(flower, growing.crop, place.zone)}
        shape={growing.variety.shape}
        crop={growing.crop.id}
        size={52}
      />
      <View style={{ flex: 1 }}>
        <Txt size="strong">{plantName(growing)}</Txt>
        <Txt size="label" tone="muted">
          {flowerPlace(flower)}
          {note ? ` · ${note}` : ''}
        </Txt>
      </View>
      <View
        style={{
          flexDirection: 'row',
          flexWrap: 'wrap',
          gap: 6,
          justifyContent: 'flex-end',
          maxWidth: '55%',
        }}
      >
        {children}
      </View>
    </View>
  );
}
