import type { DayExpected } from '@core/bloom';

export interface RangeBar {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** Where the expected number lies. */
  readonly markY: number;
  readonly label: string;
  readonly labelX: number;
}

export const OUTLOOK = { height: 92, base: 66, top: 8, bar: 15 } as const;

/** `2`, `1–3`: a range of whole flowers in words. */
export function rangeText({ low80, high80 }: Pick<DayExpected, 'low80' | 'high80'>): string {
  return low80 === high80 ? String(low80) : `${low80}–${high80}`;
}

/** One bar from low to high in column `column` of `columns`, left of the middle (`side` -1) or right of it. */
export function rangeBar(
  day: DayExpected,
  column: number,
  columns: number,
  width: number,
  most: number,
  side: -1 | 0 | 1,
): RangeBar {
  const step = width / columns;
  const middle = step * (column + 0.5) + (side * step) / 4;
  const scale = (OUTLOOK.base - OUTLOOK.top) / Math.max(1, most);
  const at = (count: number) => OUTLOOK.base - count * scale;
  // A range of one number is still a bar to be seen.
  const top = Math.min(at(day.high80), OUTLOOK.base - 3);
  const bottom = Math.min(OUTLOOK.base, Math.max(at(day.low80), top + 3));
  return {
    x: middle - OUTLOOK.bar / 2,
    y: top,
    width: OUTLOOK.bar,
    height: bottom - top,
    markY: at(day.mean),
    label: rangeText(day),
    labelX: middle,
  };
}
