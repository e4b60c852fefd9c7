import { SCHEMA_VERSION } from './events';

type Loose = Readonly<Record<string, unknown>>;

/**
 * From version n to n + 1, at index n - 1, without gaps; a fixture of every version that was ever written stays in
 * core/formats/fixtures and is read by a test. `null`: the next version only allows more, so that an older event
 * stands as it was written, and two phones of which one is newer hold the same text.
 */
const STEPS: readonly (((event: Loose) => Loose) | null)[] = [
  // 2: ovaryMm on flowerSeen, system on varietyAdded, both optional; more crops, closures and tools.
  null,
  // 3: goals, weather, clock notes, tallies, emasculation; three optional fields on pollinated.
  null,
  // 4: tool and shutAgain of pollinated may be absent. What versions up to 3 wrote unasked, the view reads as not recorded.
  null,
  // 5: traits on varietyAdded; more of what weather notes, looks and losses can say. All optional.
  null,
  // 6: shelters, reasons that change, fruits and males counted, flowers missed; puff and maleInside, both optional.
  null,
  // 7: stripped, threaded, pinched, settled; the school of mornings; lettuce, bean and pea.
  null,
  // 8: flowers left to the insects, every nth, and insects counted.
  null,
  // 9: what grows next door.
  null,
  // 10: beds and stands moved, outlines, obstacles, weights; a neighbour's place and spray days.
  null,
  // 11: plants found off-type, marks lost; clean hands, and marks read at looks and at harvest. All optional.
  null,
  // 12: beds of another size. Optional.
  null,
  // 13: lots of seed, what plants were sown from, clones, growing out, plants picked out to keep.
  null,
  // 14: watering, feeding and sprays with their waiting times; heavy fruit propped.
  null,
  // 15: stillShut on flowerShut, optional.
  null,
  // 16: stands looked over for off-types; cages that take turns; what a corn is grown as, its barrier, and stigmas that stand out. All optional.
  null,
  // 17: the mornings on which somebody can come.
  null,
];

if (STEPS.length !== SCHEMA_VERSION - 1)
  throw new Error('core/ledger/upcast: a schema version without its step');

/** An event of an older version as today's version writes it; anything else as it came. */
export function upcast(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value;
  let event = value as Loose;
  for (let v = event.v; typeof v === 'number' && v >= 1 && v < SCHEMA_VERSION; v++) {
    const step = STEPS[v - 1];
    if (step) event = { ...step(event), v: v + 1 };
  }
  return event;
}
