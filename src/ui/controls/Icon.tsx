import Svg, { Path } from 'react-native-svg';
import { useColours, type Colours } from '../theme';

export interface IconProps {
  /** A path of @mdi/js, in its 24 by 24 box. */
  readonly path: string;
  readonly size?: number;
  readonly tone?: keyof Colours;
}

/** A generic sign (gear, back, share). Always beside a word or under a labelled control, so hidden from readers. */
export function Icon({ path, size = 24, tone = 'ink' }: IconProps) {
  const colours = useColours();
  return (
    <Svg width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      <Path d={path} fill={colours[tone]} />
    </Svg>
  );
}
