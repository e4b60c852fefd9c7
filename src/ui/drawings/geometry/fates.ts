import { cropOf, type CropId, type FruitShape } from '@core/crops';
import { earOpened, earSide } from './corn';
import { buildOf } from './cucurbit';
import { lit, vineFoliage } from './foliage';
import { hangingFruit, nightshadeFruit } from './nightshade';
import { ovaryPath, skin } from './ovary';
import { ellipse, filled, lined, mappedShapes, n, turned, type Shape, type Stuff } from './shapes';
import { quietPlant } from './quiet';
import { berry } from './strawberry';

/** What a worked flower turns into. */
export const FATES = [
  'swelling',
  'set',
  'yellowing',
  'dropped',
  'bent',
  'brown-tip',
  'end-rot',
  'half-filled',
] as const;
export type FateLook = (typeof FATES)[number];

/** The fates that this crop's fruit can show. */
export function fatesOf(crop: CropId): readonly FateLook[] {
  const { family } = cropOf(crop);
  if (family === 'cucurbit') return FATES.filter((fate) => fate !== 'half-filled');
  if (family === 'nightshade')
    return FATES.filter((fate) => !['half-filled', 'bent', 'brown-tip'].includes(fate));
  return ['swelling', 'set', 'dropped', 'half-filled'];
}

const CROSS = lined('M36 50 L64 30 M36 30 L64 50', 'tip', 5);
const stalkTo = (bottom: number, stuff: Stuff): Shape =>
  filled(`M46.5 140 L47.5 ${n(bottom - 3)} L52.5 ${n(bottom - 3)} L53.5 140Z`, stuff, 1.3);
const withered = (top: number): Shape =>
  filled(
    `M45 ${n(top + 3)} C40 ${n(top - 6)} 45 ${n(top - 11)} 43 ${n(top - 15)} C50 ${n(top - 11)} 52 ${n(top - 17)} 56 ${n(top - 11)} C58 ${n(top - 7)} 54 ${n(top - 3)} 55 ${n(top + 3)}Z`,
    'withered',
    1.2,
  );

/** A dark patch at the blossom end: small and dry (poor pollination), or broad and sunken (blossom-end rot). */
function endPatch(top: number, half: number, deep: number): Shape {
  return filled(
    `M${n(50 - half)} ${n(top + deep * 0.75)} Q50 ${n(top + deep * 1.5)} ${n(50 + half)} ${n(top + deep * 0.75)} Q${n(50 + half * 0.7)} ${n(top - 2)} 50 ${n(top - 1)} Q${n(50 - half * 0.7)} ${n(top - 2)} ${n(50 - half)} ${n(top + deep * 0.75)}Z`,
    'tip',
    1.4,
  );
}

function vineFate(crop: CropId, fate: FateLook, shape: FruitShape, detail: boolean): Shape[] {
  const wide = shape === 'round' || shape === 'ribbed';
  const full = (wide ? 74 : 94) * (buildOf(crop).ovary < 0.9 ? 0.92 : 1);
  const heights: Record<FateLook, number> = {
    swelling: full * 0.62,
    set: full,
    yellowing: full * 0.46,
    dropped: full * 0.46,
    bent: full * 0.8,
    'brown-tip': full * 0.52,
    'end-rot': full,
    'half-filled': full,
  };
  const bottom = fate === 'yellowing' || fate === 'dropped' ? 116 : 122;
  const height = heights[fate];
  const top = bottom - height;
  const failed = fate === 'yellowing' || fate === 'dropped';
  const stuff: Stuff = failed ? 'yellowed' : fate === 'brown-tip' || fate === 'bent' ? 'ovary' : 'fruit';
  const outline: Shape = { ...filled(ovaryPath(shape, bottom, height), stuff, 2), dashed: failed };
  const body: Shape[] = [
    outline,
    ...(detail && !failed ? lit(outline) : []),
    ...(failed ? [] : skin(crop, shape, bottom, height)),
  ];
  // The fruit's outline at the blossom end is narrow for long fruit: the patch follows it.
  const half = height * (shape === 'long' ? 0.13 : wide ? 0.3 : 0.24);
  if (fate === 'swelling' || fate === 'set') body.push(withered(top));
  if (failed) body.push(endPatch(top, half * 0.8, height * 0.2), withered(top));
  if (fate === 'brown-tip') body.push(endPatch(top, half * 0.95, height * 0.26), withered(top));
  if (fate === 'end-rot')
    body.push(endPatch(top, half * 1.1, height * 0.22), {
      d: ellipse(50, top + height * 0.12, half * 0.5, height * 0.05),
      fill: 'hole',
      opacity: 0.55,
    });
  const fruit =
    fate === 'bent'
      ? mappedShapes(body, (x, y) => {
          // Grown on one side only: bent over, and pinched at the far end.
          const up = (bottom - y) / height;
          return [x + 26 * up * up + (50 - x) * 0.3 * up * up, y + 10 * up * up];
        })
      : body;
  return [
    ...(detail ? vineFoliage(crop, 137) : []),
    stalkTo(bottom, failed ? 'withered' : 'stalk'),
    ...fruit,
    ...(fate === 'dropped' ? [CROSS] : []),
  ];
}

/** How tall a fruit stands that has plainly set, and what it is made of then: green yet, but for an aubergine's purple. */
const NIGHTSHADE_SET: Partial<Record<CropId, readonly [height: number, stuff: Stuff]>> = {
  potato: [46, 'ovary'],
  tomato: [70, 'ovary'],
  pepper: [84, 'fruit'],
  aubergine: [84, 'petal-deep'],
};

function nightshadeFate(crop: CropId, fate: FateLook, detail: boolean): Shape[] {
  if (fate === 'dropped' || fate === 'yellowing')
    return [
      lined('M18 138 C18 66 20 26 50 30', 'stalk', 4),
      filled(ellipse(50, 31, 4.4, 3.6), 'stalk', 1.4),
      ...mappedShapes(
        [
          ...(fate === 'dropped' ? [] : [lined('M50 34 L50 58', 'yellowed', 3.4)]),
          filled('M42 62 C34 74 40 84 36 92 C44 88 50 98 56 91 C64 88 62 74 58 62Z', 'withered', 1.4),
          filled(ellipse(50, 60, 8, 7), 'yellowed', 1.4),
        ],
        fate === 'dropped' ? turned(50, 76, 38, 1) : turned(50, 34, 4),
      ),
      ...(fate === 'dropped' ? [CROSS] : []),
    ];
  const [full, grown] = NIGHTSHADE_SET[crop] ?? [70, 'ovary'];
  const height = fate === 'swelling' ? full * 0.4 : full;
  const { d, bottom, calyx } = nightshadeFruit(crop, height);
  const top = bottom - height;
  const body = filled(d, fate === 'swelling' && crop !== 'aubergine' ? 'ovary' : grown, 1.9);
  return hangingFruit(
    [
      body,
      ...(detail ? lit(body) : []),
      lined(
        `M${n(50 + height * 0.14)} ${n(top + height * 0.3)} Q${n(50 + height * 0.2)} ${n(top + height * 0.5)} ${n(50 + height * 0.14)} ${n(top + height * 0.66)}`,
        'wet',
        2,
      ),
      ...(fate === 'end-rot'
        ? [endPatch(top, height * (crop === 'tomato' || crop === 'potato' ? 0.3 : 0.16), height * 0.22)]
        : []),
      ...calyx,
    ],
    crop,
    detail,
  );
}

/** The shapes of a fruit, or of what is left of one that failed. */
export function fateShapes(crop: CropId, fate: FateLook, shape: FruitShape, detail = false): Shape[] {
  switch (cropOf(crop).family) {
    case 'cucurbit':
      return vineFate(crop, fate, shape, detail);
    case 'nightshade':
      return nightshadeFate(crop, fate, detail);
    case 'strawberry':
      if (fate === 'dropped') return [...mappedShapes(berry(26, false, false), turned(50, 120, 24)), CROSS];
      // A berry hangs from its stalk, tip down.
      // Green for three weeks or more after it has set; what it came to shows when it is picked.
      return mappedShapes(
        berry(fate === 'swelling' ? 44 : 74, fate === 'half-filled', fate === 'half-filled'),
        turned(50, 70, 180),
      );
    case 'quiet':
      return quietPlant(crop, true);
    case 'corn':
      if (fate === 'dropped') return [...earSide('spent', -1).shapes, CROSS];
      if (fate === 'swelling')
        return mappedShapes(earSide('spent', 1).shapes, turned(50, 116, 0, 1.05, 1.04));
      return earOpened('ripe', fate === 'half-filled' ? 0.36 : 0);
  }
}
