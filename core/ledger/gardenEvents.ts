import type {
  CropId,
  FruitShape,
  Reason,
  RogueStage,
  SchoolKey,
  SexSystem,
  Stage,
  Tool,
  VarietyTraits,
} from '../crops';
import type { BedId, FlowerId, PatchId, PlantId, StandId, VarietyId } from '../ids';
import type { LocalDate } from '../time';
import type { Goal, NotedDay, Place, Recorded } from './eventParts';
import type {
  Care,
  ClockNote,
  Health,
  LossCause,
  Mesh,
  OffTypeBy,
  Rogued,
  Shelter,
  ShelterInsects,
  WeatherOrigin,
} from './values';

/** A patch is begun: the first event of a log. */
export interface PatchBegun extends Recorded<'patchBegun'> {
  readonly patch: PatchId;
  readonly name: string;
}
/** Where the patch lies. */
export interface PlaceSet extends Recorded<'placeSet'> {
  readonly patch: PatchId;
  readonly place: Place;
}
/** Which way of working holds from now on. */
export interface SchoolChosen extends Recorded<'schoolChosen'> {
  readonly patch: PatchId;
  readonly school: SchoolKey;
  readonly choice: string;
}
/** A bed, in metres on the plan. */
export interface BedAdded extends Recorded<'bedAdded'> {
  readonly bed: BedId;
  readonly patch: PatchId;
  readonly name: string;
  /** The corner nearest the origin of the plan; x runs along the bed. */
  readonly xM: number;
  readonly yM: number;
  readonly lengthM: number;
  readonly widthM: number;
}
/** What stands over a bed from a day on; `null`: nothing any more. The one said last holds for its days. Since version 6. */
export interface ShelterSet extends Recorded<'shelterSet'> {
  readonly bed: BedId;
  readonly shelter: Shelter | null;
  /**
   * Whether insects are kept out, or can get in (open vents). put-in: kept out, and some of its own put in on purpose, which had been kept
   * without flowers. Since version 15. in-turn: it comes off on some days (`cageOpened`). Since version 16.
   */
  readonly insects: ShelterInsects;
  /** How wide its mesh is. Since version 15. `null`, or left out: nobody said. */
  readonly mesh?: Mesh | null;
  /** Hours of lamp a day, indoors; `null`: nobody said. */
  readonly lampHours: number | null;
  readonly from: LocalDate;
  /** The last day; `null`: until something else is said. */
  readonly to: LocalDate | null;
}
/** The cage of a bed is off for the day, and those that take turns with it stay shut. Since version 16. */
export interface CageOpened extends Recorded<'cageOpened'> {
  readonly bed: BedId;
}
/** A variety, and what is said of it beyond its crop. */
export interface VarietyAdded extends Recorded<'varietyAdded'> {
  readonly variety: VarietyId;
  readonly patch: PatchId;
  readonly name: string;
  readonly crop: CropId;
  readonly shape: FruitShape;
  /** How its flowers are made, where it differs from the crop's usual way. Since version 2. */
  readonly system?: SexSystem;
  /** What else was said of it. Since version 5. */
  readonly traits?: VarietyTraits;
  /** The plant it began with: a potato seedling, kept by its tubers, is a finished variety. Since version 13. */
  readonly from?: PlantId;
}
/** Plants of one variety in one bed, grown for one reason. */
export interface StandAdded extends Recorded<'standAdded'> {
  readonly stand: StandId;
  readonly bed: BedId;
  readonly variety: VarietyId;
  readonly reason: Reason;
}
/** A stand, a plant or one flower is grown for another reason from now on. Since version 6. */
export interface ReasonSet extends Recorded<'reasonSet'> {
  readonly subject: StandId | PlantId | FlowerId;
  readonly reason: Reason;
}
/** `null` takes the goal away. Since version 3. */
export interface GoalSet extends Recorded<'goalSet'> {
  readonly stand: StandId;
  readonly goal: Goal | null;
}
/** Since version 3. */
export interface WeatherNoted extends Recorded<'weatherNoted'> {
  readonly patch: PatchId;
  readonly origin: WeatherOrigin;
  readonly days: readonly NotedDay[];
}
/** The day of the year, `MM-DD`, on which the first frost is looked for. Since version 3. */
export interface FrostExpected extends Recorded<'frostExpected'> {
  readonly patch: PatchId;
  readonly frostOn: string;
}
/** On which mornings somebody can come: days of the week, 1 = Monday; `null`: every day. Most minutes a morning; `null`: no limit. Since version 17. */
export interface MorningsSet extends Recorded<'morningsSet'> {
  readonly patch: PatchId;
  readonly weekdays: readonly number[] | null;
  readonly minutes: number | null;
}
/** Of one morning: somebody can come, or nobody, whatever day of the week it is. Since version 17. */
export interface MorningTold extends Recorded<'morningTold'> {
  readonly patch: PatchId;
  readonly date: LocalDate;
  readonly comes: boolean;
}
/** Since version 3. */
export interface ClockNoted extends Recorded<'clockNoted'> {
  readonly stand: StandId;
  readonly what: ClockNote;
}
/** One plant of a stand. */
export interface PlantAdded extends Recorded<'plantAdded'> {
  readonly plant: PlantId;
  readonly stand: StandId;
  readonly label: string;
  /** Metres on the plan of the patch. */
  readonly xM: number;
  readonly yM: number;
  readonly plantedOn: LocalDate | null;
}
/** A plant taken out on purpose. */
export interface PlantRemoved extends Recorded<'plantRemoved'> {
  readonly plant: PlantId;
}
/** A plant lost, and to what. */
export interface PlantDied extends Recorded<'plantDied'> {
  readonly plant: PlantId;
  readonly cause: LossCause;
}
/** How a plant looks. */
export interface PlantChecked extends Recorded<'plantChecked'> {
  readonly plant: PlantId;
  readonly health: Health;
}
/** A plant looked over and nothing found to write down. Since version 6. */
export interface PlantPassed extends Recorded<'plantPassed'> {
  readonly plant: PlantId;
}
/** Open flowers and fruit that had set taken off, so that what comes under the covers is all there is. Since version 7. */
export interface Stripped extends Recorded<'stripped'> {
  readonly plant: PlantId;
}
/** A plant found not true to its variety: a flag on every fruit that its pollen served, and on its own. Since version 11. */
export interface OffTypeFound extends Recorded<'offTypeFound'> {
  readonly plant: PlantId;
  /** What showed it. */
  readonly shownBy: OffTypeBy;
  /** Whether it was pulled before it shed pollen. Since version 13. */
  readonly rogued?: Rogued;
}
/** Male buds of a plant counted, not noted one by one. */
export interface MalesCounted extends Recorded<'malesCounted'> {
  readonly plant: PlantId;
  readonly stage: Stage;
  readonly count: number;
}
/** Flowers worked for the kitchen without a record of each: how many, and with what. Since version 3. */
export interface Tallied extends Recorded<'tallied'> {
  readonly plant: PlantId;
  readonly tool: Tool;
  readonly flowers: number;
  /** Which truss it was, counted from the root, where somebody said. */
  readonly truss: number | null;
  /** Whether a puff of pollen was seen. Since version 6. */
  readonly puff?: boolean;
}
/** How the flowers of a counted group came to their pollen: a tool, the insects alone, or the time before any hand work. */
export type GroupHow = Tool | 'insects' | 'before';

/**
 * Flowers counted together afterwards: of those that were worked (or left to insects) on some days, how many set, and how many
 * of these came out bent. Of a plant, or of a whole stand or tray. Since version 4.
 */
export interface GroupCounted extends Recorded<'groupCounted'> {
  readonly stand: StandId;
  /** `null`: the whole stand. */
  readonly plant: PlantId | null;
  readonly from: LocalDate;
  readonly to: LocalDate;
  readonly how: GroupHow;
  readonly worked: number;
  readonly set: number;
  /** `null`: nobody looked at their shape. */
  readonly bent: number | null;
  /** A look before the verdict day: how they stand, and no verdict. Since version 7. */
  readonly early?: boolean;
}
/** Every nth open female of a stand is left to the insects, to know what hands bring; `null`: none any more. Since version 8. */
export interface LeaveSet extends Recorded<'leaveSet'> {
  readonly stand: StandId;
  readonly every: number | null;
}
/** A stand looked over for plants not true to the variety, and all were; a stranger is `offTypeFound`. Since version 16. */
export interface LookedOver extends Recorded<'lookedOver'> {
  readonly stand: StandId;
  readonly stage: RogueStage;
}
/** A stand watered, fed, mulched (straw under its fruit too) or sprayed. Since version 14. */
export interface CareGiven extends Recorded<'careGiven'> {
  readonly stand: StandId;
  readonly care: Care;
  /** With what, as it is called; empty: nobody said. */
  readonly product: string;
  /** Of a spray, as its label says: hours until somebody may go in again, days until anything may be eaten. `null`: nobody noted them. */
  readonly reentryHours: number | null;
  readonly daysToHarvest: number | null;
  /** The day on which it was done, where it is written down later. */
  readonly on?: LocalDate;
}
/** Insects seen to go into the flowers of a stand, in so many seconds. Since version 8. */
export interface BeesCounted extends Recorded<'beesCounted'> {
  readonly stand: StandId;
  readonly visits: number;
  readonly seconds: number;
}
/** Fruits picked without a record of each. Since version 6. */
export interface FruitsPicked extends Recorded<'fruitsPicked'> {
  readonly stand: StandId;
  /** `null`: the whole stand. */
  readonly plant: PlantId | null;
  readonly count: number;
  readonly weightG: number | null;
}
/** Male flowers picked for the kitchen, counted. Since version 6. */
export interface MalesPicked extends Recorded<'malesPicked'> {
  readonly stand: StandId;
  readonly count: number;
}
