import type { Closure, CropId, FruitShape, Sex, Stage } from '../crops';
import type { Instant } from '../time';

/** What the trainer trains. */
export const SKILLS = ['sex', 'stage', 'shut', 'usable', 'mother-bud', 'ear-clean', 'took', 'tip'] as const;
export type Skill = (typeof SKILLS)[number];

/** One drawn flower or fruit of a question; the drawing code knows these looks. */
export interface Specimen {
  readonly crop: CropId;
  readonly sex: Sex;
  readonly appearance: Stage | 'swelling' | 'set' | 'yellowing' | 'brown-tip' | 'end-rot';
  readonly shape: FruitShape;
  readonly view: 'side' | 'inside';
  readonly closure: Closure | null;
  readonly closureState: 'whole' | 'torn' | 'holed';
  /** -1..1 within its stage. */
  readonly fullness: number;
  /** Degrees it leans, share of full size, how far a leaf lies over it, how pale or deep its colours are. */
  readonly lean: number;
  readonly grown: number;
  readonly cover: number;
  readonly coverSide: -1 | 1;
  readonly tint: number;
  /** Drops on it: it rained. */
  readonly wet: boolean;
  /** Corn of a kind with purple silks and anthers. */
  readonly purple?: boolean;
}

/** One answer to choose from. */
export interface Option {
  readonly id: string;
  readonly words: string;
}

/** A question of the trainer with what it shows. */
export interface TrainerQuestion {
  readonly skill: Skill;
  readonly crop: CropId;
  readonly text: string;
  readonly specimens: readonly Specimen[];
  /** What each specimen shows, in words that don't give the answer away. */
  readonly described: readonly string[];
  readonly options: readonly Option[];
  readonly truth: string;
  /** Why that is the answer. */
  readonly why: string;
}

interface PracticeBase {
  readonly id: string;
  readonly at: Instant;
  readonly by: string;
  readonly device: string;
}

/** One answer given to the trainer. Never part of the garden's log. */
export interface Practised extends PracticeBase {
  readonly kind: 'practised';
  readonly skill: Skill;
  readonly crop: CropId;
  readonly truth: string;
  readonly answered: string;
  readonly tookMs: number;
  /** Asked in words, without the drawing. */
  readonly inWords: boolean;
}

/** One rehearsal from evening to fruit. */
export interface Rehearsed extends PracticeBase {
  readonly kind: 'rehearsed';
  readonly crop: CropId;
  readonly seed: number;
  readonly shut: readonly string[];
  readonly fruits: number;
  readonly best: number;
}

/** What practice leaves behind. */
export type PracticeRecord = Practised | Rehearsed;
