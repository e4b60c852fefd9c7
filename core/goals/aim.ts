import type { Crop } from '../crops';
import type { Place, Stand, State } from '../ledger';
import { awayFrom, comesOn, morningsOf } from '../patch';
import { addDays, type LocalDate } from '../time';
import { goalSum, type GoalSum } from './goals';
import { morningsAhead, nextRoundOf, wetFor } from './mornings';

/** What tonight's number rests on, of all stands of a variety together. */
export interface Aim {
  /** Females that would do if this were the last look. */
  readonly wouldDo: number;
  /** On which somebody comes; `null`: nothing ends the season that anybody knows of. */
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

/** What to do about rain that is foretold for the next round: cover all the same, cover fewer, or leave it to a dry morning. */
export type RainAdvice = 'cover' | 'fewer' | 'leave';

/** What hangs on who comes when. */
export interface Circumstances {
  /** Nobody comes to the round for which flowers would be shut tonight. */
  readonly nobodyComes: boolean;
  /** The other mornings before the next look on which nobody comes. */
  readonly awaySoon: readonly LocalDate[];
}

/** What a stand wants this evening. */
export interface WantedTonight {
  /** Females to be shut; `null` where a seed stand has no goal: all. */
  readonly wanted: number | null;
  /** The same were the morning dry; `undefined`: it is not foretold to be wet. */
  readonly wereItDry: number | null | undefined;
  readonly aim: Aim | null;
  readonly circumstances: Circumstances;
}

/** How many females a stand's goal wants shut tonight, and how it stands. */
export function wantedTonight(
  state: State,
  place: Place,
  date: LocalDate,
  stand: Stand,
  crop: Crop,
  foretoldWet: readonly LocalDate[],
): WantedTonight {
  const round = nextRoundOf(crop, date);
  const comes = morningsOf(state);
  const nobodyComes = !comesOn(comes, round);
  const awaySoon = awayFrom(comes, addDays(round, 1), crop.verdictDay.value);
  const circumstances = { nobodyComes, awaySoon };
  const wet = wetFor(state, stand, crop, foretoldWet);
  const raining = !nobodyComes && wet.includes(round);
  const found = stand.goal?.seed ? goalSum(state, place, stand, date, { wet }) : null;
  if (!found) {
    const all = nobodyComes ? 0 : null;
    return { wanted: all, wereItDry: raining ? all : undefined, aim: null, circumstances };
  }
  const {
    season,
    plan,
    morningsLeft: mornings,
    morningsComing,
    standing,
    femalesToShut: wouldDo,
    shutNow,
  } = found;
  // Past the last useful day nothing ripens: no tape for it. A frost that is only guessed does not say so.
  const guessed = found.goal.by === null && season.frost.from === 'guess';
  const tooLate = season.over || (mornings === 0 && !guessed);
  const dry = nobodyComes || tooLate ? 0 : shutNow;
  const untilLook = Math.min(crop.verdictDay.value + 1, mornings ?? Infinity);
  return {
    wanted: raining ? Math.min(dry, inRain(found, morningsAhead(comes, date, untilLook, wet))) : dry,
    wereItDry: raining ? dry : undefined,
    circumstances,
    aim: {
      wouldDo,
      mornings: morningsComing,
      guessed,
      chance: plan.chance,
      met: standing === 'done',
      tooLate,
    },
  };
}

/** So careful a part of what usually opens is counted on before the next look [M]. */
const COUNTED_ON = 0.7;

/** Females worth shutting for a wet morning: none where the goal is as sure without it, else those that the dry ones till the next look will hardly bring. */
function inRain({ plan, goal, shutNow, inTime }: GoalSum, ahead: readonly number[]): number {
  if (plan.without >= goal.assurance) return 0;
  const later = inTime * ahead.slice(1).reduce((sum, share) => sum + share, 0) * COUNTED_ON;
  return Math.max(1, shutNow - Math.floor(later));
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

const BY_WEIGHT: readonly (RainAdvice | null)[] = [null, 'leave', 'fewer', 'cover'];

/** Of several stands of a variety: what one of them asks for is done. */
export const rainOf = (all: readonly (RainAdvice | null)[]): RainAdvice | null =>
  BY_WEIGHT[Math.max(0, ...all.map((rain) => BY_WEIGHT.indexOf(rain)))] ?? null;

/** What comes of rain, by the females shut for it and those that a dry morning would have had; `null`: nothing would be shut either way. */
export const adviceIn = (shut: number, wereItDry: number): RainAdvice | null =>
  wereItDry === 0 ? null : shut === 0 ? 'leave' : shut < wereItDry ? 'fewer' : 'cover';
