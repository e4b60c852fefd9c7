import { studentDensity } from '../distributions';
import type { Entry, Key } from './types';

/** An ovary once measured on this variety, and whether the flower opened the next day. */
export interface Measured {
  readonly ovaryMm: number;
  readonly openedNextDay: boolean;
}

/** Fewer than this say nothing yet [M]. */
export const ENOUGH = 4;
/** However far apart the lengths lie, a ruler shifts the odds no more than this [M]. */
const MOST_ODDS = 8;

/** What the grower's own ovaries say about one of a given length, mm. */
export interface OvaryReading {
  /** Lengths of those that opened next day. */
  readonly opened: { readonly least: number; readonly most: number; readonly count: number } | null;
  /** Odds that it opens tomorrow against that it does not, from the length alone; `null` while too few are known. */
  readonly odds: number | null;
}

/** Density of the next length given those seen (normal, mean and spread unknown: a Student t). */
function predictive(lengths: readonly number[], value: number): number {
  const n = lengths.length;
  const mean = lengths.reduce((a, b) => a + b, 0) / n;
  const variance = lengths.reduce((sum, length) => sum + (length - mean) ** 2, 0) / (n - 1);
  // A ruler in the evening is good to a millimetre or so: no spread is narrower.
  const scale = Math.sqrt(Math.max(variance, 1) * (1 + 1 / n));
  return studentDensity((value - mean) / scale, n - 1) / scale;
}

/**
 * Compares a measured ovary with the lengths recorded on the same variety.
 * @example readOvary(30, []).odds // null
 */
export function readOvary(ovaryMm: number, known: readonly Measured[]): OvaryReading {
  const opened = known.filter(({ openedNextDay }) => openedNextDay).map((each) => each.ovaryMm);
  const later = known.filter(({ openedNextDay }) => !openedNextDay).map((each) => each.ovaryMm);
  const odds =
    opened.length >= ENOUGH && later.length >= ENOUGH
      ? Math.min(MOST_ODDS, Math.max(1 / MOST_ODDS, predictive(opened, ovaryMm) / predictive(later, ovaryMm)))
      : null;
  return {
    opened:
      opened.length === 0
        ? null
        : { least: Math.min(...opened), most: Math.max(...opened), count: opened.length },
    odds,
  };
}

/** What the length says of each entry of a key: for females that open tomorrow against younger ones. */
export function ovaryEvidence(key: Key, { odds }: OvaryReading): Readonly<Record<string, number>> {
  if (odds === null) return {};
  const weight = (entry: Entry) =>
    entry.sex !== 'female' || entry.stage === 'open' || entry.stage === 'spent'
      ? 1
      : entry.stage === 'coloured'
        ? Math.sqrt(odds)
        : 1 / Math.sqrt(odds);
  return Object.fromEntries(key.entries.map((entry) => [entry.id, weight(entry)]));
}
