import fc from 'fast-check';
import type { FlowerId, LotId, PlantId, StandId, VarietyId } from './ids';
import type { AnyEvent, Draft, LookResult } from './ledger';
import { markAt } from './purity';
import { seededRandom } from './random';
import { demoLog } from './simulation';
import { TestGarden } from './testGarden';
import { shuffled } from './testing';
import { addDays } from './time';

const seasons = new Map<number | undefined, readonly AnyEvent[]>();

/** For tests only: the demo season of a seed, made once for all that look at it. Nobody changes it. */
export function demoSeason(seed?: number): AnyEvent[] {
  const made = seasons.get(seed) ?? (demoLog(seed) as AnyEvent[]);
  seasons.set(seed, made);
  return [...made];
}

/** The day on which the logs of `gardenLog` are looked at. */
export const LOG_DAY = '2026-07-24';

/**
 * For tests only: the log of a small garden in which nearly everything happens that the ledger can hold, each seed another one. Two
 * phones write it; they disagree here and there.
 */
export function gardenLog(seed: number): readonly AnyEvent[] {
  return new LogMaker(seed).made();
}

/**
 * Such a log in the pieces in which it may reach a phone: most of it mixed up in one, and then, each by itself, some entries that
 * another phone held back. Where only a bed is new, what was remembered without naming the beds is put to the test.
 */
export const arrivingLog: fc.Arbitrary<readonly (readonly AnyEvent[])[]> = fc
  .tuple(fc.nat(), fc.nat())
  .map(([seed, order]) => {
    const written = gardenLog(seed);
    const log = shuffled(written, order);
    // The first of its kind is that of the stand of which most is written.
    const from = order % 3 === 0 ? log : written;
    const kinds = shuffled([...new Set(log.map(({ kind }) => kind))].sort(), order + 1);
    const onGround = kinds.filter((kind) => ON_GROUND.has(kind));
    const others = kinds.filter((kind) => !ON_GROUND.has(kind));
    const wanted = shuffled([...onGround.slice(0, HELD_BACK), ...others.slice(0, HELD_BACK)], order + 2);
    const late = wanted.flatMap((each) => from.find(({ kind }) => kind === each) ?? []);
    return [log.filter((event) => !late.includes(event)), ...late.map((event) => [event])];
  });

const HELD_BACK = 5;
/** What everything else stands on: the tables that a key forgets most easily. */
const ON_GROUND = new Set([
  'bedAdded',
  'standAdded',
  'varietyAdded',
  'plantAdded',
  'placeSet',
  'shelterSet',
  'plantDied',
]);

class LogMaker {
  private readonly garden: TestGarden;
  private readonly random: () => number;
  private lots = 0;

  constructor(seed: number) {
    this.garden = new TestGarden(undefined, undefined, seed);
    this.random = seededRandom(seed + 1);
  }

  made(): readonly AnyEvent[] {
    const { garden } = this;
    const squash = garden.plant('squash-maxima', 'Slate Dome', 4, { goal: { mothers: 3 } });
    const other = garden.plant('squash-maxima', 'Low Lantern', 2);
    const tomato = garden.plant('tomato', 'Red Quay', 3, { reason: 'fruit' });
    const pepper = garden.plant('pepper', 'Ember Tongue', 2);
    for (const { stand } of [squash, other, tomato, pepper]) this.aboutStand(stand);
    this.aboutPlants([...squash.plants, ...other.plants, ...pepper.plants], tomato.plants);
    const fruits = Array.from({ length: 5 }, (_, i) =>
      this.fruit(
        addDays('2026-07-02', i),
        this.one(squash.plants),
        this.one([...squash.plants, ...other.plants]),
      ),
    );
    this.kitchen(tomato.plants, tomato.stand);
    const lot = this.lot(squash.variety, fruits);
    this.maybe(0.8, {
      kind: 'sownFrom',
      subject: this.one([other.stand, ...other.plants]),
      lot,
      fruit: null,
    });
    this.maybe(0.5, {
      kind: 'grownOut',
      lot,
      fruit: this.one(fruits),
      stage: 'seedling',
      grown: 20,
      off: [{ reason: 'leaf', count: 1, rogued: null }],
    });
    this.nextDoor();
    this.correctSome();
    return garden.events as readonly AnyEvent[];
  }

  private one<T>(items: readonly T[]): T {
    return items[Math.floor(this.random() * items.length)] as T;
  }

  private maybe(chance: number, draft: Draft, day = '2026-07-18', hour = 9): void {
    if (this.random() < chance)
      this.garden.write(this.garden.time(day, hour), draft, this.one(['Oda', 'Tilen']));
  }

  private aboutStand(stand: StandId): void {
    const { garden } = this;
    this.maybe(
      0.6,
      { kind: 'clockNoted', stand, what: this.one(['opened', 'shut', 'insects']) },
      '2026-07-05',
      6,
    );
    this.maybe(0.2, { kind: 'reasonSet', subject: stand, reason: this.one(['seed', 'fruit', 'cross']) });
    this.maybe(0.3, { kind: 'standPlaced', stand, alongM: 1 + Math.floor(this.random() * 5), acrossM: 0 });
    const bed = garden.state.stands.get(stand)?.bed;
    if (bed) {
      const shelter = this.one(['closed-house', 'closed-house', 'net'] as const);
      this.maybe(0.7, {
        kind: 'shelterSet',
        bed,
        shelter,
        insects: 'out',
        lampHours: null,
        from: '2026-06-01',
        to: null,
      });
      this.maybe(0.3, { kind: 'bedPlaced', bed, xM: 20, yM: Math.floor(this.random() * 30), turnedDeg: 0 });
    }
  }

  private aboutPlants(seed: readonly PlantId[], kitchen: readonly PlantId[]): void {
    for (const plant of [...seed, ...kitchen]) {
      this.maybe(0.15, { kind: 'reasonSet', subject: plant, reason: this.one(['seed', 'fruit']) });
      this.maybe(0.15, { kind: 'offTypeFound', plant, shownBy: 'leaf', rogued: 'before' });
      this.maybe(0.1, { kind: 'plantDied', plant, cause: 'pest' }, '2026-07-20');
      this.maybe(0.2, { kind: 'plantChecked', plant, health: this.one(['healthy', 'sick']) });
      this.maybe(0.1, { kind: 'clonedFrom', plant, parent: this.one(seed) });
    }
  }

  /** A female from the evening before to its looks, with what people leave out left out. */
  private fruit(evening: string, mother: PlantId, father: PlantId): FlowerId {
    const { garden } = this;
    const dawn = addDays(evening, 1);
    const male = garden.shut(evening, father, 'male');
    const female = garden.shut(evening, mother, 'female');
    for (const flower of [male, female])
      if (this.random() < 0.8)
        garden.check(garden.time(dawn, 5), flower, this.one(['whole', 'whole', 'torn']));
    if (this.random() < 0.3) garden.see(garden.time(dawn, 5, 2), mother, 'female', 'coloured', 7);
    garden.work(garden.time(dawn, 5, 6 + Math.floor(this.random() * 4)), female, [male], {
      beeIn: false,
      ...(this.random() < 0.6 && { clean: true }),
      ...(this.random() < 0.3 && { purpose: 'kitchen' }),
    } as Partial<Draft>);
    const mark = this.one([markAt(0), markAt(1 + Math.floor(this.random() * 20)), markAt(0), 'own 1']);
    this.maybe(0.8, { kind: 'marked', flower: female, mark }, dawn, 5);
    this.maybe(0.2, { kind: 'marked', flower: female, mark: markAt(3) }, addDays(dawn, 3), 8);
    const look = (days: number, result: LookResult, sizeMm: number | null) =>
      this.garden.write(garden.time(addDays(dawn, days), 8), {
        kind: 'lookedAt',
        flower: female,
        result,
        sizeMm,
      });
    look(4, this.one(['growing', 'growing', 'same']), 30 + Math.floor(this.random() * 9));
    look(7, this.one(['growing', 'growing', 'growing', 'yellowing']), 55 + Math.floor(this.random() * 9));
    if (this.random() < 0.3) this.disagree(female, addDays(dawn, 7));
    this.maybe(
      0.5,
      { kind: 'harvested', flower: female, harvestFor: 'seed', weightG: null, markRead: true },
      '2026-07-22',
    );
    return female;
  }

  /** The other phone saw it otherwise on the same day. */
  private disagree(flower: FlowerId, date: string): void {
    const at = this.garden.time(date, 9);
    const event = this.garden.write(at, { kind: 'lookedAt', flower, result: 'gone', sizeMm: null }, 'Tilen');
    // `write` has put it in the log as of this phone: what counts is that its twin differs in the device alone.
    this.garden.events.pop();
    this.garden.add({ ...event, device: 'other' });
  }

  private kitchen(plants: readonly PlantId[], stand: StandId): void {
    const { garden } = this;
    for (const day of ['2026-07-08', '2026-07-09']) {
      let at = garden.time(day, 12);
      for (const plant of plants) {
        if (this.random() < 0.15) continue;
        at += (30 + this.random() * 40) * 1000;
        const flowers = 4 + Math.floor(this.random() * 4);
        garden.write(at, { kind: 'tallied', plant, tool: 'vibration', flowers, truss: null });
      }
    }
    this.maybe(0.6, {
      kind: 'groupCounted',
      stand,
      plant: null,
      from: '2026-07-08',
      to: '2026-07-09',
      how: 'vibration',
      worked: 20,
      set: 11 + Math.floor(this.random() * 5),
      bent: null,
    });
  }

  private lot(variety: VarietyId, fruits: readonly FlowerId[]): LotId {
    const lot = `lot:01KS22Y8C047C4FEZDQK8Y${String(1000 + this.lots++)}` as LotId;
    this.garden.write(this.garden.time('2026-07-23', 9), {
      kind: 'lotBegun',
      lot,
      patch: this.garden.patchId,
      variety,
      from: 'fruits',
      fruits: fruits.filter(() => this.random() < 0.7),
      year: 2026,
      note: '',
    } as Draft);
    return lot;
  }

  private nextDoor(): void {
    const { garden } = this;
    if (this.random() < 0.7)
      garden.nextDoor({ crop: 'squash-maxima', distanceM: 20 + this.random() * 80, bearingDeg: 90 });
    if (this.random() < 0.4)
      garden.obstacle('hedge', [
        [35, -20],
        [35, 40],
      ]);
    const days = Array.from({ length: 6 }, (_, i) => ({
      date: addDays('2026-07-01', i),
      minC: 8 + this.random() * 8,
      maxC: 20 + this.random() * 14,
      rainMm: null,
      dewPointC: null,
      felt: null,
    }));
    this.maybe(0.6, { kind: 'weatherNoted', patch: garden.patchId, origin: 'hand', days } as Draft);
  }

  /** Some entries are taken back, and some corrected. */
  private correctSome(): void {
    for (const event of [...this.garden.events]) {
      if (this.random() > 0.03) continue;
      const subject = event.kind === 'lookedAt' || event.kind === 'pollinated' ? event.flower : null;
      if (subject) this.maybe(0.7, { kind: 'withdrawn', subject, target: event.id }, '2026-07-23', 20);
    }
  }
}

const DAY_MS = 86_400_000;

/** For tests only: the demo season of last year, its plants taken out in the autumn, and this year's. */
export function twoYears(): AnyEvent[] {
  const earlier = demoSeason(4).map((event) => ({
    ...event,
    at: new Date(Date.parse(event.at) - 364 * DAY_MS).toISOString(),
  })) as AnyEvent[];
  const out = earlier.flatMap((event, i) =>
    event.kind === 'plantAdded'
      ? [
          {
            ...event,
            id: `01HZZZZZZZZZZZZZZZZZZZ${String(1000 + i).padStart(4, '0')}`,
            at: new Date(Date.parse(event.at) + 150 * DAY_MS).toISOString(),
            kind: 'plantRemoved',
          } as unknown as AnyEvent,
        ]
      : [],
  );
  return [...earlier, ...out, ...demoSeason(5)];
}
