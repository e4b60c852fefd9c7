import fc from 'fast-check';
import { degreeDays, dewPoint, heatIndex, humidityFromDewPoint, vapourPressureDeficit } from '.';
import air from './fixtures/air.json';
import heat from './fixtures/degreeDays.json';

type Input = Readonly<Record<string, number>>;
const toC = (f: number) => ((f - 32) * 5) / 9;

describe('air: reference values (source in the fixture)', () => {
  const got: Record<string, (input: Input) => Record<string, number>> = {
    'dew-point': ({ temperatureC, relativeHumidity }) => ({
      dewPointC: dewPoint(temperatureC as number, relativeHumidity as number),
      vpdHPa: 10 * vapourPressureDeficit(temperatureC as number, relativeHumidity as number),
    }),
    'humidity-from-dew-point': ({ temperatureC, dewPointC }) => ({
      relativeHumidity: humidityFromDewPoint(temperatureC as number, dewPointC as number),
    }),
    'heat-index': ({ temperatureF, relativeHumidity }) => ({
      heatIndexF: (heatIndex(toC(temperatureF as number), relativeHumidity as number) * 9) / 5 + 32,
    }),
  };
  test.each(air.filter(({ input }) => input.kind in got).map((each) => [each.id, each] as const))(
    '%s',
    (_id, { input, expected }) => {
      const values = got[input.kind]?.(input as unknown as Input) ?? {};
      expect(Object.keys(values).length).toBeGreaterThan(0);
      for (const [name, value] of Object.entries(values))
        expect(value).toBeCloseTo((expected as unknown as Input)[name] as number, 5);
    },
  );
  test('dew point and humidity undo one another', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -30, max: 45, noNaN: true }),
        fc.integer({ min: 2, max: 100 }),
        (t, rh) => {
          expect(humidityFromDewPoint(t, dewPoint(t, rh))).toBeCloseTo(rh, 6);
          expect(dewPoint(t, rh)).toBeLessThanOrEqual(t + 1e-9);
        },
      ),
    );
  });
  test.each([
    [() => dewPoint(20, 0), 'relativeHumidityPct'],
    [() => dewPoint(Number.NaN, 50), 'temperatureC'],
    [() => heatIndex(30, 120), 'relativeHumidityPct'],
    [() => degreeDays({ minC: 20, maxC: 10, baseC: 10, method: 'sine' }), 'maxC'],
    [() => degreeDays({ minC: 1, maxC: 10, baseC: 10, capC: 9, method: 'sine' }), 'capC'],
  ])('a value out of range is named', (work, field) => {
    expect(work).toThrow(expect.objectContaining({ field }));
  });
});

describe('degree-days: reference values (source in the fixture)', () => {
  test.each(heat.map((each) => [each.id, each] as const))('%s', (_id, { input, expected }) => {
    const { kind, tmax, tmin, unit, base, lower, upper } = input as unknown as Input & {
      kind: string;
      unit: string;
    };
    const f = unit === 'F';
    const c = (value: number | null | undefined) =>
      value === null || value === undefined ? undefined : f ? toC(value) : value;
    const method = kind === 'gdd-average' ? 'average' : kind === 'gdd-single-sine' ? 'sine' : 'modified';
    const days = degreeDays({
      minC: c(tmin) as number,
      maxC: c(tmax) as number,
      baseC: c(base ?? lower) as number,
      capC: c(upper),
      method,
    });
    expect(f ? days * 1.8 : days).toBeCloseTo(expected.degreeDays as number, 6);
  });
});
