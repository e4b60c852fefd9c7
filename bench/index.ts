import { benchAgainstR } from './againstR';
import { benchBrowser } from './browser';
import { benchCore } from './core';
import { benchCoverage } from './coverage';
import { benchLineage } from './lineage';
import { benchPlan } from './plan';
import { benchMarks } from './marks';
import { benchOpening } from './opening';
import { benchProof } from './proof';
import { benchReading } from './reading';
import { benchRounds } from './rounds';
import { benchSeasons } from './season';
import { benchStart } from './start';

/** Sizes that tell something, and the smallest at which all of it still runs (`--smallest`: the test run calls that). */
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
};
const SMALLEST = {
  events: [6_000],
  mornings: 2,
  forecasts: 5,
  seasons: 1,
  repeats: 1,
  fruits: 200,
  covered: 5,
  stands: 6,
  neighbours: 4,
  lots: 50,
  choices: 5,
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
  } = process.argv.includes('--smallest') ? SMALLEST : FULL;
  benchCore(events);
  benchReading(forecasts, events);
  benchRounds(mornings);
  benchSeasons(seasons);
  benchCoverage(covered);
  benchAgainstR(fruits);
  await benchStart(repeats);
  await benchOpening(events, repeats);
  await benchBrowser(events, repeats);
  await benchPlan(stands, neighbours);
  benchProof(lots);
  benchMarks();
  benchLineage(choices);
}

void main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
