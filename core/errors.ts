/** Why something was refused: fixed words that hold no data. Where a number or text is wrong it is the name of its field. */
export type TrowelReason =
  // of the ledger
  | 'invalid'
  | 'sealed'
  | 'not-here'
  // places and times
  | 'latitude'
  | 'longitude'
  | 'coordinates'
  | 'distanceM'
  | 'plants'
  | 'date'
  | 'zone'
  | 'timeZone'
  | 'start'
  | 'lastDay'
  | 'stamp'
  | 'minutes'
  | 'uid'
  // air and warmth
  | 'temperatureC'
  | 'dewPointC'
  | 'relativeHumidityPct'
  | 'directions'
  | 'minC'
  | 'maxC'
  | 'baseC'
  | 'maxOffTypeShare'
  | 'capC'
  // planning
  | 'cost'
  | 'capacity'
  | 'need'
  | 'travel'
  | 'workers'
  | 'stops'
  | 'startAt'
  | 'deadline'
  | 'wants'
  | 'value'
  | 'femalesPerMale'
  // statistics
  | 'trials'
  | 'counts'
  | 'time'
  | 'successes'
  | 'confidence'
  | 'groups'
  | 'k'
  | 'n'
  | 'fruitsWanted'
  | 'alpha'
  | 'beta'
  | 'assurance'
  | 'rows'
  | 'covariates'
  | 'cluster'
  // lineage
  | 'duplicate'
  | 'cycle'
  | 'unknown'
  | 'males'
  | 'females'
  | 'gametes'
  | 'seedsPerPlant'
  | 'sizes'
  | 'alleleFrequency'
  | 'inbreeding'
  | 'filial'
  | 'genes'
  | 'share'
  | 'backcrosses';

/**
 * The one error class of the core. `reason` is what the interface words and tests match. `field` names what the person typed or
 * the file held; `detail` is a full sentence.
 */
export class TrowelError extends Error {
  readonly reason: TrowelReason;
  readonly field: string | null;

  constructor(reason: TrowelReason, detail: string, options: { field?: string; cause?: unknown } = {}) {
    super(detail, options.cause === undefined ? undefined : { cause: options.cause });
    this.name = 'TrowelError';
    this.reason = reason;
    this.field = options.field ?? null;
  }
}

/**
 * A caller's mistake in one sentence: who was asked, which field, the rule, and what came.
 *
 * @example
 *   mustBe('pollinationsNeeded', 'fruitsWanted', 'a whole number, 0 or more', -1).message;
 *   // pollinationsNeeded: fruitsWanted must be a whole number, 0 or more; got -1
 */
export function mustBe(asked: string, field: TrowelReason, rule: string, got: unknown): TrowelError {
  return new TrowelError(field, `${asked}: ${field} must be ${rule}; got ${String(got)}`, { field });
}
