import fc from 'fast-check';
import { STEPS, type Schedule } from './schedule';

/** Schedules of what a grower and a bad day can do to a store; the weight lies on turns, or nothing would come to pass. */
export const schedules: fc.Arbitrary<Schedule> = fc.record({
  seed: fc.nat(),
  junk: fc.option(fc.constantFrom('[null]', '[{"id":"01J0', '{"schema":3,"sum":1,"events":[7]}', 'null'), {
    freq: 6,
    nil: null,
  }),
  before: fc.nat(8),
  steps: fc.array(
    fc.record({
      what: fc.oneof(
        { weight: 14, arbitrary: fc.constant('turn' as const) },
        { weight: 4, arbitrary: fc.constant('tap' as const) },
        { weight: 3, arbitrary: fc.constant('note' as const) },
        { weight: 5, arbitrary: fc.constantFrom(...STEPS) },
      ),
      tab: fc.nat(2),
      pick: fc.nat(50),
      luck: fc.oneof(
        { weight: 12, arbitrary: fc.constant('done' as const) },
        { weight: 2, arbitrary: fc.constant('refused' as const) },
        { weight: 1, arbitrary: fc.constant('written-then-refused' as const) },
      ),
    }),
    { minLength: 20, maxLength: 120 },
  ),
});
