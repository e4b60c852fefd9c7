/** What a corn is grown as. Sweet by the gene that keeps it sweet: su, the same with its enhancer se, or sh2 (general texts, from memory). */
export const CORN_KINDS = ['dent', 'flint', 'flour', 'pop', 'sweet-su', 'sweet-se', 'sweet-sh2'] as const;
export type CornKind = (typeof CORN_KINDS)[number];

/** A corn as far as it decides on what a foreign grain does in its ears; `null` or absent: nobody said. */
export interface CornSaid {
  readonly corn?: CornKind | null;
  /** Whether its silk refuses the pollen of corn without the same barrier, as that of many popcorns does. */
  readonly barrier?: boolean | null;
}

/** What pollen of one corn does on the silk of another. */
export interface ForeignGrain {
  /** The silk refuses it. */
  readonly refused: boolean;
  /** Whether what it made can be told in that very ear (xenia), by more than colour; `null`: not known. */
  readonly shows: boolean | null;
  /** In a sentence a gardener can repeat. */
  readonly why: string;
}

const KIND_WORDS: Readonly<Record<CornKind, string>> = {
  dent: 'dent corn',
  flint: 'flint corn',
  flour: 'flour corn',
  pop: 'popcorn',
  'sweet-su': 'sweet corn (su)',
  'sweet-se': 'sweet corn (se)',
  'sweet-sh2': 'sweet corn (sh2)',
};

/**
 * What a corn is called.
 * @example cornName('pop') // 'popcorn'
 */
export const cornName = (kind: CornKind): string => KIND_WORDS[kind];

/** The gene that a sweet corn is sweet by; `null`: its kernels are starchy. An enhancer works on su and makes no starch with it. */
function sweetGene(kind: CornKind): 'su' | 'sh2' | null {
  if (kind === 'sweet-sh2') return 'sh2';
  return kind === 'sweet-su' || kind === 'sweet-se' ? 'su' : null;
}

const ANY =
  'All corn crosses with all corn, on the wind; where the two differ in colour or starch it shows in that very ear.';

/**
 * What pollen of one corn does on the silk of another: a grain's own starch and colour show in the kernel it makes (general texts on
 * corn, from memory); silk with a barrier refuses pollen without one, and not the other way about (scientific papers, from memory).
 * @example foreignGrain({ corn: 'sweet-su' }, { corn: 'dent' }).shows // true
 */
export function foreignGrain(silk: CornSaid, pollen: CornSaid): ForeignGrain {
  const [on, from] = [silk.corn ?? null, pollen.corn ?? null];
  // Popcorn may have a barrier too: only one that is said to have none, or another kind, is surely refused.
  const without = pollen.barrier === false || (pollen.barrier !== true && from !== null && from !== 'pop');
  if (silk.barrier === true && without)
    return {
      refused: true,
      shows: null,
      why: 'Silk with a pollen barrier refuses pollen of corn without one. Its own pollen is not held back by that: the other is not safe from it.',
    };
  if (on === null || from === null) return { refused: false, shows: null, why: ANY };
  const [silkGene, pollenGene] = [sweetGene(on), sweetGene(from)];
  const [a, b] = [cornName(on), cornName(from)];
  if (silkGene === null)
    return {
      refused: false,
      shows: false,
      why:
        pollenGene === null
          ? `Pollen of ${b} crosses freely with ${a}, on the wind; in that ear it shows by colour at most.`
          : `Pollen of ${b} crosses freely with ${a}; it does not show in that ear: wrinkled kernels come a generation later.`,
    };
  if (pollenGene === null)
    return {
      refused: false,
      shows: true,
      why: `Pollen of ${b} makes hard, starchy kernels among those of ${a}: it shows in that very ear.`,
    };
  if (pollenGene !== silkGene)
    return {
      refused: false,
      shows: true,
      why: 'Sweet corns of different genes make starchy kernels in each other’s ears: it shows in that very ear.',
    };
  return {
    refused: false,
    shows: false,
    why: 'Both are sweet by the same gene: they cross freely, the kernels stay sweet, and it shows by colour at most.',
  };
}
