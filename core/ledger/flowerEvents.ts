import type { Closure, Sex, Stage, Tool } from '../crops';
import type { EventId, FlowerId, PlantId, SubjectId } from '../ids';
import type { Father, Recorded } from './eventParts';
import type {
  CheckResult,
  HARVEST_FOR,
  LookResult,
  LossCause,
  MissedWhy,
  Purpose,
  ThreadColour,
  Prop,
} from './values';

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
  /** Seen to be still shut when it was covered: said where the hour alone would not tell. Since version 15. */
  readonly stillShut?: true;
}
/** A coloured thread tied on, to tell flowers of one plant apart. Since version 7. */
export interface Threaded extends Recorded<'threaded'> {
  readonly flower: FlowerId;
  readonly colour: ThreadColour;
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
/** An open flower left to the insects on purpose, to be followed like those that were worked. Since version 8. */
export interface LeftOpen extends Recorded<'leftOpen'> {
  readonly flower: FlowerId;
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
  /** Whether hands and tool were clean, so that nothing was carried over from another variety. Since version 11. */
  readonly clean?: boolean;
}
/** A lasting mark put on a fruit. */
export interface Marked extends Recorded<'marked'> {
  readonly flower: FlowerId;
  readonly mark: string;
}
/** A mark found gone from its fruit; one put on later is another. Since version 11. */
export interface MarkLost extends Recorded<'markLost'> {
  readonly flower: FlowerId;
  /** Of several marks the one that is gone; absent: all. Since version 12. */
  readonly mark?: string;
}
/** The cover taken off again. */
export interface CoverOff extends Recorded<'coverOff'> {
  readonly flower: FlowerId;
}
/** The further buds of its truss pinched off, so that what stands there is all from under the cover. Since version 7. */
export interface Pinched extends Recorded<'pinched'> {
  readonly flower: FlowerId;
}
/** How a pollinated flower was found on a later day. */
export interface LookedAt extends Recorded<'lookedAt'> {
  readonly flower: FlowerId;
  readonly result: LookResult;
  readonly sizeMm: number | null;
  /** Whether its mark was read there and then. Since version 11. */
  readonly markRead?: boolean;
}
/** A heavy fruit given something to hang in or lie on. Since version 14. */
export interface Propped extends Recorded<'propped'> {
  readonly flower: FlowerId;
  readonly prop: Prop;
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
  /** Whether its mark was read as it was picked. Since version 11. */
  readonly markRead?: boolean;
}
/** Free words about anything. */
export interface Noted extends Recorded<'noted'> {
  readonly subject: SubjectId;
  readonly text: string;
}
/** Two entries that seemed to contradict each other, and are both true. Since version 7. */
export interface Settled extends Recorded<'settled'> {
  readonly subject: SubjectId;
  readonly entries: readonly [EventId, EventId];
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
