import Joi from 'joi';
import { fieldSchema, type Goal } from '@core/ledger';
import type { LocalDate } from '@core/time';
import { answered, NO_DAY, readTyped, typedNumber, typedOf, unitOf } from './typed';

export interface TypedGoal {
  readonly goal: Goal;
  readonly amount: string;
  readonly kitchen: string;
  readonly by: LocalDate | null;
  readonly seedsPerFruit: string;
  readonly setShare: string;
  readonly wholeShare: string;
}

/** The same as numbers. */
export interface ReadGoal extends Record<keyof Omit<TypedGoal, 'goal' | 'by'>, number | null> {
  readonly goal: Goal;
  readonly by: LocalDate | null;
}

/** Shares are typed as percentages. */
const PERCENT = unitOf(0.01, '');
/** A goal with more digits than anybody would type keeps them. */
const DIGITS = 6;

/** A goal as text, for the form. */
export function typedGoal(goal: Goal): TypedGoal {
  return {
    goal,
    amount: typedOf(goal.seed?.amount, DIGITS),
    kitchen: typedOf(goal.kitchenFruits),
    by: goal.by,
    seedsPerFruit: typedOf(goal.bent.seedsPerFruit, DIGITS),
    setShare: typedOf(goal.bent.setShare, DIGITS - 2, PERCENT),
    wholeShare: typedOf(goal.bent.wholeShare, DIGITS - 2, PERCENT),
  };
}

const part = (field: string) => fieldSchema('goalSet', `goal.${field}`);
/** The ledger's field, or nothing; what is asked for in earnest is at least so much. */
const atLeast = (field: string, least: number) => (part(field) as Joi.NumberSchema).min(least).allow(null);
const share = (field: string) =>
  typedNumber(atLeast(`bent.${field}`, 0.01), 'of a hundred', { scale: PERCENT, digits: DIGITS });

export const goalForm = Joi.object({
  amount: typedNumber(atLeast('seed.amount', 0.1), 'the seed', { digits: DIGITS }),
  kitchen: typedNumber(part('kitchenFruits'), 'the fruits'),
  by: answered(part('by'), NO_DAY),
  seedsPerFruit: typedNumber(atLeast('bent.seedsPerFruit', 1), 'the seeds', { digits: DIGITS }),
  setShare: share('setShare'),
  wholeShare: share('wholeShare'),
});

/** What the form came to, as a goal. */
export function goalOf({ goal, amount, kitchen, by, ...bent }: ReadGoal): Goal {
  const { seedsPerFruit, setShare, wholeShare } = bent;
  const { malesPerFemale } = goal.bent;
  return {
    ...goal,
    seed: amount === null ? null : { amount, unit: goal.seed?.unit ?? 'seeds' },
    kitchenFruits: kitchen,
    by,
    bent: {
      ...(malesPerFemale === undefined ? {} : { malesPerFemale }),
      ...(seedsPerFruit === null ? {} : { seedsPerFruit }),
      ...(setShare === null ? {} : { setShare }),
      ...(wholeShare === null ? {} : { wholeShare }),
    },
  };
}

/** The goal as typed so far, for the sum beside the form: a field that is wrong counts as empty. */
export function goalSoFar(typed: TypedGoal): Goal {
  const read = readTyped<ReadGoal>(goalForm, typed);
  if (read.ok) return goalOf(read.value);
  const { by, ...fields } = read.wrong;
  const blank = Object.fromEntries(Object.keys(fields).map((field) => [field, '']));
  const rest = readTyped<ReadGoal>(goalForm, { ...typed, ...blank, ...(by ? { by: null } : {}) });
  return rest.ok ? goalOf(rest.value) : typed.goal;
}
