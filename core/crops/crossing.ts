import { NEIGHBOUR_IDS, neighbourCrops } from './neighbours';
import { cropOf } from './catalogue';
import { foreignGrain, type CornSaid } from './cornKinds';
import type { VarietyTraits } from './traits';
import { CROP_IDS, type CropId } from './types';

/** A crop of the patch or of a neighbour, and what of its variety decides on who crosses it. */
export interface CrossingKind extends CornSaid {
  readonly crop: CropId | (typeof NEIGHBOUR_IDS)[number];
  /** Where the crop has several (peppers). */
  readonly species?: string | null;
  /** Its stigma stands out of the cone (tomato). */
  readonly stigmaOut?: boolean;
}

/** What of a variety decides on who crosses it. */
export function kindOf({
  crop,
  traits: { species, corn, barrier, stigmaOut },
}: {
  readonly crop: CropId;
  readonly traits: VarietyTraits;
}): CrossingKind {
  return {
    crop,
    species: species ?? null,
    corn: corn ?? null,
    barrier: barrier ?? null,
    stigmaOut: stigmaOut ?? false,
  };
}

/** freely: as varieties of one species do. rarely: seed forms now and then, or in part. never: whatever lands does nothing. */
export interface Crossing {
  readonly verdict: 'freely' | 'rarely' | 'never';
  /**
   * Whether they are kept apart for it. What crosses rarely stands side by side in practice; only what crosses now and then, or in part,
   * counts (common practice).
   */
  readonly counts: boolean;
  /** In a sentence a gardener can repeat. */
  readonly why: string;
}

type Pair = readonly [string, string];
const isPair = ([a, b]: Pair, x: string, y: string) => (a === x && b === y) || (a === y && b === x);

/** Different species that cross now and then, which counts, or rarely, which does not (general texts, from memory). */
const RARELY: readonly (readonly [Pair, Pick<Crossing, 'counts' | 'why'>])[] = [
  [
    ['squash-argyrosperma', 'squash-moschata'],
    { counts: true, why: 'Cushaws and butternut kinds are two species that cross now and then.' },
  ],
  [
    ['squash-pepo', 'squash-moschata'],
    { counts: false, why: 'Pepo and moschata squash are two species: a cross is rare.' },
  ],
  [
    ['squash-maxima', 'squash-moschata'],
    { counts: false, why: 'Maxima and moschata squash are two species: a cross is rare.' },
  ],
  [
    ['squash-pepo', 'squash-argyrosperma'],
    { counts: false, why: 'Pepo and cushaw squash are two species: a cross is rare.' },
  ],
  [
    ['luffa', 'luffa-ridged'],
    {
      counts: false,
      why: 'Smooth and ridged luffa are two species, open at different hours: a cross is rare.',
    },
  ],
  [
    ['bean', 'runner-bean'],
    { counts: false, why: 'Common and runner beans are two species: a cross is rare.' },
  ],
  [
    ['cabbage-kinds', 'swede-kinds'],
    { counts: false, why: 'Cabbages and swedes are two species: a cross is rare.' },
  ],
  [
    ['turnip-kinds', 'swede-kinds'],
    { counts: true, why: 'Turnips and swedes are two species that cross now and then.' },
  ],
];

/** Different species that cross freely all the same (general texts, from memory). */
const FREELY: readonly (readonly [Pair, string])[] = [
  [
    ['watermelon', 'citron'],
    'Watermelons and citron melons cross freely; the hard flesh comes out in the seedlings.',
  ],
];

/** Peppers that cross with each other in part, and the one that rarely does with them. */
const PARTLY: ReadonlySet<string> = new Set(['annuum', 'chinense', 'frutescens']);
const APART = 'baccatum';

/** Pairs that people fear for, and what puts their mind at rest. */
const FEARED: readonly (readonly [Pair, string])[] = [
  [
    ['cucumber', 'melon'],
    'Cucumbers and melons never cross, however close they stand; a snake melon is a melon, whatever its name.',
  ],
  [['melon', 'watermelon'], 'Melons and watermelons never cross: they are of different kinds.'],
  [['cucumber', 'watermelon'], 'Cucumbers and watermelons never cross.'],
  [['squash-pepo', 'squash-maxima'], 'Pepo and maxima squash practically never cross.'],
  [['pepper', 'tomato'], 'Peppers and tomatoes never cross.'],
  [['potato', 'tomato'], 'Potatoes and tomatoes never cross.'],
  [['pepper', 'aubergine'], 'Peppers and aubergines never cross.'],
  [['strawberry', 'alpine-strawberry'], 'Garden and alpine strawberries are two species, and do not cross.'],
];

/**
 * Whether a kind is one that the patch can grow, and not of neighbours alone.
 * @example isOwnCrop('chard') // false
 */
export function isOwnCrop(id: string): id is CropId {
  return (CROP_IDS as readonly string[]).includes(id);
}

/**
 * What a crop of the patch or of a neighbour is called, many of it.
 * @example kindName('squash-maxima') // 'maxima squash'
 */
export function kindName(id: CrossingKind['crop']): string {
  return isOwnCrop(id) ? cropOf(id).plural : (neighbourCrops.find((each) => each.id === id)?.name ?? id);
}

/**
 * What puts the mind at rest about two kinds that people fear to plant side by side; `null` where nobody fears it, or with reason.
 * @example notToFear('melon', 'cucumber') === null // false
 */
export function notToFear(a: CrossingKind['crop'], b: CrossingKind['crop']): string | null {
  return FEARED.find(([pair]) => isPair(pair, a, b))?.[1] ?? null;
}

const speciesOf = (id: CrossingKind['crop']) =>
  isOwnCrop(id) ? cropOf(id).botanical : (neighbourCrops.find((each) => each.id === id)?.botanical ?? id);

/**
 * Whether pollen of the second kind crosses with the first, and why in a sentence: by species, not by kitchen name. The same the other
 * way about, but for corn with a pollen barrier. Where the species of a pepper is not said it counts as any. General texts, from memory.
 *
 * @example crossing({ crop: 'cucumber' }, { crop: 'melon' }).verdict // 'never'
 */
export function crossing(a: CrossingKind, b: CrossingKind): Crossing {
  if (a.crop === b.crop) return withinCrop(a, b);
  const rare = RARELY.find(([pair]) => isPair(pair, a.crop, b.crop));
  if (rare) return { verdict: 'rarely', ...rare[1] };
  const free = FREELY.find(([pair]) => isPair(pair, a.crop, b.crop));
  if (free) return { verdict: 'freely', counts: true, why: free[1] };
  const feared = notToFear(a.crop, b.crop);
  if (feared !== null) return { verdict: 'never', counts: false, why: feared };
  // Beet and chard bear two names and are one species.
  if (speciesOf(a.crop) === speciesOf(b.crop))
    return {
      verdict: 'freely',
      counts: true,
      why: `${capital(kindName(a.crop))} and ${kindName(b.crop)} are one species (${speciesOf(a.crop)}).`,
    };
  return {
    verdict: 'never',
    counts: false,
    why: `${capital(kindName(a.crop))} and ${kindName(b.crop)} are different species, and never cross.`,
  };
}

function withinCrop(a: CrossingKind, b: CrossingKind): Crossing {
  const name = kindName(a.crop);
  if (a.crop === 'corn') {
    const { refused, why } = foreignGrain(a, b);
    return refused ? { verdict: 'rarely', counts: false, why } : { verdict: 'freely', counts: true, why };
  }
  const [one, other] = [a.species ?? null, b.species ?? null];
  if (a.crop === 'pepper' && one !== null && other !== null && one !== other) return twoPeppers(one, other);
  if (a.crop === 'melon')
    return {
      verdict: 'freely',
      counts: true,
      why: 'All melons cross with each other: muskmelon, honeydew and snake melon are one species.',
    };
  if (a.crop === 'watermelon')
    return {
      verdict: 'freely',
      counts: true,
      why: 'All watermelons cross with each other, and with citron melons, whose hard flesh comes out in the seedlings.',
    };
  if (a.crop === 'squash-pepo')
    return {
      verdict: 'freely',
      counts: true,
      why: 'Courgettes, marrows, pumpkins and ornamental gourds of this species cross freely; seed from gourd pollen can grow bitter, poisonous fruit.',
    };
  return {
    verdict: 'freely',
    counts: true,
    why: `${capital(name)} of all varieties are one species and cross freely.`,
  };
}

function twoPeppers(one: string, other: string): Crossing {
  const two = `Capsicum ${one} and ${other} are two species that`;
  if (PARTLY.has(one) && PARTLY.has(other))
    return { verdict: 'rarely', counts: true, why: `${two} cross in part.` };
  const rarely = [one, other].includes(APART) && (PARTLY.has(one) || PARTLY.has(other));
  return rarely
    ? { verdict: 'rarely', counts: false, why: `${two} rarely cross.` }
    : { verdict: 'never', counts: false, why: `${two} hardly ever cross.` };
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
