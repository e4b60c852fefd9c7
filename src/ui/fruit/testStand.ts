import { eventsOf, type AnyEvent } from '@core/ledger';
import type { FlowerId, PlantId } from '@core/ids';
import { ALL, study, type Study, type StudyQuestion } from '@core/study';
import { TestGarden } from '@core/testGarden';
import type { LedgerStore } from '@/data/store';

/** The day the flowers were worked, and the day the tests ask on. */
export const WORKED = '2026-07-01';
export const TODAY = '2026-07-12';

/** A stand of courgettes, worked with brush and swab, some left to the insects; every third of the swab drops, half of the brush. */
export function courgettes() {
  const garden = new TestGarden();
  const { plants, stand, variety } = garden.plant('squash-pepo', 'Low Lantern', 4, { reason: 'fruit' });
  const flowers: FlowerId[] = [];
  const open = (i: number, at = garden.time(WORKED, 6 + (i % 3), i % 50)) => {
    const flower = garden.see(at, plants[i % 4] as PlantId, 'female', 'open', i + 1);
    flowers.push(flower);
    return { flower, at };
  };
  const look = (flower: FlowerId, result: 'growing' | 'bent' | 'gone') =>
    garden.write(garden.time('2026-07-09', 18), { kind: 'lookedAt', flower, result, sizeMm: null });
  for (let i = 0; i < 36; i++) {
    const { flower, at } = open(i);
    const swab = i % 2 === 0;
    garden.write(at, {
      kind: 'pollinated',
      flower,
      fathers: [{ plant: plants[(i + 1) % 4] as PlantId, males: 1 + (i % 2), flowers: [] }],
      tool: swab ? 'swab' : 'brush',
      purpose: 'kitchen',
    });
    const took = swab ? Math.floor(i / 4) % 3 !== 0 : Math.floor(i / 4) % 2 === 0;
    look(flower, took ? (i % 9 === 0 ? 'bent' : 'growing') : 'gone');
    if (!took)
      garden.write(garden.time('2026-07-09', 18, 1), { kind: 'lost', flower, cause: 'not-pollinated' });
  }
  const ask = (question: Partial<StudyQuestion> = {}): Study =>
    study(garden.state, garden.place, {
      today: TODAY,
      choice: ALL,
      grouping: 'how',
      pair: null,
      along: 'minutes',
      ...question,
    });
  return { garden, plants, stand, variety, flowers, open, look, ask, now: garden.time(TODAY, 9) };
}

/** What was written besides the garden's own events, in the order of writing. */
export function written({ events }: TestGarden, store: LedgerStore): AnyEvent[] {
  const own = new Set(events.map(({ id }) => id));
  return eventsOf(store.ledger.state)
    .filter(({ id }) => !own.has(id))
    .sort((one, other) => (one.id < other.id ? -1 : 1));
}
