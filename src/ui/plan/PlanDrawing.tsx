import { memo, useMemo, useState } from 'react';
import Svg, { Circle, G, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Corner } from '@core/ledger';
import type { StandIsolation } from '@core/isolation';
import { rootScale } from '../rem';
import { FONT, useColours, type Colours } from '../theme';
import type { Units } from '@/data/device/prefs';
import { distanceText, groundUnit } from '../words';
import { PlanGround } from './PlanGround';
import { Reach, threadLabels, Threads } from './PlanThreads';
import { edgeLabels, LABEL, type EdgeLabel } from './labels';
import { ROOT_ID, scaleBar, type Scene, type View } from './scene';

/** The corners of what is chosen are this large, px. */
const HANDLE = 11;

export interface PlanDrawingProps {
  readonly scene: Scene;
  readonly view: View;
  readonly width: number;
  readonly height: number;
  readonly chosen: string | null;
  readonly corners: readonly Corner[];
  /** The stand whose distances are drawn. */
  readonly asked: StandIsolation | null;
  readonly units: Units;
}

/**
 * The patch to scale, seen from above, north at the top. The ground moves as one; what is written keeps its size, which follows the
 * browser's letters: `k` counts in pixels of usual letters.
 */
export const PlanDrawing = memo(function PlanDrawing(props: PlanDrawingProps) {
  const { scene, view, width, height, chosen, corners, asked, units } = props;
  const colours = useColours();
  const [letters] = useState(rootScale);
  const k = view.k / letters;
  const labels = useMemo(() => threadLabels(asked, k, units), [asked, k, units]);
  const beyond = useMemo(
    () =>
      edgeLabels(
        scene.neighbours,
        { k: view.k / letters, x: view.x / letters, y: view.y / letters },
        width / letters,
        height / letters,
        (metres) => distanceText(metres, units),
      ),
    [scene.neighbours, view, width, height, letters, units],
  );
  const before = useMemo(
    () => [...labels, ...beyond.flatMap(({ words, label }) => (words ? [label] : []))],
    [labels, beyond],
  );
  return (
    <Svg width={width} height={height} viewBox={`0 0 ${width} ${height}`}>
      <Rect width={width} height={height} fill={colours.card} />
      <G id={ROOT_ID} transform={`translate(${view.x} ${view.y}) scale(${view.k})`}>
        {asked ? <Reach asked={asked} scene={scene} colours={colours} /> : null}
        <PlanGround scene={scene} chosen={chosen} k={k} colours={colours} before={before} />
        {asked ? <Threads asked={asked} k={k} colours={colours} labels={labels} /> : null}
        {handlesOf(corners, chosen, k).map(([x, y], i) => (
          <Circle
            key={i}
            id={`corner-${i}`}
            cx={x}
            cy={y}
            r={HANDLE / k}
            fill={colours.pollenSoft}
            stroke={colours.ink}
            strokeWidth={2}
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </G>
      <G transform={`scale(${letters})`}>
        <Beyond labels={beyond} colours={colours} />
        <ScaleBar k={k} height={height / letters} colours={colours} units={units} />
        <North width={width / letters} colours={colours} />
      </G>
    </Svg>
  );
});

/** Those of a bed stand off its corners, so that they leave a narrow one to be dragged by. */
function handlesOf(corners: readonly Corner[], chosen: string | null, k: number): readonly Corner[] {
  if (!chosen?.startsWith('bed/')) return corners;
  return corners.map(([x, y], i): Corner => {
    let [east, south] = [x, y];
    for (const [besideX, besideY] of [corners[(i + 1) % 4], corners[(i + 3) % 4]] as Corner[]) {
      const long = Math.hypot(x - besideX, y - besideY) || 1;
      east += ((x - besideX) / long) * (HANDLE / k);
      south += ((y - besideY) / long) * (HANDLE / k);
    }
    return [east, south];
  });
}

/** What lies next door outside of the picture, at its edge. */
function Beyond({ labels, colours }: { labels: readonly EdgeLabel[]; colours: Colours }) {
  return (
    <>
      {labels.map(({ key, arrow, words, left, line }) => (
        <G key={key} pointerEvents="none">
          <Path
            d="M9 0L-5 -7L-5 7Z"
            fill={colours.brick}
            transform={`translate(${arrow.x} ${arrow.y}) rotate(${arrow.degrees})`}
          />
          {[true, false].map((halo) => (
            <SvgText
              key={String(halo)}
              x={left}
              y={line}
              fontSize={LABEL}
              fontFamily={FONT}
              fill={colours.ink}
              {...(halo ? { stroke: colours.card, strokeWidth: 4 } : null)}
            >
              {words}
            </SvgText>
          ))}
        </G>
      ))}
    </>
  );
}

function ScaleBar({
  k,
  height,
  colours,
  units,
}: {
  k: number;
  height: number;
  colours: Colours;
  units: Units;
}) {
  const unit = groundUnit(units);
  // A round number of metres, or of feet.
  const length = scaleBar(k * unit.metres);
  const long = length * k * unit.metres;
  const y = height - 16;
  return (
    <G>
      <Path d={`M16 ${y - 6}v6h${long}v-6`} fill="none" stroke={colours.ink} strokeWidth={2} />
      <SvgText x={22 + long} y={y} fontSize={LABEL} fontFamily={FONT} fill={colours.ink}>
        {`${length} ${unit.short}`}
      </SvgText>
    </G>
  );
}

function North({ width, colours }: { width: number; colours: Colours }) {
  return (
    <G transform={`translate(${width - 24} 30)`}>
      <Path d="M0 -18L6 8L0 3L-6 8Z" fill={colours.ink} />
      <SvgText
        y={24}
        fontSize={LABEL}
        fontFamily={FONT}
        fontWeight="700"
        textAnchor="middle"
        fill={colours.ink}
      >
        N
      </SvgText>
    </G>
  );
}
