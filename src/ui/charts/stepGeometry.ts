import { scaleLinear } from 'd3-scale';
import { area, curveStepAfter, line } from 'd3-shape';
import type { FateOnDay, FruitEnd, SurvivalStep } from '@core/fruitset';
import { levelOn, type Level } from './levels';

/** Inside a chart's frame: room for the ticks' words on the left and below. */
export const FRAME = { left: 50, right: 10, top: 10, bottom: 26 } as const;

/** Where a day and a share lie in a chart of some width and height. */
export interface DayScale {
  readonly x: (day: number) => number;
  readonly y: (share: number) => number;
}

export function dayScale(width: number, height: number, lastDay: number): DayScale {
  const x = scaleLinear([0, Math.max(1, lastDay)], [FRAME.left, width - FRAME.right]);
  const y = scaleLinear([0, 1], [height - FRAME.bottom, FRAME.top]);
  return { x: (day) => x(day), y: (share) => y(share) };
}

/** Where the days of a chart end: a week at least, and a day past the last change, whose step would else lie on the frame. */
export function axisEnd(days: readonly number[], lastChange = 0): number {
  return Math.max(7, days.at(-1) ?? 0, lastChange + 1);
}

/** The days whose words have room beside each other: the first, and those no nearer than `gap` to the one before. */
export function daysApart(days: readonly number[], x: DayScale['x'], gap: number): number[] {
  return days.reduce<number[]>((kept, day) => {
    const last = kept[kept.length - 1];
    return last === undefined || x(day) - x(last) >= gap ? [...kept, day] : kept;
  }, []);
}

export function stepPath(of: readonly Level[], { x, y }: DayScale): string {
  return (
    line<Level>()
      .x(({ day }) => x(day))
      .y(({ share }) => y(share))
      .curve(curveStepAfter)([...of]) ?? ''
  );
}

interface Between {
  readonly day: number;
  readonly low: number;
  readonly high: number;
}

/** What lies between two curves: the drop falls somewhere in there. */
export function bandPath(low: readonly Level[], high: readonly Level[], scale: DayScale): string {
  const days = [...new Set([...low, ...high].map(({ day }) => day))].sort((a, b) => a - b);
  return areaPath(
    days.map((day) => ({ day, low: levelOn(low, day), high: levelOn(high, day) })),
    scale,
  );
}

/** The 95 % bounds of a curve. */
export function boundsPath(steps: readonly SurvivalStep[], lastDay: number, scale: DayScale): string {
  const bounds: Between[] = [
    { day: 0, low: 1, high: 1 },
    ...steps.map(({ time, survival, low, high }) => ({
      day: time,
      low: low ?? survival,
      high: high ?? survival,
    })),
  ];
  const last = bounds.at(-1) as Between;
  return areaPath([...bounds, { ...last, day: lastDay }], scale);
}

function areaPath(of: readonly Between[], { x, y }: DayScale): string {
  return (
    area<Between>()
      .x(({ day }) => x(day))
      .y0(({ low }) => y(low))
      .y1(({ high }) => y(high))
      .curve(curveStepAfter)([...of]) ?? ''
  );
}

/** One layer of the picture of what becomes of fruits. */
export interface FateLayer {
  readonly end: FruitEnd | 'remaining';
  readonly path: string;
  /** The share it comes to on the last day. */
  readonly share: number;
}

/** Layers stacked from the bottom: what still hangs, what was harvested, what dropped by kind. They fill the whole height. */
export function fateLayers(
  fates: readonly FateOnDay[],
  order: readonly FruitEnd[],
  lastDay: number,
  scale: DayScale,
): FateLayer[] {
  const last = fates.at(-1);
  if (!last) return [];
  const days = [...fates, { ...last, day: lastDay }];
  const ends: (FruitEnd | 'remaining')[] = [
    'remaining',
    ...order.filter((end) => (last.byEnd[end] ?? 0) > 0),
  ];
  const shareOf = (on: FateOnDay, end: FruitEnd | 'remaining') =>
    end === 'remaining' ? on.remaining : (on.byEnd[end] ?? 0);
  return ends.map((end, i) => ({
    end,
    share: shareOf(last, end),
    path: areaPath(
      days.map((on) => {
        const low = ends.slice(0, i).reduce((sum, under) => sum + shareOf(on, under), 0);
        return { day: on.day, low, high: low + shareOf(on, end) };
      }),
      scale,
    ),
  }));
}
