import fc from 'fast-check';
import { CLOSURES, STAGES } from './crops';
import { idMaker, type FlowerId, type PlantId } from './ids';
import { SCHEMA_VERSION, type AnyEvent } from './ledger';
import { seededRandom } from './random';

/** Helpers for tests only: ids and arbitrary logs. */
export const testIds = (seed = 1) => idMaker(seededRandom(seed));

/** The same items in another order, each seed another one (Fisher and Yates). */
export function shuffled<T>(items: readonly T[], seed: number): T[] {
  const random = seededRandom(seed);
  const mixed = [...items];
  for (let i = mixed.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [mixed[i], mixed[j]] = [mixed[j] as T, mixed[i] as T];
  }
  return mixed;
}

const ids = testIds(7);
const START = Date.parse('2026-07-01T03:00:00.000Z');
const plants: PlantId[] = Array.from({ length: 3 }, (_, i) => ids.subject('plant', START + i));
const flowers: FlowerId[] = Array.from({ length: 5 }, (_, i) => ids.subject('flower', START + i));
const eventIds = Array.from({ length: 40 }, (_, i) => ids.event(START + 1000 + i));

/**
 * A log of events about a few flowers: valid events, ids from a small pool so that withdrawals and corrections
 * hit, times in any order. Each id occurs once with one content.
 */
export const arbitraryLog: fc.Arbitrary<AnyEvent[]> = fc
  .uniqueArray(fc.nat(eventIds.length - 1), { maxLength: 30 })
  .chain((picked) =>
    fc.tuple(
      ...picked.map((index) =>
        fc
          .record({
            flower: fc.constantFrom(...flowers),
            plant: fc.constantFrom(...plants),
            minute: fc.integer({ min: 0, max: 5000 }),
            what: fc.constantFrom(
              'seen',
              'seen',
              'shut',
              'worked',
              'looked',
              'lost',
              'withdrawn',
              'corrected',
              'unknown',
            ),
            target: fc.nat(eventIds.length - 1),
            stage: fc.constantFrom(...STAGES),
            closure: fc.constantFrom(...CLOSURES),
          })
          .map((made) => eventOf(index, made)),
      ),
    ),
  );

interface Made {
  readonly flower: FlowerId;
  readonly plant: PlantId;
  readonly minute: number;
  readonly what: string;
  readonly target: number;
  readonly stage: (typeof STAGES)[number];
  readonly closure: (typeof CLOSURES)[number];
}

function eventOf(index: number, { flower, plant, minute, what, target, stage, closure }: Made): AnyEvent {
  const base = {
    id: eventIds[index] as string,
    v: SCHEMA_VERSION,
    at: new Date(START + minute * 60_000).toISOString(),
    by: 'Oda',
    device: 'test',
  };
  const targetId = eventIds[target] as string;
  switch (what) {
    case 'seen':
      return { ...base, kind: 'flowerSeen', flower, plant, sex: 'female', stage, node: minute % 30 };
    case 'shut':
      return { ...base, kind: 'flowerShut', flower, closure };
    case 'worked':
      return {
        ...base,
        kind: 'pollinated',
        flower,
        fathers: [{ plant, males: 2, flowers: [] }],
        tool: 'brush',
        shutAgain: closure,
        purpose: 'seed',
      };
    case 'looked':
      return {
        ...base,
        kind: 'lookedAt',
        flower,
        result: minute % 2 ? 'growing' : 'yellowing',
        sizeMm: null,
      };
    case 'lost':
      return { ...base, kind: 'lost', flower, cause: 'unknown' };
    case 'withdrawn':
      return { ...base, kind: 'withdrawn', subject: flower, target: targetId };
    case 'corrected':
      return {
        ...base,
        kind: 'corrected',
        subject: flower,
        target: targetId,
        changes: { at: new Date(START + target * 60_000).toISOString() },
      };
    default:
      return { ...base, kind: 'bloomScented', flower, strength: minute };
  }
}
