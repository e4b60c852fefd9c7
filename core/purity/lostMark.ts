import type { FlowerId, PlantId } from '../ids';
import type { Flower, State } from '../ledger';
import { daysBetween, localDateOf, type LocalDate } from '../time';

/** What can be told of a fruit whose mark is gone; `null`: not known. */
export interface FruitSeen {
  /** The plant its vine leads to. */
  readonly plant: PlantId | null;
  readonly node: number | null;
  /** About when its flower was worked. */
  readonly workedOn: LocalDate | null;
  /** How large it is now, mm, as fruits are measured at looks. */
  readonly sizeMm: number | null;
}

const REASONS = {
  plant: 4,
  node: 4,
  'near-node': 2,
  'other-node': -2,
  day: 3,
  'near-day': 1,
  'other-day': -2,
  size: 2,
  'too-large': -2,
  'was-larger': -3,
  'mark-gone': 3,
  'mark-read': -2,
} as const;
/** What speaks for a fruit being the one, or against it; how much each counts is our guess [M]. */
export type CandidateReason = keyof typeof REASONS;

/** A fruit that it may be. */
export interface Candidate {
  readonly flower: FlowerId;
  readonly mark: string | null;
  readonly reasons: readonly CandidateReason[];
}

/** Nodes are miscounted by one or two, and days remembered so. */
const NEAR = 2;
/** A fruit doubles at most between looks, and does not shrink by more than the tape is off [M]. */
const LARGER = 2;
const SMALLER = 0.9;

/**
 * The fruits that one without a mark may be, the likeliest first: those worked, neither lost nor picked, on the plant that was named. Never
 * an answer by itself: somebody has to look, and the proof says afterwards that the fruit's identity rests on it.
 * @example markCandidates(state, { plant: null, node: null, workedOn: null, sizeMm: null }, 'UTC').length // 1
 */
export function markCandidates(
  state: Pick<State, 'flowers'>,
  seen: FruitSeen,
  zone: string,
): readonly Candidate[] {
  const found: (Candidate & { readonly weight: number })[] = [];
  for (const flower of state.flowers.values()) {
    if (flower.pollinations.length === 0 || flower.lost || flower.harvested) continue;
    if (seen.plant !== null && flower.plant !== seen.plant) continue;
    const reasons = reasonsFor(flower, seen, zone);
    const weight = reasons.reduce((sum, reason) => sum + REASONS[reason], 0);
    found.push({ flower: flower.id, mark: flower.mark, reasons, weight });
  }
  return found
    .sort((a, b) => b.weight - a.weight || (a.flower < b.flower ? -1 : 1))
    .map(({ flower, mark, reasons }) => ({ flower, mark, reasons }));
}

function reasonsFor(flower: Flower, seen: FruitSeen, zone: string): readonly CandidateReason[] {
  const reasons: CandidateReason[] = [];
  if (seen.plant !== null) reasons.push('plant');
  if (seen.node !== null && flower.node !== null) {
    const off = Math.abs(seen.node - flower.node);
    reasons.push(off === 0 ? 'node' : off <= NEAR ? 'near-node' : 'other-node');
  }
  const worked = flower.pollinations.at(-1);
  if (seen.workedOn !== null && worked) {
    const off = Math.abs(daysBetween(seen.workedOn, localDateOf(Date.parse(worked.at), zone)));
    reasons.push(off === 0 ? 'day' : off <= NEAR ? 'near-day' : 'other-day');
  }
  const measured = flower.looks.findLast(({ sizeMm }) => sizeMm !== null)?.sizeMm;
  if (seen.sizeMm !== null && measured != null)
    reasons.push(
      seen.sizeMm < measured * SMALLER
        ? 'was-larger'
        : seen.sizeMm > measured * LARGER
          ? 'too-large'
          : 'size',
    );
  if (flower.markLost) reasons.push('mark-gone');
  else if (flower.looks.at(-1)?.markRead === true) reasons.push('mark-read');
  return reasons;
}
