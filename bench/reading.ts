import { bloomOutlook, teachingFlowers } from '../core/bloom';
import { tryAllKeys } from '../core/key';
import { fold } from '../core/ledger';
import { allLooks } from '../src/ui/drawings/allLooks';
import { flowerShapes } from '../src/ui/drawings/geometry';
import { benchForecast } from './forecast';
import { makeLog } from './makeLog';

/** Prints how well the key reads the whole catalogue. */
function benchKey(): void {
  const trials = tryAllKeys();
  const sum = (of: (trial: (typeof trials)[number]) => number) =>
    trials.reduce((total, trial) => total + of(trial), 0);
  const entries = sum((trial) => trial.entries);
  const worst = Math.max(...trials.map(({ meanQuestions }) => meanQuestions));
  const least = Math.min(...trials.map(({ slipFound, slipRuns }) => slipFound / slipRuns));
  console.log(`key, ${trials.length} crops:`);
  console.log(`  ${sum((trial) => trial.reached)} of ${entries} entries reached by truthful answers`);
  console.log(
    `  ${(sum((trial) => trial.meanQuestions * trial.entries) / entries).toFixed(2)} questions on average, ${worst.toFixed(2)} at worst for a crop (wanted at most 4)`,
  );
  console.log(
    `  ${sum((trial) => trial.skipWrong)} wrong verdicts in ${sum((trial) => trial.skipRuns)} runs with every set of answers skipped`,
  );
  console.log(
    `  with one slip the right one is the verdict or named in ${((100 * sum((trial) => trial.slipFound)) / sum((trial) => trial.slipRuns)).toFixed(1)} % of ${sum((trial) => trial.slipRuns)}, ${(100 * least).toFixed(1)} % for the worst crop (wanted 80)`,
  );
}

/** Prints what a drawing costs in script. */
function benchDrawings(): void {
  const looks = allLooks().flatMap((group) => group.looks);
  const times = looks.map(({ look }) => {
    let best = Infinity;
    for (let i = 0; i < 5; i++) {
      const start = performance.now();
      flowerShapes(look);
      best = Math.min(best, performance.now() - start);
    }
    return best;
  });
  const mean = times.reduce((a, b) => a + b, 0) / times.length;
  console.log(
    `${looks.length} drawings: geometry ${mean.toFixed(3)} ms on average, ${Math.max(...times).toFixed(3)} ms at worst (wanted under 2)`,
  );
}

function benchOutlook(sizes: readonly number[]): void {
  for (const size of sizes) {
    const state = fold(makeLog(size));
    const flowers = teachingFlowers(state, '2026-07-14');
    const start = performance.now();
    bloomOutlook({ state, zone: 'Europe/Ljubljana', from: '2026-07-14' });
    console.log(
      `outlook of ${size} events: from ${flowers.length} flowers in ${(performance.now() - start).toFixed(0)} ms, in the worker`,
    );
  }
}

/** The key, the forecast over so many seasons, the drawings, and the outlook of logs of these sizes. */
export function benchReading(seasons: number, sizes: readonly number[]): void {
  benchKey();
  benchForecast(seasons, 10_000, 120);
  benchForecast(Math.ceil(seasons / 5), 50_000, 40);
  benchDrawings();
  benchOutlook(sizes);
}
