import { memo } from 'react';
import Svg, { G, Path } from 'react-native-svg';
import { useColours, useLight, type Colours, type LightName } from '../theme';
import { FLOWER_BOX, flowerShapes, type FlowerLook, type Shape, type Stuff } from './flowerGeometry';

const LIVING: Record<Stuff, string> = {
  stalk: '#5C8A4A',
  sepal: '#3F7A3A',
  ovary: '#6F9E57',
  stripe: '#CFE3B4',
  bud: '#86AE62',
  petal: '#F2B824',
  vein: '#B8800A',
  withered: '#B08A54',
  tape: '#F3EAD2',
  bag: '#E9E3F2',
  twine: '#A63A22',
  hole: '#2A2118',
  fruit: '#3E7D43',
  yellowed: '#E3CF72',
  tip: '#7A3B1E',
  none: 'none',
};

const BEFORE_DAWN: Partial<Record<Stuff, string>> = {
  tape: '#E8DDBE',
  bag: '#B7AECB',
  hole: '#0B0A10',
  tip: '#E0755C',
  stripe: '#BFD8A2',
};

export function stuffColour(
  stuff: Stuff | 'ink',
  light: LightName,
  colours: Colours,
  petals: 'yellow' | 'white',
): string {
  if (stuff === 'ink') return light === 'before-dawn' ? '#0B0A10' : colours.ink;
  if (stuff === 'petal' && petals === 'white') return '#F7F4EA';
  return (light === 'before-dawn' ? BEFORE_DAWN[stuff] : undefined) ?? LIVING[stuff];
}

export interface FlowerDrawingProps extends FlowerLook {
  readonly size: number;
  readonly petals?: 'yellow' | 'white';
}

/** A flower from the side. Decorative: the words beside it say what it is. */
export const FlowerDrawing = memo(function FlowerDrawing({ size, ...look }: FlowerDrawingProps) {
  return (
    <Svg
      width={(size * FLOWER_BOX.width) / FLOWER_BOX.height}
      height={size}
      viewBox={`0 0 ${FLOWER_BOX.width} ${FLOWER_BOX.height}`}
      aria-hidden
    >
      <FlowerGroup {...look} />
    </Svg>
  );
});

/** The same flower as part of a larger drawing. */
export function FlowerGroup({ petals = 'yellow', ...look }: FlowerLook & { petals?: 'yellow' | 'white' }) {
  const light = useLight();
  const colours = useColours();
  const paint = (shape: Shape, index: number) => (
    <Path
      key={index}
      d={shape.d}
      fill={stuffColour(shape.fill, light, colours, petals)}
      stroke={shape.line ? stuffColour(shape.line, light, colours, petals) : 'none'}
      strokeWidth={shape.width ?? 1}
      strokeDasharray={shape.dashed ? '4 3' : undefined}
      strokeLinejoin="round"
      strokeLinecap="round"
      opacity={shape.opacity ?? 1}
    />
  );
  return <G>{flowerShapes(look).map(paint)}</G>;
}
