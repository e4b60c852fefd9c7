import type { CropId, FruitShape } from '@core/crops';
import { dots, lined, n, type Point, type Shape } from './shapes';

const HALF: Record<FruitShape, number> = { round: 0.5, ribbed: 0.58, long: 0.2, necked: 0.36, bottle: 0.38 };

/** An ovary (or fruit) of the variety's shape, stalk end down at `bottom`, of the given height, centred on x = 50. */
export function ovaryPath(shape: FruitShape, bottom: number, height: number): string {
  const top = bottom - height;
  const mid = (top + bottom) / 2;
  const r = height * HALF[shape];
  if (shape === 'necked' || shape === 'bottle') {
    // Neck at the stalk end, bulb at the blossom end, as the fruit will hang.
    const neck = r * (shape === 'necked' ? 0.62 : 0.4);
    const waist = n(bottom - height * 0.45);
    const edge = top + height * 0.3;
    // The blossom end in two curves that meet in the middle.
    const high = (edge + 3 * (top - 2)) / 4;
    const shoulder = n((edge + top - 2) / 2);
    return `M${n(50 - neck)} ${n(bottom)} C${n(50 - neck)} ${waist} ${n(50 - r)} ${n(mid + height * 0.1)} ${n(50 - r)} ${n(edge)} C${n(50 - r)} ${shoulder} ${n(50 - r / 2)} ${n(high)} 50 ${n(high)} C${n(50 + r / 2)} ${n(high)} ${n(50 + r)} ${shoulder} ${n(50 + r)} ${n(edge)} C${n(50 + r)} ${n(mid + height * 0.1)} ${n(50 + neck)} ${waist} ${n(50 + neck)} ${n(bottom)} Q50 ${n(bottom + 5)} ${n(50 - neck)} ${n(bottom)}Z`;
  }
  const k = shape === 'long' ? 0.95 : 0.72;
  return `M50 ${n(bottom)} C${n(50 - r * 1.3 * k)} ${n(bottom)} ${n(50 - r)} ${n(mid + height * 0.3 * k)} ${n(50 - r)} ${n(mid)} C${n(50 - r)} ${n(mid - height * 0.3 * k)} ${n(50 - r * 1.3 * k)} ${n(top)} 50 ${n(top)} C${n(50 + r * 1.3 * k)} ${n(top)} ${n(50 + r)} ${n(mid - height * 0.3 * k)} ${n(50 + r)} ${n(mid)} C${n(50 + r)} ${n(mid + height * 0.3 * k)} ${n(50 + r * 1.3 * k)} ${n(bottom)} 50 ${n(bottom)}Z`;
}

/** What the skin shows: stripes, ridges, warts or down, by crop. */
export function skin(crop: CropId, shape: FruitShape, bottom: number, height: number): Shape[] {
  const half = height * HALF[shape];
  const top = bottom - height;
  if (crop === 'bitter-gourd' || crop === 'cucumber') {
    const bumps: Point[] = [];
    for (let row = 1; row < 6; row++)
      for (const side of [-0.55, 0, 0.55])
        bumps.push([
          50 + half * (side + (row % 2 ? 0.22 : -0.22)),
          top + (height * (row + (side === 0 ? 0.5 : 0))) / 6.4,
        ]);
    const size = crop === 'bitter-gourd' ? Math.max(1, height * 0.045) : Math.max(0.6, height * 0.022);
    return [{ d: dots(bumps, size), fill: 'stripe', line: 'ink', width: 0.6, opacity: 0.9 }];
  }
  const lines = crop === 'luffa-ridged' ? [-1, -0.5, 0, 0.5, 1] : [-1, 0, 1];
  const spread = shape === 'long' ? 0.1 : shape === 'necked' || shape === 'bottle' ? 0.16 : 0.28;
  const shapes: Shape[] = lines.map((side) =>
    lined(
      `M${n(50 + side * height * spread * 0.5)} ${n(top + height * 0.12)} Q${n(50 + side * height * spread * 1.5)} ${n((top + bottom) / 2)} ${n(50 + side * height * spread * 0.5)} ${n(bottom - height * 0.1)}`,
      'stripe',
      shape === 'ribbed' || crop === 'luffa-ridged' ? 2.6 : 1.6,
    ),
  );
  if (crop === 'melon' || crop === 'watermelon' || crop === 'bottle-gourd') {
    const hairs: string[] = [];
    for (let i = 1; i < 7; i++) {
      const y = top + (height * i) / 7;
      // Short hairs stand off the widest outline; a young fruit of these crops is downy.
      const edge = half * Math.sin((Math.PI * i) / 7) * 0.98;
      for (const side of [-1, 1])
        hairs.push(`M${n(50 + side * edge)} ${n(y)} L${n(50 + side * (edge + 2.6))} ${n(y - 1.6)}`);
    }
    shapes.push(lined(hairs.join(' '), 'stalk', 0.9));
  }
  return shapes;
}
