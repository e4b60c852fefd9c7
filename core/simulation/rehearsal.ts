import { cropOf, type CropId, type FruitShape, type Sex, type Stage } from '../crops';
import { hashText, seededRandom, type Random } from '../random';

// A patch for rehearsing on. Every number here is invented; nothing is shared with the forecast's tables.

/** A flower of the rehearsal, with what is true of it. */
export interface RehearsalFlower {
  readonly id: string;
  readonly plant: number;
  readonly node: number;
  readonly sex: Sex;
  /** What it looks like this evening. */
  readonly stage: Stage;
  /** -1..1 within its stage. */
  readonly fullness: number;
}

/** What becomes of a flower, decided before the evening and seen only afterwards. */
interface Truth {
  /** Days from this evening; 1 = opens at tomorrow's dawn. */
  readonly opensIn: number;
  readonly tears: boolean;
  /** Below the chance of setting means that it sets. */
  readonly luck: number;
}

/** A made-up evening and the dawn after it. */
export interface Rehearsal {
  readonly seed: number;
  readonly crop: CropId;
  readonly shape: FruitShape;
  readonly plants: number;
  /** Strips of tape on the roll. */
  readonly tape: number;
  readonly flowers: readonly RehearsalFlower[];
  readonly truths: Readonly<Record<string, Truth>>;
}

/** How a flower stands next morning, after what was decided. */
export type Dawn =
  'shut-and-open' | 'shut-and-torn' | 'shut-not-open' | 'open-unshut' | 'still-a-bud' | 'over';
/** What became of a female. */
export type FruitFate = 'pure' | 'dropped' | 'no-pollen';

/** What became of a flower of the rehearsal. */
export interface FlowerResult {
  readonly flower: RehearsalFlower;
  readonly dawn: Dawn;
  /** Only of females that were shut and open at dawn. */
  readonly fruit: FruitFate | null;
  /** Males it was given. */
  readonly males: readonly string[];
}

/** What the decisions brought. */
export interface RehearsalResult {
  readonly flowers: readonly FlowerResult[];
  readonly fruits: number;
  readonly tapeUsed: number;
}

/** Chance to set with one male and with two or more. */
const SET = [0, 0.62, 0.84] as const;
const MOST_MALES = 2;

/** A patch of a few plants on some evening in flower: the same seed, the same patch. */
export function rehearsalOf(seed: number, cropId: CropId): Rehearsal {
  const crop = cropOf(cropId);
  const random = seededRandom(hashText(`rehearsal/${seed}/${cropId}`));
  const plants = 4;
  const flowers: RehearsalFlower[] = [];
  const truths: Record<string, Truth> = {};
  for (let plant = 1; plant <= plants; plant++) {
    let node = 6 + Math.floor(random() * 4);
    const count = 5 + Math.floor(random() * 3);
    for (let i = 0; i < count; i++) {
      node += 1 + Math.floor(random() * 2);
      const sex: Sex = random() < 0.38 ? 'female' : 'male';
      const id = `${plant}-${node}`;
      const age = random();
      const stage: Stage =
        age < 0.1 ? 'pin' : age < 0.36 ? 'green' : age < 0.86 ? 'coloured' : age < 0.94 ? 'open' : 'spent';
      const fullness = Math.round((random() * 2 - 1) * 100) / 100;
      flowers.push({ id, plant, node, sex, stage, fullness });
      truths[id] = { opensIn: opensIn(stage, fullness, random), tears: random() < 0.1, luck: random() };
    }
  }
  const ready = flowers.filter(({ stage }) => stage === 'coloured').length;
  return {
    seed,
    crop: cropId,
    shape: crop.usualShape,
    plants,
    // Fewer strips than flowers that could use one: the choice is the exercise.
    tape: Math.max(4, Math.round(ready * 0.62)),
    flowers,
    truths,
  };
}

/** A full coloured bud opens tomorrow, a barely coloured one now and then a day later; a full green one may hurry. */
function opensIn(stage: Stage, fullness: number, random: Random): number {
  const slow = random();
  switch (stage) {
    case 'coloured':
      return slow < (fullness < -0.5 ? 0.3 : 0.06) ? 2 : 1;
    case 'green':
      return fullness > 0.6 && slow < 0.25 ? 1 : slow > 0.85 ? 3 : 2;
    case 'pin':
      return slow < 0.5 ? 3 : 4;
    case 'open':
      return 0;
    case 'spent':
      return -1;
  }
}

const opensTomorrow = ({ truths }: Rehearsal, id: string) => truths[id]?.opensIn === 1;
const usable = (rehearsal: Rehearsal, id: string) =>
  opensTomorrow(rehearsal, id) && !rehearsal.truths[id]?.tears;

/**
 * What comes of shutting these flowers: females that were shut, opened whole and got males of other plants, worked
 * plant by plant as one walks. Ids that are not in the patch are passed over, and tape beyond the roll is not used.
 */
export function playOut(rehearsal: Rehearsal, shut: readonly string[]): RehearsalResult {
  const known = new Set(rehearsal.flowers.map(({ id }) => id));
  const taken = new Set([...new Set(shut)].filter((id) => known.has(id)).slice(0, rehearsal.tape));
  const good = rehearsal.flowers.filter(({ id }) => taken.has(id) && usable(rehearsal, id));
  const given = giveMales(
    good.filter(({ sex }) => sex === 'female'),
    good.filter(({ sex }) => sex === 'male'),
  );
  let fruits = 0;
  const flowers = rehearsal.flowers.map((flower): FlowerResult => {
    const { opensIn: day, luck } = rehearsal.truths[flower.id] as Truth;
    const males = given.get(flower.id) ?? [];
    const dawn = dawnOf(taken.has(flower.id), day, rehearsal.truths[flower.id]?.tears ?? false);
    if (flower.sex !== 'female' || dawn !== 'shut-and-open') return { flower, dawn, fruit: null, males: [] };
    const sets = luck < (SET[Math.min(MOST_MALES, males.length)] ?? 0);
    if (sets) fruits++;
    return { flower, dawn, fruit: males.length === 0 ? 'no-pollen' : sets ? 'pure' : 'dropped', males };
  });
  return { flowers, fruits, tapeUsed: taken.size };
}

function dawnOf(shut: boolean, opens: number, tears: boolean): Dawn {
  if (opens <= 0) return 'over';
  if (opens > 1) return shut ? 'shut-not-open' : 'still-a-bud';
  if (!shut) return 'open-unshut';
  return tears ? 'shut-and-torn' : 'shut-and-open';
}

/**
 * Males to females, never of the same plant: first one each to as many females as can have one (augmenting paths),
 * then a second each while they last.
 */
function giveMales(
  females: readonly RehearsalFlower[],
  males: readonly RehearsalFlower[],
): ReadonlyMap<string, readonly string[]> {
  const holder = new Map<string, RehearsalFlower>();
  const seek = (female: RehearsalFlower, tried: Set<string>): boolean =>
    males.some((male) => {
      if (male.plant === female.plant || tried.has(male.id)) return false;
      tried.add(male.id);
      const before = holder.get(male.id);
      if (before && !seek(before, tried)) return false;
      holder.set(male.id, female);
      return true;
    });
  for (let round = 0; round < MOST_MALES; round++) for (const female of females) seek(female, new Set());
  const given = new Map<string, string[]>();
  for (const [male, female] of holder) given.set(female.id, [...(given.get(female.id) ?? []), male]);
  return given;
}

/**
 * The most pure fruits that anybody could have had who knew what opens, what tears and what sets, and gave each female
 * just the males she needs; with the flowers to shut. Exact: every set of females is tried.
 */
export function perfectForesight(rehearsal: Rehearsal): {
  readonly fruits: number;
  readonly shut: readonly string[];
} {
  const good = rehearsal.flowers.filter(({ id }) => usable(rehearsal, id));
  const males = good.filter(({ sex }) => sex === 'male');
  const females = good.filter(
    ({ sex, id }) => sex === 'female' && (rehearsal.truths[id]?.luck ?? 1) < SET[2],
  );
  let best = { fruits: 0, shut: [] as string[] };
  for (let set = 1; set < 1 << females.length; set++) {
    const chosen = females.filter((_, i) => set & (1 << i));
    if (chosen.length <= best.fruits) continue;
    const needs = chosen.map(({ id }) => ((rehearsal.truths[id]?.luck ?? 1) < SET[1] ? 1 : 2));
    const tape = chosen.length + needs.reduce((a, b) => a + b, 0);
    if (tape > rehearsal.tape) continue;
    const fathers = malesFor(chosen, needs, males);
    if (fathers) best = { fruits: chosen.length, shut: [...chosen.map(({ id }) => id), ...fathers] };
  }
  return best;
}

/** Males that meet every need from other plants, or `null`. */
function malesFor(
  females: readonly RehearsalFlower[],
  needs: readonly number[],
  males: readonly RehearsalFlower[],
): string[] | null {
  const holder = new Map<string, number>();
  const wants = females.flatMap((female, i) => Array.from({ length: needs[i] ?? 0 }, () => female));
  const seek = (want: number, tried: Set<string>): boolean =>
    males.some(({ id, plant }) => {
      if (plant === wants[want]?.plant || tried.has(id)) return false;
      tried.add(id);
      const before = holder.get(id);
      if (before !== undefined && !seek(before, tried)) return false;
      holder.set(id, want);
      return true;
    });
  return wants.every((_, want) => seek(want, new Set())) ? [...holder.keys()] : null;
}

/** A decision that cost something, and how much. */
export interface Mistake {
  readonly words: string;
  /** Pure fruits that deciding otherwise here would have brought. */
  readonly fruits: number;
  /** Strips of tape that brought nothing. */
  readonly strips: number;
}

/**
 * The costliest decisions, each told by what changing it alone (or swapping one strip from where it was wasted) would
 * have brought; then the strips wasted. At most `most`.
 */
export function costliest(rehearsal: Rehearsal, shut: readonly string[], most = 3): Mistake[] {
  const played = playOut(rehearsal, shut);
  const inForce = [...new Set(shut)].slice(0, rehearsal.tape);
  const wasted = played.flowers.filter(({ dawn, fruit, flower }) => {
    if (!inForce.includes(flower.id)) return false;
    const idle = flower.sex === 'male' && !played.flowers.some(({ males }) => males.includes(flower.id));
    return dawn !== 'shut-and-open' || fruit === 'no-pollen' || idle;
  });
  const mistakes: Mistake[] = [];
  for (const { flower, dawn } of played.flowers) {
    if (inForce.includes(flower.id) || dawn !== 'open-unshut') continue;
    const tries = [
      ...(inForce.length < rehearsal.tape ? [[...inForce, flower.id]] : []),
      ...wasted.map((each) => [...inForce.filter((id) => id !== each.flower.id), flower.id]),
    ];
    const gain = Math.max(0, ...tries.map((other) => playOut(rehearsal, other).fruits - played.fruits));
    if (gain === 0) continue;
    const what = flower.sex === 'female' ? 'a female' : 'a male';
    mistakes.push({
      words: `${place(flower)}: ${what}, full and coloured, left unshut. It opened, and the bees were in it before you.`,
      fruits: gain,
      strips: 0,
    });
  }
  for (const { flower, dawn, fruit } of wasted)
    mistakes.push({ words: `${place(flower)}: ${wasteWords(flower, dawn, fruit)}`, fruits: 0, strips: 1 });
  const rank = (mistake: Mistake) => -mistake.fruits * 10 - mistake.strips;
  return mistakes.sort((a, b) => rank(a) - rank(b)).slice(0, most);
}

const place = ({ plant, node }: RehearsalFlower) => `Plant ${plant}, node ${node}`;

function wasteWords({ sex, stage }: RehearsalFlower, dawn: Dawn, fruit: FruitFate | null): string {
  if (dawn === 'over')
    return stage === 'open'
      ? 'already open in the evening; bees had been in it. A strip for nothing.'
      : 'wilted already. A strip for nothing.';
  if (dawn === 'shut-not-open')
    return stage === 'coloured'
      ? 'only just coloured, and a day late. It can wait until tomorrow, and so can its strip.'
      : `still ${stage}: it opens later. The strip was not needed yet.`;
  if (dawn === 'shut-and-torn') return 'the tape tore at dawn. Bad luck: nobody could have known.';
  if (fruit === 'no-pollen') return 'a good female, and no male of another plant left for her.';
  return sex === 'male' ? 'a male more than was needed.' : 'shut, and nothing came of it.';
}
