import type { CropId } from '@core/crops';
import { filled, lined, mapped, n, petal, turned, type Mapping, type Point, type Shape } from './shapes';

/** A leaf with its veins meeting at the stalk: cucurbits. Lengths as shares of the leaf's own. */
interface Palmate {
  readonly lobes: number;
  /** How deep the bays go, 0..1. */
  readonly depth: number;
  /** 0 = round lobes, 1 = pointed. */
  readonly sharp: number;
  /** How much shorter the outer lobes are than the middle one, 0..1. */
  readonly taper: number;
}

const SQUASH: Palmate = { lobes: 5, depth: 0.2, sharp: 0.55, taper: 0.16 };
const LEAVES: Partial<Record<CropId, Palmate>> = {
  'squash-pepo': { lobes: 5, depth: 0.4, sharp: 0.9, taper: 0.12 },
  melon: { lobes: 5, depth: 0.08, sharp: 0.1, taper: 0.1 },
  watermelon: { lobes: 7, depth: 0.62, sharp: 0.1, taper: 0.34 },
  cucumber: { lobes: 5, depth: 0.2, sharp: 1, taper: 0.26 },
  'bottle-gourd': { lobes: 3, depth: 0.05, sharp: 0.2, taper: 0.06 },
  luffa: { lobes: 5, depth: 0.38, sharp: 1, taper: 0.2 },
  'luffa-ridged': { lobes: 5, depth: 0.22, sharp: 0.6, taper: 0.14 },
  'bitter-gourd': { lobes: 7, depth: 0.58, sharp: 0.35, taper: 0.22 },
};

/** Half the angle over which the lobes stand: the rest is the notch at the stalk. */
const SPREAD = 140;

const polar = (degrees: number, length: number): Point => {
  const angle = (degrees * Math.PI) / 180;
  return [50 + Math.sin(angle) * length, 100 - Math.cos(angle) * length];
};
const at = ([x, y]: Point) => `${n(x)} ${n(y)}`;

/** Pointing up from its stalk at (50, 100), of length 50. */
function palmate({ lobes, depth, sharp, taper }: Palmate): Shape[] {
  const step = (2 * SPREAD) / lobes;
  const tips = Array.from({ length: lobes }, (_, i) => {
    const angle = -SPREAD + step * (i + 0.5);
    return { angle, length: 50 * (1 - taper * Math.abs(angle / SPREAD) ** 1.5) };
  });
  const round = 0.5 - 0.36 * sharp;
  let outline = 'M50 100';
  for (const [i, { angle, length }] of tips.entries()) {
    const before = i === 0 ? length * 0.72 : length * (1 - depth);
    const after = i === lobes - 1 ? length * 0.72 : length * (1 - depth);
    const broad = step * round;
    outline += ` Q${at(polar(angle - step * 0.55, before))} ${at(polar(angle - broad * 0.9, length * (0.93 - 0.16 * sharp)))}`;
    outline += ` Q${at(polar(angle - broad * 0.3, length * (1.02 - 0.02 * sharp)))} ${at(polar(angle, length))}`;
    outline += ` Q${at(polar(angle + broad * 0.3, length * (1.02 - 0.02 * sharp)))} ${at(polar(angle + broad * 0.9, length * (0.93 - 0.16 * sharp)))}`;
    if (i < lobes - 1)
      outline += ` Q${at(polar(angle + step * 0.42, after * 1.02))} ${at(polar(angle + step * 0.5, after))}`;
    else outline += ` Q${at(polar(angle + step * 0.55, after))} 50 100`;
  }
  const veins = tips.map(({ angle, length }) => `M50 100 L${at(polar(angle, length * 0.84))}`).join(' ');
  return [filled(`${outline}Z`, 'leaf', 1.3), lined(veins, 'leaf-vein', 1)];
}

/** One leaf or leaflet with a midrib, from its stalk at (50, 100) upwards. */
function simpleLeaf(length: number, width: number, blunt: number): Shape[] {
  const ribs = [0.3, 0.5, 0.7]
    .map((up) => {
      const y = 100 - length * up;
      const out = width * 0.34;
      return `M50 ${n(y)} L${n(50 - out)} ${n(y - length * 0.14)} M50 ${n(y)} L${n(50 + out)} ${n(y - length * 0.14)}`;
    })
    .join(' ');
  return [
    filled(petal(50, 100, 0, length, width, blunt), 'leaf', 1.3),
    lined(`M50 100 L50 ${n(100 - length * 0.9)} ${ribs}`, 'leaf-vein', 0.9),
  ];
}

const put = (shapes: readonly Shape[], ...maps: Mapping[]): Shape[] =>
  maps.reduce<Shape[]>(
    (all, map) => all.map((shape) => ({ ...shape, d: mapped(shape.d, map) })),
    [...shapes],
  );
const moved =
  (dx: number, dy: number): Mapping =>
  (x, y) => [x + dx, y + dy];

/** A leaf of several leaflets along one stalk: tomato, potato. Pointing up from (50, 100). */
function compound(leaflet: readonly Shape[]): Shape[] {
  const places: readonly (readonly [up: number, turn: number, size: number])[] = [
    [18, -70, 0.62],
    [18, 70, 0.62],
    [40, -58, 0.78],
    [40, 58, 0.78],
    [56, 0, 1],
  ];
  return [
    lined('M50 100 L50 40', 'stalk', 2.2),
    ...places.flatMap(([up, turn, size]) => put(leaflet, turned(50, 100, turn, size), moved(0, -up))),
  ];
}

/** The leaf of a vine behind its flower, and a tendril: what tells a bud's plant at a glance. `vine` is the stem's height. */
export function vineFoliage(crop: CropId, vine: number): Shape[] {
  const leaf = put(palmate(LEAVES[crop] ?? SQUASH), turned(50, 100, -14, 0.72), moved(-19, -6));
  return [
    lined(`M40 ${vine} Q31 118 31 95`, 'stalk', 3.2),
    ...leaf,
    lined(
      `M66 ${vine - 1} Q84 ${vine - 6} 86 ${vine - 20} Q88 ${vine - 30} 80 ${vine - 29} Q74 ${vine - 27} 79 ${vine - 22} Q84 ${vine - 19} 88 ${vine - 24}`,
      'stalk',
      1.5,
    ),
  ];
}

/** A leaf of the nightshade behind a nodding flower. */
export function nightshadeFoliage(crop: CropId): Shape[] {
  const leaf =
    crop === 'tomato'
      ? compound(simpleLeaf(30, 17, 0.05))
      : crop === 'potato'
        ? compound(simpleLeaf(30, 21, 0.5))
        : simpleLeaf(64, crop === 'aubergine' ? 42 : 27, crop === 'aubergine' ? 0.35 : 0.05);
  return put(leaf, turned(50, 100, 76, 0.92), moved(-30, 20));
}

/** Three toothed leaflets at the foot of a strawberry's flower stalk. */
export function strawberryFoliage(): Shape[] {
  const leaflet = simpleLeaf(34, 27, 0.7);
  return [
    lined('M48 139 Q42 134 35 128', 'stalk', 2.4),
    ...[-72, 66, 0].flatMap((turn) => put(leaflet, turned(50, 100, turn, 0.8), moved(-15, 28))),
  ];
}

/** Light from the left, shade on the right of a body that stands about x = `cx`. */
export function lit(body: Shape, cx = 50): Shape[] {
  const shade = mapped(body.d, (x, y) => (x >= cx ? [x, y] : [cx + (cx - x) * 0.42, y]));
  const light = mapped(body.d, (x, y) => (x < cx ? [cx - (cx - x) * 0.8, y] : [cx - (x - cx) * 0.46, y]));
  return [
    { d: shade, fill: 'shade', opacity: 0.17 },
    { d: light, fill: 'light', opacity: 0.2 },
  ];
}
