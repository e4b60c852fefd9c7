import { eveningAdvice, type Closure, type StageAdvice } from '@core/crops';
import type { Growing } from '@core/patch';
import { losesAnthers } from '@core/purity';
import type { EveningSight } from '@core/rounds';
import { closureWords, partName, plural } from '../words';
import type { Looking } from './useWalkEntry';

/** What the keys of the walk say for what is being looked at. */
export interface WalkWords {
  /** `female`, `flower`, `ear shoot`. */
  readonly one: string;
  readonly shut: string;
  readonly note: string;
}

/** The titles of the keys: each says all that it records. `covers`: whether a cover is needed here. */
export function walkWords(
  value: EveningSight,
  closure: Closure,
  { crop, stand }: Growing,
  covers: boolean,
): WalkWords {
  const one = crop.family === 'corn' ? 'ear shoot' : value.sex === 'perfect' ? 'flower' : 'female';
  const what =
    value.sex === 'male' ? plural(value.count, crop.family === 'corn' ? 'tassel' : 'male') : `this ${one}`;
  const free = stand.reason === 'fruit' || !covers;
  return {
    one,
    shut: `Shut ${what} with ${closureWords[closure]}`,
    note:
      value.sex === 'male'
        ? `Count ${what}, not shut`
        : free && value.stage === 'coloured'
          ? 'Note it for tomorrow morning'
          : 'Note it',
  };
}

/** The main key: what it says, and what it writes. */
export interface MainKey {
  readonly title: string;
  readonly how: 'note' | 'shut' | 'mother';
  readonly sick: boolean;
}

/** What the plant's state and the advice make of the main key. Seed is not taken from a sick plant: it is noted only. */
export function mainKey(
  value: EveningSight,
  closure: Closure,
  { plant, stand, crop, variety }: Growing,
  advice: StageAdvice,
  words: WalkWords,
  selfing?: string,
): MainKey {
  const sick = plant.health === 'sick' && value.sex !== 'male';
  if (sick) return { title: 'Leave it: note it only', how: 'note', sick };
  // The right stage of a mother: her anthers come out before the bag goes on.
  const ownAnthers =
    value.sex === 'female' && advice.shutTonight && losesAnthers({ crop, variety }, stand.reason, selfing);
  if (ownAnthers || (advice.act === 'emasculate' && stand.reason === 'cross'))
    return { title: `Anthers out, ${closureWords[closure]} on`, how: 'mother', sick };
  return advice.shutTonight
    ? { title: words.shut, how: 'shut', sick }
    : { title: words.note, how: 'note', sick };
}

/** What the main key says while it waits: for the flower first, then for its stage, which nobody guesses for the grower. */
export function waitingWords({ sex }: Looking, { crop }: Pick<Growing, 'crop'>): string {
  if (sex === null) return 'First tap what you see';
  const name = partName(crop, sex);
  return `${name.slice(0, 1).toUpperCase()}${name.slice(1)}: tap how far on`;
}

/** Where bees do the work in a cage. */
const LEFT_TO_BEES: StageAdvice = {
  act: 'note',
  shutTonight: false,
  words: 'The bees do the work: note it, and mark its fruit.',
};

/** Of a flower of which sex and stage were said: what it asks for, and what the keys say. */
export interface Said {
  readonly seen: EveningSight;
  readonly advice: StageAdvice;
  readonly words: WalkWords;
  readonly main: MainKey;
}

/** What comes of what was seen. `covers`: whether a cover is needed here; `bees`: whether they do the work. */
export function saidOf(
  seen: EveningSight,
  closure: Closure,
  growing: Growing & { readonly covers: boolean; readonly bees: boolean },
  selfing?: string,
): Said {
  const { crop, stand, covers, bees } = growing;
  const read = eveningAdvice(crop, seen.sex, seen.stage, stand.reason, stand.reason === 'fruit' || covers);
  const advice = bees && read.act === 'pollinate' ? LEFT_TO_BEES : read;
  const words = walkWords(seen, closure, growing, covers);
  return { seen, advice, words, main: mainKey(seen, closure, growing, advice, words, selfing) };
}
