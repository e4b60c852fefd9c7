import { memo } from 'react';
import Svg, { G, Path } from 'react-native-svg';
import { cropOf, type Crop } from '@core/crops';
import { useColours, useLight, type Colours, type LightName } from '../theme';
import {
  leafOver,
  FLOWER_BOX,
  flowerShapes,
  sketchShapes,
  type FlowerLook,
  type Shape,
  type Sketch,
  type Stuff,
} from './geometry';

const LIVING: Record<Stuff, string> = {
  stalk: '#5C8A4A',
  sepal: '#4E8A45',
  ovary: '#6F9E57',
  stripe: '#CFE3B4',
  bud: '#86AE62',
  petal: '#F2B824',
  'petal-deep': '#D8920C',
  vein: '#B8800A',
  pale: '#F1EBC8',
  column: '#E58A12',
  pollen: '#FFE55C',
  stigma: '#7FA23C',
  wet: '#F8FBE4',
  anther: '#F0C419',
  leaf: '#477F43',
  silk: '#DDE6A0',
  kernel: '#F3C63A',
  withered: '#B08A54',
  tape: '#F3EAD2',
  bag: '#E9E3F2',
  paper: '#D9B98A',
  twine: '#A63A22',
  hole: '#2A2118',
  fruit: '#3E7D43',
  ripe: '#C63B2B',
  yellowed: '#E3CF72',
  tip: '#7A3B1E',
  purple: '#8C3B66',
  'silk-rose': '#C77A8E',
  'leaf-vein': '#7FB06E',
  shade: '#1A2410',
  light: '#FFFDF0',
  none: 'none',
};

const BEFORE_DAWN: Partial<Record<Stuff, string>> = {
  tape: '#E8DDBE',
  bag: '#B7AECB',
  hole: '#0B0A10',
  tip: '#E0755C',
  stripe: '#BFD8A2',
};

type Petals = Crop['petals'];
const PETALS: Record<Petals, { petal: string; deep: string; vein: string }> = {
  yellow: { petal: '#F2B824', deep: '#D8920C', vein: '#B8800A' },
  white: { petal: '#F7F4EA', deep: '#E4E8C4', vein: '#9AA05E' },
  purple: { petal: '#A98AC9', deep: '#4A2A5E', vein: '#6B4A8C' },
  none: { petal: '#F2B824', deep: '#D8920C', vein: '#B8800A' },
};

export function stuffColour(
  stuff: Stuff | 'ink',
  light: LightName,
  colours: Colours,
  petals: Petals,
): string {
  if (stuff === 'ink') return light === 'before-dawn' ? '#0B0A10' : colours.ink;
  if (stuff === 'petal') return PETALS[petals].petal;
  if (stuff === 'petal-deep') return PETALS[petals].deep;
  if (stuff === 'vein') return PETALS[petals].vein;
  return (light === 'before-dawn' ? BEFORE_DAWN[stuff] : undefined) ?? LIVING[stuff];
}

/** How one specimen differs from the picture in the book. */
export interface Chance {
  /** Degrees it leans. */
  readonly lean: number;
  /** Share of the full size. */
  readonly grown: number;
  /** A leaf laid over it from the side: 0 = none. */
  readonly cover: number;
  readonly coverSide: -1 | 1;
  /** -1..1: paler or deeper than usual. */
  readonly tint: number;
}

/** From this height on a drawing has room for leaves, light and shade. */
const ROOM_FOR_DETAIL = 140;
/** From this size on a drawing stands by itself. */
const ROOM_BESIDE = 280;

export interface FlowerDrawingProps extends FlowerLook {
  readonly size: number;
  readonly chance?: Chance;
  /** Rain drops on it. */
  readonly wet?: boolean;
  /** What a reader hears; without it the words beside the drawing say what it is. */
  readonly summary?: string;
}

/** One flower or fruit. */
export const FlowerDrawing = memo(function FlowerDrawing({
  size,
  chance,
  wet,
  summary,
  ...look
}: FlowerDrawingProps) {
  const { width, height } = FLOWER_BOX;
  const lean = chance
    ? `translate(50 74) rotate(${chance.lean}) scale(${chance.grown}) translate(-50 -74)`
    : undefined;
  return (
    <Svg
      width={(size * width) / height}
      height={size}
      viewBox={`0 0 ${width} ${height}`}
      // A leaf before it hangs out of the picture: no edge cuts it off.
      {...(chance && size >= ROOM_BESIDE ? { style: { overflow: 'visible' } as const } : {})}
      {...(summary ? { role: 'img', 'aria-label': summary } : { 'aria-hidden': true })}
    >
      <G transform={lean}>
        <FlowerGroup detail={size >= ROOM_FOR_DETAIL} {...look} tint={chance?.tint} />
      </G>
      {wet ? (
        <Path
          d="M18 30 l-5 12 a5.5 5.5 0 1 0 10 0 Z M78 22 l-5 12 a5.5 5.5 0 1 0 10 0 Z M56 52 l-4 9 a4.5 4.5 0 1 0 8 0 Z M34 66 l-4 9 a4.5 4.5 0 1 0 8 0 Z M70 80 l-4 9 a4.5 4.5 0 1 0 8 0 Z"
          fill="#BFD8EE"
          stroke="#2F3561"
          strokeWidth={1.4}
        />
      ) : null}
      {chance && chance.cover > 0 ? <Leaf look={look} chance={chance} /> : null}
    </Svg>
  );
});

/** Where a flower stands, or what it does when tapped: a small picture beside an answer. */
export function SketchDrawing({ sketch, petals, size }: { sketch: Sketch; petals: Petals; size: number }) {
  const { width, height } = FLOWER_BOX;
  return (
    <Svg width={(size * width) / height} height={size} viewBox={`0 0 ${width} ${height}`} aria-hidden>
      <Shapes shapes={sketchShapes(sketch)} petals={petals} tint={0} />
    </Svg>
  );
}

/** The same flower as part of a larger drawing. */
export function FlowerGroup({ tint = 0, ...look }: FlowerLook & { tint?: number }) {
  return <Shapes shapes={flowerShapes(look)} petals={cropOf(look.crop).petals} tint={tint} />;
}

function Leaf({ look, chance }: { look: FlowerLook; chance: Chance }) {
  const shapes = leafOver(flowerShapes(look), chance);
  return <Shapes shapes={shapes} petals="none" tint={0} />;
}

const TINTED = new Set<Stuff>(['petal', 'bud', 'ovary', 'fruit', 'ripe', 'sepal', 'leaf']);

function Shapes({ shapes, petals, tint }: { shapes: readonly Shape[]; petals: Petals; tint: number }) {
  const light = useLight();
  const colours = useColours();
  return joined(shapes).map((shape, index) => {
    const fill = stuffColour(shape.fill, light, colours, petals);
    return (
      <Path
        key={index}
        d={shape.d}
        fill={tint !== 0 && TINTED.has(shape.fill) ? shade(fill, tint * 0.12) : fill}
        stroke={shape.line ? stuffColour(shape.line, light, colours, petals) : 'none'}
        strokeWidth={shape.width ?? 1}
        strokeDasharray={shape.dashed ? '4 3' : undefined}
        strokeLinejoin="round"
        strokeLinecap="round"
        opacity={shape.opacity ?? 1}
      />
    );
  });
}

/** Lines of one kind drawn after one another become one path: fewer elements, the same picture. */
function joined(shapes: readonly Shape[]): Shape[] {
  const out: Shape[] = [];
  for (const shape of shapes) {
    const last = out[out.length - 1];
    const same =
      last?.fill === 'none' &&
      shape.fill === 'none' &&
      last.line === shape.line &&
      last.width === shape.width &&
      last.opacity === shape.opacity;
    if (same) out[out.length - 1] = { ...last, d: `${last.d} ${shape.d}` };
    else out.push(shape);
  }
  return out;
}

/** A colour moved towards white (above 0) or black (below). */
function shade(hex: string, by: number): string {
  const value = Number.parseInt(hex.slice(1), 16);
  const towards = by > 0 ? 255 : 0;
  const part = (shift: number) => {
    const now = (value >> shift) & 255;
    return Math.round(now + (towards - now) * Math.abs(by));
  };
  return `rgb(${part(16)},${part(8)},${part(0)})`;
}
