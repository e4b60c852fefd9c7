/** Fruits that are still wanted, what is known of the share that sets, and the flowers that can be worked until each look. */
export interface MorningsQuestion {
  /** Fruits still missing; those that wait are not counted. */
  readonly missing: number;
  /** Flowers worked whose end nobody knows yet. */
  readonly waiting: number;
  /** The set rate as a beta distribution. */
  readonly alpha: number;
  readonly beta: number;
  /** The flowers that can be worked before each look, on average: of tonight's first, of the last useful mornings last. */
  readonly supplies: readonly number[];
  /** How sure to be, between 0 and 1. */
  readonly assurance: number;
  /** No more new flowers than this before the first look: what would do without another look. */
  readonly most: number;
}

/** How many flowers to work before the first look, and what that is good for. */
export interface MorningsPlan {
  /** New flowers, over and above those that wait. */
  readonly flowers: number;
  /** The chance that enough sets in the end if this plan is followed, look after look. */
  readonly chance: number;
  /** Flowers worked over all mornings, on average. */
  readonly expected: number;
  /** The chance for each number of new flowers before the first look, from none on; later mornings as the plan has them. */
  readonly chances: readonly number[];
  /** What missing the goal was priced at, in flowers; `Infinity` where nothing makes it as sure as was asked for. */
  readonly price: number;
}

/** A fruit that nobody wants burdens its plant: in flowers worked [M]. */
const SURPLUS = 1;
/** No more flowers than this for one fruit before one look: past that the rate, not the number, is the trouble. */
const MOST_EACH = 20;
/** How far openings scatter beyond chance: the shape of the gamma that their mean is drawn from [M]. */
const SUPPLY_SHAPE = 6;
/** More fruits than this are reckoned with in bunches that set or fail together: that is more careful than the truth. */
const MOST_FRUITS = 10;
/** Past this price the goal counts for all and the flowers for nothing. */
const MOST_PRICE = 5000;
const FIRST_PRICE = 8;
const TIE = 1e-12;
const STEPS = 3;

/** A question with the chances of each number of flowers before each look, in bunches that set or fail together. */
export interface PricedQuestion {
  readonly missing: number;
  readonly waiting: number;
  readonly alpha: number;
  readonly beta: number;
  /** Flowers in a bunch; all counts here are bunches. */
  readonly size: number;
  /** For each look: the chance that so many flowers can be worked before it; the last entry holds all beyond. */
  readonly supplies: readonly Float64Array[];
  /** So many are thought of before the first look though hardly that many can be had: more may stand in colour tonight than was foreseen. */
  readonly most?: number;
}

/** What stands at a look: the value to be kept low (flowers, surplus fruit and the price of missing), the chance that the goal is reached, the flowers still worked. */
export interface Standing {
  readonly value: number;
  readonly chance: number;
  readonly flowers: number;
}

const DONE: Standing = { value: 0, chance: 1, flowers: 0 };

/** A sum of its numbers alone, so that nothing makes it stale; the same goal is asked about in several places of one answer. */
const KNOWN = new Map<string, MorningsPlan>();
const MOST_KNOWN = 500;

/**
 * A plan over the mornings left: how many flowers to work now, knowing that what they bring is seen before more are worked. Least
 * expected flowers and surplus fruit whose chance of reaching the goal is what was asked for: missing it has a price, the lowest at
 * which that chance is reached (backward induction over looks; the share that sets is learnt from each). Exact for the looks given and up
 * to 10 fruits; beyond, flowers go in bunches, so that the chance is no lower than said. It never
 * asks for more than `most`.
 * @example morningsPlan({ missing: 1, waiting: 0, alpha: 5e5, beta: 5e5, supplies: [40, 40], assurance: 0.7, most: 9 }).flowers // 1
 */
export function morningsPlan(question: MorningsQuestion): MorningsPlan {
  const { missing, waiting, alpha, beta, supplies, assurance, most } = question;
  const key = [missing, waiting, alpha, beta, assurance, most, ...supplies].join();
  const known = KNOWN.get(key) ?? workedOut(question);
  if (KNOWN.size >= MOST_KNOWN) KNOWN.clear();
  KNOWN.set(key, known);
  return known;
}

function workedOut(question: MorningsQuestion): MorningsPlan {
  const { missing, assurance, most } = question;
  if (missing <= 0) return { flowers: 0, chance: 1, expected: 0, chances: [1], price: 0 };
  const bunched = inBunches(question);
  // Dear prices are dear to reckon with: the price is raised until it makes the goal sure enough, unless nothing can.
  const all = question.supplies.reduce((sum, mean) => sum + mean, 0) / bunched.size;
  const inOne = { ...bunched, supplies: [supplyOf(all, bunched.supplies.length * (bunched.most + 1))] };
  let [low, high] = [0, planAtPrice(inOne, MOST_PRICE).best.chance < assurance ? MOST_PRICE : FIRST_PRICE];
  let found = planAtPrice(bunched, high);
  while (found.best.chance < assurance) {
    if (high >= MOST_PRICE) return planFrom(found, bunched, most, Infinity);
    [low, high] = [high, Math.min(MOST_PRICE, high * 4)];
    found = planAtPrice(bunched, high);
  }
  for (let step = 0; step < STEPS; step++) {
    const middle = low === 0 ? high / 2 : Math.sqrt(low * high);
    const tried = planAtPrice(bunched, middle);
    if (tried.best.chance >= assurance) [high, found] = [middle, tried];
    else low = middle;
  }
  return planFrom(found, bunched, most, high);
}

function planFrom(
  { best, aim, each }: FirstLook,
  { size }: PricedQuestion,
  most: number,
  price: number,
): MorningsPlan {
  return {
    flowers: Math.min(aim * size, most),
    chance: best.chance,
    expected: best.flowers * size,
    chances: each.flatMap(({ chance }) => Array.from({ length: size }, () => chance)),
    price,
  };
}

/** With the most bunches that are reckoned with before one look. */
function inBunches({
  missing,
  waiting,
  alpha,
  beta,
  supplies,
  most,
}: MorningsQuestion): Required<PricedQuestion> {
  const size = Math.max(1, Math.ceil(missing / MOST_FRUITS));
  const few = Math.ceil(Math.min(most, MOST_EACH * missing) / size) + 1;
  return {
    missing: Math.ceil(missing / size),
    waiting: Math.floor(waiting / size),
    alpha,
    beta,
    size,
    supplies: supplies.map((mean) => supplyOf(mean / size, few)),
    most: few,
  };
}

/** The chances of 0, 1, 2 ... flowers where so many open on average: Poisson, of a mean that is itself gamma; up to `most`. */
function supplyOf(mean: number, most: number): Float64Array {
  const chances: number[] = [];
  let left = 1;
  // Negative binomial: the ratio of neighbours.
  let term = Math.pow(SUPPLY_SHAPE / (SUPPLY_SHAPE + mean), SUPPLY_SHAPE);
  for (let k = 0; k < most && left > 1e-4; k++) {
    chances.push(term);
    left -= term;
    term *= ((SUPPLY_SHAPE + k) / (k + 1)) * (mean / (SUPPLY_SHAPE + mean));
  }
  chances.push(Math.max(0, left));
  return Float64Array.from(chances);
}

/** What can be done before the first look. */
export interface FirstLook {
  /** By the flowers that can be had. */
  readonly best: Standing;
  /** New flowers, were there any number of them. */
  readonly aim: number;
  readonly each: readonly Standing[];
}

/** Tables of one look, by what is missing and by how many have failed. */
interface Table {
  readonly failures: number;
  readonly value: Float64Array;
  readonly chance: Float64Array;
  readonly flowers: Float64Array;
}

/**
 * The best there is where missing the goal costs so many flowers: backward induction over the looks.
 * @example planAtPrice({ missing: 1, waiting: 0, alpha: 1, beta: 1, size: 1, supplies: [Float64Array.of(0, 1)] }, 10).aim // 1
 */
export function planAtPrice(question: PricedQuestion, price: number): FirstLook {
  const { missing, waiting, supplies } = question;
  let later: Table | null = null;
  for (let look = supplies.length - 1; look > 0; look--) later = tableOf(question, look, price, later);
  const supply = supplies[0] ?? Float64Array.of(1);
  const now = { missing, failed: 0, waiting, most: mostBefore(question, 0) };
  const each = ways(question, now, price, later, false);
  let aim = 0;
  each.forEach(({ value }, flowers) => {
    if (value < (each[aim] as Standing).value - TIE) aim = flowers;
  });
  return { best: bySupply(each, supply), aim, each };
}

/** What stands where so many can be worked as there are: the best of what each number allows. Past the end of the list nothing is better. */
function bySupply(each: readonly Standing[], supply: Float64Array): Standing {
  let best = each[0] as Standing;
  const sum = { value: 0, chance: 0, flowers: 0 };
  for (let most = 0; most < supply.length; most++) {
    const here = each[most];
    if (here && here.value < best.value - TIE) best = here;
    const weight = supply[most] as number;
    sum.value += weight * best.value;
    sum.chance += weight * best.chance;
    sum.flowers += weight * best.flowers;
  }
  return sum;
}

/** The most flowers that are thought of before a look. */
const mostBefore = ({ supplies, most }: PricedQuestion, look: number): number =>
  Math.max((supplies[look]?.length ?? 1) - 1, look === 0 ? (most ?? 0) : 0);

function tableOf(question: PricedQuestion, look: number, price: number, later: Table | null): Table {
  const { missing, waiting, supplies } = question;
  const supply = supplies[look] as Float64Array;
  const earlier = Array.from({ length: look }, (_, before) => mostBefore(question, before));
  const failures = 1 + waiting + earlier.reduce((sum, each) => sum + each, 0);
  const size = (missing + 1) * failures;
  const table: Table = {
    failures,
    value: new Float64Array(size),
    chance: new Float64Array(size),
    flowers: new Float64Array(size),
  };
  for (let left = 0; left <= missing; left++)
    for (let failed = 0; failed < failures; failed++) {
      const now = { missing: left, failed, waiting: 0, most: supply.length - 1 };
      const found = left === 0 ? DONE : bySupply(ways(question, now, price, later, true), supply);
      const at = left * failures + failed;
      table.value[at] = found.value;
      table.chance[at] = found.chance;
      table.flowers[at] = found.flowers;
    }
  return table;
}

interface Now {
  readonly missing: number;
  readonly failed: number;
  readonly waiting: number;
  /** The most flowers that can be worked. */
  readonly most: number;
}

/** What working 0, 1, 2 ... flowers comes to, beside those that wait. With `brief` no further than something better can lie. */
function ways(
  question: PricedQuestion,
  now: Now,
  price: number,
  later: Table | null,
  brief: boolean,
): Standing[] {
  const a = question.alpha + (question.missing - now.missing) * question.size;
  const b = question.beta + now.failed * question.size;
  const found: Standing[] = [];
  let best = Infinity;
  // The chance that none of them sets.
  let none = 1;
  for (let i = 0; i < now.waiting; i++) none *= (b + i) / (a + b + i);
  for (let flowers = 0; flowers <= now.most; flowers++) {
    const count = now.waiting + flowers;
    // Those flowers and the fruit too many are paid for, however it goes on.
    const least = flowers + SURPLUS * Math.max(0, (count * a) / (a + b) - now.missing);
    if (brief && least >= best) break;
    const made = worked(a, b, none, flowers, now, price, later);
    found.push(made);
    best = Math.min(best, made.value);
    none *= (b + count) / (a + b + count);
  }
  return found;
}

/** The same for one number of flowers: over how many set, one after the other by the ratio of neighbours (beta-binomial). */
function worked(
  a: number,
  b: number,
  none: number,
  flowers: number,
  { missing, failed, waiting }: Now,
  price: number,
  later: Table | null,
): Standing {
  const count = waiting + flowers;
  let term = none;
  let [value, chance, more, short, enough] = [0, 0, 0, 0, 1];
  for (let set = 0; set < missing && set <= count; set++) {
    if (later) {
      const at = (missing - set) * later.failures + failed + count - set;
      value += term * (later.value[at] as number);
      chance += term * (later.chance[at] as number);
      more += term * (later.flowers[at] as number);
    } else value += term * price;
    enough -= term;
    short += term * (missing - set);
    term *= ((count - set) * (a + set)) / ((set + 1) * (b + count - set - 1));
  }
  const surplus = Math.max(0, (count * a) / (a + b) - missing + short);
  return {
    value: value + flowers + SURPLUS * surplus,
    chance: chance + Math.max(0, enough),
    flowers: more + flowers,
  };
}
