import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import type { MeasuredSize, UsualSize } from '@core/fruitset';

const PAD = { left: 44, right: 12, top: 10, bottom: 24 } as const;

/** One fruit's sizes on the ground of what its variety usually measures. */
export interface GrowthShapes {
  readonly usual: string;
  readonly median: string;
  readonly own: string;
  readonly dots: readonly { readonly x: number; readonly y: number }[];
  readonly days: readonly { readonly x: number; readonly day: number }[];
  readonly sizes: readonly { readonly y: number; readonly mm: number }[];
}

export function growthShapes(
  own: readonly MeasuredSize[],
  usual: readonly UsualSize[],
  width: number,
  height: number,
): GrowthShapes {
  const lastDay = Math.max(4, ...own.map(({ day }) => day), ...usual.map(({ day }) => day));
  const most = Math.max(10, ...own.map(({ sizeMm }) => sizeMm), ...usual.map(({ highMm }) => highMm));
  const x = scaleLinear([0, lastDay], [PAD.left, width - PAD.right]);
  const y = scaleLinear([0, most], [height - PAD.bottom, PAD.top]).nice(3);
  const sorted = [...own].sort((a, b) => a.day - b.day);
  return {
    usual:
      area<UsualSize>()
        .x(({ day }) => x(day))
        .y0(({ lowMm }) => y(lowMm))
        .y1(({ highMm }) => y(highMm))([...usual]) ?? '',
    median:
      line<UsualSize>()
        .x(({ day }) => x(day))
        .y(({ medianMm }) => y(medianMm))([...usual]) ?? '',
    own:
      line<MeasuredSize>()
        .x(({ day }) => x(day))
        .y(({ sizeMm }) => y(sizeMm))(sorted) ?? '',
    dots: sorted.map(({ day, sizeMm }) => ({ x: x(day), y: y(sizeMm) })),
    days: x
      .ticks(5)
      .filter(Number.isInteger)
      .map((day) => ({ x: x(day), day })),
    sizes: y.ticks(3).map((mm) => ({ y: y(mm), mm })),
  };
}
