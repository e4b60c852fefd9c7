/** From when on a store packs, and keeps snapshots. */
export interface Limits {
  /** Loose batches past this many are packed together at the next opening. */
  readonly packAbove: number;
  /** A log shorter than this folds faster than a snapshot reads. */
  readonly snapshotAbove: number;
  /** A snapshot is written anew when so many events have come since. */
  readonly snapshotEvery: number;
  readonly sealAfterDays: number;
  /** So many flowers of bygone plants lie in one part of the snapshot. */
  readonly partSize: number;
  /** Taps that can be taken back; as many stay loose, so that this is so after a reload too. */
  readonly undoDepth: number;
}

/** Of the app; tests make do with less. */
export const LIMITS: Limits = {
  packAbove: 64,
  snapshotAbove: 5_000,
  snapshotEvery: 300,
  sealAfterDays: 60,
  partSize: 256,
  undoDepth: 20,
};
