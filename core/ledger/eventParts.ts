import type { EventId, FlowerId, PlantId, VarietyId } from '../ids';
import type { Instant, LocalDate } from '../time';
import type { Felt, Precious, SEED_UNITS } from './values';

/** What a stand is to bring. Since version 3. */
export interface Goal {
  /** Fruits for the kitchen; `null` = none asked for. */
  readonly kitchenFruits: number | null;
  readonly seed: { readonly amount: number; readonly unit: (typeof SEED_UNITS)[number] } | null;
  /** Plants that should stand behind the seed. */
  readonly mothers: number | null;
  readonly fathers: number | null;
  /** The father's variety of a cross; `null` = its own. */
  readonly fatherVariety: VarietyId | null;
  /** The day by which it should be ripe; `null` = by the first frost. */
  readonly by: LocalDate | null;
  readonly precious: Precious;
  /** How sure to be, 0.5 to 0.99. */
  readonly assurance: number;
  /** The grower's own numbers in place of ours in the sum. */
  readonly bent: {
    readonly seedsPerFruit?: number;
    readonly setShare?: number;
    readonly wholeShare?: number;
    readonly malesPerFemale?: number;
  };
}

/** One day's weather as somebody noted it; `null` or absent = not noted. Since version 3. */
export interface NotedDay {
  readonly date: LocalDate;
  readonly minC: number | null;
  readonly maxC: number | null;
  readonly rainMm: number | null;
  readonly dewPointC: number | null;
  readonly felt: Felt | null;
  /** Where the wind came from, degrees clockwise from north. Since version 5. */
  readonly windFromDeg?: number | null;
}

/** Where the patch lies: degrees north and east, and its zone. */
export interface Place {
  readonly name: string;
  readonly latitude: number;
  readonly longitude: number;
  /** IANA zone. */
  readonly zone: string;
}

/** Of a place, what sun and clock depend on. One that came by message is a new object each time, so it is compared by these. */
export type Where = Pick<Place, 'latitude' | 'longitude' | 'zone'>;

/** Males of one plant that gave their pollen. */
export interface Father {
  readonly plant: PlantId;
  /** Male flowers used from this plant. */
  readonly males: number;
  /** Which ones, where they had been recorded one by one. */
  readonly flowers: readonly FlowerId[];
}

/** What every event carries: who, when, where from, of which kind. */
export interface Recorded<Kind extends string> {
  readonly id: EventId;
  readonly v: number;
  /** When it happened in the garden. The id carries when it was written down. */
  readonly at: Instant;
  /** Who did it: a first name, as the grower wrote it. */
  readonly by: string;
  readonly device: string;
  readonly kind: Kind;
}
