import type { CropId, NeighbourCropId, VarietyTraits } from '../crops';
import type { BedId, NeighbourId, ObstacleId, PatchId, StandId } from '../ids';
import type { LocalDate } from '../time';
import type { Recorded } from './eventParts';
import type { Beside, Between, KnownBy, ObstacleKind, WeighedReason } from './values';

/** A point of the plan: metres east and south of its origin. */
export type Corner = readonly [number, number];

/** A bed lies elsewhere, or is turned; what grows in it comes along. Since version 10. */
export interface BedPlaced extends Recorded<'bedPlaced'> {
  readonly bed: BedId;
  /** The corner nearest the origin, as it would lie unturned. */
  readonly xM: number;
  readonly yM: number;
  /** Clockwise about its middle. */
  readonly turnedDeg: number;
  /** It also has another size. Since version 12. */
  readonly sized?: BedSize;
}
/** Another size of a bed, and where its corner then lies in the measure of its plants, so that they stay where they stand. */
export interface BedSize {
  readonly lengthM: number;
  readonly widthM: number;
  readonly firstXM: number;
  readonly firstYM: number;
}
/** A stand lies elsewhere in its bed, or outside it. Since version 10. */
export interface StandPlaced extends Recorded<'standPlaced'> {
  readonly stand: StandId;
  /** From where its plants were first put, along the bed and across it, m. */
  readonly alongM: number;
  readonly acrossM: number;
}
/** The ground of a stand, in the measure of its plants; `null`: as its plants stand. Since version 10. */
export interface OutlineSet extends Recorded<'outlineSet'> {
  readonly stand: StandId;
  readonly outline: readonly Corner[] | null;
}
/** A hedge, a building, a hill or water: a line of corners, or an area within them. Since version 10. */
export interface ObstacleNoted extends Recorded<'obstacleNoted'> {
  readonly obstacle: ObstacleId;
  readonly patch: PatchId;
  readonly what: ObstacleKind;
  readonly corners: readonly Corner[];
  readonly area: boolean;
}
/** It is gone. Since version 10. */
export interface ObstacleGone extends Recorded<'obstacleGone'> {
  readonly obstacle: ObstacleId;
}
/** How much a reason weighs when a distance is chosen; `null`: as we propose. Since version 10. */
export interface WeightSet extends Recorded<'weightSet'> {
  readonly patch: PatchId;
  readonly reason: WeighedReason;
  /** A part of the way from the near to the far end of the range, -1 to 1. */
  readonly weight: number | null;
}
/** What grows in a neighbour's garden or field, and could cross. No names of people. Said again, it stands as said last. Since version 9. */
export interface NeighbourNoted extends Recorded<'neighbourNoted'> {
  readonly neighbour: NeighbourId;
  readonly patch: PatchId;
  readonly crop: CropId | NeighbourCropId;
  /** The species, where the crop has several (peppers). */
  readonly species?: VarietyTraits['species'];
  /** What a corn is grown as. Since version 16. */
  readonly corn?: VarietyTraits['corn'];
  /** `null`: not known, which counts as another variety than one's own. */
  readonly variety: string | null;
  /** About how many plants; `null`: nobody counted. */
  readonly plants: number | null;
  /** From the edge of one's own patch to the nearest of them, m. */
  readonly distanceM: number;
  /** Where they lie, seen from the patch, degrees clockwise from north; `null`: not said. */
  readonly bearingDeg: number | null;
  readonly between: readonly Between[];
  readonly besides: readonly Beside[];
  /** When it flowers, where that is known. */
  readonly bloomFrom: LocalDate | null;
  readonly bloomTo: LocalDate | null;
  readonly knownBy: KnownBy;
  /** Days on which it was sprayed, where that is known. Since version 10. */
  readonly sprayed?: readonly LocalDate[];
  /** Where it lies on the plan, where it was put there. Since version 10. */
  readonly place?: Corner;
}
/** It is gone, or its flowers are over: it counts no longer from then on. Since version 9. */
export interface NeighbourGone extends Recorded<'neighbourGone'> {
  readonly neighbour: NeighbourId;
}
