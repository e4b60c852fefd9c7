import { Children, type ReactNode } from 'react';
import { View } from 'react-native';
import type { Flower } from '@core/ledger';
import { plantName, type Growing } from '@core/patch';
import { useGarden } from '@/data/garden/garden';
import { flowerAppearance } from './drawings/appearance';
import { FlowerDrawing } from './drawings/FlowerDrawing';
import { Txt, useColours } from './theme';
import { useFlowerText } from './useFlowerText';
import { BESIDE } from './controls';

/** One flower in a list of work: drawn, named, with what can be done about it. */
export function FlowerRow({
  flower,
  growing,
  note,
  title,
  below = false,
  children,
}: {
  flower: Flower;
  growing: Growing;
  note?: string;
  /** Where the plant is named above already. */
  title?: string;
  /** A key with a long title stands under the words. */
  below?: boolean;
  children?: ReactNode;
}) {
  const { place } = useGarden();
  const nameOf = useFlowerText();
  const name = nameOf(growing, flower);
  const colours = useColours();
  // One key stands beside the words, several under them: neither squeezes the name.
  const many = below || Children.toArray(children).length > 1;
  const keys = children ? (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6, marginTop: many ? 4 : 0 }}>
      {children}
    </View>
  ) : null;
  return (
    <View
      style={{
        flexDirection: 'row',
        flexWrap: 'wrap',
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
      <View style={BESIDE}>
        <Txt size="strong">{title ?? plantName(growing)}</Txt>
        <Txt size="label" tone="muted">
          {[name.slice(plantName(growing).length + 2), note].filter(Boolean).join(' · ')}
        </Txt>
        {many ? keys : null}
      </View>
      {many ? null : keys}
    </View>
  );
}
