import type {
  Closure,
  CropId,
  FruitShape,
  Reason,
  SchoolKey,
  Sex,
  SexSystem,
  Stage,
  Tool,
  VarietyTraits,
} from '../crops';
import type {
  BedId,
  EventId,
  FlowerId,
  PatchId,
  PlantId,
  StandId,
  SubjectId,
  VarietyId,
  SubjectKind,
} from '../ids';
import type { Instant, LocalDate } from '../time';
import type {
  CheckResult,
  ClockNote,
  Felt,
  HARVEST_FOR,
  Health,
  LookResult,
  LossCause,
  MissedWhy,
  Precious,
  Purpose,
  SEED_UNITS,
  Shelter,
  WeatherOrigin,
} from './values';

/** The version written into new events. Older ones are read for ever (`upcast`). */
export const SCHEMA_VERSION = 6;

/** What a stand is to bring. Since version 3. */
export interface Goal {
  /** Fruits for the kitchen; `null` = none asked for. */
  readonly kitchenFruits: number | null;
  readonly seed: { readonly amount: number; readonly unit: (typeof SEED_UNITS)[number] } | null;
  /** Plants that should stand behind the seed. */
  readonly mothers: number | null;
  readonly fathers: number | null;
  /** The father's variety of a cross; `null` = its own. */
  readonly fatherVariety: VarietyId | null;
  /** The day by which it should be ripe; `null` = by the first frost. */
  readonly by: LocalDate | null;
  readonly precious: Precious;
  /** How sure to be, 0.5 to 0.99. */
  readonly assurance: number;
  /** The grower's own numbers in place of ours in the sum. */
  readonly bent: {
    readonly seedsPerFruit?: number;
    readonly setShare?: number;
    readonly wholeShare?: number;
    readonly malesPerFemale?: number;
  };
}

/** One day's weather as somebody noted it; `null` or absent = not noted. Since version 3. */
export interface NotedDay {
  readonly date: LocalDate;
  readonly minC: number | null;
  readonly maxC: number | null;
  readonly rainMm: number | null;
  readonly dewPointC: number | null;
  readonly felt: Felt | null;
  /** Where the wind came from, degrees clockwise from north. Since version 5. */
  readonly windFromDeg?: number | null;
}

/** Where the patch lies: degrees north and east, and its zone. */
export interface Place {
  readonly name: string;
  readonly latitude: number;
  readonly longitude: number;
  /** IANA zone. */
  readonly zone: string;
}

/** Males of one plant that gave their pollen. */
export interface Father {
  readonly plant: PlantId;
  /** Male flowers used from this plant. */
  readonly males: number;
  /** Which ones, where they had been recorded one by one. */
  readonly flowers: readonly FlowerId[];
}

interface Recorded<Kind extends string> {
  readonly id: EventId;
  readonly v: number;
  /** When it happened in the garden. The id carries when it was written down. */
  readonly at: Instant;
  /** Who did it: a first name, as the grower wrote it. */
  readonly by: string;
  readonly device: string;
  readonly kind: Kind;
}

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
  /** Whether insects are kept out, or can get in (open vents) or were put in. */
  readonly insects: 'out' | 'in';
  /** Hours of lamp a day, indoors; `null`: nobody said. */
  readonly lampHours: number | null;
  readonly from: LocalDate;
  /** The last day; `null`: until something else is said. */
  readonly to: LocalDate | null;
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
  /** The how-manieth truss from the root, where it was said. */
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
/** A flower read: the first such event of an id makes it known. */
export interface FlowerSeen extends Recorded<'flowerSeen'> {
  readonly flower: FlowerId;
  readonly plant: PlantId;
  readonly sex: Sex;
  readonly stage: Stage;
  readonly node: number | null;
  /** Length of the ovary, where it was measured. Since version 2. */
  readonly ovaryMm?: number | null;
}
/** A flower shut before it opened. */
export interface FlowerShut extends Recorded<'flowerShut'> {
  readonly flower: FlowerId;
  readonly closure: Closure;
}
/** How a shut flower was found. */
export interface ClosureChecked extends Recorded<'closureChecked'> {
  readonly flower: FlowerId;
  readonly result: CheckResult;
}
/** A flower that was to be worked and was not, and why. Since version 6. */
export interface Missed extends Recorded<'missed'> {
  readonly flower: FlowerId;
  readonly why: MissedWhy;
}
/** Petals and anthers taken out of a shut bud, for a cross. Since version 3. */
export interface Emasculated extends Recorded<'emasculated'> {
  readonly flower: FlowerId;
}
/** Pollen brought to a flower, and what was done with it after. */
export interface Pollinated extends Recorded<'pollinated'> {
  readonly flower: FlowerId;
  /** Empty: no father was written down. */
  readonly fathers: readonly Father[];
  /** Absent, here and below: nobody said. Up to version 3 there always was one. */
  readonly tool?: Tool;
  /** What it was shut again with; `null` = left open. Up to version 3 there always was one. */
  readonly shutAgain?: Closure | null;
  /** What the grower wanted of it. What it is good for is derived (`fitForSeed`). */
  readonly purpose: Purpose;
  /** Lobes of the stigma that got pollen. Since version 3, as the next two. */
  readonly lobes?: number;
  /** Seconds the flower stood open. */
  readonly openS?: number;
  /** Whether a bee (or another insect) got in while it was open. */
  readonly beeIn?: boolean;
  /** Whether a puff of pollen was seen (tomato). Since version 6, as the next. */
  readonly puff?: boolean;
  /** Whether the male was left inside the shut flower (melon). */
  readonly maleInside?: boolean;
}
/** A lasting mark put on a fruit. */
export interface Marked extends Recorded<'marked'> {
  readonly flower: FlowerId;
  readonly mark: string;
}
/** The cover taken off again. */
export interface CoverOff extends Recorded<'coverOff'> {
  readonly flower: FlowerId;
}
/** How a pollinated flower was found on a later day. */
export interface LookedAt extends Recorded<'lookedAt'> {
  readonly flower: FlowerId;
  readonly result: LookResult;
  readonly sizeMm: number | null;
}
/** A flower or fruit lost, and to what. */
export interface Lost extends Recorded<'lost'> {
  readonly flower: FlowerId;
  readonly cause: LossCause;
}
/** A fruit taken. */
export interface Harvested extends Recorded<'harvested'> {
  readonly flower: FlowerId;
  readonly harvestFor: (typeof HARVEST_FOR)[number];
  readonly weightG: number | null;
}
/** Free words about anything. */
export interface Noted extends Recorded<'noted'> {
  readonly subject: SubjectId;
  readonly text: string;
}
/** A change of mind about an earlier event of the same subject: the fields that were wrong, as they should be. */
export interface Corrected extends Recorded<'corrected'> {
  readonly subject: SubjectId;
  readonly target: EventId;
  readonly changes: Readonly<Record<string, unknown>>;
}
/** Takes an earlier event of the same subject out of force. Withdrawing a withdrawal brings it back. */
export interface Withdrawn extends Recorded<'withdrawn'> {
  readonly subject: SubjectId;
  readonly target: EventId;
}

/** Every event there is. */
export type LedgerEvent =
  | PatchBegun
  | PlaceSet
  | SchoolChosen
  | BedAdded
  | ShelterSet
  | VarietyAdded
  | StandAdded
  | ReasonSet
  | GoalSet
  | WeatherNoted
  | FrostExpected
  | ClockNoted
  | PlantAdded
  | PlantRemoved
  | PlantDied
  | PlantChecked
  | PlantPassed
  | MalesCounted
  | Tallied
  | GroupCounted
  | FruitsPicked
  | MalesPicked
  | FlowerSeen
  | FlowerShut
  | ClosureChecked
  | Missed
  | Emasculated
  | Pollinated
  | Marked
  | CoverOff
  | LookedAt
  | Lost
  | Harvested
  | Noted
  | Corrected
  | Withdrawn;

/** The kinds of events. */
export type EventKind = LedgerEvent['kind'];
/** The event of one kind. */
export type EventOf<Kind extends EventKind> = Extract<LedgerEvent, { kind: Kind }>;

type OmitBase<T> = T extends LedgerEvent ? Omit<T, 'id' | 'v' | 'at' | 'by' | 'device'> : never;
/** An event as a screen states it; the store adds id, time, person and device. */
export type Draft = OmitBase<LedgerEvent>;

/** An event of a kind that this version doesn't know: kept as it came, never dropped. */
export type UnknownEvent = Recorded<string> & Readonly<Record<string, unknown>>;
/** An event, or one of a kind that a newer version wrote: kept as it came. */
export type AnyEvent = LedgerEvent | UnknownEvent;

/** The field that names whose event it is. */
export const SUBJECT_FIELD: Readonly<Record<EventKind, SubjectKind | 'subject'>> = {
  patchBegun: 'patch',
  placeSet: 'patch',
  schoolChosen: 'patch',
  bedAdded: 'bed',
  shelterSet: 'bed',
  varietyAdded: 'variety',
  standAdded: 'stand',
  reasonSet: 'subject',
  goalSet: 'stand',
  weatherNoted: 'patch',
  frostExpected: 'patch',
  clockNoted: 'stand',
  plantAdded: 'plant',
  plantRemoved: 'plant',
  plantDied: 'plant',
  plantChecked: 'plant',
  plantPassed: 'plant',
  malesCounted: 'plant',
  tallied: 'plant',
  groupCounted: 'stand',
  fruitsPicked: 'stand',
  malesPicked: 'stand',
  flowerSeen: 'flower',
  flowerShut: 'flower',
  closureChecked: 'flower',
  missed: 'flower',
  emasculated: 'flower',
  pollinated: 'flower',
  marked: 'flower',
  coverOff: 'flower',
  lookedAt: 'flower',
  lost: 'flower',
  harvested: 'flower',
  noted: 'subject',
  corrected: 'subject',
  withdrawn: 'subject',
};

/** Whether this version knows the event’s kind; others are kept as they came. */
export function isKnown(event: AnyEvent): event is LedgerEvent {
  return Object.hasOwn(SUBJECT_FIELD, event.kind);
}

/** Whose event it is, or `null` for an unknown kind. */
export function subjectOf(event: AnyEvent): SubjectId | null {
  if (!isKnown(event)) return null;
  return (event as unknown as Record<string, string>)[SUBJECT_FIELD[event.kind]] ?? null;
}

/** The order in which events count: when it happened, then when it was written down. */
export function compareEvents(a: AnyEvent, b: AnyEvent): number {
  if (a.at !== b.at) return a.at < b.at ? -1 : 1;
  return a.id < b.id ? -1 : a.id > b.id ? 1 : 0;
}
