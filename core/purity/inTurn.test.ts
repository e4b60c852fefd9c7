import type { BedId, FlowerId, PlantId } from '../ids';
import type { Flower } from '../ledger';
import { isolationOf } from '../isolation';
import { coversFor, turnsOn } from '../patch';
import { TestGarden } from '../testGarden';
import { gradeProof, proofOf, yearPurity } from '.';

const DAY = '2026-07-14';

/** Two pepo squashes, each under a cage that comes off on days of its own. */
function twoCages() {
  const garden = new TestGarden();
  const [low] = garden.plant('squash-pepo', 'Low Lantern', 1).plants as [PlantId];
  const [tall] = garden.plant('squash-pepo', 'Tall Lantern', 1).plants as [PlantId];
  const bedOf = (plant: PlantId): BedId => garden.growing(plant).bed.id;
  const cage = (plant: PlantId) =>
    garden.write(garden.time('2026-07-01', 7), {
      kind: 'shelterSet',
      bed: bedOf(plant),
      shelter: 'cage',
      insects: 'in-turn',
      lampHours: null,
      from: '2026-07-01',
      to: null,
    });
  const off = (plant: PlantId, date = DAY, hour = 4) =>
    garden.write(garden.time(date, hour, 30), { kind: 'cageOpened', bed: bedOf(plant) });
  /** A flower of the first, open on a day, its fruit marked and its mark read at harvest. */
  const fruit = (date = DAY) => {
    const flower = garden.see(garden.time(date, 8), low, 'female', 'open');
    garden.write(garden.time(date, 8, 5), { kind: 'marked', flower, mark: '1-A' });
    garden.write(garden.time('2026-09-10', 9), {
      kind: 'harvested',
      flower,
      harvestFor: 'seed',
      weightG: null,
      markRead: true,
    });
    return flower;
  };
  const proof = (id: FlowerId) => {
    const chain = proofOf(garden.state.flowers.get(id) as Flower, garden.state, '2026-09-11', null);
    return { ...gradeProof(chain), way: chain.way, says: chain.links.map(({ says }) => says) };
  };
  return { garden, low, tall, cage, off, fruit, proof };
}

test('a fruit of the day on which its cage was off before the bees, and the other’s on, is fair, and says by what', () => {
  const { low, tall, cage, off, fruit, proof } = twoCages();
  cage(low);
  cage(tall);
  off(low);
  const found = proof(fruit());
  expect(found).toMatchObject({ grade: 'fair', way: 'in-turn' });
  expect(found.says).toEqual(expect.arrayContaining(['caged-in-turn', 'bees-of-yesterday', 'read']));
});

test('no such day: not its turn, off after the bees, both off at once, or one of them never caged', () => {
  const grade = (arrange: (of: ReturnType<typeof twoCages>) => void) => {
    const made = twoCages();
    arrange(made);
    return made.proof(made.fruit()).grade;
  };
  const both = ({ cage, low, tall }: ReturnType<typeof twoCages>) => (cage(low), cage(tall));
  expect(grade((of) => (both(of), of.off(of.low, '2026-07-13')))).toBe('distance-only');
  expect(grade((of) => (both(of), of.off(of.low, DAY, 9)))).toBe('distance-only');
  expect(grade((of) => (both(of), of.off(of.low), of.off(of.tall)))).toBe('distance-only');
  expect(grade((of) => (of.cage(of.low), of.off(of.low)))).toBe('distance-only');
});

test('caged in turn it needs no covers and is apart from the other, but not from what grows next door', () => {
  const { garden, low, tall, cage } = twoCages();
  const stand = garden.growing(low).stand.id;
  const asked = () => isolationOf(garden.state, stand, DAY)?.verdict;
  cage(low);
  expect(coversFor(garden.state, garden.growing(low), DAY)).toMatchObject({
    needed: true,
    others: ['Tall Lantern'],
  });
  expect(asked()).toBe('too-near');
  cage(tall);
  expect(coversFor(garden.state, garden.growing(low), DAY).needed).toBe(false);
  expect(asked()).toBe('alone');
  garden.nextDoor({ crop: 'squash-pepo', distanceM: 30 });
  expect(asked()).toBe('too-near');
});

test('the bed that has waited longest is offered first; where no cage takes turns nothing is', () => {
  const { garden, low, tall, cage, off } = twoCages();
  const turns = () => turnsOn(garden.state, DAY, garden.place.zone);
  expect(turns()).toEqual([]);
  cage(low);
  cage(tall);
  off(low, '2026-07-12');
  off(tall, '2026-07-13');
  expect(turns().map(({ varieties }) => varieties)).toEqual([['Low Lantern'], ['Tall Lantern']]);
  off(low);
  expect(turns().find(({ offAt }) => offAt !== null)?.varieties).toEqual(['Low Lantern']);
});

test('a fruit that was left to the bees is in the report once it has a mark, and not before', () => {
  const { garden, low } = twoCages();
  const flower = garden.see(garden.time(DAY, 8), low, 'female', 'open');
  garden.write(garden.time(DAY, 8, 1), { kind: 'leftOpen', flower });
  const fruits = () => yearPurity(garden.state, '2026-08-01', null).varieties.flatMap((each) => each.fruits);
  expect(fruits()).toEqual([]);
  garden.write(garden.time(DAY, 8, 5), { kind: 'marked', flower, mark: '1-A' });
  expect(fruits()).toMatchObject([{ flower, grade: 'distance-only' }]);
});
