import { G, Line, Path, Text as SvgText } from 'react-native-svg';
import type { StandIsolation } from '@core/isolation';
import { FONT, type Colours } from '../theme';
import { verdictTone } from '../crossing/words';
import type { Units } from '@/data/device/prefs';
import { distanceText } from '../words';
import { LABEL, legible, type Label } from './labels';
import { pathOf, type Scene } from './scene';

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

/** The metres of each thread, in its middle; the nearest first, and none over another. */
export function threadLabels(asked: StandIsolation | null, k: number, units: Units): readonly Label[] {
  const labels = (asked?.rivals ?? []).flatMap(({ id, across, distanceM }) =>
    across
      ? [
          {
            key: `thread/${id}`,
            words: distanceText(distanceM, units),
            x: (across.from[0] + across.to[0]) / 2,
            y: (across.from[1] + across.to[1]) / 2,
          },
        ]
      : [],
  );
  return legible(labels, k);
}

/** From the stand to everything that could cross with it, with the metres between. */
export function Threads({
  asked,
  k,
  colours,
  labels,
}: {
  asked: StandIsolation;
  k: number;
  colours: Colours;
  labels: readonly Label[];
}) {
  const written = new Map(labels.map((each) => [each.key, each]));
  return (
    <>
      {asked.rivals.map(({ id, across, verdict }) => {
        if (!across) return null;
        const { from, to } = across;
        const label = written.get(`thread/${id}`);
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
            {(label ? [true, false] : []).map((halo) => (
              <SvgText
                key={String(halo)}
                x={label?.x}
                y={label?.y}
                fontSize={LABEL / k}
                fontFamily={FONT}
                fontWeight="700"
                textAnchor="middle"
                fill={tone}
                {...(halo ? { stroke: colours.card, strokeWidth: 4 / k } : null)}
              >
                {label?.words}
              </SvgText>
            ))}
          </G>
        );
      })}
    </>
  );
}
