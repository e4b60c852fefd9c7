import fc from 'fast-check';
import pathBounds from 'svg-path-bounds';
import { catalogue, FRUIT_SHAPES, sexesOf, STAGES, type Sex } from '@core/crops';
import { bandSpan, bandX, fullHours } from '../charts/bandGeometry';
import { allLooks } from './allLooks';
import {
  FATES,
  fatesOf,
  FLOWER_BOX,
  flowerShapes,
  mapped,
  ovaryPath,
  SKETCHES,
  sketchShapes,
  turned,
  type FlowerLook,
} from './geometry';
import { RUNNER, runnerPlan } from './runnerGeometry';

const looks = allLooks().flatMap(({ crop, looks: all }) =>
  all.map(({ name, look }) => [`${crop} ${name}`, look] as const),
);
const drawn = (look: FlowerLook) => JSON.stringify(flowerShapes(look));
const stuffs = (look: FlowerLook) => flowerShapes(look).map(({ fill }) => fill);
const base = { crop: 'squash-maxima', sex: 'female', appearance: 'coloured', shape: 'round' } as const;

describe('flower drawings', () => {
  test.each(looks)('%s lies within its box', (_name, look) => {
    const shapes = flowerShapes(look);
    expect(shapes.length).toBeGreaterThan(2);
    for (const { d } of shapes) {
      expect(d).not.toMatch(/NaN|undefined|Infinity/);
      const [left, top, right, bottom] = pathBounds(d);
      expect([
        d,
        left >= -4,
        top >= -4,
        right <= FLOWER_BOX.width + 4,
        bottom <= FLOWER_BOX.height + 4,
      ]).toEqual([d, true, true, true, true]);
    }
  });

  test.each(looks)(
    '%s with leaves and shade lies within its box and hides nothing of what it showed',
    (_name, look) => {
      const detailed = flowerShapes({ ...look, detail: true });
      for (const { d } of detailed) {
        const [left, top, right, bottom] = pathBounds(d);
        expect([
          left >= -6,
          top >= -6,
          right <= FLOWER_BOX.width + 6,
          bottom <= FLOWER_BOX.height + 6,
        ]).toEqual(Array(4).fill(true));
      }
      const plain = new Set(stuffs(look));
      for (const stuff of plain) expect(detailed.map(({ fill }) => fill)).toContain(stuff);
    },
  );

  test('males have the anthers of their crop: a column, a folded head, three or five', () => {
    const anthers = (crop: FlowerLook['crop']) =>
      stuffs({ crop, sex: 'male', appearance: 'open', shape: 'round', view: 'inside' }).filter(
        (stuff) => stuff === 'column',
      ).length;
    expect([anthers('squash-maxima'), anthers('bottle-gourd')]).toEqual([1, 1]);
    for (const crop of ['melon', 'watermelon', 'cucumber', 'bitter-gourd'] as const)
      expect([crop, anthers(crop)]).toEqual([crop, 3]);
    expect([anthers('luffa'), anthers('luffa-ridged')]).toEqual([5, 5]);
  });

  test('fruit of a nightshade or a strawberry hangs: its calyx above it; and none is ripe because it set', () => {
    for (const crop of ['tomato', 'pepper', 'aubergine', 'potato', 'strawberry'] as const) {
      const shapes = flowerShapes({ crop, sex: 'perfect', appearance: 'set', shape: 'round' });
      const body = shapes
        .filter(({ fill }) => ['ovary', 'fruit', 'petal-deep', 'bud'].includes(fill))
        .map(({ d }) => pathBounds(d))
        .sort((a, b) => b[3] - b[1] - (a[3] - a[1]))[0] as number[];
      const calyx = shapes.filter(({ fill }) => fill === 'sepal').map(({ d }) => pathBounds(d));
      expect([crop, calyx.length > 2]).toEqual([crop, true]);
      for (const [, top] of calyx)
        expect([crop, (top as number) < ((body[1] as number) + (body[3] as number)) / 2]).toEqual([
          crop,
          true,
        ]);
      expect(shapes.map(({ fill }) => fill)).not.toContain('ripe');
    }
  });

  test('corn may show purple silks and anthers; brown silk stays brown', () => {
    const look = (sex: Sex, appearance: 'open' | 'spent') =>
      JSON.stringify(flowerShapes({ crop: 'corn', sex, appearance, shape: 'long', purple: true }));
    expect(look('female', 'open')).toContain('silk-rose');
    expect(look('male', 'open')).toContain('purple');
    expect(look('female', 'spent')).not.toContain('silk-rose');
  });

  test('no two drawings of one crop are the same, but for what cannot be told apart', () => {
    for (const { crop, looks: all } of allLooks()) {
      const seen = new Map<string, string>();
      for (const { name, look } of all) {
        // The usual shape stands once in its row of shapes and once among the stages.
        if (name.startsWith('ovary')) continue;
        expect([crop, name, seen.get(drawn(look))]).toEqual([crop, name, undefined]);
        seen.set(drawn(look), name);
      }
    }
  });

  test('only a female vine flower has an ovary under her petals; only a male column sheds', () => {
    for (const crop of catalogue.filter(({ family }) => family === 'cucurbit')) {
      for (const appearance of STAGES) {
        const look = (sex: Sex): FlowerLook => ({ crop: crop.id, sex, appearance, shape: crop.usualShape });
        expect(stuffs(look('female'))).toContain('ovary');
        expect(stuffs(look('male'))).not.toContain('ovary');
      }
      const inside = (sex: Sex): FlowerLook => ({
        crop: crop.id,
        sex,
        appearance: 'open',
        shape: 'round',
        view: 'inside',
      });
      expect(stuffs(inside('male'))).toContain('pollen');
      expect(stuffs(inside('male'))).not.toContain('stigma');
      expect(stuffs(inside('female'))).toContain('stigma');
      // Many melons carry anthers in the "female" flower too.
      expect(stuffs(inside('female')).includes('pollen')).toBe(crop.sexSystem.value === 'andromonoecious');
    }
  });

  test('tomato and potato have a cone, pepper and aubergine loose anthers', () => {
    const anthers = (crop: FlowerLook['crop']) =>
      stuffs({ crop, sex: 'perfect', appearance: 'open', shape: 'round' }).filter((stuff) =>
        ['anther', 'column'].includes(stuff),
      ).length;
    expect(anthers('tomato')).toBe(1);
    expect(anthers('potato')).toBe(1);
    expect(anthers('aubergine')).toBe(4);
  });

  test('silks only once the shoot has silked, anthers only while the tassel sheds', () => {
    const has = (sex: Sex, stuff: string) =>
      STAGES.filter((appearance) =>
        flowerShapes({ crop: 'corn', sex, appearance, shape: 'long' }).some(
          ({ fill, line }) => fill === stuff || line === stuff,
        ),
      );
    expect(has('female', 'silk')).toEqual(['open']);
    expect(has('male', 'anther')).toEqual(['open']);
  });

  test('a green bud never shows colour and a coloured one always does, however full', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.constantFrom(...catalogue.filter(({ family }) => family === 'cucurbit')),
        (fullness, crop) => {
          for (const sex of sexesOf(crop)) {
            const fills = (appearance: 'green' | 'coloured') =>
              stuffs({ crop: crop.id, sex, appearance, shape: 'round', fullness });
            expect(fills('green')).not.toContain('petal');
            expect(fills('coloured')).toContain('petal');
          }
        },
      ),
    );
  });

  test('the ovary of a coloured female is larger than that of a green one', () => {
    const height = (appearance: 'green' | 'coloured') => {
      const ovary = flowerShapes({ ...base, appearance }).find(({ fill }) => fill === 'ovary');
      const [, top, , bottom] = pathBounds(ovary?.d ?? '');
      return bottom - top;
    };
    expect(height('coloured')).toBeGreaterThan(height('green') * 1.2);
  });

  test('end rot is a broad patch on a grown fruit, poor pollination a small one on a small fruit', () => {
    const patch = (appearance: 'end-rot' | 'brown-tip') => {
      const shapes = flowerShapes({ ...base, appearance });
      const width = (stuff: string) => {
        const [left, , right] = pathBounds(shapes.find(({ fill }) => fill === stuff)?.d ?? '');
        return right - left;
      };
      return { tip: width('tip'), fruit: width(appearance === 'end-rot' ? 'fruit' : 'ovary') };
    };
    expect(patch('end-rot').fruit).toBeGreaterThan(patch('brown-tip').fruit * 1.4);
    expect(patch('end-rot').tip).toBeGreaterThan(patch('brown-tip').tip * 1.4);
  });

  test('fates are those the crop can show', () => {
    expect(fatesOf('strawberry')).toContain('half-filled');
    expect(fatesOf('corn')).toContain('half-filled');
    expect(fatesOf('tomato')).toContain('end-rot');
    expect(fatesOf('cucumber')).toEqual(FATES.filter((fate) => fate !== 'half-filled'));
  });

  test('sketches lie within the box and differ', () => {
    for (const sketch of SKETCHES)
      for (const { d } of sketchShapes(sketch)) {
        const [left, top, right, bottom] = pathBounds(d);
        expect(Math.min(left, top)).toBeGreaterThanOrEqual(-4);
        expect([right <= FLOWER_BOX.width + 4, bottom <= FLOWER_BOX.height]).toEqual([true, true]);
      }
    expect(new Set(SKETCHES.map((sketch) => JSON.stringify(sketchShapes(sketch)))).size).toBe(
      SKETCHES.length,
    );
  });

  test('shapes of fruit differ', () => {
    expect(new Set(FRUIT_SHAPES.map((shape) => ovaryPath(shape, 120, 60))).size).toBe(FRUIT_SHAPES.length);
  });

  test('mapping a path moves every point and refuses what it cannot move', () => {
    expect(mapped('M0 0 L10 0Z', turned(0, 0, 90))).toBe('M0 0 L0 10 Z');
    expect(() => mapped('M0 0 h10', turned(0, 0, 90))).toThrow(/only absolute/);
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
