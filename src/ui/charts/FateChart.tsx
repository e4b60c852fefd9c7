import { View } from 'react-native';
import { Path } from 'react-native-svg';
import type { FateOnDay, FruitEnd } from '@core/fruitset';
import { Txt, useColours, type Colours } from '../theme';
import { ShareFrame } from './Frame';
import { axisEnd, dayScale, daysApart, fateLayers, type FateLayer } from './stepGeometry';
import { useBoard } from './useBoard';

const HEIGHT = 190;
/** Room for two digits of a day and some air, in units of the drawing. */
const DAY_GAP = 26;
/** From the bottom: what still hangs, what was harvested, what was lost. */
const ORDER: readonly FruitEnd[] = [
  'harvested',
  'plant-ended',
  'unknown',
  'accident',
  'weather',
  'pest',
  'rot',
  'load',
  'pollen',
];

const GROUND: Readonly<Record<FruitEnd | 'remaining', readonly [colour: keyof Colours, opacity: number]>> = {
  remaining: ['leaf', 0.85],
  harvested: ['leafSoft', 1],
  'plant-ended': ['muted', 0.35],
  unknown: ['rule', 1],
  accident: ['dusk', 0.35],
  weather: ['dusk', 0.75],
  pest: ['pollen', 0.5],
  rot: ['brick', 0.45],
  load: ['pollen', 1],
  pollen: ['brick', 0.9],
};

const percent = (share: number) => `${Math.round(share * 100)} %`;

/** What becomes of fruits over the days, as layers that fill the whole, with their words and shares beneath. */
export function FateChart({
  fates,
  days,
  nameOf,
  countOf,
}: {
  fates: readonly FateOnDay[];
  days: readonly number[];
  /** What a layer is called; counts beside the shares are the caller's. */
  nameOf: (end: FateLayer['end']) => string;
  countOf: (end: FateLayer['end']) => string;
}) {
  const colours = useColours();
  const board = useBoard();
  const { width } = board;
  const lastDay = axisEnd(days, fates.at(-1)?.day);
  const scale = dayScale(width, HEIGHT, lastDay);
  const layers = fateLayers(fates, ORDER, lastDay, scale);
  const summary = `What has become of the fruits: ${layers.map(({ end, share }) => `${nameOf(end)} ${percent(share)}${countOf(end)}`).join(', ')}`;
  return (
    <View onLayout={board.onLayout}>
      <View role="img" aria-label={summary}>
        <ShareFrame
          board={board}
          height={HEIGHT}
          y={scale.y}
          ticks={daysApart(days, scale.x, DAY_GAP).map((day) => ({ x: scale.x(day), text: String(day) }))}
        >
          {layers.map(({ end, path }) => {
            const [colour, opacity] = GROUND[end];
            return (
              <Path
                key={end}
                d={path}
                fill={colours[colour]}
                fillOpacity={opacity}
                stroke={colours.card}
                strokeWidth={1.5}
              />
            );
          })}
        </ShareFrame>
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 14, rowGap: 4 }} aria-hidden>
        {[...layers].reverse().map(({ end, share }) => {
          const [colour, opacity] = GROUND[end];
          return (
            <View key={end} style={{ flexDirection: 'row', alignItems: 'center', gap: 6 }}>
              <View
                style={{
                  width: 14,
                  height: 14,
                  borderRadius: 3,
                  borderWidth: 1,
                  borderColor: colours.muted,
                  overflow: 'hidden',
                }}
              >
                <View style={{ flex: 1, backgroundColor: colours[colour], opacity }} />
              </View>
              <Txt size="label">
                {nameOf(end)} {percent(share)}
                {countOf(end)}
              </Txt>
            </View>
          );
        })}
      </View>
    </View>
  );
}
