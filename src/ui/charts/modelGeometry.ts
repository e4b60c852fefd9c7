import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import type { SetModel } from '@core/study';
import { FRAME } from './stepGeometry';

/** What to draw of set against one number. */
export interface ModelShapes {
  readonly curve: string;
  readonly band: string;
  readonly dots: readonly {
    readonly x: number;
    readonly y: number;
    readonly low: number;
    readonly high: number;
    readonly r: number;
  }[];
  readonly ticks: readonly { readonly x: number; readonly value: number }[];
  readonly y: (share: number) => number;
}

/** Minutes are marked by the hour, all else at round numbers. */
export function modelShapes(model: SetModel, width: number, height: number): ModelShapes {
  const values = model.curve.map(({ at }) => at);
  const x = scaleLinear(
    [Math.min(...values), Math.max(...values)],
    [FRAME.left + 8, width - FRAME.right - 8],
  );
  const y = scaleLinear([0, 1], [height - FRAME.bottom, FRAME.top]);
  type Point = SetModel['curve'][number];
  const most = Math.max(...model.dots.map(({ judged }) => judged), 1);
  const [least, last] = x.domain() as [number, number];
  const ticks =
    model.along === 'minutes' ? hours(least, last) : x.ticks(5).filter((value) => Number.isInteger(value));
  return {
    curve:
      line<Point>()
        .x(({ at }) => x(at))
        .y(({ share }) => y(share))([...model.curve]) ?? '',
    band:
      area<Point>()
        .x(({ at }) => x(at))
        .y0(({ low }) => y(low))
        .y1(({ high }) => y(high))([...model.curve]) ?? '',
    dots: model.dots.map(({ from, to, set, judged, low, high }) => ({
      x: x((from + to) / 2),
      y: y(set / judged),
      low: y(low),
      high: y(high),
      r: 4 + 4 * Math.sqrt(judged / most),
    })),
    ticks: ticks.map((value) => ({ x: x(value), value })),
    y: (share) => y(share),
  };
}

/** Every half hour, or every so many hours where the axis is long: at most some seven marks. */
function hours(least: number, most: number): number[] {
  const step = [30, 60, 120, 180, 360].find((each) => (most - least) / each <= 7) ?? 720;
  const marks: number[] = [];
  for (let at = Math.ceil(least / step) * step; at <= most; at += step) marks.push(at);
  return marks;
}
