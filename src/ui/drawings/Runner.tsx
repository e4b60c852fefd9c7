import { Fragment, useEffect, useMemo, useRef } from 'react';
import { ScrollView } from 'react-native';
import Svg, { Circle, G, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Crop, FruitShape } from '@core/crops';
import type { Flower } from '@core/ledger';
import { FONT, useColours } from '../theme';
import { flowerAppearance } from './appearance';
import { FlowerGroup } from './FlowerDrawing';
import { RUNNER, runnerPlan } from './runnerGeometry';

export interface RunnerProps {
  readonly flowers: readonly Flower[];
  readonly crop: Crop;
  readonly shape: FruitShape;
  readonly zone: string;
  readonly chosen?: string | null;
  readonly onChoose?: (flower: Flower) => void;
  readonly summary: string;
  /** Share of its full size. */
  readonly scale?: number;
}

/** A plant as a line of nodes from root to tip, each with its flower by sex and stage, or its fruit by fate. */
export function Runner({ flowers, crop, shape, zone, chosen, onChoose, summary, scale = 1 }: RunnerProps) {
  const colours = useColours();
  const sorted = useMemo(
    () => [...flowers].sort((a, b) => (a.node ?? Infinity) - (b.node ?? Infinity) || (a.id < b.id ? -1 : 1)),
    [flowers],
  );
  const plan = useMemo(() => runnerPlan(sorted.map(({ node }) => node)), [sorted]);
  const chosenX = plan.nodes[sorted.findIndex(({ id }) => id === chosen)]?.x;
  const scroller = useRef<ScrollView>(null);
  const toShow = Math.max(0, (chosenX ?? plan.width) * scale - 220);
  useEffect(() => scroller.current?.scrollTo({ x: toShow, animated: false }), [toShow]);
  return (
    <ScrollView
      horizontal
      showsHorizontalScrollIndicator
      ref={scroller}
      role="img"
      aria-label={summary}
      tabIndex={0}
    >
      <Svg
        width={plan.width * scale}
        height={plan.height * scale}
        viewBox={`0 0 ${plan.width} ${plan.height}`}
      >
        <Path d={plan.stem} fill="none" stroke={colours.leaf} strokeWidth={6} strokeLinecap="round" />
        {sorted.map((flower, i) => {
          const place = plan.nodes[i];
          if (!place) return null;
          const up = flower.sex !== 'male';
          const size = up ? RUNNER.flowerUp : RUNNER.flowerDown;
          const flowerScale = size / 140;
          const x = place.x - 50 * flowerScale;
          // A male hangs below the stem, head down; a female stands above it.
          const transform = up
            ? `translate(${x} ${place.y - size - 3}) scale(${flowerScale})`
            : `translate(${x} ${place.y + size + 3}) scale(${flowerScale} ${-flowerScale})`;
          return (
            <Fragment key={flower.id}>
              {flower.id === chosen ? (
                <Rect
                  x={place.x - RUNNER.step / 2 + 1}
                  y={4}
                  width={RUNNER.step - 2}
                  height={RUNNER.height - 8}
                  rx={6}
                  fill={colours.pollenSoft}
                  stroke={colours.pollen}
                  strokeWidth={2.5}
                />
              ) : null}
              {flower.id === chosen ? (
                <Path
                  d={`M${place.x - RUNNER.step / 2} ${place.y} h${RUNNER.step}`}
                  stroke={colours.leaf}
                  strokeWidth={6}
                />
              ) : null}
              <G transform={transform}>
                <FlowerGroup cut {...flowerAppearance(flower, crop, zone)} shape={shape} crop={crop.id} />
              </G>
              <Circle
                cx={place.x}
                cy={place.y}
                r={5}
                fill={colours.card}
                stroke={colours.ink}
                strokeWidth={2}
              />
              <SvgText
                x={place.x}
                y={RUNNER.height - 6}
                fontSize={14 / scale}
                textAnchor="middle"
                fill={colours.muted}
                fontFamily={FONT}
              >
                {flower.node === null ? '?' : String(flower.node)}
              </SvgText>
              {onChoose ? (
                <Rect
                  x={place.x - RUNNER.step / 2}
                  y={0}
                  width={RUNNER.step}
                  height={RUNNER.height}
                  fill="transparent"
                  onPress={() => onChoose(flower)}
                />
              ) : null}
            </Fragment>
          );
        })}
      </Svg>
    </ScrollView>
  );
}
