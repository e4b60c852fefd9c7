import type { PlantId } from '../ids';
import { Shards, type Flower, type State } from '../ledger';
import { growing, plantedIn, type Planted } from '../patch';
import { remembered, sameUnder, steady } from '../remember';
import { groupTrials } from './groups';
import { trialOn, type GrownAs, type Trial } from './trials';

/** The tables from which trials are read. */
export type TrialTables = Planted & Pick<State, 'flowers'>;

/** Those of a state, and nothing else of it. */
export const trialTablesIn = (state: TrialTables): TrialTables => ({
  flowers: state.flowers,
  ...plantedIn(state),
});

/** Some hundred flowers and their rows; the very same object for as long as nothing in it changed. */
export interface TrialPart {
  readonly flowers: ReadonlyMap<unknown, Flower>;
  readonly ground: TrialGround;
  readonly rows: readonly Trial[];
}

/** The trials of single flowers, in parts, so that what is summed up over a part can be kept with it. */
export function trialParts(state: TrialTables, zone: string): readonly TrialPart[] {
  return [...eachTrialPart(state, zone)];
}

/** `trialParts` one by one: what is worked out of an old log in idle moments need not be waited for later. */
export function* eachTrialPart(state: TrialTables, zone: string): Generator<TrialPart, void> {
  const ground = groundOf(state);
  for (const flowers of Shards.of(state.flowers).parts) yield partOf(flowers, ground, zone);
}

const partOf = remembered(
  'trial part',
  (flowers: TrialPart['flowers'], ground: TrialGround, zone: string) => ({ flowers, ground, zone }),
  ({ flowers, ground, zone }): TrialPart => {
    const rows: Trial[] = [];
    for (const flower of flowers.values()) {
      const at = ground.get(flower.plant);
      const row = at && trialOn(flower, at, zone);
      if (row) rows.push(row);
    }
    return { flowers, ground, rows };
  },
);

/** Where each plant stands and what grows there: all that rows hang on besides their flowers. */
export type TrialGround = ReadonlyMap<PlantId, GrownAs>;

const steadyGround = steady<TrialGround>(
  sameUnder((a, b) => a.stand === b.stand && a.variety === b.variety && a.crop === b.crop),
);

const groundOf = remembered('trial ground', plantedIn, (planted): TrialGround => {
  const ground = new Map<PlantId, GrownAs>();
  for (const { id, stand } of planted.plants.values()) {
    const at = growing(planted, id);
    if (at) ground.set(id, { stand, variety: at.variety.id, crop: at.variety.crop });
  }
  return steadyGround(ground);
});

/**
 * Every trial of the log, ended plants included: flowers, counted groups, and tallies that nobody counted up since. Rows whose flower
 * did not change are those of the state before.
 */
export const allTrials = remembered(
  'trials',
  (state: TrialTables, zone: string) => ({ ...trialTablesIn(state), zone }),
  ({ zone, ...state }): readonly Trial[] =>
    trialParts(state, zone)
      .map((part) => part.rows)
      .concat(groupTrials(state, zone))
      .flat(),
);

/**
 * Every trial of a stand.
 * @example trialsOfStand(state, stand.id, zone).length // 1
 */
export function trialsOfStand(state: TrialTables, stand: string, zone: string): readonly Trial[] {
  return trialsByStand(allTrials(state, zone)).get(stand) ?? [];
}

const trialsByStand = remembered(
  'trials by stand',
  (trials: readonly Trial[]) => ({ trials }),
  ({ trials }): ReadonlyMap<string, readonly Trial[]> => {
    const index = new Map<string, Trial[]>();
    for (const trial of trials) {
      const list = index.get(trial.stand);
      if (list) list.push(trial);
      else index.set(trial.stand, [trial]);
    }
    return index;
  },
);
