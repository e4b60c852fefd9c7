import { View } from 'react-native';
import Svg, { G, Line, Path } from 'react-native-svg';
import { ovaryPath } from '../drawings/geometry';
import { Txt, useColours } from '../theme';
import { BESIDE } from '../controls';

/** Length of a bottle gourd's ovary on the evening it is worked, and four days on where it took, mm (common practice). */
const WORKED_MM = 25;
const GROWN_MM = 75;
/** Dots to a millimetre. */
const SCALE = 1;
const FLOOR = 84;

/** How much a bottle gourd that took has grown by day 4, drawn to one scale: it is measured sooner than it is seen. */
export function GourdScale({ length }: { length: (mm: number) => string }) {
  const colours = useColours();
  const gourd = (x: number, mm: number) => (
    <G transform={`translate(${x - 50} 0)`}>
      <Path
        d={ovaryPath('bottle', FLOOR, mm * SCALE)}
        fill="#6F9E57"
        stroke={colours.ink}
        strokeWidth={1.6}
      />
    </G>
  );
  return (
    <View
      role="img"
      aria-label={`Where it took it grows from about ${length(WORKED_MM)} to ${length(GROWN_MM)} by day 4`}
      style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', gap: 10 }}
    >
      <Svg width={150} height={90} viewBox="0 0 150 90" aria-hidden>
        <Line x1={6} y1={FLOOR} x2={144} y2={FLOOR} stroke={colours.muted} strokeWidth={1.5} />
        {gourd(36, WORKED_MM)}
        {gourd(104, GROWN_MM)}
      </Svg>
      <Txt size="label" tone="muted" style={BESIDE} aria-hidden>
        {`Worked: about ${length(WORKED_MM)}. Took, day 4: about ${length(GROWN_MM)}.`}
      </Txt>
    </View>
  );
}
