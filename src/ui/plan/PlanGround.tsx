import { memo } from 'react';
import { Circle, G, Path, Text as SvgText } from 'react-native-svg';
import type { Corner, ObstacleKind } from '@core/ledger';
import { FONT, type Colours } from '../theme';
import { hasRoom, LABEL, legible, type Label } from './labels';
import { middleOf, pathOf, thingId, type Scene } from './scene';

/** The width at which a hedge is drawn, m. */
const HEDGE_M = 1;
/** From so many pixels a metre on, stands have their names beside those of their beds. */
const NAMED_FROM = 14;
/** How far the ground of a stand reaches beyond the stems, both sides together, m. */
const STAND_M = 0.8;

const obstacleName: Readonly<Record<ObstacleKind, string>> = {
  hedge: 'hedge',
  building: 'building',
  hill: 'hill',
  water: 'water',
};

const round = { strokeLinejoin: 'round', strokeLinecap: 'round' } as const;

const wideOf = (corners: readonly Corner[]) => {
  const xs = corners.map(([x]) => x);
  return Math.max(...xs) - Math.min(...xs);
};

/** Every name that has room where it stands: what is chosen first, then beds, what stands between, plants, and what lies next door. */
function namesOf(scene: Scene, chosen: string | null, k: number): readonly Label[] {
  const names = [
    ...scene.beds.map(({ bed, corners, middle, shelter }) => {
      const key = `bed/${bed.id}`;
      return {
        key,
        words: chosen === key && shelter ? `${bed.name} (${shelter})` : bed.name,
        x: middle[0],
        y: Math.min(...corners.map(([, y]) => y)) - 5 / k,
        wide: bed.lengthM,
      };
    }),
    ...scene.obstacles.map(({ id, what, corners, area }) => {
      const [x, y] = area ? middleOf(corners) : (corners[Math.floor((corners.length - 1) / 2)] as Corner);
      return {
        key: `obstacle/${id}`,
        words: obstacleName[what],
        x,
        y: area ? y + 5 / k : y - (HEDGE_M + 4 / k),
        wide: wideOf(corners),
      };
    }),
    ...scene.stands.map(({ id, name, ring, middle }) => ({
      key: `stand/${id}`,
      words: name,
      x: middle[0],
      y: middle[1] + STAND_M / 2 + 9 / k,
      wide: k >= NAMED_FROM ? wideOf(ring) : -Infinity,
    })),
    ...scene.neighbours.map(({ neighbour, name, place: [x, y] }) => ({
      key: `neighbour/${neighbour.id}`,
      words: name,
      x,
      y: y - 12 / k,
      wide: Infinity,
    })),
  ].filter(({ key, words, wide }) => key === chosen || hasRoom(words, wide, k));
  return [...names.filter(({ key }) => key === chosen), ...names.filter(({ key }) => key !== chosen)];
}

/** Everything that lies on the ground. Drawn anew when something changed or the scale did, not while it is moved. */
export const PlanGround = memo(function PlanGround({
  scene,
  chosen,
  k,
  colours,
  before,
}: {
  scene: Scene;
  chosen: string | null;
  k: number;
  colours: Colours;
  /** What is written over it and goes before its names. */
  before: readonly Label[];
}) {
  const written = new Map(
    legible([...before, ...namesOf(scene, chosen, k)], k).map((each) => [each.key, each]),
  );
  const label = { fontSize: LABEL / k, fontFamily: FONT, fill: colours.ink, textAnchor: 'middle' } as const;
  // What is written stands out from what is drawn under it.
  const halo = { stroke: colours.card, strokeWidth: 4 / k, strokeLinejoin: 'round' } as const;
  const line = (key: string) => ({
    stroke: chosen === key ? colours.pollen : colours.ink,
    strokeWidth: chosen === key ? 4 : 1.5,
    vectorEffect: 'non-scaling-stroke' as const,
  });
  const name = (key: string) => {
    const found = written.get(key);
    if (!found) return null;
    const { x, y, words } = found;
    return (
      <>
        <SvgText x={x} y={y} {...label} {...halo}>
          {words}
        </SvgText>
        <SvgText x={x} y={y} {...label}>
          {words}
        </SvgText>
      </>
    );
  };
  return (
    <>
      {scene.obstacles.map(({ id, what, corners, area }) => {
        const key = `obstacle/${id}`;
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
            {name(key)}
          </G>
        );
      })}
      {scene.beds.map(({ bed, corners, shelter }) => {
        const key = `bed/${bed.id}`;
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
            {name(key)}
          </G>
        );
      })}
      {scene.stands.map(({ id, ring, plants, seed }) => {
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
              // The plants of a stand that reaches under it are seen through it.
              opacity={0.7}
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
            {name(key)}
          </G>
        );
      })}
      {scene.neighbours.map(({ neighbour, place: [x, y] }) => {
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
            {name(key)}
          </G>
        );
      })}
    </>
  );
});
