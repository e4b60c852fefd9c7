import fc from 'fast-check';
import type { PlantId } from '../ids';
import { fold, type Draft, type LedgerEvent } from '../ledger';
import { TestGarden } from '../testGarden';
import { contradictions } from '.';

const DAY = '2026-07-14';

function two() {
  const garden = new TestGarden();
  const { plants } = garden.plant('squash-maxima', 'Slate Dome', 3);
  const [mother, father] = plants as [PlantId, PlantId, PlantId];
  const flower = garden.shut('2026-07-13', mother, 'female');
  const write = (device: string, minute: number, draft: object) =>
    garden.write(garden.time(DAY, 5, minute), { ...draft, device } as unknown as Draft);
  const found = () => contradictions(garden.state, garden.place.zone, DAY);
  return { garden, mother, father, plants, flower, write, found };
}

const check = (flower: string, result: string) => ({ kind: 'closureChecked', flower, result });

test.each([
  ['whole and torn', 'whole', 'torn', true],
  ['whole twice', 'whole', 'whole', false],
  ['not open yet, then whole', 'not-open', 'whole', false],
] as const)('a closure found %s by two devices', (_name, one, other, apart) => {
  const { flower, write, found } = two();
  const a = write('one', 20, check(flower, one));
  const b = write('two', 25, check(flower, other));
  expect(found().map(({ entries }) => entries.map(({ id }) => id))).toEqual(apart ? [[a.id, b.id]] : []);
});

test('two phones that both moved one bed come to one place, and it is told that it was moved twice', () => {
  const { garden, write, found } = two();
  const bed = [...garden.state.beds.keys()][0];
  const a = write('one', 20, { kind: 'bedPlaced', bed, xM: 5, yM: 0, turnedDeg: 0 });
  expect(found()).toEqual([]);
  const b = write('two', 25, { kind: 'bedPlaced', bed, xM: 9, yM: 0, turnedDeg: 0 });
  expect(garden.state.beds.get(bed as string)?.xM).toBe(9);
  expect(found().map(({ subject, entries }) => [subject, entries.map(({ id }) => id)])).toEqual([
    [bed, [a.id, b.id]],
  ]);
  // The earlier one chosen, the later is taken back.
  write('one', 40, { kind: 'withdrawn', subject: bed, target: b.id });
  expect([found(), garden.state.beds.get(bed as string)?.xM]).toEqual([[], 5]);
});

test('one device that changes its mind contradicts nobody, and neither do two on different days', () => {
  const { garden, flower, write, found } = two();
  write('one', 20, check(flower, 'whole'));
  write('one', 25, check(flower, 'torn'));
  expect(found()).toEqual([]);
  garden.write(garden.time('2026-07-19', 9), {
    kind: 'lookedAt',
    flower,
    result: 'growing',
    sizeMm: null,
    device: 'one',
  } as unknown as Draft);
  garden.write(garden.time('2026-07-20', 9), {
    kind: 'lookedAt',
    flower,
    result: 'gone',
    sizeMm: null,
    device: 'two',
  } as unknown as Draft);
  expect(contradictions(garden.state, garden.place.zone, '2026-07-20')).toEqual([]);
});

test('it is settled by taking one back, or by saying that both are true', () => {
  for (const how of ['withdrawn', 'settled'] as const) {
    const { flower, write, found } = two();
    const a = write('one', 20, check(flower, 'whole'));
    const b = write('two', 25, check(flower, 'torn'));
    expect(found()).toHaveLength(1);
    write(
      'one',
      40,
      how === 'withdrawn'
        ? { kind: 'withdrawn', subject: flower, target: a.id }
        : { kind: 'settled', subject: flower, entries: [b.id, a.id] },
    );
    expect(found()).toEqual([]);
  }
});

test('one male claimed on two phones is a conflict, not two pollinations; where he may serve two it is none', () => {
  for (const school of ['1', '2']) {
    const { garden, plants, father, flower, write, found } = two();
    garden.school('sharing', school);
    const male = garden.shut('2026-07-13', father, 'male');
    const other = garden.shut('2026-07-13', plants[2] as PlantId, 'female');
    const work = (female: string) => ({
      kind: 'pollinated',
      flower: female,
      fathers: [{ plant: father, males: 1, flowers: [male] }],
      purpose: 'seed',
    });
    const a = write('one', 30, work(flower));
    const b = write('two', 31, work(other));
    expect(found()).toEqual(school === '1' ? [{ subject: male, entries: [a, b] }] : []);
  }
});

test('a name put right in two ways on one day is shown; the same in both is not', () => {
  const { garden, found } = two();
  const variety = [...garden.state.varieties.values()][0];
  if (!variety) throw new Error('no variety');
  const rename = (device: string, hour: number, name: string) =>
    garden.write(garden.time(DAY, hour), {
      kind: 'corrected',
      subject: variety.id,
      target: variety.event,
      changes: { name },
      device,
    } as unknown as Draft);
  rename('one', 9, 'Slate Dome Early');
  rename('two', 10, 'Slate Dome Early');
  expect(found()).toEqual([]);
  rename('two', 11, 'Slate Dome Late');
  expect(found()).toHaveLength(1);
});

test('what is found does not hang on the order in which the phones met', () => {
  const { garden, flower, mother, write } = two();
  write('one', 20, check(flower, 'whole'));
  write('two', 22, check(flower, 'holed'));
  write('one', 23, { kind: 'marked', flower, mark: '1-A' });
  write('two', 24, { kind: 'marked', flower, mark: '1-B' });
  write('one', 30, { kind: 'plantChecked', plant: mother, health: 'healthy' });
  write('two', 31, { kind: 'plantChecked', plant: mother, health: 'sick' });
  const ids = (events: readonly LedgerEvent[]) =>
    contradictions(fold(events), garden.place.zone, DAY)
      .map(({ entries }) => entries.map(({ id }) => id).join())
      .sort();
  const usual = ids(garden.events);
  expect(usual).toHaveLength(3);
  fc.assert(
    fc.property(fc.shuffledSubarray(garden.events, { minLength: garden.events.length }), (events) => {
      expect(ids(events)).toEqual(usual);
    }),
    { numRuns: 30 },
  );
});
