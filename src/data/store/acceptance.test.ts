import fc from 'fast-check';
import { memoryBox } from './port';
import { schedules } from './testing/arbitrary';
import { runSchedule } from './testing/schedule';

const FEW = 120;

const settle = () => new Promise<void>((done) => setImmediate(done));

test('whatever was acknowledged is on the screen, after a reload and in the export, whatever happens', async () => {
  const runs = Number(process.env.SCHEDULES ?? FEW);
  const seed = process.env.SEED ? { seed: Number(process.env.SEED) } : runs > FEW ? {} : { seed: 1 };
  // Not by `assert`, which would run another number of them than is asked for.
  const found = await fc.check(
    fc.asyncProperty(schedules, (schedule) => runSchedule(memoryBox(), schedule, settle)),
    { numRuns: runs, ...seed },
  );
  if (found.failed) throw new Error(fc.defaultReportMessage(found));
}, 1_800_000);
