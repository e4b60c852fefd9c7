import fc from 'fast-check';
import { CLOSURES, FRUIT_SHAPES, SEXES, STAGES } from '@core/crops';
import { bandSpan, bandX, fullHours } from '../charts/bandGeometry';
import { FLOWER_BOX, flowerShapes, ovaryPath, type Appearance } from './flowerGeometry';
import { RUNNER, runnerPlan } from './runnerGeometry';

const appearances: Appearance[] = [...STAGES, 'set', 'dropped'];

/** Every absolute number pair would need a path parser; all numbers being finite and within the box is enough here. */
const numbers = (d: string) => (d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);

describe('flower drawings', () => {
  for (const sex of SEXES) {
    for (const appearance of appearances) {
      for (const shape of FRUIT_SHAPES) {
        test(`${sex} ${appearance} ${shape}: inside its box, with or without a closure`, () => {
          for (const closure of [null, ...CLOSURES]) {
            for (const closureState of ['whole', 'torn', 'holed'] as const) {
              const shapes = flowerShapes({ sex, appearance, shape, closure, closureState });
              expect(shapes.length).toBeGreaterThan(2);
              for (const { d } of shapes) {
                expect(d).not.toMatch(/NaN|undefined|Infinity/);
                for (const value of numbers(d))
                  expect(Math.abs(value)).toBeLessThanOrEqual(FLOWER_BOX.height);
              }
            }
          }
        });
      }
    }
  }

  test('only a female has an ovary under her petals', () => {
    for (const appearance of STAGES) {
      const stuff = (sex: 'female' | 'male') =>
        flowerShapes({ sex, appearance, shape: 'round' }).map(({ fill }) => fill);
      expect(stuff('female')).toContain('ovary');
      expect(stuff('male')).not.toContain('ovary');
    }
  });

  test('every stage looks different from every other, and torn from whole', () => {
    for (const sex of SEXES) {
      const seen = new Set(
        appearances.map((appearance) => JSON.stringify(flowerShapes({ sex, appearance, shape: 'round' }))),
      );
      expect(seen.size).toBe(appearances.length);
    }
    for (const closure of CLOSURES.filter((each) => each !== 'tie')) {
      const drawn = (closureState: 'whole' | 'torn' | 'holed') =>
        JSON.stringify(
          flowerShapes({ sex: 'female', appearance: 'coloured', shape: 'long', closure, closureState }),
        );
      expect(drawn('torn')).not.toBe(drawn('whole'));
      expect(drawn('holed')).not.toBe(drawn('whole'));
    }
  });

  test('a coloured bud shows yellow, a green one none; its ovary is larger', () => {
    const fills = (appearance: Appearance) =>
      flowerShapes({ sex: 'female', appearance, shape: 'round' }).map(({ fill }) => fill);
    expect(fills('coloured')).toContain('petal');
    expect(fills('green')).not.toContain('petal');
    const ovary = (appearance: Appearance) =>
      flowerShapes({ sex: 'female', appearance, shape: 'round' }).find(({ fill }) => fill === 'ovary')?.d ??
      '';
    const spread = (d: string) => Math.max(...numbers(d)) - Math.min(...numbers(d));
    expect(spread(ovary('coloured'))).toBeGreaterThan(spread(ovary('green')));
  });

  test('shapes of fruit differ', () => {
    expect(new Set(FRUIT_SHAPES.map((shape) => ovaryPath(shape, 120, 60))).size).toBe(FRUIT_SHAPES.length);
  });
});

test('a runner holds every node in order, inside its width, unknown nodes last', () => {
  fc.assert(
    fc.property(fc.array(fc.option(fc.nat(80)), { maxLength: 40 }), (nodes) => {
      const { nodes: placed, width, height, stem } = runnerPlan(nodes);
      expect(placed).toHaveLength(nodes.length);
      expect(stem).not.toMatch(/NaN/);
      placed.forEach(({ x, y, node }, i) => {
        const before = placed[i - 1];
        expect(x).toBeGreaterThan(before?.x ?? 0);
        expect(x + RUNNER.step / 2).toBeLessThanOrEqual(width);
        expect(y).toBeLessThan(height);
        if (before) expect(node ?? Infinity).toBeGreaterThanOrEqual(before.node ?? Infinity);
      });
    }),
  );
});

describe('the strip of time', () => {
  const band = { start: 0, end: 36_000_000, width: 390 };
  test('moments keep their order and stay on the strip', () => {
    fc.assert(
      fc.property(fc.integer({ min: -1e8, max: 1e8 }), fc.integer({ min: 0, max: 1e8 }), (time, later) => {
        expect(bandX(band, time)).toBeGreaterThanOrEqual(0);
        expect(bandX(band, time + later)).toBeGreaterThanOrEqual(bandX(band, time));
        expect(bandX(band, time)).toBeLessThanOrEqual(band.width);
      }),
    );
  });
  test('a bar outside is not drawn; a short one is still seen', () => {
    expect(bandSpan(band, -10, 0)).toBeNull();
    expect(bandSpan(band, 40_000_000, 50_000_000)).toBeNull();
    expect(bandSpan(band, 1000, 1001)?.width).toBe(2);
    expect(bandSpan(band, -5, 50_000_000)).toEqual({ x: 0, width: 390 });
  });
  test('full hours are those of the zone, also half an hour off', () => {
    expect(fullHours(band, 0)).toHaveLength(11);
    expect(fullHours(band, 5.5 * 3_600_000)[0]).toBe(1_800_000);
  });
});
