import { handbook, ours, type Fact, type Range } from './facts';
import type { CornKind } from './cornKinds';
import { REASONS, type Crop, type CropId, type Reason, type SexSystem } from './types';

/** Species of Capsicum: they cross within, and only partly with each other. */
export const PEPPER_SPECIES = ['annuum', 'chinense', 'frutescens', 'baccatum', 'pubescens'] as const;
/** Whether a variety's fruit is picked young (courgette, green pepper) or ripe. */
export const PICKED = ['young', 'ripe'] as const;
export type Picked = (typeof PICKED)[number];

/** What was said of a variety beyond its crop; what is absent nobody said. */
export interface VarietyTraits {
  /** The species, where the crop has several (peppers). */
  readonly species?: (typeof PEPPER_SPECIES)[number];
  readonly picked?: Picked;
  /** A hybrid of the first generation: its seed does not come true. */
  readonly f1?: boolean;
  /** Watermelon whose fruit has no seed, and that needs another variety's pollen to fruit. */
  readonly seedless?: boolean;
  /** Tomato fruit of about 90 g or less, which sets in heat that stops others. */
  readonly small?: boolean;
  /** Tomato whose stigma stands out of its cone, so that insects reach it (currant and potato-leaved kinds, some beefsteaks). */
  readonly stigmaOut?: boolean;
  /** What a corn is grown as. */
  readonly corn?: CornKind;
  /** Corn whose silk refuses the pollen of corn without the same barrier. */
  readonly barrier?: boolean;
}
/** One thing that can be said of a variety. */
export type Trait = keyof VarietyTraits;

/**
 * What can be said of varieties of a crop, in the order of asking, after what was said already. Species other than peppers' follow
 * from the crop.
 */
export function traitsOf(crop: Crop, said: VarietyTraits = {}): readonly Trait[] {
  const traits: Trait[] = [];
  if (crop.id === 'pepper') traits.push('species');
  if (crop.daysToEatYoung && crop.daysToEat) traits.push('picked');
  if (crop.id === 'tomato') traits.push('small', 'stigmaOut');
  if (crop.family === 'corn') traits.push('corn');
  if (said.corn === 'pop' || said.barrier !== undefined) traits.push('barrier');
  if (crop.id === 'watermelon') traits.push('seedless');
  // Kept by runners and tubers: whether they come true from seed is no question of the variety.
  if (crop.family !== 'strawberry' && crop.id !== 'potato') traits.push('f1');
  return traits;
}

/** Days from pollination till it is eaten: by how the variety is picked, where the crop is picked both ways. */
export function daysToEatOf(crop: Crop, { picked }: VarietyTraits): Fact<Range> | null {
  const wanted = picked ?? crop.usuallyPicked?.value ?? 'ripe';
  return wanted === 'young'
    ? (crop.daysToEatYoung ?? crop.daysToEat)
    : (crop.daysToEat ?? crop.daysToEatYoung);
}

/**
 * Of a fruit that is eaten well before its seed is ripe, how long it stays on for seed; `null` where it is ripe when it is eaten.
 * @example overripeWords(cropOf('tomato'), {}) // null
 */
export function overripeWords(crop: Crop, traits: VarietyTraits): string | null {
  const [eat, seed] = [daysToEatOf(crop, traits)?.value, crop.daysToSeed?.value];
  if (!eat || !seed || eat[1] >= seed[0]) return null;
  return `For seed it stays on far past eating: ${seed[0]} to ${seed[1]} days from pollination, not ${eat[0]} to ${eat[1]}.`;
}

/**
 * Whether anything of the crop is eaten: of potatoes grown for seed nothing is, the berries are poisonous.
 * @example isEdible(cropOf('potato')) // false
 */
export function isEdible(crop: Crop): boolean {
  return crop.family === 'quiet' || crop.daysToEat !== null || crop.daysToEatYoung !== null;
}

/**
 * What a stand of the crop can be grown for by hand.
 * @example reasonsOf(cropOf('potato')) // ['seed', 'cross']
 */
export function reasonsOf(crop: Crop): readonly Reason[] {
  // A flower that selfs while it is shut is crossed by few; what it takes is no work of this app.
  if (crop.family === 'quiet') return ['seed', 'fruit'];
  // The seedlings of a large strawberry are all new kinds: it is kept by runners, and its seed is only that of a cross.
  if (crop.id === 'strawberry') return ['fruit', 'cross'];
  return REASONS.filter((reason) => (reason === 'fruit' ? isEdible(crop) : crop.daysToSeed !== null));
}

/** What follows for the grower from what a variety is, for the reason it is grown; empty where nothing does. */
export function varietyAdvice(
  crop: Crop,
  { traits, system }: { readonly traits: VarietyTraits; readonly system: SexSystem | null },
  reason: Reason,
): string[] {
  const words: string[] = [];
  const forSeed = reason === 'seed';
  if (traits.f1 && forSeed)
    words.push(
      'An F1 hybrid won’t come true, however well its flowers are shut: its seed gives all sorts. For seed that comes true grow an open-pollinated variety.',
    );
  if (traits.seedless)
    words.push(
      reason === 'fruit'
        ? 'A seedless watermelon fruits only with pollen of another variety: use the males of a seeded one.'
        : 'A seedless watermelon gives no seed, and fruits only with pollen of another variety.',
    );
  if (system === 'gynoecious' && forSeed)
    words.push('Nearly all female: for pure seed wait for its own few males; other pollen makes a cross.');
  if (system === 'parthenocarpic' && reason !== 'fruit')
    words.push(
      'It fruits without pollen: a growing fruit says nothing about seed. Set, seed unknown, till it is opened.',
    );
  if (crop.id === 'potato')
    words.push(
      'Every potato seedling is a new variety, finished as it is: what you like is kept by its tubers. Bumblebees cross some of the flowers.',
    );
  if (traits.stigmaOut && forSeed)
    words.push(
      'Its stigma stands out of the cone: about one seed in twenty is crossed where others flower near (common practice). Bag the trusses.',
    );
  if (crop.id === 'pepper' && forSeed && traits.species === undefined)
    words.push('Peppers are several species, which cross among themselves in part: say which this is.');
  return words;
}

/**
 * Whether fruit grows without pollen, so that a growing one says nothing of seed. `system` as the variety has it, if it does.
 * @example setsByItself(cropOf('cucumber'), 'parthenocarpic') // true
 */
export function setsByItself(crop: Crop, system: SexSystem | null): boolean {
  return (system ?? crop.sexSystem.value) === 'parthenocarpic';
}

/** Vines whose flowers are small on short stalks, and those whose females have long, thin stalks too (general texts, from memory). */
const STALK_DECEIVES: ReadonlySet<CropId> = new Set<CropId>([
  'melon',
  'watermelon',
  'cucumber',
  'luffa',
  'luffa-ridged',
  'bitter-gourd',
]);

/**
 * Whether a thin stalk tells a male from a female: in squash and bottle gourd; elsewhere the small fruit alone does.
 * @example stalkTells(cropOf('watermelon')) // false
 */
export function stalkTells(crop: Crop): boolean {
  return crop.family === 'cucurbit' && !STALK_DECEIVES.has(crop.id);
}

const NONE: SetLimits = { dayC: null, nightC: null, coldNightC: null, dewPointC: null, deficitKPa: null };
const SQUASH = handbook<SetLimits>({ ...NONE, dayC: 35 }, 'general texts');

/** Where the heat and cold that fruit set suffers from are read; of vines the cold is in what their anthers open at. */
export const SET_LIMITS: Readonly<Partial<Record<CropId, Fact<SetLimits>>>> = {
  tomato: handbook({ ...NONE, dayC: 32, nightC: 21, coldNightC: 13, dewPointC: 19 }, 'general texts'),
  pepper: handbook({ ...NONE, dayC: 32, coldNightC: 15 }, 'general texts'),
  aubergine: handbook({ ...NONE, dayC: 35, coldNightC: 15 }, 'general texts'),
  // Over 35 C in dry air by general texts: that is 4.2 kPa with a dew point of 12 C.
  corn: ours({ ...NONE, deficitKPa: 4.2 }, 'from 35 C in dry air, of general texts'),
  'squash-pepo': SQUASH,
  'squash-maxima': SQUASH,
  'squash-moschata': SQUASH,
  'squash-argyrosperma': SQUASH,
  cucumber: handbook({ ...NONE, dayC: 35 }, 'general texts'),
  melon: handbook({ ...NONE, dayC: 38 }, 'general texts'),
  watermelon: handbook({ ...NONE, dayC: 38 }, 'general texts'),
};

/** Past these a crop sets badly, C; `null` where nothing is known of it. */
export interface SetLimits {
  readonly dayC: number | null;
  readonly nightC: number | null;
  /** Nights below it. */
  readonly coldNightC: number | null;
  /** Dew points from it on, for days. */
  readonly dewPointC: number | null;
  /** Vapour pressure deficit of the air from which silk and pollen dry up, kPa. */
  readonly deficitKPa: number | null;
}
