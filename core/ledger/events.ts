import type { SubjectId, SubjectKind } from '../ids';
import type { Recorded } from './eventParts';
import type {
  ClosureChecked,
  Corrected,
  CoverOff,
  Emasculated,
  FlowerSeen,
  FlowerShut,
  Harvested,
  LeftOpen,
  LookedAt,
  Lost,
  Marked,
  MarkLost,
  Missed,
  Noted,
  Pinched,
  Propped,
  Pollinated,
  Settled,
  Threaded,
  Withdrawn,
} from './flowerEvents';
import type {
  BedAdded,
  BeesCounted,
  CageOpened,
  CareGiven,
  ClockNoted,
  FrostExpected,
  MorningsSet,
  MorningTold,
  FruitsPicked,
  GoalSet,
  GroupCounted,
  LeaveSet,
  LookedOver,
  MalesCounted,
  MalesPicked,
  OffTypeFound,
  PatchBegun,
  PlaceSet,
  PlantAdded,
  PlantChecked,
  PlantDied,
  PlantPassed,
  PlantRemoved,
  ReasonSet,
  SchoolChosen,
  ShelterSet,
  StandAdded,
  Stripped,
  Tallied,
  VarietyAdded,
  WeatherNoted,
} from './gardenEvents';
import type { ClonedFrom, GrownOut, KeeperChosen, LotBegun, SownFrom } from './lotEvents';
import type {
  BedPlaced,
  NeighbourGone,
  NeighbourNoted,
  ObstacleGone,
  ObstacleNoted,
  OutlineSet,
  StandPlaced,
  WeightSet,
} from './planEvents';

/** The version written into new events. Older ones are read for ever (`upcast`). */
export const SCHEMA_VERSION = 17;

/** Every event there is. */
export type LedgerEvent =
  | PatchBegun
  | PlaceSet
  | SchoolChosen
  | BedAdded
  | BedPlaced
  | StandPlaced
  | OutlineSet
  | ObstacleNoted
  | ObstacleGone
  | WeightSet
  | NeighbourNoted
  | NeighbourGone
  | ShelterSet
  | CageOpened
  | VarietyAdded
  | StandAdded
  | ReasonSet
  | GoalSet
  | WeatherNoted
  | FrostExpected
  | MorningsSet
  | MorningTold
  | ClockNoted
  | PlantAdded
  | PlantRemoved
  | PlantDied
  | PlantChecked
  | PlantPassed
  | Stripped
  | OffTypeFound
  | LotBegun
  | SownFrom
  | ClonedFrom
  | GrownOut
  | KeeperChosen
  | MalesCounted
  | Tallied
  | GroupCounted
  | FruitsPicked
  | LeaveSet
  | LookedOver
  | BeesCounted
  | CareGiven
  | MalesPicked
  | FlowerSeen
  | FlowerShut
  | Threaded
  | ClosureChecked
  | Missed
  | LeftOpen
  | Emasculated
  | Pollinated
  | Marked
  | MarkLost
  | CoverOff
  | Pinched
  | LookedAt
  | Propped
  | Lost
  | Harvested
  | Noted
  | Settled
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
  bedPlaced: 'bed',
  standPlaced: 'stand',
  outlineSet: 'stand',
  obstacleNoted: 'obstacle',
  obstacleGone: 'obstacle',
  weightSet: 'patch',
  shelterSet: 'bed',
  cageOpened: 'bed',
  neighbourNoted: 'neighbour',
  neighbourGone: 'neighbour',
  varietyAdded: 'variety',
  standAdded: 'stand',
  reasonSet: 'subject',
  goalSet: 'stand',
  weatherNoted: 'patch',
  frostExpected: 'patch',
  morningsSet: 'patch',
  morningTold: 'patch',
  clockNoted: 'stand',
  plantAdded: 'plant',
  plantRemoved: 'plant',
  plantDied: 'plant',
  plantChecked: 'plant',
  plantPassed: 'plant',
  stripped: 'plant',
  offTypeFound: 'plant',
  lotBegun: 'lot',
  sownFrom: 'subject',
  clonedFrom: 'plant',
  grownOut: 'lot',
  keeperChosen: 'plant',
  malesCounted: 'plant',
  tallied: 'plant',
  groupCounted: 'stand',
  fruitsPicked: 'stand',
  leaveSet: 'stand',
  lookedOver: 'stand',
  beesCounted: 'stand',
  careGiven: 'stand',
  malesPicked: 'stand',
  flowerSeen: 'flower',
  flowerShut: 'flower',
  threaded: 'flower',
  closureChecked: 'flower',
  missed: 'flower',
  leftOpen: 'flower',
  emasculated: 'flower',
  pollinated: 'flower',
  marked: 'flower',
  markLost: 'flower',
  coverOff: 'flower',
  pinched: 'flower',
  lookedAt: 'flower',
  propped: 'flower',
  lost: 'flower',
  harvested: 'flower',
  noted: 'subject',
  settled: 'subject',
  corrected: 'subject',
  withdrawn: 'subject',
};

/** Whether this version knows the event’s kind; others are kept as they came. */
export function isKnown(event: AnyEvent): event is LedgerEvent {
  return Object.hasOwn(SUBJECT_FIELD, event.kind);
}

/**
 * Whose event it is, or `null` for an unknown kind.
 * @example subjectOf({ id: '1', v: 1, at: '', by: '', device: '', kind: 'lost', flower: 'flower:1', cause: 'pest' }) // 'flower:1'
 */
export function subjectOf(event: AnyEvent): SubjectId | null {
  if (!isKnown(event)) return null;
  return (event as unknown as Record<string, string>)[SUBJECT_FIELD[event.kind]] ?? null;
}

/** The order in which events count: when it happened, then when it was written down. */
export function compareEvents(a: AnyEvent, b: AnyEvent): number {
  if (a.at !== b.at) return a.at < b.at ? -1 : 1;
  return a.id < b.id ? -1 : a.id > b.id ? 1 : 0;
}
