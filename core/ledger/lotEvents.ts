import type { FlowerId, LotId, PatchId, PlantId, StandId, VarietyId } from '../ids';
import type { Recorded } from './eventParts';
import type { GrowOutStage, LotFrom, Rogued } from './values';

/** A lot of seed: whose, from where, of which year. Since version 13. */
export interface LotBegun extends Recorded<'lotBegun'> {
  readonly lot: LotId;
  readonly patch: PatchId;
  /** What its plants are called: of a cross, the cross. */
  readonly variety: VarietyId;
  readonly from: LotFrom;
  /** The fruits its seed was taken from; none unless `from` is `fruits`. */
  readonly fruits: readonly FlowerId[];
  /** The year it ripened. */
  readonly year: number;
  /** Who it came from, what it says on the packet. */
  readonly note: string;
}
/** What a stand, or one plant of it, was sown from; `lot: null`: from something else, nobody knows what. Since version 13. */
export interface SownFrom extends Recorded<'sownFrom'> {
  readonly subject: StandId | PlantId;
  readonly lot: LotId | null;
  /** The fruit of the lot, where the seed of each was sown apart. */
  readonly fruit: FlowerId | null;
}
/** A plant grown from a runner, a tuber or a cutting of another: one and the same parent. Since version 13. */
export interface ClonedFrom extends Recorded<'clonedFrom'> {
  readonly plant: PlantId;
  /** `null`: it is not. */
  readonly parent: PlantId | null;
}
/** Plants of one look that were not true to the variety. */
export interface OffTypes {
  readonly reason: string;
  readonly count: number;
  /** Whether they were pulled before they shed pollen; `null`: nobody said. */
  readonly rogued: Rogued | null;
}
/** Plants of a lot grown out and looked over at one stage: how many, and what was off about how many. Since version 13. */
export interface GrownOut extends Recorded<'grownOut'> {
  readonly lot: LotId;
  /** The fruit of the lot whose seed it was, where each was sown apart. */
  readonly fruit: FlowerId | null;
  readonly stage: GrowOutStage;
  /** All plants looked over. */
  readonly grown: number;
  /** Only what was found at this stage. */
  readonly off: readonly OffTypes[];
}
/** A plant picked out to keep seed of, and for what. Since version 13. */
export interface KeeperChosen extends Recorded<'keeperChosen'> {
  readonly plant: PlantId;
  readonly trait: string;
  readonly note: string;
}
