import {
  catalogue,
  closuresFor,
  FRUIT_SHAPES,
  sexesOf,
  STAGES,
  type Closure,
  type Crop,
  type CropId,
  type FruitShape,
  type Sex,
} from '@core/crops';
import { fatesOf, type ClosureState, type FlowerLook } from './geometry';

export interface Named {
  readonly name: string;
  readonly look: FlowerLook;
}

/** Closures look and come apart alike on flowers of one build: one crop of each shows how. */
function closureStates(crop: Crop, sex: Sex, closure: Closure): readonly ClosureState[] {
  const shown = ['squash-pepo', 'melon', 'corn', 'tomato', 'strawberry'].includes(crop.id);
  if (sex === 'male' && crop.family === 'cucurbit') return shown ? ['whole'] : [];
  if (!shown) return closure === 'tape' || closure === 'mesh-bag' ? ['whole'] : [];
  return closure === 'tie' ? ['whole', 'torn'] : ['whole', 'torn', 'holed'];
}

/** Every drawing there is: crop by sex by stage from both views, closures in each state, fates, shapes of the ovary. */
export function allLooks(): {
  readonly crop: CropId;
  readonly title: string;
  readonly looks: readonly Named[];
}[] {
  return catalogue.map((crop) => {
    const looks: Named[] = [];
    const add = (name: string, look: Omit<FlowerLook, 'crop' | 'shape'> & { shape?: FruitShape }) =>
      looks.push({ name, look: { crop: crop.id, shape: crop.usualShape, ...look } });
    for (const sex of sexesOf(crop)) {
      for (const view of ['side', 'inside'] as const)
        for (const stage of STAGES) add(`${sex} ${stage} ${view}`, { sex, appearance: stage, view });
      for (const closure of closuresFor(crop, sex))
        for (const closureState of closureStates(crop, sex, closure))
          add(`${sex} ${closure} ${closureState}`, {
            sex,
            appearance: sex === 'male' && crop.family === 'corn' ? 'open' : 'coloured',
            closure,
            closureState,
          });
    }
    const bearer = sexesOf(crop)[0] as Sex;
    for (const fate of fatesOf(crop.id)) add(fate, { sex: bearer, appearance: fate });
    if (crop.id === 'squash-pepo')
      for (const shape of FRUIT_SHAPES)
        add(`ovary ${shape}`, { sex: 'female', appearance: 'coloured', shape });
    return { crop: crop.id, title: crop.name, looks };
  });
}
