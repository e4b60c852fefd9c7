import {
  cropOf,
  type Closure,
  type CropId,
  type FruitShape,
  type Sex,
  type SexSystem,
  type Stage,
} from '@core/crops';
import { closureShapes, type ClosureState } from './closures';
import { earOpened, earSide, tasselClose, tasselSide } from './corn';
import { cucurbitInside, cucurbitSide } from './cucurbit';
import { quietPlant } from './quiet';
import { FATES, fateShapes, type FateLook } from './fates';
import { nightshadeInside, nightshadeSide } from './nightshade';
import type { Shape } from './shapes';
import { strawberryInside, strawberrySide } from './strawberry';

export { FLOWER_BOX, mapped, mappedShapes, turned, type Shape, type Stuff } from './shapes';
export { FATES, fatesOf, type FateLook } from './fates';
export { leafOver } from './cover';
export { ovaryPath } from './ovary';
export { SKETCHES, sketchShapes, type Sketch } from './sketches';
export type { ClosureState } from './closures';

export type Appearance = Stage | FateLook;
export type View = 'side' | 'inside';

export interface FlowerLook {
  readonly crop: CropId;
  readonly sex: Sex;
  readonly appearance: Appearance;
  /** The variety's fruit. */
  readonly shape: FruitShape;
  readonly view?: View;
  readonly system?: SexSystem;
  readonly closure?: Closure | null;
  /** How the closure was found. */
  readonly closureState?: ClosureState;
  /** -1..1: how far on within its stage; 0 is typical. */
  readonly fullness?: number;
  /** Without the piece of vine it sits on: where a stem is drawn already. */
  readonly cut?: boolean;
  /** With leaves, light and shade: for drawings large enough to show them. */
  readonly detail?: boolean;
  /** Corn with purple silks and anthers, as some kinds have them. */
  readonly purple?: boolean;
}

const isFate = (appearance: Appearance): appearance is FateLook =>
  (FATES as readonly string[]).includes(appearance);

/** The shapes of one flower or fruit, in painting order, within `FLOWER_BOX`. Pure: the same look, the same shapes. */
export function flowerShapes(look: FlowerLook): Shape[] {
  const { crop, sex, appearance, shape, view = 'side', closure, closureState = 'whole', fullness = 0 } = look;
  if (isFate(appearance)) return fateShapes(crop, appearance, shape, look.detail);
  const { family, sexSystem } = cropOf(crop);
  if (view === 'inside') {
    if (family === 'corn')
      return recoloured(sex === 'male' ? tasselClose(appearance) : earOpened(appearance, 0), look.purple);
    if (family === 'nightshade') return nightshadeInside(crop, appearance, fullness);
    if (family === 'strawberry') return strawberryInside(appearance, fullness);
    const both = sex === 'female' && (look.system ?? sexSystem.value) === 'andromonoecious';
    return cucurbitInside(crop, sex, appearance, shape, fullness, both);
  }
  const { shapes: plain, base, top } = sideParts(look, appearance, fullness);
  const shapes = recoloured(plain, look.purple);
  return closure ? [...shapes, ...closureShapes(closure, closureState, base, Math.max(24, top))] : shapes;
}

/** Silks and anthers in purple; a silk that has browned stays brown. */
function recoloured(shapes: Shape[], purple = false): Shape[] {
  if (!purple) return shapes;
  return shapes.map((shape) => ({
    ...shape,
    fill: shape.fill === 'anther' ? 'purple' : shape.fill,
    line: shape.line === 'silk' ? 'silk-rose' : shape.line,
  }));
}

function sideParts(
  { crop, sex, shape, closure, cut = false, detail = false }: FlowerLook,
  stage: Stage,
  fullness: number,
): { shapes: Shape[]; base: number; top: number } {
  switch (cropOf(crop).family) {
    case 'corn':
      return sex === 'male'
        ? // A bag gathers the branches together.
          { shapes: tasselSide(closure ? 'green' : stage, fullness), base: 104, top: 18 }
        : earSide(stage, fullness);
    case 'nightshade':
      return { shapes: nightshadeSide(crop, stage, fullness, detail), base: 102, top: 42 };
    case 'strawberry':
      return { shapes: strawberrySide(stage, fullness, detail), base: 94, top: 48 };
    case 'quiet':
      return { shapes: quietPlant(crop, false), base: 90, top: 40 };
    case 'cucurbit':
      return cucurbitSide(crop, sex, stage, shape, fullness, { cut, detail });
  }
}
