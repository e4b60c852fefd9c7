/** For tests only. A reference case: an independent tool's answer, its source beside it in the file. */
export interface ReferenceCase {
  readonly id: string;
  readonly input: Readonly<Record<string, unknown>> & { readonly kind: string };
  readonly expected: Readonly<Record<string, unknown>>;
  readonly tolerance: { readonly abs?: number; readonly rel?: number };
}

/** Compares numbers within the case's tolerance, and all else exactly. */
export function agrees(
  got: unknown,
  wanted: unknown,
  { abs = 0, rel = 0 }: ReferenceCase['tolerance'],
): void {
  if (Array.isArray(wanted)) {
    expect(got).toHaveLength(wanted.length);
    wanted.forEach((each, i) => agrees((got as unknown[])[i], each, { abs, rel }));
  } else if (typeof wanted === 'number') {
    expect(Math.abs((got as number) - wanted)).toBeLessThanOrEqual(abs + rel * Math.abs(wanted));
  } else expect(got).toBe(wanted === 'Infinity' ? Infinity : wanted);
}

/** The cases of a fixture, each with its id in front. */
export const named = (cases: unknown) => (cases as ReferenceCase[]).map((each) => [each.id, each] as const);
