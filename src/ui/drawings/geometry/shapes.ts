/** What a shape is made of; the component gives it a colour in the light of the moment. */
export type Stuff =
  | 'stalk'
  | 'sepal'
  | 'ovary'
  | 'stripe'
  | 'bud'
  | 'petal'
  | 'petal-deep'
  | 'vein'
  | 'pale'
  | 'column'
  | 'pollen'
  | 'stigma'
  | 'wet'
  | 'anther'
  | 'leaf'
  | 'silk'
  | 'kernel'
  | 'withered'
  | 'tape'
  | 'bag'
  | 'paper'
  | 'twine'
  | 'hole'
  | 'fruit'
  | 'ripe'
  | 'yellowed'
  | 'tip'
  | 'purple'
  | 'silk-rose'
  | 'leaf-vein'
  | 'shade'
  | 'light'
  | 'none';

export interface Shape {
  readonly d: string;
  readonly fill: Stuff;
  readonly line?: Stuff | 'ink';
  readonly width?: number;
  readonly dashed?: boolean;
  readonly opacity?: number;
}

/** The box all flowers are drawn in. */
export const FLOWER_BOX = { width: 100, height: 140 } as const;

export type Point = readonly [x: number, y: number];
export type Mapping = (x: number, y: number) => Point;

export const n = (value: number): number => Math.round(value * 10) / 10;

/** Rotates by `degrees` (clockwise) and scales about a point. */
export function turned(cx: number, cy: number, degrees: number, scaleX = 1, scaleY = scaleX): Mapping {
  const angle = (degrees * Math.PI) / 180;
  const cos = Math.cos(angle);
  const sin = Math.sin(angle);
  return (x, y) => {
    const dx = (x - cx) * scaleX;
    const dy = (y - cy) * scaleY;
    return [cx + dx * cos - dy * sin, cy + dx * sin + dy * cos];
  };
}

const TOKENS = /[MLCQZ]|-?\d+(?:\.\d+)?/g;

/** A path of absolute M, L, C, Q and Z with every point mapped. Other commands are a mistake, and throw. */
export function mapped(d: string, map: Mapping): string {
  if (/[^MLCQZ\d\s.,-]/.test(d)) throw new Error(`mapped: only absolute M, L, C, Q, Z can be mapped: ${d}`);
  let out = '';
  let x: number | null = null;
  for (const [token] of d.matchAll(TOKENS)) {
    if (/[MLCQZ]/.test(token)) out += token;
    else if (x === null) x = Number(token);
    else {
      const [px, py] = map(x, Number(token));
      out += `${n(px)} ${n(py)} `;
      x = null;
    }
  }
  return out.trim();
}

export function mappedShapes(shapes: readonly Shape[], map: Mapping): Shape[] {
  return shapes.map((shape) => ({ ...shape, d: mapped(shape.d, map) }));
}

/** An ellipse as four curves. */
export function ellipse(cx: number, cy: number, rx: number, ry = rx): string {
  const kx = rx * 0.552;
  const ky = ry * 0.552;
  return `M${n(cx - rx)} ${n(cy)} C${n(cx - rx)} ${n(cy - ky)} ${n(cx - kx)} ${n(cy - ry)} ${n(cx)} ${n(cy - ry)} C${n(cx + kx)} ${n(cy - ry)} ${n(cx + rx)} ${n(cy - ky)} ${n(cx + rx)} ${n(cy)} C${n(cx + rx)} ${n(cy + ky)} ${n(cx + kx)} ${n(cy + ry)} ${n(cx)} ${n(cy + ry)} C${n(cx - kx)} ${n(cy + ry)} ${n(cx - rx)} ${n(cy + ky)} ${n(cx - rx)} ${n(cy)}Z`;
}

/** Small round dots (pollen, seeds) as one path. */
export function dots(points: readonly Point[], r: number): string {
  return points.map(([x, y]) => ellipse(x, y, r)).join(' ');
}

/** A petal from the middle outwards, pointing up before it is turned by `degrees`. `blunt` 0 = pointed, 1 = round. */
export function petal(
  cx: number,
  cy: number,
  degrees: number,
  length: number,
  width: number,
  blunt: number,
  from = 0,
): string {
  const tip = cy - length;
  const root = cy - from;
  const half = width / 2;
  const shoulder = tip + length * (0.42 - blunt * 0.3);
  const nearTip = half * (0.25 + blunt * 0.75);
  const d = `M${n(cx - half * 0.35)} ${n(root)} C${n(cx - half * 0.9)} ${n(root - length * 0.25)} ${n(cx - half)} ${n(shoulder + length * 0.12)} ${n(cx - half)} ${n(shoulder)} C${n(cx - half)} ${n(shoulder - length * 0.14)} ${n(cx - nearTip)} ${n(tip)} ${n(cx)} ${n(tip)} C${n(cx + nearTip)} ${n(tip)} ${n(cx + half)} ${n(shoulder - length * 0.14)} ${n(cx + half)} ${n(shoulder)} C${n(cx + half)} ${n(shoulder + length * 0.12)} ${n(cx + half * 0.9)} ${n(root - length * 0.25)} ${n(cx + half * 0.35)} ${n(root)}Z`;
  return mapped(d, turned(cx, cy, degrees));
}

/** Petals all round. */
export function rosette(
  cx: number,
  cy: number,
  count: number,
  length: number,
  width: number,
  blunt: number,
  start = 0,
): string[] {
  return Array.from({ length: count }, (_, i) =>
    petal(cx, cy, start + (360 / count) * i, length, width, blunt),
  );
}

export const filled = (d: string, fill: Stuff, width = 1.6): Shape => ({ d, fill, line: 'ink', width });
export const lined = (d: string, line: Stuff | 'ink', width: number): Shape => ({
  d,
  fill: 'none',
  line,
  width,
});
