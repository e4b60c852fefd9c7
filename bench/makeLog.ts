import { idMaker, type IdMaker } from '../core/ids';
import { SCHEMA_VERSION, type AnyEvent, type Draft, type EventKind, type EventOf } from '../core/ledger';
import { seededRandom } from '../core/random';
import { demoLog, DEMO_PLACE, DEMO_TODAY } from '../core/simulation';
import { addDays, atLocalTime, toInstant } from '../core/time';

const DAY = 86_400_000;

/**
 * A log of at least `size` events: the demo season of this year, and as many earlier seasons (other seeds, years
 * before, their plants removed in the autumn) as it takes; and a stand of forty plants full of counted males.
 */
export function makeLog(size: number): AnyEvent[] {
  const log: AnyEvent[] = [];
  const ids = idMaker(seededRandom(1));
  for (let season = 0; log.length < size; season++) {
    // Sixteen gardens' worth a year where one demo season is too small for the size asked for.
    const years = Math.floor((season + 15) / 16);
    for (const event of demoLog(1000 + season)) {
      const at = new Date(Date.parse(event.at) - years * 364 * DAY).toISOString();
      log.push({ ...event, at } as AnyEvent);
      if (event.kind === 'plantAdded' && season > 0) {
        const end = Date.parse(at) + 120 * DAY;
        log.push({
          id: ids.event(end),
          v: 1,
          at: new Date(years === 0 ? Date.parse(at) : end).toISOString(),
          by: 'Oda',
          device: 'bench',
          kind: 'plantRemoved',
          plant: event.plant,
        });
      }
    }
  }
  return [...log, ...crowded(log, ids)];
}

/** Forty plants of one more stand, on each of which somebody counted thirty males last evening, and saw two females. */
function crowded(log: readonly AnyEvent[], ids: IdMaker): AnyEvent[] {
  const of = <Kind extends EventKind>(kind: Kind) =>
    log.find((event): event is EventOf<Kind> => event.kind === kind) as EventOf<Kind>;
  const bed = of('bedAdded').bed;
  const { patch } = of('patchBegun');
  const start = atLocalTime(addDays(DEMO_TODAY, -1), 20, 0, DEMO_PLACE.zone);
  const variety = ids.subject('variety', start);
  const stand = ids.subject('stand', start);
  const males = [12, 10, 8] as const;
  const drafts: Draft[] = [
    { kind: 'varietyAdded', variety, patch, name: 'Wide Meadow', crop: 'squash-pepo', shape: 'round' },
    { kind: 'standAdded', stand, bed, variety, reason: 'seed' },
  ];
  for (let i = 0; i < 40; i++) {
    const plant = ids.subject('plant', start);
    drafts.push({ kind: 'plantAdded', plant, stand, label: String(i + 1), xM: i, yM: 12, plantedOn: null });
    for (const [at, stage] of (['coloured', 'green', 'pin'] as const).entries())
      drafts.push({ kind: 'malesCounted', plant, stage, count: males[at] as number });
    for (const stage of ['coloured', 'green'] as const)
      drafts.push({
        kind: 'flowerSeen',
        flower: ids.subject('flower', start),
        plant,
        sex: 'female',
        stage,
        node: null,
      });
  }
  return drafts.map((draft, i) => ({
    id: ids.event(start + i),
    v: SCHEMA_VERSION,
    at: toInstant(start + i * 1000),
    by: 'Oda',
    device: 'bench',
    ...draft,
  })) as AnyEvent[];
}
