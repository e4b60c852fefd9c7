import fc from 'fast-check';
import { memoryBox } from './port';
import { schedules } from './testing/arbitrary';
import { runSchedule } from './testing/schedule';

const settle = () => new Promise<void>((done) => setImmediate(done));

test('whatever was acknowledged is on the screen, after a reload and in the export, whatever happens', async () => {
  const runs = Number(process.env.SCHEDULES ?? 300);
  await fc.assert(
    fc.asyncProperty(schedules, (schedule) => runSchedule(memoryBox(), schedule, settle)),
    {
      numRuns: runs,
      ...(process.env.SEED ? { seed: Number(process.env.SEED) } : runs > 300 ? {} : { seed: 1 }),
    },
  );
}, 1_800_000);
