import type { StageAdvice } from '@core/crops';
import type { Growing } from '@core/patch';
import { losesAnthers } from '@core/purity';
import { closureWords, plural } from '../words';
import type { WalkEntry } from './useWalkEntry';

/** What the keys of the walk say for what is being looked at. */
export interface WalkWords {
  /** `female`, `flower`, `ear shoot`. */
  readonly one: string;
  readonly shut: string;
  readonly note: string;
}

/** The titles of the keys: each says all that it records. `covers`: whether a cover is needed here. */
export function walkWords(
  { value, closure }: Pick<WalkEntry, 'value' | 'closure'>,
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

/** What the plant's state and the advice make of the main key. Seed is not taken from a sick plant: it is noted only. */
export function mainKey(
  entry: Pick<WalkEntry, 'value' | 'closure'>,
  { plant, stand, crop, variety }: Growing,
  advice: StageAdvice,
  words: WalkWords,
  selfing?: string,
): { readonly title: string; readonly how: 'note' | 'shut' | 'mother'; readonly sick: boolean } {
  const sick = plant.health === 'sick' && entry.value.sex !== 'male';
  if (sick) return { title: 'Leave it: note it only', how: 'note', sick };
  // The right stage of a mother: her anthers come out before the bag goes on.
  const ownAnthers =
    entry.value.sex === 'female' &&
    advice.shutTonight &&
    losesAnthers({ crop, variety }, stand.reason, selfing);
  if (ownAnthers || (advice.act === 'emasculate' && stand.reason === 'cross'))
    return { title: `Anthers out, ${closureWords[entry.closure]} on`, how: 'mother', sick };
  return advice.shutTonight
    ? { title: words.shut, how: 'shut', sick }
    : { title: words.note, how: 'note', sick };
}
