import type { EventId } from '../ids';
import type { LocalDate } from '../time';
import type { FitReason } from './fitForSeed';
import type { GradedLink } from './gradeProof';

/** What a link says, for words: as `fitForSeed` has it, and what only the whole chain knows. */
export type LinkSays =
  | FitReason['what']
  | 'clean'
  | 'carried-over'
  | 'bees-of-yesterday'
  | 'stayed-shut'
  | 'at-once'
  | 'late'
  | 'no-mark'
  | 'read'
  | 'unreadable'
  | 'not-read'
  | 'marked-again'
  | 'moved'
  | 'father-off-type'
  | 'mother-off-type'
  | 'offspring-off'
  | 'father-odd'
  | 'two-mothers'
  | 'mark-on-two';

/** One link of a fruit's proof: how it stands, on what entries it rests, and until when it can still be made good. */
export interface ProofLink extends GradedLink {
  readonly says: LinkSays;
  readonly events: readonly EventId[];
  /** The last day on which somebody can still see to it; `null`: it is as it is. */
  readonly until: LocalDate | null;
}
