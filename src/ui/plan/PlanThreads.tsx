import { G, Line, Path, Text as SvgText } from 'react-native-svg';
import type { StandIsolation } from '@core/isolation';
import { FONT, type Colours } from '../theme';
import { verdictTone } from '../crossing/words';
import type { Units } from '@/data/device/prefs';
import { distanceText } from '../words';
import { LABEL, pathOf, type Scene } from './scene';

/** The chosen distance around a stand: as wide an edge around its ground. */
export function Reach({ asked, scene, colours }: { asked: StandIsolation; scene: Scene; colours: Colours }) {
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
export function Threads({
  asked,
  k,
  colours,
  units,
}: {
  asked: StandIsolation;
  k: number;
  colours: Colours;
  units: Units;
}) {
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
                {distanceText(distanceM, units)}
              </SvgText>
            ))}
          </G>
        );
      })}
    </>
  );
}
