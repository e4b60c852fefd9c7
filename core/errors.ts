/**
 * The one error class of the core. `reason` is fixed and holds no data: the interface words it and tests match
 * it. `field` names what the person typed or the file held; `detail` is a full sentence for a person.
 */
export class TrowelError extends Error {
  readonly reason: string;
  readonly field: string | null;

  constructor(reason: string, detail: string, options: { field?: string; cause?: unknown } = {}) {
    super(detail, options.cause === undefined ? undefined : { cause: options.cause });
    this.name = 'TrowelError';
    this.reason = reason;
    this.field = options.field ?? null;
  }
}
