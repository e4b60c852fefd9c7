import { benchAgainstR } from './againstR';
import { benchBrowser } from './browser';
import { benchCore } from './core';
import { benchCoverage } from './coverage';
import { benchLineage } from './lineage';
import { benchIsolation, benchPlan } from './plan';
import { benchMarks } from './marks';
import { benchOpening } from './opening';
import { benchProof, benchProofWorld } from './proof';
import { benchReading } from './reading';
import { benchRounds } from './rounds';
import { benchSeasons } from './season';
import { benchStart } from './start';

/**
 * Sizes that tell something, and the smallest at which all of it still runs (`--smallest`; with `--core` what needs no browser: the test run
 * calls that, `npm run acceptance` the rest).
 */
const FULL = {
  events: [2_000, 20_000, 200_000],
  mornings: 1000,
  forecasts: 2000,
  seasons: 150,
  repeats: 5,
  fruits: 100_000,
  covered: 2000,
  stands: 60,
  neighbours: 40,
  lots: 2000,
  choices: 200,
  rows: [2_000, 20_000],
  marks: 50_000,
  graded: 5_000,
  // Ten fruits in each of them, of three crops and three kinds of people: 10 000.
  worlds: 112,
  plans: 200,
};
const SMALLEST = {
  events: [600],
  mornings: 2,
  forecasts: 5,
  seasons: 1,
  repeats: 1,
  fruits: 200,
  covered: 5,
  stands: 6,
  neighbours: 4,
  lots: 50,
  choices: 1,
  rows: [200],
  marks: 500,
  graded: 100,
  worlds: 3,
  plans: 12,
};

async function main(): Promise<void> {
  const {
    events,
    mornings,
    forecasts,
    seasons,
    repeats,
    fruits,
    covered,
    stands,
    neighbours,
    lots,
    choices,
    rows,
    marks,
    graded,
    worlds,
    plans,
  } = process.argv.includes('--smallest') ? SMALLEST : FULL;
  benchCore(events);
  benchReading(forecasts, events);
  benchRounds(mornings, plans);
  benchSeasons(seasons);
  benchCoverage(covered);
  benchAgainstR(fruits);
  benchProof(lots, graded);
  benchProofWorld(worlds);
  benchMarks(marks);
  benchLineage(choices, rows);
  benchIsolation(stands, neighbours);
  if (process.argv.includes('--core')) return;
  await benchStart(repeats);
  await benchOpening(events, repeats);
  await benchBrowser(events, repeats);
  await benchPlan(stands, neighbours);
}

void main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
