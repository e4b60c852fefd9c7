import { idMaker } from '../core/ids';
import type { AnyEvent } from '../core/ledger';
import { seededRandom } from '../core/random';
import { demoLog } from '../core/simulation';

const DAY = 86_400_000;

/**
 * A log of at least `size` events: the demo season of this year, and as many earlier seasons (other seeds, years
 * before, their plants removed in the autumn) as it takes.
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
  return log;
}
