import {
  closureFacts,
  closuresFor,
  flowersUnderCover,
  MINUTES_A_COVER,
  sexesOf,
  type Closure,
  type Crop,
} from '../crops';
import { ratesOf, type Rate } from '../fruitset';
import type { Goal, Place, State } from '../ledger';
import { mainPatch } from '../patch';
import { SPARE_MALES } from './malesFor';
import { shareOf, type SumNumber } from './sumNumber';

/** What is shut, and with what. */
export interface Shutting {
  readonly closure: Closure;
  readonly wholeRate: Rate;
  readonly wholeShare: SumNumber;
  /** Females, or mothers of a cross, each for itself; covers, where one takes in several flowers. */
  readonly femalesToShut: number;
  /** Flowers under one cover that pollinate themselves there, and want no father; `null`: they are shut and worked one by one. */
  readonly underCover: number | null;
  readonly malesToShut: number;
  readonly tapeCm: number;
  readonly bags: number;
  /** Of the evening's shutting. */
  readonly minutes: number;
}

/**
 * What flowers of this crop are shut with here: as the patch has chosen, where the crop can take that.
 * @example closureOf(state, crop) // 'tape'
 */
export function closureOf(state: State, crop: Crop): Closure {
  const wanted = (mainPatch(state)?.schools.closure ?? 'tape') as Closure;
  const possible = closuresFor(crop, sexesOf(crop)[0] ?? 'female');
  return possible.includes(wanted) ? wanted : (possible[0] as Closure);
}

/**
 * What is shut for so many pollinations for seed: closures that do not stay whole come on top, and a spare male.
 * @example shuttingFor(state, place, crop, stand.variety, { bent: {} }, 10, 20).femalesToShut // 12
 */
export function shuttingFor(
  state: State,
  place: Place,
  crop: Crop,
  variety: string,
  goal: Pick<Goal, 'bent'>,
  pollinations: number,
  males: number,
): Shutting {
  const closure = closureOf(state, crop);
  const wholeRate = ratesOf(state, place.zone).whole(crop, variety, closure);
  const wholeShare = shareOf(goal.bent.wholeShare, wholeRate);
  const femalesToShut = Math.ceil(pollinations / wholeShare.value);
  const malesToShut =
    pollinations === 0 ? 0 : Math.ceil((pollinations * males) / wholeShare.value) + SPARE_MALES;
  const shut = femalesToShut + malesToShut;
  const { tapeCm, minutes } = closureFacts(closure);
  return {
    underCover: null,
    closure,
    wholeRate,
    wholeShare,
    femalesToShut,
    malesToShut,
    // Once in the evening, and the females again in the morning.
    tapeCm: (shut + pollinations) * tapeCm,
    bags: tapeCm > 0 ? 0 : shut,
    minutes: shut * minutes.value,
  };
}

/**
 * What is covered where flowers pollinate themselves under it (tomato, pepper, aubergine for pure seed): trusses or twigs, no males.
 * @example selfingFor(state, place, cropOf('tomato'), stand.variety, { bent: {} }, 12).femalesToShut // 3
 */
export function selfingFor(
  state: State,
  place: Place,
  crop: Crop,
  variety: string,
  goal: Pick<Goal, 'bent'>,
  flowers: number,
): Shutting {
  const underCover = flowersUnderCover(crop);
  const one = shuttingFor(state, place, crop, variety, goal, Math.ceil(flowers / underCover), 0);
  const covers = one.femalesToShut;
  const { tapeCm } = closureFacts(one.closure);
  return {
    ...one,
    underCover,
    malesToShut: 0,
    tapeCm: covers * tapeCm,
    bags: tapeCm > 0 ? 0 : covers,
    minutes: covers * MINUTES_A_COVER,
  };
}
