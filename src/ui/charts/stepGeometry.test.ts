import type { SetModel } from '@core/study';
import { growthShapes } from './growthGeometry';
import { modelShapes } from './modelGeometry';
import { levelOn, levels } from './levels';
import { axisEnd, dayScale, daysApart, fateLayers, stepPath } from './stepGeometry';

const step = (time: number, survival: number) => ({
  time,
  survival,
  atRisk: 10,
  events: 1,
  standardError: 0.1,
  low: survival - 0.1,
  high: Math.min(1, survival + 0.1),
});
const scale = dayScale(320, 190, 20);

test('a curve holds its level until the next step, and to the last day', () => {
  const of = levels([step(4, 0.8), step(9, 0.5)], 20);
  expect([0, 3.9, 4, 8, 9, 20].map((day) => levelOn(of, day))).toEqual([1, 1, 0.8, 0.8, 0.5, 0.5]);
  expect(stepPath(of, scale)).toMatch(/^M/);
  expect(levels([], 7)).toEqual([
    { day: 0, share: 1 },
    { day: 7, share: 1 },
  ]);
});

test('the last change is never on the frame, and a chart shows a week at least', () => {
  expect(axisEnd([0, 3, 7], 7)).toBe(8);
  expect(axisEnd([0, 3, 7, 14], 9)).toBe(14);
  expect(axisEnd([])).toBe(7);
});

/** The corners of a path, as numbers. */
const corners = (path: string) =>
  [...path.matchAll(/([\d.]+),([\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)] as const);

test('layers lie on each other and fill the whole height', () => {
  const layers = fateLayers(
    [
      { day: 0, remaining: 1, byEnd: {} },
      { day: 5, remaining: 0.7, byEnd: { pollen: 0.3 } },
      { day: 9, remaining: 0.4, byEnd: { pollen: 0.4, harvested: 0.2 } },
    ],
    ['harvested', 'pollen', 'rot'],
    20,
    scale,
  );
  expect(layers.map(({ end, share }) => [end, share])).toEqual([
    ['remaining', 0.4],
    ['harvested', 0.2],
    ['pollen', 0.4],
  ]);
  const ys = layers.flatMap(({ path }) => corners(path).map(([, y]) => y));
  expect(Math.max(...ys)).toBeCloseTo(scale.y(0), 6);
  expect(Math.min(...ys)).toBeCloseTo(scale.y(1), 6);
  expect(fateLayers([], [], 20, scale)).toEqual([]);
});

test('days that would lie over each other are left out, the first and those with room are told', () => {
  const x = dayScale(320, 190, 60).x;
  const days = daysApart([0, 3, 7, 14, 21, 30, 45, 60], x, 48);
  expect(days[0]).toBe(0);
  expect(days).not.toContain(3);
  for (let i = 1; i < days.length; i++)
    expect(x(days[i] as number) - x(days[i - 1] as number)).toBeGreaterThanOrEqual(48);
});

test('a model’s dots lie within the frame, the larger the more flowers; hours are marked by the hour', () => {
  const model: SetModel = {
    along: 'minutes',
    flowers: 40,
    plants: 5,
    share: 0.5,
    terms: [],
    dots: [
      { from: 0, to: 20, set: 9, judged: 10, low: 0.6, high: 0.98 },
      { from: 200, to: 240, set: 10, judged: 30, low: 0.2, high: 0.5 },
    ],
    curve: [0, 120, 240].map((at) => ({ at, share: 0.5, low: 0.3, high: 0.7 })),
  };
  const { dots, ticks, curve, band } = modelShapes(model, 320, 190);
  for (const { x, y } of dots) {
    expect(x).toBeGreaterThan(40);
    expect(x).toBeLessThan(320);
    expect(y).toBeGreaterThan(0);
    expect(y).toBeLessThan(190);
  }
  expect(dots[1]?.r).toBeGreaterThan(dots[0]?.r ?? 0);
  expect(ticks.map(({ value }) => value)).toEqual([0, 60, 120, 180, 240]);
  expect(`${curve}${band}`).not.toMatch(/NaN/);
});

test('a fruit’s sizes run by the day, also where nothing is usual yet', () => {
  const own = [
    { day: 9, sizeMm: 90 },
    { day: 5, sizeMm: 40 },
  ];
  const { dots, own: path, usual } = growthShapes(own, [], 320, 140);
  expect(dots[0]?.x).toBeLessThan(dots[1]?.x ?? 0);
  expect(dots[0]?.y).toBeGreaterThan(dots[1]?.y ?? 0);
  expect(path).not.toMatch(/NaN/);
  expect(usual).toBe('');
});
