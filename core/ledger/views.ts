import type {
  CropId,
  FruitShape,
  Reason,
  RogueStage,
  SchoolChoices,
  SexSystem,
  Stage,
  Tool,
  VarietyTraits,
} from '../crops';
import type {
  BedId,
  EventId,
  LotId,
  NeighbourId,
  ObstacleId,
  PatchId,
  PlantId,
  StandId,
  VarietyId,
} from '../ids';
import type { Instant, LocalDate } from '../time';
import type { Goal, NotedDay, Place } from './eventParts';
import type { FruitsPicked, GroupCounted, ShelterSet } from './gardenEvents';
import type { GrownOut, KeeperChosen, LotBegun, SownFrom } from './lotEvents';
import type { Corner, NeighbourNoted, ObstacleNoted } from './planEvents';
import type {
  Mesh,
  ClockNote,
  Health,
  LossCause,
  OffTypeBy,
  Rogued,
  WeatherOrigin,
  WeighedReason,
  Care,
} from './values';

/** What the events of one subject add up to. Plain data; made by `derive`, edited by nobody. */
export interface Note {
  readonly event: EventId;
  readonly at: Instant;
  readonly text: string;
}
/** The patch as its events leave it. */
export interface Patch {
  readonly id: PatchId;
  readonly name: string;
  readonly begunAt: Instant;
  /** The device that began it. */
  readonly device: string;
  readonly place: Place | null;
  readonly schools: SchoolChoices;
  /** `MM-DD`, or `null` while nobody said. */
  readonly frostOn: string | null;
  readonly mornings: Mornings;
  /** By day: each value from the source trusted most (hand, then file, then station), and of these the latest. */
  readonly weather: Readonly<Record<LocalDate, WeatherView>>;
  /** What the grower weighs otherwise than we propose. */
  readonly weights: Readonly<Partial<Record<WeighedReason, number>>>;
  readonly notes: readonly Note[];
}
/** When somebody can come. */
export interface Mornings {
  /** Days of the week, 1 = Monday; `null`: every day, or nobody said. */
  readonly weekdays: readonly number[] | null;
  /** Most minutes a morning; `null`: no limit. */
  readonly minutes: number | null;
  /** What was said of single mornings, whatever day of the week they are. */
  readonly told: Readonly<Record<LocalDate, boolean>>;
}
/** A bed as its events leave it, metres. Where it lies now; its plants are measured from where it first lay (`core/patch/places.ts`). */
export interface Bed {
  readonly id: BedId;
  readonly patch: PatchId;
  readonly name: string;
  readonly xM: number;
  readonly yM: number;
  readonly lengthM: number;
  readonly widthM: number;
  /** Clockwise about its middle, degrees. */
  readonly turnedDeg: number;
  /** Its corner in the measure of its plants: where it lay when it was first measured, until it has another size. */
  readonly first: { readonly xM: number; readonly yM: number };
  /** As it was first measured. */
  readonly measured: Readonly<Record<'xM' | 'yM' | 'lengthM' | 'widthM', number>>;
  /** Whether it was given another size since. */
  readonly sized: boolean;
  /** What stood over it when, as it was said; the last that names a day holds for it (`shelterOn`). */
  readonly shelters: readonly ShelterView[];
  /** When its cage came off for a day, where it takes turns with others. */
  readonly cageOff: readonly { readonly event: EventId; readonly at: Instant }[];
  readonly event: EventId;
  readonly notes: readonly Note[];
}
/** A planting in somebody else's garden, as it was said last. */
export type Neighbour = Omit<
  NeighbourNoted,
  'id' | 'v' | 'at' | 'by' | 'device' | 'kind' | 'neighbour' | 'species' | 'corn' | 'sprayed' | 'place'
> & {
  readonly id: NeighbourId;
  readonly sprayed: readonly LocalDate[];
  /** Where it was put on the plan; `null`: nobody put it there. */
  readonly place: Corner | null;
  readonly species: NonNullable<NeighbourNoted['species']> | null;
  readonly corn: NonNullable<NeighbourNoted['corn']> | null;
  readonly event: EventId;
  /** When it was last said. */
  readonly saidAt: Instant;
  /** Since when it is gone; `null`: it is there. */
  readonly goneAt: Instant | null;
};
/** A hedge, a building, a hill or water, as it was said last. */
export type Obstacle = Pick<ObstacleNoted, 'patch' | 'what' | 'corners' | 'area'> & {
  readonly id: ObstacleId;
  readonly event: EventId;
  readonly goneAt: Instant | null;
};
/** A lot of seed as its events leave it. */
export type Lot = Pick<LotBegun, 'patch' | 'variety' | 'from' | 'fruits' | 'year' | 'note'> & {
  readonly id: LotId;
  readonly event: EventId;
  readonly begunAt: Instant;
  readonly growOuts: readonly GrowOutView[];
  readonly notes: readonly Note[];
};
/** Plants of a lot looked over, as it was written. */
export type GrowOutView = Pick<GrownOut, 'at' | 'by' | 'fruit' | 'stage' | 'grown' | 'off'> & {
  readonly event: EventId;
};
/** What a stand or a plant was sown from. */
export type SownView = Pick<SownFrom, 'at' | 'lot' | 'fruit'> & { readonly event: EventId };
/** Why a plant was picked out to keep seed of. */
export type KeeperView = Pick<KeeperChosen, 'at' | 'by' | 'trait' | 'note'> & { readonly event: EventId };
/** Something that stands, or stood, over a bed. */
export type ShelterView = Pick<ShelterSet, 'at' | 'shelter' | 'insects' | 'lampHours' | 'from' | 'to'> & {
  /** `null`: nobody said. */
  readonly mesh: Mesh | null;
  readonly event: EventId;
};
/** What is noted of a day; `origin` is where its temperatures are from, or what there is where it has none. */
export type WeatherView = Required<NotedDay> & { readonly origin: WeatherOrigin };
/** A variety as its events leave it. */
export interface Variety {
  readonly id: VarietyId;
  readonly patch: PatchId;
  readonly name: string;
  readonly crop: CropId;
  readonly shape: FruitShape;
  /** `null`: the crop's usual way. */
  readonly system: SexSystem | null;
  readonly traits: VarietyTraits;
  /** The plant it began with. */
  readonly from: PlantId | null;
  readonly event: EventId;
}
/** A counted group of flowers, as it was entered. */
export type GroupView = Omit<GroupCounted, 'id' | 'v' | 'device' | 'kind' | 'stand' | 'early'> & {
  readonly early: boolean;
  readonly event: EventId;
};
/** Fruits picked and counted. */
export type PickedView = Pick<FruitsPicked, 'at' | 'by' | 'plant' | 'count' | 'weightG'> & {
  readonly event: EventId;
};
/** Visits of insects counted at the flowers of a stand. */
export interface BeeCount {
  readonly event: EventId;
  readonly at: Instant;
  readonly by: string;
  readonly visits: number;
  readonly seconds: number;
}
/** A stand as its events leave it. */
export interface Stand {
  readonly id: StandId;
  readonly bed: BedId;
  readonly variety: VarietyId;
  readonly reason: Reason;
  /** How far it was moved from where its plants were first put, along its bed and across it, m. */
  readonly moved: { readonly alongM: number; readonly acrossM: number };
  /** Its ground, in the measure of its plants; `null`: as its plants stand. */
  readonly outline: readonly Corner[] | null;
  readonly goal: Goal | null;
  /** `null`: nobody said. */
  readonly sown: SownView | null;
  readonly clock: readonly { readonly at: Instant; readonly what: ClockNote }[];
  readonly groups: readonly GroupView[];
  readonly picked: readonly PickedView[];
  /** Every nth open female is left to the insects, and since when; `null`: none. */
  readonly leaving: { readonly event: EventId; readonly at: Instant; readonly every: number } | null;
  readonly bees: readonly BeeCount[];
  readonly cares: readonly CareView[];
  /** Looked over for off-types, and all were true. */
  readonly rogueLooks: readonly {
    readonly event: EventId;
    readonly at: Instant;
    readonly stage: RogueStage;
  }[];
  /** Males picked for the kitchen. */
  readonly malesPicked: readonly { readonly event: EventId; readonly at: Instant; readonly count: number }[];
  readonly event: EventId;
}
/** A stand watered, fed or sprayed. */
export interface CareView {
  readonly event: EventId;
  readonly at: Instant;
  readonly by: string;
  readonly care: Care;
  readonly product: string;
  /** Of a spray, from its label; `null`: not noted. */
  readonly reentryHours: number | null;
  readonly daysToHarvest: number | null;
  /** The day on which it was done; `null`: when it was written down. */
  readonly on: LocalDate | null;
}
/** Flowers worked on a plant, counted and not told apart. */
export interface Tally {
  readonly event: EventId;
  readonly at: Instant;
  readonly by: string;
  readonly tool: Tool;
  readonly flowers: number;
  readonly truss: number | null;
  /** `null`: not recorded. */
  readonly puff: boolean | null;
}
/** Male buds of one stage, as counted. */
export interface MaleCount {
  readonly at: Instant;
  readonly stage: Stage;
  readonly count: number;
}
/** A plant as its events leave it. */
export interface Plant {
  readonly id: PlantId;
  readonly stand: StandId;
  readonly label: string;
  readonly xM: number;
  readonly yM: number;
  readonly plantedOn: LocalDate | null;
  readonly event: EventId;
  /** When it was written down; when it was planted, where nobody said. */
  readonly addedAt: Instant;
  readonly ended: {
    readonly event: EventId;
    readonly at: Instant;
    readonly how: 'removed' | 'died';
    readonly cause: LossCause | null;
  } | null;
  readonly health: Health | null;
  readonly healthAt: Instant | null;
  /** When it was last looked over without a find. */
  readonly passedAt: Instant | null;
  /** When it was found not true to its variety, and by what. */
  readonly offType: {
    readonly event: EventId;
    readonly at: Instant;
    readonly shownBy: OffTypeBy;
    /** `null`: nobody said, or it still stands. */
    readonly rogued: Rogued | null;
  } | null;
  /** Where it differs from its stand's; `null`: as its stand. */
  readonly sown: SownView | null;
  /** The plant it is a runner, a tuber or a cutting of. */
  readonly cloneOf: PlantId | null;
  /** What it was picked out to keep seed of for. */
  readonly keepers: readonly KeeperView[];
  /** When its open flowers and set fruit were last taken off. */
  readonly strippedAt: Instant | null;
  readonly males: readonly MaleCount[];
  /** Where it differs from its stand's. */
  readonly reason: Reason | null;
  readonly tallies: readonly Tally[];
  readonly notes: readonly Note[];
}
