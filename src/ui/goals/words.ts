import type { GoalStanding, GoalSum, SumNumber } from '@core/goals';
import { shortDayText } from '@core/time';
import { plural } from '../words';

export const standingWords: Record<GoalStanding, string> = {
  done: 'reached',
  'on-course': 'on course',
  behind: 'behind',
  unreachable: 'can’t be reached',
  over: 'season over',
};

export const standingTone = {
  done: 'leaf',
  'on-course': 'leaf',
  behind: 'pollen',
  unreachable: 'brick',
  over: 'brick',
} as const satisfies Record<GoalStanding, string>;

/** How it stands, in a word or two: what has set and is young may still fall. */
export function standingBadge({ standing, young }: Pick<GoalSum, 'standing' | 'young'>): string {
  return standing === 'done' && young > 0 ? 'reached, if all stay' : standingWords[standing];
}

/** What a goal asks for, in a line. */
export function goalLine({ goal, forSeed, forKitchen }: GoalSum): string {
  const parts = [
    goal.seed
      ? `${goal.seed.amount} ${goal.seed.unit === 'grams' ? 'g of seed' : 'seeds'} (${plural(forSeed.wanted, 'fruit')})`
      : null,
    forKitchen.wanted > 0 ? `${plural(forKitchen.wanted, 'fruit')} for the kitchen` : null,
  ];
  return parts.filter(Boolean).join(', ');
}

/** The last useful day hangs on a frost that nobody has told us of. */
function guessed({ goal, season }: GoalSum): boolean {
  return goal.by === null && season.frost.from === 'guess';
}

/**
 * A chance as whole chances in a hundred: never all of them, nor none.
 * @example inHundred(0.934) // '93 in 100'
 */
export function inHundred(chance: number): string {
  if (chance > 0.99) return 'over 99 in 100';
  return chance < 0.01 ? 'under 1 in 100' : `${Math.round(chance * 100)} in 100`;
}

/** What is worked now would ripen no more; what was worked in time may still do. */
const waitsOnly = ({ morningsLeft, forSeed, forKitchen }: GoalSum) =>
  morningsLeft === 0 && forSeed.waiting + forKitchen.waiting > 0;

const waitingSentence = ({ forSeed, forKitchen, plan }: GoalSum) =>
  `Nothing worked now would ripen in time. With the ${plural(forSeed.waiting + forKitchen.waiting, 'flower')} that wait${forSeed.waiting + forKitchen.waiting === 1 ? 's' : ''}: ${inHundred(plan.chance)} that it is reached.`;

/** What is to be done about it, in a sentence. */
export function standingSentence(sum: GoalSum): string {
  const last = sum.lastUsefulOn ? shortDayText(sum.lastUsefulOn) : null;
  switch (sum.standing) {
    case 'done':
      return sum.young > 0
        ? `Enough has set, if it stays: ${plural(sum.young, 'fruit is', 'fruits are')} no older than 10 days and may still fall. Go on till then, if you can.`
        : 'Enough has set. What opens now can stay open.';
    case 'on-course':
      if (waitsOnly(sum)) return waitingSentence(sum);
      return sum.pollinations === 0
        ? `${plural(sum.forSeed.waiting + sum.forKitchen.waiting, 'flower')} worked and waiting should be enough.`
        : `About ${plural(Math.ceil(sum.plan.expected), 'pollination')} to go${last ? `, the last useful one ${guessed(sum) ? 'about' : 'on'} ${last}` : ''}: ${inHundred(sum.plan.chance)} that it is reached.`;
    case 'behind':
      if (waitsOnly(sum)) return waitingSentence(sum);
      return `Chance ${inHundred(sum.plan.chance)} to reach it by ${last ?? 'the end'}${guessed(sum) ? ' (if the frost comes early)' : ''}: ${sum.forSeed.pollinations > 0 ? 'shut every likely female' : 'work every flower that opens'}, on more plants, or ask for less.`;
    case 'over':
      return `The season is over: ${plural(sum.forSeed.left + sum.forKitchen.left, 'fruit')} short of it.`;
    case 'unreachable':
      return sum.morningsLeft === 0
        ? `A fruit pollinated now would not ripen in time${last ? `; the last useful day was ${last}` : ''}. ${sum.goal.by === null ? 'Next year the plants would have to begin earlier.' : 'A later date might do.'}`
        : 'More flowers are needed than will open in time. More plants, a later date, or a smaller goal.';
  }
}

export const fromWords: Record<SumNumber['from'], string> = {
  catalogue: 'usual',
  records: 'your records',
  bent: 'your number',
  goal: 'way of working',
};
