// Invented, like all of this world; none of it stands in the grader's numbers. For benches and tests only.

/** How people are. careful: early, looks at everything, writes it. hasty: late, leaves things out. forgetful: does it well and writes little. */
export const GROWERS = ['careful', 'hasty', 'forgetful'] as const;
export type Grower = (typeof GROWERS)[number];
/** What they grow: squash shut and worked, corn under bags, tomatoes in their bags. */
export const GROWN = ['squash', 'corn', 'tomato'] as const;
export type Grown = (typeof GROWN)[number];

/** Chances, each for one flower. */
export interface Habit {
  /** Covers it only in the morning. */
  readonly late: number;
  /** Looks at a closure when its turn comes, and again later on. */
  readonly looks: number;
  /** Writes how it went with hands and bees. */
  readonly tells: number;
  readonly leavesOpen: number;
  readonly dirty: number;
  /** Marks it days later. */
  readonly marksLate: number;
  readonly readsMark: number;
  /** Adds weeks later what was not written. */
  readonly fromMemory: number;
}
/** Of each kind of person. */
export const HABITS: Readonly<Record<Grower, Habit>> = {
  careful: {
    late: 0.01,
    looks: 0.98,
    tells: 0.98,
    leavesOpen: 0.005,
    dirty: 0.004,
    marksLate: 0.01,
    readsMark: 0.99,
    fromMemory: 0.5,
  },
  hasty: {
    late: 0.2,
    looks: 0.6,
    tells: 0.5,
    leavesOpen: 0.12,
    dirty: 0.06,
    marksLate: 0.25,
    readsMark: 0.7,
    fromMemory: 0,
  },
  forgetful: {
    late: 0.04,
    looks: 0.9,
    tells: 0.25,
    leavesOpen: 0.02,
    dirty: 0.015,
    marksLate: 0.1,
    readsMark: 0.75,
    fromMemory: 0.6,
  },
};
