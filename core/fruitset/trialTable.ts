import type { PlantId } from '../ids';
import { Shards, type Flower, type State } from '../ledger';
import { growing } from '../patch';
import { remembered } from '../remember';
import { groupTrials } from './groups';
import { trialOf, type Trial } from './trials';

/** Some hundred flowers and their rows; the very same object for as long as nothing in it changed. */
export interface TrialPart {
  readonly flowers: ReadonlyMap<unknown, Flower>;
  readonly rows: readonly Trial[];
}

/** The trials of single flowers, in parts, so that what is summed up over a part can be kept with it. */
export function trialParts(state: State, zone: string): readonly TrialPart[] {
  return [...eachTrialPart(state, zone)];
}

/** `trialParts` one by one: what is worked out of an old log in idle moments need not be waited for later. */
export function* eachTrialPart(state: State, zone: string): Generator<TrialPart, void> {
  const ground = groundOf(state);
  for (const flowers of Shards.of(state.flowers).parts) yield partOf(flowers, ground, zone, state);
}

const partOf = remembered(
  (flowers: TrialPart['flowers'], ground: Ground, zone: string, _state: State) => [flowers, ground, zone],
  (flowers, _ground, zone, state): TrialPart => {
    const rows: Trial[] = [];
    for (const flower of flowers.values()) {
      const at = growing(state, flower.plant);
      const row = at && trialOf(flower, at, zone);
      if (row) rows.push(row);
    }
    return { flowers, rows };
  },
);

/** Which stand each plant is of, and what grows there: all that rows hang on besides their flowers. */
type Ground = ReadonlyMap<PlantId, string>;

let latestGround: Ground = new Map();
/** The same object for as long as it says the same: a plant looked over makes no new ground. */
const groundOf = remembered(
  ({ plants, stands, varieties, beds }: State) => [plants, stands, varieties, beds],
  ({ plants, stands, varieties, beds }) => {
    const ground = new Map<PlantId, string>();
    for (const { id, stand } of plants.values()) {
      const of = stands.get(stand);
      const crop = of && beds.has(of.bed) ? varieties.get(of.variety)?.crop : undefined;
      ground.set(id, `${stand}/${of?.variety}/${crop}`);
    }
    const same =
      ground.size === latestGround.size && [...ground].every(([id, what]) => latestGround.get(id) === what);
    if (!same) latestGround = ground;
    return latestGround;
  },
);

/**
 * Every trial of the log, ended plants included: flowers, counted groups, and tallies that nobody counted up since. Rows whose flower
 * did not change are those of the state before.
 */
export const allTrials = remembered(
  ({ flowers, plants, stands, varieties, beds }: State, zone: string) => [
    flowers,
    plants,
    stands,
    varieties,
    beds,
    zone,
  ],
  (state, zone): readonly Trial[] =>
    trialParts(state, zone)
      .map((part) => part.rows)
      .concat(groupTrials(state, zone))
      .flat(),
);

/**
 * Every trial of a stand.
 * @example trialsOfStand(state, stand.id, zone).length // 1
 */
export function trialsOfStand(state: State, stand: string, zone: string): readonly Trial[] {
  return trialsByStand(allTrials(state, zone)).get(stand) ?? [];
}

const trialsByStand = remembered(
  (trials: readonly Trial[]) => [trials],
  (trials) => {
    const index = new Map<string, Trial[]>();
    for (const trial of trials) {
      const list = index.get(trial.stand);
      if (list) list.push(trial);
      else index.set(trial.stand, [trial]);
    }
    return index;
  },
);
