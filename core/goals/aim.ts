import type { Place, Stand, State } from '../ledger';
import type { LocalDate } from '../time';
import { goalSum } from './goals';

/** What tonight's number rests on, of all stands of a variety together. */
export interface Aim {
  /** Females that would do if this were the last look. */
  readonly wouldDo: number;
  /** `null`: nothing ends the season that anybody knows of. */
  readonly mornings: number | null;
  /** Those mornings hang on a frost that nobody has named. */
  readonly guessed: boolean;
  /** The chance to reach the goal by the plan; of several goals the least. */
  readonly chance: number;
  /** Enough has set. */
  readonly met: boolean;
  /** What is worked now ripens no more. */
  readonly tooLate: boolean;
}

/** How many females a stand's goal wants shut tonight, and how it stands; `null` where a seed stand has no goal: all. */
export function wantedTonight(
  state: State,
  place: Place,
  date: LocalDate,
  stand: Stand,
): { readonly wanted: number | null; readonly aim: Aim | null } {
  const found = stand.goal?.seed ? goalSum(state, place, stand, date) : null;
  if (!found) return { wanted: null, aim: null };
  const { season, plan, morningsLeft: mornings, standing, femalesToShut: wouldDo, shutNow } = found;
  // Past the last useful day nothing ripens: no tape for it. A frost that is only guessed does not say so.
  const guessed = found.goal.by === null && season.frost.from === 'guess';
  const tooLate = season.over || (mornings === 0 && !guessed);
  return {
    wanted: tooLate ? 0 : shutNow,
    aim: { wouldDo, mornings, guessed, chance: plan.chance, met: standing === 'done', tooLate },
  };
}

/** Of all stands of a variety; `null` where none has a goal. */
export function together(aims: readonly Aim[]): Aim | null {
  const [first, ...others] = aims;
  return first
    ? others.reduce(
        (all, each) => ({
          wouldDo: all.wouldDo + each.wouldDo,
          mornings:
            all.mornings === null || each.mornings === null ? null : Math.max(all.mornings, each.mornings),
          guessed: all.guessed || each.guessed,
          chance: Math.min(all.chance, each.chance),
          met: all.met && each.met,
          tooLate: all.tooLate && each.tooLate,
        }),
        first,
      )
    : null;
}
