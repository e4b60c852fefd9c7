import { closureFacts, closuresFor, sexesOf, type Closure, type Crop } from '../crops';
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
  readonly femalesToShut: number;
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
