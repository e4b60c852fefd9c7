import type { GroupHow } from '../ledger';
import { addDays, type LocalDate } from '../time';
import type { Case } from './cases';

/** Which flowers are looked at. `null`: all of them. */
export interface Choice {
  /** The last seven days, one season, or all there is. */
  readonly when: 'week' | number | null;
  readonly variety: string | null;
  readonly how: GroupHow | 'hand' | null;
  readonly father: string | null;
}

/** Everything. */
export const ALL: Choice = { when: null, variety: null, how: null, father: null };

/**
 * Whether flowers came to their pollen by hand: not through insects, nor before there was any hand work; `null`: nobody said how.
 * @example byHand('insects') // false
 */
export function byHand(how: GroupHow | null): boolean {
  return how !== 'insects' && how !== 'before';
}

/** The cases chosen on a garden day. */
export function chosen(cases: readonly Case[], choice: Choice, today: LocalDate): readonly Case[] {
  const { when, variety, how, father } = choice;
  const weekAgo = addDays(today, -6);
  return cases.filter(
    ({ trial, season }) =>
      (when === null || (when === 'week' ? trial.until >= weekAgo && trial.on <= today : season === when)) &&
      (variety === null || trial.variety === variety) &&
      (how === null || (how === 'hand' ? byHand(trial.how) : trial.how === how)) &&
      (father === null || trial.fathers.some(({ plant }) => plant === father)),
  );
}

/** What there is to choose among: only what occurs. */
export interface Choices {
  readonly seasons: readonly number[];
  readonly varieties: readonly string[];
  readonly hows: readonly GroupHow[];
  readonly fathers: readonly string[];
}

/** Of all cases, the latest season first; fathers of those that are otherwise chosen. */
export function choicesOf(cases: readonly Case[], choice: Choice, today: LocalDate): Choices {
  const found = {
    seasons: new Set<number>(),
    varieties: new Set<string>(),
    hows: new Set<GroupHow>(),
    fathers: new Set<string>(),
  };
  for (const { season, trial } of cases) {
    found.seasons.add(season);
    found.varieties.add(trial.variety);
    if (trial.how !== null) found.hows.add(trial.how);
  }
  for (const { trial } of chosen(cases, { ...choice, father: null }, today))
    for (const { plant } of trial.fathers) found.fathers.add(plant);
  return {
    seasons: [...found.seasons].sort((a, b) => b - a),
    varieties: [...found.varieties],
    hows: [...found.hows],
    fathers: [...found.fathers],
  };
}
