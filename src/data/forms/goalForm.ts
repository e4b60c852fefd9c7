import type { Goal } from '@core/ledger';
import { isLocalDate } from '@core/time';

export interface TypedGoal {
  readonly goal: Goal;
  readonly amount: string;
  readonly kitchen: string;
  readonly by: string;
  readonly seedsPerFruit: string;
  readonly setShare: string;
  readonly wholeShare: string;
}

/** A goal as text, for the form. */
export function typedGoal(goal: Goal): TypedGoal {
  return {
    goal,
    amount: goal.seed ? String(goal.seed.amount) : '',
    kitchen: goal.kitchenFruits === null ? '' : String(goal.kitchenFruits),
    by: goal.by ?? '',
    seedsPerFruit: goal.bent.seedsPerFruit === undefined ? '' : String(goal.bent.seedsPerFruit),
    setShare: percentText(goal.bent.setShare),
    wholeShare: percentText(goal.bent.wholeShare),
  };
}

const percentText = (share: number | undefined) =>
  share === undefined ? '' : String(Math.round(share * 100));

/** The goal that was typed, with what is wrong with each field; a field that is wrong counts as empty. */
export function readGoal(typed: TypedGoal): { goal: Goal; errors: Record<string, string> } {
  const errors: Record<string, string> = {};
  const read = (field: keyof Omit<TypedGoal, 'goal' | 'by'>, least: number, most: number, whole: boolean) => {
    const text = typed[field].trim();
    if (text === '') return null;
    const value = Number(text.replace(',', '.'));
    if (!Number.isFinite(value) || value < least || value > most || (whole && !Number.isInteger(value))) {
      errors[field] = `"${text}": ${whole ? 'a whole number' : 'a number'} from ${least} to ${most}`;
      return null;
    }
    return value;
  };
  const amount = read('amount', 0.1, 10_000_000, false);
  const kitchenFruits = read('kitchen', 1, 100_000, true);
  const seedsPerFruit = read('seedsPerFruit', 1, 100_000, true);
  const setShare = read('setShare', 1, 100, false);
  const wholeShare = read('wholeShare', 1, 100, false);
  const by = typed.by.trim();
  if (by !== '' && !isLocalDate(by)) errors.by = `"${by}" is not a date like 2026-10-05`;
  const { malesPerFemale } = typed.goal.bent;
  return {
    goal: {
      ...typed.goal,
      seed: amount === null ? null : { amount, unit: typed.goal.seed?.unit ?? 'seeds' },
      kitchenFruits,
      by: by === '' || errors.by ? null : by,
      bent: {
        ...(malesPerFemale === undefined ? {} : { malesPerFemale }),
        ...(seedsPerFruit === null ? {} : { seedsPerFruit }),
        ...(setShare === null ? {} : { setShare: setShare / 100 }),
        ...(wholeShare === null ? {} : { wholeShare: wholeShare / 100 }),
      },
    },
    errors,
  };
}
