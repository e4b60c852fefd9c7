import { Fragment } from 'react';
import { View } from 'react-native';
import { Txt } from '../theme';
import { allLooks } from './allLooks';
import { FlowerDrawing, SketchDrawing } from './FlowerDrawing';
import { SKETCHES } from './geometry';

const groups = allLooks();

/** Every drawing, by crop. */
export function Gallery({ size }: { size: number }) {
  return [
    <View key="sketches" style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 4 }}>
      {SKETCHES.map((sketch) => (
        <SketchDrawing key={sketch} sketch={sketch} petals="yellow" size={size} />
      ))}
    </View>,
    ...groups.map(({ crop, title, looks }) => (
      <Fragment key={crop}>
        <Txt size="heading">{title}</Txt>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 4 }}>
          {looks.map(({ name, look }) => (
            <View key={name} style={{ alignItems: 'center', width: Math.max(64, size * 0.75) }}>
              <FlowerDrawing {...look} size={size} />
              <Txt size="label" tone="muted" style={{ fontSize: 11, lineHeight: 13, textAlign: 'center' }}>
                {name}
              </Txt>
            </View>
          ))}
        </View>
      </Fragment>
    )),
  ];
}
