import {
  cropOf,
  type CropId,
  type Reason,
  type Stage,
  type Closure,
  type Sex,
  type SexSystem,
} from './crops';
import {
  idMaker,
  type EventId,
  type FlowerId,
  type IdMaker,
  type NeighbourId,
  type ObstacleId,
  type PlantId,
  type StandId,
  type VarietyId,
} from './ids';
import {
  apply,
  emptyState,
  SCHEMA_VERSION,
  type AnyEvent,
  type CheckResult,
  type Corner,
  type Draft,
  type Goal,
  type LedgerEvent,
  type ObstacleKind,
  type Place,
  type State,
} from './ledger';
import { growing, nextPlantPlaces, type Growing } from './patch';
import { seededRandom } from './random';
import { NO_GOAL } from './goals';
import { atLocalTime, toInstant, type LocalDate } from './time';

/** Where test gardens lie. */
export const TEST_PLACE: Place = {
  name: 'Test Terraces',
  latitude: 46.2,
  longitude: 14.6,
  zone: 'Europe/Ljubljana',
};

type NextDoor = Extract<Draft, { kind: 'neighbourNoted' }>;

/** A stand of the tests. */
export interface Planted {
  readonly stand: StandId;
  readonly variety: VarietyId;
  readonly plants: readonly PlantId[];
}

/** A small garden written event by event, for tests and benchmarks only: the real ledger, without a store. */
export class TestGarden {
  state: State = emptyState();
  readonly events: LedgerEvent[] = [];
  readonly ids;
  private readonly patch;
  private readonly random;
  private readonly earlier = new Map<number, IdMaker>();
  private last = 0;
  private beds = 0;

  constructor(
    readonly place: Place = TEST_PLACE,
    readonly began: LocalDate = '2026-05-20',
    seed = 1,
  ) {
    this.ids = idMaker(seededRandom(seed));
    this.random = seededRandom(seed + 1);
    const at = this.time(began, 9);
    this.patch = this.ids.subject('patch', at);
    this.write(at, { kind: 'patchBegun', patch: this.patch, name: 'Test' });
    this.write(at, { kind: 'placeSet', patch: this.patch, place });
  }

  get patchId() {
    return this.patch;
  }

  /** A moment on the garden's clock. */
  time(date: LocalDate, hour: number, minute = 0): number {
    return atLocalTime(date, hour, minute, this.place.zone);
  }

  /** An entry of a time, written down then, or later from memory. */
  write(at: number, draft: Draft, by = 'Oda', written = at): LedgerEvent {
    const event = {
      id: this.idAt(Math.round(written)),
      v: SCHEMA_VERSION,
      at: toInstant(Math.round(at)),
      by,
      device: 'test',
      ...draft,
    } as LedgerEvent;
    return this.add(event);
  }

  /** Ids of entries in the order of their times; of an earlier time than the last, ids of that time. */
  private idAt(written: number): EventId {
    if (written >= this.last) return this.ids.event((this.last = written));
    let before = this.earlier.get(written);
    if (!before) this.earlier.set(written, (before = idMaker(this.random)));
    return before.event(written);
  }

  /** An entry as it came, of another phone for instance. */
  add(event: LedgerEvent): LedgerEvent {
    this.events.push(event);
    this.state = apply(this.state, event as AnyEvent);
    return event;
  }

  school(school: string, choice: string): void {
    this.write(this.time(this.began, 10), {
      kind: 'schoolChosen',
      patch: this.patch,
      school,
      choice,
    } as Draft);
  }

  /** Something that grows next door: seen 100 m off in no known direction, where nothing else is said. */
  nextDoor(
    said: Pick<NextDoor, 'crop'> & Partial<NextDoor>,
    at = this.time(this.began, 18),
    neighbour: NeighbourId = this.ids.subject('neighbour', at),
  ): NeighbourId {
    this.write(at, {
      kind: 'neighbourNoted',
      neighbour,
      patch: this.patch,
      variety: null,
      plants: null,
      distanceM: 100,
      bearingDeg: null,
      between: [],
      besides: [],
      bloomFrom: null,
      bloomTo: null,
      knownBy: 'seen',
      ...said,
    });
    return neighbour;
  }

  /** A hedge or the like: an area, or a line of corners. */
  obstacle(
    what: ObstacleKind,
    corners: readonly Corner[],
    area = false,
    at = this.time(this.began, 18),
  ): ObstacleId {
    const obstacle = this.ids.subject('obstacle', at);
    this.write(at, { kind: 'obstacleNoted', obstacle, patch: this.patch, what, corners, area });
    return obstacle;
  }

  plant(
    crop: CropId,
    name: string,
    count: number,
    options: { reason?: Reason; goal?: Partial<Goal>; system?: SexSystem | null; on?: LocalDate } = {},
  ): Planted {
    const plantedOn = options.on ?? this.began;
    const at = this.time(plantedOn, 9);
    const bed = this.ids.subject('bed', at);
    const variety = this.ids.subject('variety', at);
    const stand = this.ids.subject('stand', at);
    const corner = { xM: 0, yM: 5 * this.beds++, lengthM: 30, widthM: 3 };
    this.write(at, { kind: 'bedAdded', bed, patch: this.patch, name: `bed ${this.beds}`, ...corner });
    this.write(at, {
      kind: 'varietyAdded',
      variety,
      patch: this.patch,
      name,
      crop,
      shape: 'round',
      ...(options.system && { system: options.system }),
    });
    this.write(at, { kind: 'standAdded', stand, bed, variety, reason: options.reason ?? 'seed' });
    const plants = nextPlantPlaces(corner, [], count, cropOf(crop)).map((spot, i) => {
      const plant = this.ids.subject('plant', at);
      this.write(at, {
        kind: 'plantAdded',
        plant,
        stand,
        label: String(i + 1),
        ...spot,
        plantedOn,
      });
      return plant;
    });
    if (options.goal) this.goal(stand, options.goal);
    return { stand, variety, plants };
  }

  goal(stand: StandId, goal: Partial<Goal>): void {
    this.write(this.time(this.began, 20), { kind: 'goalSet', stand, goal: { ...NO_GOAL, ...goal } });
  }

  see(at: number, plant: PlantId, sex: Sex, stage: Stage, node: number | null = null): FlowerId {
    const flower = this.ids.subject('flower', at);
    this.write(at, { kind: 'flowerSeen', flower, plant, sex, stage, node });
    return flower;
  }

  /** A bud seen and shut on an evening: it is due at the next dawn. */
  shut(date: LocalDate, plant: PlantId, sex: Sex, closure: Closure = 'tape', hour = 19): FlowerId {
    const flower = this.see(this.time(date, hour), plant, sex, 'coloured');
    this.write(this.time(date, hour, 1), { kind: 'flowerShut', flower, closure });
    return flower;
  }

  check(at: number, flower: FlowerId, result: CheckResult): void {
    this.write(at, { kind: 'closureChecked', flower, result });
  }

  work(at: number, flower: FlowerId, males: readonly FlowerId[], more: Partial<Draft> = {}): void {
    this.write(at, {
      kind: 'pollinated',
      flower,
      fathers: males.flatMap((male) => {
        const plant = this.state.flowers.get(male)?.plant;
        return plant ? [{ plant, males: 1, flowers: [male] }] : [];
      }),
      tool: 'male-flower',
      shutAgain: 'tape',
      purpose: 'seed',
      ...more,
    } as Draft);
  }

  look(at: number, flower: FlowerId, result: 'growing' | 'same' | 'yellowing' | 'gone'): void {
    this.write(at, { kind: 'lookedAt', flower, result, sizeMm: null });
  }

  growing(plant: PlantId): Growing {
    return growing(this.state, plant) as Growing;
  }
}
