import { allTrials, countSet, type SetCount, type Trial } from '@core/fruitset';
import type { Flower, State } from '@core/ledger';
import { growing, type Growing } from '@core/patch';
import type { LocalDate } from '@core/time';

export interface Worked {
  readonly trial: Trial;
  readonly flower: Flower;
  readonly growing: Growing;
}

/** Every worked female with what it grows on, the latest worked first. */
export function workedFlowers(state: State, zone: string): Worked[] {
  return allTrials(state, zone)
    .flatMap((trial) => {
      const flower = trial.facts && state.flowers.get(trial.id as Flower['id']);
      const at = flower && growing(state, flower.plant);
      return flower && at ? [{ trial, flower, growing: at }] : [];
    })
    .sort((a, b) => ((a.trial.at ?? '') < (b.trial.at ?? '') ? 1 : -1));
}

/** Tallies of groups, by name. What belongs to no group is left out. */
export function setCountsBy(
  trials: readonly Trial[],
  today: LocalDate,
  groupOf: (trial: Trial) => string | null,
): { name: string; count: SetCount }[] {
  const groups = new Map<string, Trial[]>();
  for (const trial of trials) {
    const name = groupOf(trial);
    if (name === null) continue;
    const group = groups.get(name);
    if (group) group.push(trial);
    else groups.set(name, [trial]);
  }
  return [...groups]
    .map(([name, group]) => ({ name, count: countSet(group, today) }))
    .sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }));
}
