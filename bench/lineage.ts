import { inbreeding, kinship, type PedigreeRow } from '../core/lineage';
import { seededRandom } from '../core/random';
import { fatherChoice } from '../core/simulation';

/** A pedigree of `rows` rows: ten founders, parents among the two hundred before, a fifth of them selfed. */
function madeUp(rows: number, seed: number): PedigreeRow[] {
  const random = seededRandom(seed);
  return Array.from({ length: rows }, (_, i) => {
    if (i < 10) return { id: `p${i}`, mother: null, father: null };
    const one = () => `p${Math.max(0, i - 1 - Math.floor(random() * Math.min(i, 200)))}`;
    const mother = one();
    return { id: `p${i}`, mother, father: random() < 0.2 ? mother : one() };
  });
}

/** What a pedigree of 2 000 rows may take, ms; a longer one as many times more. */
const WANTED_MS = 500;

/** Prints how long pedigrees of so many plants take, and what choosing the fathers is worth over so many seasons. */
export function benchLineage(seasons: number, sizes: readonly number[]): void {
  for (const rows of sizes) {
    const made = madeUp(rows, 3);
    const start = performance.now();
    inbreeding(made);
    const between = performance.now();
    const asked = made.slice(-Math.min(rows, 2_000)).map(({ id }) => id);
    kinship(made, asked);
    const end = performance.now();
    console.log(
      `lineage, ${rows} rows: inbreeding ${(between - start).toFixed(0)} ms, kinship among ${asked.length} of them ${(end - between).toFixed(0)} ms (wanted under ${(WANTED_MS * rows) / 2_000})`,
    );
  }
  const size = fatherChoice(seasons);
  console.log(
    `fathers, ${seasons} seasons of ten plants: effective size ${size.advised.toFixed(1)} by the advice, ${size.nearest.toFixed(1)} with the nearest male (${(size.advised / size.nearest).toFixed(2)} times, wanted 1.3), ${size['nearest-other'].toFixed(1)} with the nearest of another plant (${(size.advised / size['nearest-other']).toFixed(2)} times)`,
  );
}
