import type { FlowerId, PlantId } from '../ids';
import { mixtureOf, type FruitParents } from '../lineage';
import { matchPollen, type PollenFemale, type PollenMale } from '../planning';
import { seededRandom, type Random } from '../random';

/** Plants of the row, mornings of the season. */
const PLANTS = 10;
const MORNINGS = 20;
/** Males for each female. */
const MALES = 1;
/** Plants with a male shut on one evening [M]: vines open several males to each female, and the walk shuts some of them. */
const SHUT = 0.7;

/** Flowers of one morning. */
interface Morning {
  readonly females: readonly number[];
  /** How many males each plant has. */
  readonly males: readonly number[];
}

/** A season of ten plants in a row: some vigorous, some not, males on some of them on any one morning. */
function seasonOf(random: Random): Morning[] {
  const vigour = Array.from({ length: PLANTS }, () => 0.3 + 1.4 * random());
  return Array.from({ length: MORNINGS }, () => ({
    females: vigour.flatMap((each, plant) => (random() < 0.15 * each ? [plant] : [])),
    males: vigour.map((each) =>
      random() < SHUT * Math.min(1.3, each) ? 1 + Math.floor(3 * random() * each) : 0,
    ),
  }));
}

/** How the father of a flower is chosen: by what each gave before; the nearest male there is; the nearest of another plant. */
export type Choice = 'advised' | 'nearest' | 'nearest-other';

/** The nearest plant that has a male left. */
function nearest(female: number, left: readonly number[], own: boolean): number | null {
  const able = left.flatMap((males, plant) => (males > 0 && (own || plant !== female) ? [plant] : []));
  return able.reduce<number | null>(
    (best, plant) => (best === null || Math.abs(plant - female) < Math.abs(best - female) ? plant : best),
    null,
  );
}

const name = (plant: number) => `plant:${plant}` as PlantId;

/** The fathers of each female of a morning. */
type Fathers = readonly (readonly number[])[];

function byAdvice({ females, males }: Morning, given: readonly number[]): Fathers {
  const wanted = females.map((plant, i): PollenFemale => ({
    id: String(i),
    plant: name(plant),
    variety: 'one',
    value: 1,
    wants: MALES,
    purpose: 'seed',
  }));
  const there = males.flatMap((many, plant) =>
    Array.from({ length: many }, (_, i): PollenMale => ({
      id: `${plant}/${i}`,
      plant: name(plant),
      variety: 'one',
      pure: true,
    })),
  );
  const mothers = (plant: number) => females.filter((each) => each === plant).length;
  const { pairs } = matchPollen({
    females: wanted,
    males: there,
    rules: {
      selfing: 'never',
      femalesPerMale: 1,
      already: (plant) => {
        const at = Number(plant.split(':')[1]);
        return MALES * ((given[at] ?? 0) + mothers(at));
      },
    },
  });
  return females.map((_, i) =>
    pairs.flatMap(({ female, male }) => (female === String(i) ? [Number(male.split('/')[0])] : [])),
  );
}

function byNearest({ females, males }: Morning, own: boolean): Fathers {
  const left = [...males];
  return females.map((female) =>
    Array.from({ length: MALES }, () => {
      const father = nearest(female, left, own);
      if (father !== null) left[father] = (left[father] as number) - 1;
      return father;
    }).filter((father) => father !== null),
  );
}

/** The effective size of the lot of one season, its fathers chosen one way or the other. */
function sizeOf(season: readonly Morning[], choice: Choice): number {
  const given = Array<number>(PLANTS).fill(0);
  const parents: FruitParents[] = [];
  for (const morning of season) {
    const fathers =
      choice === 'advised' ? byAdvice(morning, given) : byNearest(morning, choice === 'nearest');
    for (const [i, his] of fathers.entries()) {
      const mother = morning.females[i] as number;
      if (his.length === 0) continue;
      const weight = 1 / his.length;
      given[mother] = (given[mother] as number) + 1;
      for (const father of his) given[father] = (given[father] as number) + weight;
      const pairs = his.map((father) => ({ mother: name(mother), father: name(father), weight }));
      parents.push({ fruit: `flower:${parents.length}` as FlowerId, pairs });
    }
  }
  return mixtureOf(parents, (a, b) => (a === b ? 0.5 : 0)).size;
}

/** The mean effective size of the lot over many seasons of ten plants, with each way of choosing the fathers. */
export function fatherChoice(seasons: number, seed = 1): Readonly<Record<Choice, number>> {
  const random = seededRandom(seed);
  const sums = { advised: 0, nearest: 0, 'nearest-other': 0 };
  for (let i = 0; i < seasons; i++) {
    const season = seasonOf(random);
    for (const choice of ['advised', 'nearest', 'nearest-other'] as const)
      sums[choice] += sizeOf(season, choice) / seasons;
  }
  return sums;
}
