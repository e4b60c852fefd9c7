import type { Crop, Sex, Stage } from '../crops';
import type { CheckResult, Flower, LookResult, LossCause } from '../ledger';
import { plantName, type Growing } from '../patch';
import { hashText, seededRandom, type Random } from '../random';
import { addDays, daysBetween, type LocalDate } from '../time';

// What really happens in a virtual patch. Every number here is invented for the demo and the rehearsal; the
// growers of the simulation, like real ones, see only what they look at.

/** The virtual season: the first flowers open this long after the plant was set out. */
const FIRST_FLOWER_DAYS = 30;
const NODES_AHEAD = 70;

/** A bud that will open on a day that nobody knows yet. */
export interface Bud {
  readonly node: number;
  readonly sex: Sex;
  readonly opensOn: LocalDate;
  /** Males often stand in bunches; a female stands alone. */
  readonly count: number;
}

/** The weather of a simulated day. */
export interface Weather {
  readonly highC: number;
  readonly lowC: number;
  readonly rainMm: number;
}

/** Chance that hangs only on the seed and what it is asked about: the same question always has one answer. */
function chance(seed: number, ...about: (string | number)[]): Random {
  return seededRandom(hashText(`${seed}/${about.join('/')}`));
}

/** The made-up weather of a day: spells of some days, warm or cool, with rain in the cool ones. */
export function weatherOn(seed: number, date: LocalDate): Weather {
  const random = chance(seed, 'weather', date);
  const spell = chance(seed, 'spell', Math.floor(Date.parse(date) / (5 * 86_400_000)))();
  const highC = 21 + spell * 9 + random() * 4;
  const wet = random() < 0.35 - spell * 0.25;
  return {
    highC: Math.round(highC),
    lowC: Math.round(highC - 11 - random() * 4),
    rainMm: wet ? Math.round(2 + random() * 14) : 0,
  };
}

// Not `remembered`: it depends on texts alone, all of them in its key.
const known = new Map<string, readonly Bud[]>();

/** All buds of a plant through the season, in node order. Males come first; then females now and then. */
export function budsOf(seed: number, growing: Growing, seasonStart: LocalDate): readonly Bud[] {
  const start = growing.plant.plantedOn ?? seasonStart;
  const name = plantName(growing);
  const key = `${seed}/${name}/${start}`;
  const found = known.get(key);
  if (found) return found;
  const random = chance(seed, 'buds', name);
  const buds: Bud[] = [];
  let day = FIRST_FLOWER_DAYS + random() * 5;
  const maleOnly = 5 + Math.floor(random() * 5);
  let sinceFemale = 0;
  for (let node = 3; node < 3 + NODES_AHEAD; node++) {
    day += 0.55 + random() * 0.6;
    const female: boolean = node - 3 >= maleOnly && sinceFemale >= 1 && random() < 0.5;
    sinceFemale = female ? 0 : sinceFemale + 1;
    const count = female ? 1 : 1 + Math.floor(random() * 3);
    buds.push({ node, sex: female ? 'female' : 'male', opensOn: addDays(start, Math.round(day)), count });
  }
  known.set(key, buds);
  return buds;
}

/** How a bud looks on the evening of `date`, or `null` while it is too small or long gone. */
export function stageOn(bud: Bud, date: LocalDate): Stage | null {
  const ahead = daysBetween(date, bud.opensOn);
  if (ahead > 4 || ahead < -1) return null;
  if (ahead >= 3) return 'pin';
  if (ahead === 2) return 'green';
  if (ahead === 1) return 'coloured';
  return ahead === 0 ? 'open' : 'spent';
}

/** What the closure looks like at dawn. Rain and strong flowers tear tape. */
export function closureAtDawn(seed: number, flower: Flower, growing: Growing, date: LocalDate): CheckResult {
  const random = chance(seed, 'closure', plantName(growing), flower.node ?? flower.id);
  const wet = weatherOn(seed, date).rainMm > 3 ? 0.08 : 0;
  const roll = random();
  if (roll < 0.05 + wet) return 'torn';
  if (roll < 0.08 + wet) return 'holed';
  if (roll < 0.09 + wet) return 'gone';
  if (roll < 0.12 + wet && flower.checks.length === 0) return 'not-open';
  return 'whole';
}

/** Whether a pollination took, and else why not. */
export interface Outcome {
  readonly took: boolean;
  readonly cause: LossCause;
}

/** Whether a pollination takes, decided by pollen, heat and the fruit the plant already carries. */
export function outcomeOf(
  seed: number,
  flower: Flower,
  growing: Growing,
  date: LocalDate,
  load: number,
): Outcome {
  const random = chance(seed, 'outcome', plantName(growing), flower.node ?? flower.id);
  const fathers = flower.pollinations[0]?.fathers ?? [];
  // A kitchen pollination names no father: one male, as most people use.
  const males = fathers.length === 0 ? 1 : fathers.reduce((sum, father) => sum + father.males, 0);
  const heat = weatherOn(seed, date).highC >= 31;
  const pollen = males === 1 ? 0.62 : males === 2 ? 0.78 : 0.84;
  const odds = pollen - (heat ? 0.14 : 0) - Math.min(0.35, Math.max(0, load - 2) * 0.09);
  const took = random() < odds;
  const roll = random();
  const cause: LossCause =
    heat && roll < 0.4
      ? 'heat'
      : load > 3 && roll < 0.6
        ? 'too-much-fruit'
        : roll < 0.12
          ? 'pest'
          : males < 2
            ? 'poorly-pollinated'
            : 'not-pollinated';
  return { took, cause };
}

/** What a look on the given day after pollination shows. */
export function lookOn(
  seed: number,
  flower: Flower,
  growing: Growing,
  outcome: Outcome,
  day: number,
): LookResult {
  const random = chance(seed, 'look', plantName(growing), flower.node ?? flower.id, day);
  if (day < 2) return 'same';
  if (outcome.took) return day < 4 && random() < 0.15 ? 'same' : 'growing';
  if (day < 4) return 'same';
  if (day < 7) return random() < 0.65 ? 'yellowing' : 'same';
  return random() < 0.6 ? 'yellowing' : 'gone';
}

/**
 * Rough size of a fruit that took, mm: from the ovary's 20 mm towards `full`.
 * @example sizeOn(cropOf('squash-maxima'), 8) // 105
 */
export function sizeOn(crop: Crop, day: number): number {
  const full = crop.id === 'cucumber' || crop.id === 'melon' ? 130 : 190;
  return Math.round(20 + (full - 20) / (1 + Math.exp(-(day - 8) / 2)));
}
