/** One thing to be done at one place. */
export interface PlanStop {
  readonly id: string;
  /** collect: males are picked here; worth nothing by itself. work: a flower; look: to see whether it opened. */
  readonly kind: 'collect' | 'work' | 'look';
  /** Metres on the plan of the patch. */
  readonly xM: number;
  readonly yM: number;
  /** Whose pollen is handled: from one to another hands and brush are cleaned. `null` = none. */
  readonly pollen: string | null;
  readonly serviceS: number;
  /** Epoch ms: work begins no sooner (who is early waits) and is over by `closes`. */
  readonly opens: number;
  readonly closes: number;
  /** Worth of getting it done; 0 for collecting. */
  readonly value: number;
  /** Collecting stops that the same person must have done before. */
  readonly needs: readonly string[];
  /** Cannot be worked at all, and why: it is only listed as left out. */
  readonly blocked?: SkipReason;
}

/** Somebody who walks the round. */
export interface PlanWorker {
  readonly id: string;
  /** Where this person stands; the request's start when left out. */
  readonly at?: { readonly xM: number; readonly yM: number };
  /** 1 = as the work times say; 1.3 = three tenths slower. */
  readonly pace?: number;
  /** Pollen on the hands now. */
  readonly pollen?: string | null;
  /** Collecting already done. */
  readonly has?: readonly string[];
  /** The only pollen this person handles; left out: any. */
  readonly only?: readonly string[];
}

/** All that a plan hangs on. */
export interface PlanRequest {
  readonly start: { readonly xM: number; readonly yM: number };
  /** Epoch ms. */
  readonly startAt: number;
  readonly stops: readonly PlanStop[];
  readonly workers: readonly PlanWorker[];
  /** Hard end, epoch ms. */
  readonly deadline: number;
  readonly walkMPerS?: number;
  readonly cleaningS?: number;
  /** Routes to start from (a plan made before): what still fits is kept and mended. */
  readonly current?: readonly {
    readonly worker: string;
    readonly stops: readonly { readonly id: string }[];
  }[];
  /** Search steps; a tenth is enough to mend a plan. */
  readonly effort?: number;
  readonly seed?: number;
}

/** A stop with its times, epoch ms. */
export interface PlannedStop {
  readonly id: string;
  readonly arrive: number;
  readonly begin: number;
  readonly end: number;
}

/** What one person does, in order. */
export interface PlannedRoute {
  readonly worker: string;
  readonly stops: readonly PlannedStop[];
  readonly value: number;
  readonly finish: number;
}

/** window: it is over, or could not be reached before it shuts. pollen: its males are not to be had. time: others were worth more. */
export type SkipReason = 'window' | 'pollen' | 'time';

/** A plan of the round. */
export interface RoundPlan {
  readonly routes: readonly PlannedRoute[];
  readonly skipped: readonly { readonly id: string; readonly reason: SkipReason }[];
  /** When the last person is done, epoch ms; `startAt` when nothing is planned. */
  readonly finish: number;
  readonly value: number;
}
