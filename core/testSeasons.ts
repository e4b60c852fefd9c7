import type { CropId } from './crops';
import type { FlowerId, LotId, PlantId, StandId, SubjectId, VarietyId } from './ids';
import { TestGarden } from './testGarden';
import { addDays } from './time';

/** A garden in which years go by, for tests only: plants sown from lots, fruits worked and picked, lots begun. */
export class Seasons {
  readonly garden: TestGarden;
  private lots = 0;
  /** The year of the next planting. */
  private spring: number;

  constructor(readonly year = 2020) {
    this.garden = new TestGarden(undefined, `${year}-05-20`);
    this.spring = year;
  }

  get state() {
    return this.garden.state;
  }

  /** Plants that go into the ground in the spring after the latest fruit or lot: they may be of it. */
  stand(name: string, count: number, crop: CropId = 'squash-maxima') {
    return this.garden.plant(crop, name, count, { on: `${this.spring}-05-20` });
  }

  /** A fruit of one plant with the pollen of others, all of it seen, and picked for seed. */
  fruit(
    mother: PlantId,
    fathers: readonly PlantId[],
    mark: string | null = null,
    year = Math.max(...[mother, ...fathers].map((plant) => this.yearOf(plant))),
  ): FlowerId {
    const { garden } = this;
    this.spring = Math.max(this.spring, year + 1);
    const evening = `${year}-07-13`;
    const dawn = (minute: number) => garden.time(addDays(evening, 1), 5, minute);
    const males = fathers.map((father) => garden.shut(evening, father, 'male'));
    const flower = garden.shut(evening, mother, 'female');
    for (const each of [...males, flower]) garden.check(dawn(0), each, 'whole');
    garden.work(dawn(10), flower, males, { beeIn: false, clean: true } as never);
    if (mark !== null) garden.write(dawn(11), { kind: 'marked', flower, mark });
    garden.check(garden.time(addDays(evening, 2), 6), flower, 'whole');
    garden.write(garden.time(`${year}-10-01`, 9), {
      kind: 'harvested',
      flower,
      harvestFor: 'seed',
      weightG: null,
      markRead: mark !== null,
    });
    return flower;
  }

  lot(
    variety: VarietyId,
    fruits: readonly FlowerId[],
    year = Math.max(this.year, ...fruits.map((fruit) => this.yearOf(this.state.flowers.get(fruit)?.plant))),
  ): LotId {
    this.spring = Math.max(this.spring, year + 1);
    const lot = `lot:01KS22Y8C047C4FEZDQK8Y${String(1000 + this.lots++)}` as LotId;
    this.garden.write(this.garden.time(`${year}-10-02`, 9), {
      kind: 'lotBegun',
      lot,
      patch: this.garden.patchId,
      variety,
      from: 'fruits',
      fruits,
      year,
      note: '',
    });
    return lot;
  }

  sow(subject: PlantId | StandId, lot: LotId | null, fruit: FlowerId | null = null): void {
    this.garden.write(this.garden.time(`${this.spring}-06-03`, 9), { kind: 'sownFrom', subject, lot, fruit });
  }

  /** The year in which a plant went into the ground. */
  private yearOf(plant: SubjectId | undefined): number {
    return Number(this.state.plants.get(plant ?? '')?.plantedOn?.slice(0, 4) ?? this.year);
  }

  /** Plants of a lot counted: so many, so many of them off. */
  count(
    lot: LotId,
    fruit: FlowerId | null,
    grown: number,
    off: number,
    stage: 'leaf' | 'fruit' = 'fruit',
    reason = 'round fruit',
  ): void {
    this.garden.write(this.garden.time(`${this.year + 1}-08-01`, 9), {
      kind: 'grownOut',
      lot,
      fruit,
      stage,
      grown,
      off: off === 0 ? [] : [{ reason, count: off, rogued: 'after' }],
    });
  }
}
