import Svg, { Circle, G, Path } from 'react-native-svg';
import { View } from 'react-native';
import type { Grade, ProofLink } from '@core/purity';
import { useColours, type Colours } from '../theme';
import { chainWords } from './words';

/** As much of a link as is drawn. */
type DrawnLink = Pick<ProofLink, 'link' | 'state'>;

/** A link's ring and the join to the next, in units of the drawing. */
const STEP = 26;
const R = 9;

/** The proof as a chain: a full link was seen, a dashed one nobody recorded, a broken one gapes. */
export function ProofDrawing({
  links,
  grade,
  untrue = false,
  height,
}: {
  links: readonly DrawnLink[];
  grade: Grade;
  /** A parent was not true to the variety. */
  untrue?: boolean;
  height: number;
}) {
  const colours = useColours();
  const width = links.length * STEP;
  return (
    <View role="img" aria-label={chainWords(links, grade, untrue)}>
      <Svg width={(width * height) / STEP} height={height} viewBox={`0 0 ${width} ${STEP}`}>
        {links.map((link, i) => (
          <G key={link.link} transform={`translate(${i * STEP + STEP / 2} ${STEP / 2})`}>
            {i > 0 ? <Path d={`M${-STEP + R} 0H${-R}`} stroke={colours.muted} strokeWidth={2.5} /> : null}
            <LinkShape link={link} colours={colours} />
          </G>
        ))}
      </Svg>
    </View>
  );
}

/** One link by itself, beside its words. */
export function LinkMark({ link, size = 26 }: { link: DrawnLink; size?: number }) {
  const colours = useColours();
  return (
    <Svg width={size} height={size} viewBox={`${-STEP / 2} ${-STEP / 2} ${STEP} ${STEP}`}>
      <LinkShape link={link} colours={colours} />
    </Svg>
  );
}

function LinkShape({ link: { state }, colours }: { link: DrawnLink; colours: Colours }) {
  if (state === 'seen')
    return (
      <>
        <Circle r={R} fill={colours.leaf} />
        <Path d="M-4 0L-1 3.5L4.5 -3.5" stroke={colours.card} strokeWidth={2.6} fill="none" />
      </>
    );
  if (state === 'not-recorded')
    return (
      <Circle r={R} fill={colours.card} stroke={colours.muted} strokeWidth={2.2} strokeDasharray="3.2 3.2" />
    );
  return (
    <>
      <Path
        d="M-3 -8.5A9 9 0 1 0 -3 8.5M3 -8.5A9 9 0 0 1 3 8.5"
        stroke={colours.brick}
        strokeWidth={3}
        fill="none"
      />
      <Path d="M2 -12L-2 -3L3 2L-1 12" stroke={colours.brick} strokeWidth={2} fill="none" />
    </>
  );
}
