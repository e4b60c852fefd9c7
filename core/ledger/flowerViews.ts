import type { Closure, Reason, Sex, Stage, Tool } from '../crops';
import type { EventId, FlowerId, PlantId } from '../ids';
import type { Instant } from '../time';
import type { Father } from './eventParts';
import type { CheckResult, LookResult, LossCause, MissedWhy, Purpose, ThreadColour, Prop } from './values';
import type { Note } from './views';

/** What somebody read a flower as. */
export interface Sighting {
  readonly event: EventId;
  readonly at: Instant;
  readonly stage: Stage;
  readonly ovaryMm: number | null;
  /** The plant it was said to grow on. */
  readonly plant: PlantId;
}
/** When a flower was shut, how and by whom. */
export interface Shutting {
  readonly event: EventId;
  readonly at: Instant;
  readonly closure: Closure;
  readonly by: string;
  /** Whether somebody saw that the flower was still shut when it was covered. */
  readonly stillShut: boolean;
}
/** How a closure was found, when and by whom. */
export interface Check {
  readonly event: EventId;
  readonly by: string;
  readonly at: Instant;
  readonly result: CheckResult;
}
/** One visit with pollen. */
export interface Pollination {
  readonly event: EventId;
  readonly at: Instant;
  readonly by: string;
  readonly fathers: readonly Father[];
  /** `null`, here and below: not recorded. */
  readonly tool: Tool | null;
  readonly shutAgain: Closure | 'open' | null;
  readonly purpose: Purpose;
  readonly lobes: number | null;
  readonly openS: number | null;
  readonly beeIn: boolean | null;
  readonly puff: boolean | null;
  readonly maleInside: boolean | null;
  /** Hands and tool clean, nothing carried over. */
  readonly clean: boolean | null;
}
/** One look after pollination. */
export interface LookView {
  readonly event: EventId;
  readonly at: Instant;
  readonly result: LookResult;
  readonly sizeMm: number | null;
  readonly by: string;
  /** Whether its mark was read; `null`: not recorded. */
  readonly markRead: boolean | null;
}
/** Something that was put right of what was written of a flower, or added to it. */
export interface PutRight {
  readonly event: EventId;
  readonly target: EventId;
  readonly at: Instant;
  readonly by: string;
  readonly fields: readonly string[];
  /** The plant that it was said to grow on before, where that was put right. */
  readonly from: PlantId | null;
}
/** A mark put on, when and by whom. */
export interface Marking {
  readonly event: EventId;
  readonly at: Instant;
  readonly by: string;
  readonly mark: string;
  /** When it was found gone. */
  readonly goneAt: Instant | null;
}
/** A flower, later a fruit, as its events leave it. */
export interface Flower {
  readonly id: FlowerId;
  readonly plant: PlantId;
  readonly sex: Sex;
  readonly node: number | null;
  readonly sightings: readonly Sighting[];
  readonly shuttings: readonly Shutting[];
  readonly checks: readonly Check[];
  /** Where it differs from its plant's. */
  readonly reason: Reason | null;
  readonly missed: { readonly event: EventId; readonly at: Instant; readonly why: MissedWhy } | null;
  /** Left to the insects on purpose, and when. */
  readonly left: { readonly event: EventId; readonly at: Instant; readonly by: string } | null;
  /** The thread that tells it from its neighbours. */
  readonly thread: ThreadColour | null;
  /** When its anthers were taken out. */
  readonly emasculated: { readonly event: EventId; readonly at: Instant } | null;
  readonly pollinations: readonly Pollination[];
  readonly mark: string | null;
  /** When the mark went on. */
  readonly marking: Marking | null;
  /** Every mark it had, the first one first. */
  readonly markings: readonly Marking[];
  /** When its mark was last found gone. */
  readonly markLost: { readonly event: EventId; readonly at: Instant } | null;
  readonly coverOffAt: Instant | null;
  /** When the rest of its truss was pinched off. */
  readonly pinchedAt: Instant | null;
  readonly looks: readonly LookView[];
  /** What bears it; `null`: nobody said. */
  readonly propped: { readonly event: EventId; readonly at: Instant; readonly prop: Prop } | null;
  readonly lost: { readonly event: EventId; readonly at: Instant; readonly cause: LossCause } | null;
  readonly harvested: {
    readonly event: EventId;
    readonly at: Instant;
    readonly harvestFor: 'kitchen' | 'seed';
    readonly weightG: number | null;
    readonly markRead: boolean | null;
  } | null;
  /** What was put right or added later, the oldest first. */
  readonly putRight: readonly PutRight[];
  readonly notes: readonly Note[];
}
