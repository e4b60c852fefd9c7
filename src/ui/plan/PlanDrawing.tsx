import { memo } from 'react';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Corner, ObstacleKind } from '@core/ledger';
import type { StandIsolation } from '@core/isolation';
import { FONT, useColours, type Colours } from '../theme';
import { metresText, verdictTone } from '../crossing/words';
import { edgePoint, hasRoom, middleOf, pathOf, scaleBarM, type Scene, type View } from './scene';

export const ROOT_ID = 'plan-ground';
export const thingId = (key: string) => `thing-${key}`;

/** A label's size on the screen, px. */
const LABEL = 14;
/** How wide a hedge is drawn, m. */
const HEDGE_M = 1;
/** From so many pixels a metre on, stands have their names beside those of their beds. */
const NAMED_FROM = 14;
/** How far the ground of a stand reaches beyond the stems, both sides together, m. */
const STAND_M = 0.8;
/** The corners of what is chosen are this large, px. */
const HANDLE = 11;

const obstacleName: Readonly<Record<ObstacleKind, string>> = {
  hedge: 'hedge',
  building: 'building',
  hill: 'hill',
  water: 'water',
};

export interface PlanDrawingProps {
  readonly scene: Scene;
  readonly view: View;
  readonly width: number;
  readonly height: number;
  readonly chosen: string | null;
  readonly corners: readonly Corner[];
  /** The stand whose distances are drawn. */
  readonly asked: StandIsolation | null;
}

/** The patch to scale, seen from above, north at the top. The ground moves as one; what is written keeps its size. */
export function PlanDrawing(props: PlanDrawingProps) {
  const { scene, view, width, height, chosen, corners, asked } = props;
  const colours = useColours();
  return (
    <Svg width={width} height={height} viewBox={`0 0 ${width} ${height}`}>
      <Rect width={width} height={height} fill={colours.card} />
      <G id={ROOT_ID} transform={`translate(${view.x} ${view.y}) scale(${view.k})`}>
        {asked ? <Reach asked={asked} scene={scene} colours={colours} /> : null}
        <Ground scene={scene} chosen={chosen} k={view.k} colours={colours} />
        {asked ? <Threads asked={asked} k={view.k} colours={colours} /> : null}
        {corners.map(([x, y], i) => (
          <Circle
            key={i}
            id={`corner-${i}`}
            cx={x}
            cy={y}
            r={HANDLE / view.k}
            fill={colours.pollenSoft}
            stroke={colours.ink}
            strokeWidth={2}
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </G>
      <Beyond scene={scene} view={view} width={width} height={height} colours={colours} />
      <ScaleBar k={view.k} height={height} colours={colours} />
      <North width={width} colours={colours} />
    </Svg>
  );
}

const round = { strokeLinejoin: 'round', strokeLinecap: 'round' } as const;

const wideOf = (corners: readonly Corner[]) => {
  const xs = corners.map(([x]) => x);
  return Math.max(...xs) - Math.min(...xs);
};

/** Everything that lies on the ground. Drawn anew when something changed or the scale did, not while it is moved. */
const Ground = memo(function Ground({
  scene,
  chosen,
  k,
  colours,
}: {
  scene: Scene;
  chosen: string | null;
  k: number;
  colours: Colours;
}) {
  const label = { fontSize: LABEL / k, fontFamily: FONT, fill: colours.ink, textAnchor: 'middle' } as const;
  // What is written stands out from what is drawn under it.
  const halo = { stroke: colours.card, strokeWidth: 4 / k, strokeLinejoin: 'round' } as const;
  const line = (key: string) => ({
    stroke: chosen === key ? colours.pollen : colours.ink,
    strokeWidth: chosen === key ? 4 : 1.5,
    vectorEffect: 'non-scaling-stroke' as const,
  });
  const text = (x: number, y: number, words: string) => (
    <>
      <SvgText x={x} y={y} {...label} {...halo}>
        {words}
      </SvgText>
      <SvgText x={x} y={y} {...label}>
        {words}
      </SvgText>
    </>
  );
  return (
    <>
      {scene.obstacles.map(({ id, what, corners, area }) => {
        const key = `obstacle/${id}`;
        const [x, y] = area ? middleOf(corners) : (corners[Math.floor((corners.length - 1) / 2)] as Corner);
        const fill = {
          hedge: colours.leafSoft,
          building: colours.rule,
          hill: colours.pollenSoft,
          water: colours.duskSoft,
        }[what];
        return (
          <G key={id} id={thingId(key)}>
            {area ? (
              <Path
                d={pathOf(corners)}
                fill={fill}
                {...line(key)}
                strokeDasharray={what === 'hill' ? '8 4' : undefined}
              />
            ) : (
              <>
                <Path
                  d={pathOf(corners, false)}
                  fill="none"
                  stroke={chosen === key ? colours.pollen : colours.ink}
                  strokeWidth={HEDGE_M * 1.3}
                  strokeLinecap="round"
                  strokeLinejoin="round"
                />
                <Path
                  d={pathOf(corners, false)}
                  fill="none"
                  stroke={what === 'hedge' ? colours.leaf : fill}
                  strokeWidth={HEDGE_M}
                  strokeLinecap="round"
                  strokeLinejoin="round"
                  strokeDasharray={what === 'hedge' ? '0.4 1.1' : undefined}
                />
              </>
            )}
            {chosen === key || hasRoom(obstacleName[what], wideOf(corners), k)
              ? text(x, area ? y + 5 / k : y - (HEDGE_M + 4 / k), obstacleName[what])
              : null}
          </G>
        );
      })}
      {scene.beds.map(({ bed, corners, middle, shelter }) => {
        const key = `bed/${bed.id}`;
        const top = Math.min(...corners.map(([, y]) => y));
        return (
          <G key={bed.id} id={thingId(key)}>
            <Path d={pathOf(corners)} fill={colours.paper} {...line(key)} />
            {shelter ? (
              <Path
                d={pathOf(corners)}
                fill="none"
                stroke={colours.dusk}
                strokeWidth={5}
                strokeDasharray="2 5"
                vectorEffect="non-scaling-stroke"
              />
            ) : null}
            {chosen === key || hasRoom(bed.name, bed.lengthM, k)
              ? text(
                  middle[0],
                  top - 5 / k,
                  chosen === key && shelter ? `${bed.name} (${shelter})` : bed.name,
                )
              : null}
          </G>
        );
      })}
      {scene.stands.map(({ id, name, ring, plants, middle, seed }) => {
        const key = `stand/${id}`;
        return (
          <G key={id} id={thingId(key)}>
            {chosen === key ? (
              <Path d={pathOf(ring)} stroke={colours.pollen} strokeWidth={STAND_M + 8 / k} {...round} />
            ) : null}
            <Path
              d={pathOf(ring)}
              fill={seed ? colours.pollenSoft : colours.leafSoft}
              stroke={seed ? colours.pollenSoft : colours.leafSoft}
              strokeWidth={STAND_M}
              {...round}
            />
            {plants.map(([x, y], i) => (
              <Circle
                key={i}
                cx={x}
                cy={y}
                r={0.12}
                fill={colours.leaf}
                stroke={colours.leaf}
                strokeWidth={3}
                vectorEffect="non-scaling-stroke"
              />
            ))}
            {chosen === key || (k >= NAMED_FROM && hasRoom(name, wideOf(ring), k))
              ? text(middle[0], middle[1] + STAND_M / 2 + 9 / k, name)
              : null}
          </G>
        );
      })}
      {scene.neighbours.map(({ neighbour, name, place: [x, y] }) => {
        const key = `neighbour/${neighbour.id}`;
        const r = 8 / k;
        return (
          <G key={neighbour.id} id={thingId(key)}>
            <Circle cx={x} cy={y} r={22 / k} fill="transparent" />
            <Path
              d={`M${x} ${y - r}L${x + r} ${y}L${x} ${y + r}L${x - r} ${y}Z`}
              fill={colours.brickSoft}
              {...line(key)}
            />
            {text(x, y - 12 / k, name)}
          </G>
        );
      })}
    </>
  );
});

/** The chosen distance around a stand: as wide an edge around its ground. */
function Reach({ asked, scene, colours }: { asked: StandIsolation; scene: Scene; colours: Colours }) {
  const ring = scene.stands.find(({ id }) => id === asked.stand.id)?.ring;
  const chosenM = asked.rivals[0]?.needed.chosenM;
  if (!ring || chosenM === undefined) return null;
  return (
    <Path
      pointerEvents="none"
      d={pathOf(ring)}
      fill={colours.pollenSoft}
      fillOpacity={0.35}
      stroke={colours.pollenSoft}
      strokeOpacity={0.35}
      strokeWidth={2 * chosenM}
      strokeLinejoin="round"
      strokeLinecap="round"
    />
  );
}

/** From the stand to everything that could cross with it, with the metres between. */
function Threads({ asked, k, colours }: { asked: StandIsolation; k: number; colours: Colours }) {
  return (
    <>
      {asked.rivals.map(({ id, across, verdict, distanceM }) => {
        if (!across) return null;
        const { from, to } = across;
        const tone = colours[verdictTone[verdict]];
        return (
          <G key={id} pointerEvents="none">
            <Line
              x1={from[0]}
              y1={from[1]}
              x2={to[0]}
              y2={to[1]}
              stroke={tone}
              strokeWidth={2.5}
              strokeDasharray={verdict === 'fine' ? undefined : verdict === 'in-between' ? '10 4' : '4 4'}
              vectorEffect="non-scaling-stroke"
            />
            {[true, false].map((halo) => (
              <SvgText
                key={String(halo)}
                x={(from[0] + to[0]) / 2}
                y={(from[1] + to[1]) / 2}
                fontSize={LABEL / k}
                fontFamily={FONT}
                fontWeight="700"
                textAnchor="middle"
                fill={tone}
                {...(halo ? { stroke: colours.card, strokeWidth: 4 / k } : null)}
              >
                {metresText(distanceM)}
              </SvgText>
            ))}
          </G>
        );
      })}
    </>
  );
}

/** What lies next door outside of the picture, at its edge. */
function Beyond({
  scene,
  view,
  width,
  height,
  colours,
}: Pick<PlanDrawingProps, 'scene' | 'view' | 'width' | 'height'> & { colours: Colours }) {
  return (
    <>
      {scene.neighbours.map(({ neighbour, name, place }) => {
        const at = edgePoint(view, place, width, height);
        if (!at) return null;
        const anchor = at.x < width / 3 ? 'start' : at.x > (2 * width) / 3 ? 'end' : 'middle';
        return (
          <G key={neighbour.id} pointerEvents="none">
            <Path
              d="M9 0L-5 -7L-5 7Z"
              fill={colours.brick}
              transform={`translate(${at.x} ${at.y}) rotate(${at.degrees})`}
            />
            {[true, false].map((halo) => (
              <SvgText
                key={String(halo)}
                x={at.x + (anchor === 'start' ? 12 : anchor === 'end' ? -12 : 0)}
                y={at.y + (anchor === 'middle' ? (at.y < height / 2 ? 22 : -14) : 5)}
                fontSize={LABEL}
                fontFamily={FONT}
                fill={colours.ink}
                textAnchor={anchor}
                {...(halo ? { stroke: colours.card, strokeWidth: 4 } : null)}
              >
                {`${name}, ${metresText(neighbour.distanceM)}`}
              </SvgText>
            ))}
          </G>
        );
      })}
    </>
  );
}

function ScaleBar({ k, height, colours }: { k: number; height: number; colours: Colours }) {
  const metres = scaleBarM(k);
  const long = metres * k;
  const y = height - 16;
  return (
    <G>
      <Path d={`M16 ${y - 6}v6h${long}v-6`} fill="none" stroke={colours.ink} strokeWidth={2} />
      <SvgText x={22 + long} y={y} fontSize={LABEL} fontFamily={FONT} fill={colours.ink}>
        {`${metres} m`}
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
