import { Fragment, useEffect, useState, type ReactNode } from 'react';

/** A part of a screen. */
export interface Part {
  readonly key: string;
  /** `false` while what it shows is still being worked out. */
  readonly ready: boolean;
  readonly node: ReactNode;
}

/** So long the parts after one that is late are held back; after that what is late comes below them. */
export const HOLD_MS = 1500;

/**
 * Parts one below the other, none of which is pushed away once it can be read: what stands after a late part waits for it a while, and
 * what comes later still goes below what is there by then. A press never lands on something else than what was aimed at.
 */
export function InOrder({ parts }: { parts: readonly Part[] }) {
  const [over, setOver] = useState(false);
  const [shown, setShown] = useState<readonly string[]>([]);
  useEffect(() => {
    const timer = setTimeout(() => setOver(true), HOLD_MS);
    return () => clearTimeout(timer);
  }, []);
  const order = orderOf(parts, shown, over);
  if (order.length > shown.length) setShown(order);
  return order.map((key) => <Fragment key={key}>{parts.find((part) => part.key === key)?.node}</Fragment>);
}

/** The parts that stand, in the order in which they came to; a part that is late holds up those after it until waiting is `over`. */
export function orderOf(
  parts: readonly Pick<Part, 'key' | 'ready'>[],
  shown: readonly string[],
  over: boolean,
): readonly string[] {
  const late = parts.findIndex(({ ready, key }) => !ready && !shown.includes(key));
  const upTo = late < 0 || over ? parts.length : late;
  const fresh = parts
    .slice(0, upTo)
    .filter(({ ready, key }) => ready && !shown.includes(key))
    .map(({ key }) => key);
  return fresh.length === 0 ? shown : [...shown, ...fresh];
}
