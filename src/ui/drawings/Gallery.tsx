import { Fragment } from 'react';
import { StyleSheet, Text, View } from 'react-native';
import { FONT, Txt, useColours } from '../theme';
import { allLooks } from './allLooks';
import { FlowerDrawing, SketchDrawing } from './FlowerDrawing';
import { SKETCHES } from './geometry';

const groups = allLooks();

/** Every drawing, by crop. */
export function Gallery({ size }: { size: number }) {
  const { muted } = useColours();
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
              <Text style={[styles.name, { color: muted }]}>{name}</Text>
            </View>
          ))}
        </View>
      </Fragment>
    )),
  ];
}

const styles = StyleSheet.create({
  name: { fontFamily: FONT, fontSize: 11, lineHeight: 13, textAlign: 'center' },
});
