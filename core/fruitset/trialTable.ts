import type { PlantId } from '../ids';
import { Shards, type Flower, type State } from '../ledger';
import { growing } from '../patch';
import { groupTrials } from './groups';
import { trialOf, type Trial } from './trials';

/** Some hundred flowers and their rows; the very same object for as long as nothing in it changed. */
export interface TrialPart {
  readonly flowers: ReadonlyMap<unknown, Flower>;
  readonly rows: readonly Trial[];
}

const knownParts = new WeakMap<TrialPart['flowers'], TrialPart & { ground: Ground; zone: string }>();

/** The trials of single flowers, in parts, so that what is summed up over a part can be kept with it. */
export function trialParts(state: State, zone: string): readonly TrialPart[] {
  const ground = groundOf(state);
  return Shards.of(state.flowers).parts.map((flowers) => {
    const found = knownParts.get(flowers);
    if (found && found.ground === ground && found.zone === zone) return found;
    const rows: Trial[] = [];
    for (const flower of flowers.values()) {
      const at = growing(state, flower.plant);
      const row = at && trialOf(flower, at, zone);
      if (row) rows.push(row);
    }
    const part = { flowers, rows, ground, zone };
    knownParts.set(flowers, part);
    return part;
  });
}

/** Which stand each plant is of, and what grows there: all that rows hang on besides their flowers. */
type Ground = ReadonlyMap<PlantId, string>;

let latestGround: Ground = new Map();
const knownGround = new WeakMap<State['plants'], { stands: unknown; varieties: unknown; ground: Ground }>();

/** The same object for as long as it says the same: a plant looked over makes no new ground. */
function groundOf(state: State): Ground {
  const { plants, stands, varieties } = state;
  const found = knownGround.get(plants);
  if (found && found.stands === stands && found.varieties === varieties) return found.ground;
  const ground = new Map<PlantId, string>();
  for (const { id, stand } of plants.values()) {
    const variety = stands.get(stand)?.variety;
    ground.set(id, `${stand}/${variety}/${variety && varieties.get(variety)?.crop}`);
  }
  const same =
    ground.size === latestGround.size && [...ground].every(([id, what]) => latestGround.get(id) === what);
  if (!same) latestGround = ground;
  knownGround.set(plants, { stands, varieties, ground: latestGround });
  return latestGround;
}

interface KnownTable {
  readonly plants: unknown;
  readonly stands: unknown;
  readonly varieties: unknown;
  readonly zone: string;
  readonly rows: readonly Trial[];
}

const knownTables = new WeakMap<State['flowers'], KnownTable>();

/**
 * Every trial of the log, ended plants included: flowers, counted groups, and tallies that nobody counted up since. Rows whose flower
 * did not change are those of the state before.
 */
export function allTrials(state: State, zone: string): readonly Trial[] {
  const { flowers, plants, stands, varieties } = state;
  const found = knownTables.get(flowers);
  if (
    found &&
    found.plants === plants &&
    found.stands === stands &&
    found.varieties === varieties &&
    found.zone === zone
  )
    return found.rows;
  const rows = trialParts(state, zone)
    .map((part) => part.rows)
    .concat(groupTrials(state, zone))
    .flat();
  knownTables.set(flowers, { plants, stands, varieties, zone, rows });
  return rows;
}

const knownStands = new WeakMap<readonly Trial[], ReadonlyMap<string, readonly Trial[]>>();

/** Every trial of a stand. */
export function trialsOfStand(state: State, stand: string, zone: string): readonly Trial[] {
  const all = allTrials(state, zone);
  let byStand = knownStands.get(all);
  if (!byStand) {
    const made = new Map<string, Trial[]>();
    for (const trial of all) {
      const list = made.get(trial.stand);
      if (list) list.push(trial);
      else made.set(trial.stand, [trial]);
    }
    knownStands.set(all, (byStand = made));
  }
  return byStand.get(stand) ?? [];
}
