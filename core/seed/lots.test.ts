import type { FlowerId, LotId, PlantId } from '../ids';
import type { Draft } from '../ledger';
import { TestGarden } from '../testGarden';
import { lotName } from '../patch';
import { fruitsWaiting, lotsInOrder, lotStanding, untrueShare } from '.';

const TODAY = '2026-11-01';
const ID = (n: number) => `lot:01KS22Y8C047C4FEZDQK8YZ${100 + n}` as LotId;

/** Two plants of a squash, and fruits worked and picked for seed. */
function picked(many = 2) {
  const garden = new TestGarden();
  const { variety, plants } = garden.plant('squash-maxima', 'Slate Dome', 3);
  const [mother, father] = plants as [PlantId, PlantId];
  const fruits = Array.from({ length: many }, () => {
    const male = garden.shut('2026-07-13', father, 'male');
    const female = garden.shut('2026-07-13', mother, 'female');
    garden.check(garden.time('2026-07-14', 5), male, 'whole');
    garden.check(garden.time('2026-07-14', 5), female, 'whole');
    garden.work(garden.time('2026-07-14', 5, 10), female, [male], { beeIn: false, clean: true } as never);
    garden.write(garden.time('2026-10-01', 9), {
      kind: 'harvested',
      flower: female,
      harvestFor: 'seed',
      weightG: null,
    });
    return female;
  });
  const begin = (n: number, more: Partial<Extract<Draft, { kind: 'lotBegun' }>> = {}) => {
    garden.write(garden.time('2026-10-20', 9, n), {
      kind: 'lotBegun',
      lot: ID(n),
      patch: garden.patchId,
      variety,
      from: 'fruits',
      fruits,
      year: 2026,
      note: '',
      ...more,
    });
    const lot = garden.state.lots.get(ID(n));
    if (!lot) throw new Error('no lot');
    return lot;
  };
  return { garden, variety, mother, father, fruits, begin };
}

test('a lot is as pure as its weakest fruit, says who stands behind it, and what it is', () => {
  const { garden, fruits, begin } = picked();
  garden.check(garden.time('2026-07-15', 6), fruits[0] as FlowerId, 'torn');
  const standing = lotStanding(garden.state, begin(1), TODAY);
  expect(standing).toMatchObject({
    grade: 'distance-only',
    generation: { kind: 'pure' },
    mixture: { mothers: 1, fathers: 1, fruits: 2 },
    sown: 0,
    oddities: [],
  });
  expect(untrueShare(standing)?.high).toBeGreaterThan(0);
});

test('off-types that came of it make a lot impure, whatever its fruits’ proof says', () => {
  const { garden, begin } = picked();
  const lot = begin(1);
  expect(lotStanding(garden.state, lot, TODAY).grade).not.toBe('not-pure');
  const grown = { kind: 'grownOut', lot: lot.id, fruit: null, stage: 'fruit', grown: 60 } as const;
  garden.write(garden.time('2027-08-01', 9), {
    ...grown,
    off: [{ reason: 'warts', count: 2, rogued: null }],
  });
  const now = garden.state.lots.get(lot.id);
  const standing = now && lotStanding(garden.state, now, TODAY);
  expect(standing?.grade).toBe('not-pure');
  const share = standing && untrueShare(standing);
  expect(share?.likely).toBeCloseTo(2 / 60, 10);
  expect(share?.high).toBeCloseTo(0.1153, 3);
});

test('what is picked for seed waits until it is in a lot', () => {
  const { garden, begin, fruits } = picked();
  expect(fruitsWaiting(garden.state)).toMatchObject([{ year: '2026', fruits: [{}, {}] }]);
  begin(1, { fruits: fruits.slice(0, 1) });
  expect(fruitsWaiting(garden.state)[0]?.fruits).toHaveLength(1);
  begin(2, { fruits: fruits.slice(1) });
  expect(fruitsWaiting(garden.state)).toEqual([]);
});

test('bought seed has no fruits and no grade, and nobody asks for them', () => {
  const { garden, begin } = picked();
  const standing = lotStanding(garden.state, begin(1, { from: 'bought', fruits: [], year: 2024 }), TODAY);
  expect(standing).toMatchObject({ grade: null, mixture: null, oddities: [] });
  expect(untrueShare(standing)).toBeNull();
});

test('names tell two lots of one variety and year apart; the latest year comes first', () => {
  const { garden, begin } = picked();
  const [first, second, older] = [begin(1), begin(2), begin(3, { year: 2025, from: 'given', fruits: [] })];
  expect([first, second, older].map((lot) => lotName(lot, garden.state))).toEqual([
    'Slate Dome 2026',
    'Slate Dome 2026 (2)',
    'Slate Dome 2025',
  ]);
  expect(lotsInOrder(garden.state).map(({ year }) => year)).toEqual([2026, 2026, 2025]);
});

test('what cannot be so of a lot is told: no fruits, a fruit twice, one that is missing, older than its work', () => {
  const { garden, begin, fruits } = picked();
  const odd = (n: number, more: Parameters<typeof begin>[1]) => {
    const lot = begin(n, more);
    return lotStanding(garden.state, lot, TODAY).oddities;
  };
  expect(odd(1, { fruits: [] })).toEqual(['no-fruits']);
  expect(odd(2, { fruits: ['flower:01KS22Y8C047C4FEZDQK8YZG00' as FlowerId] })).toEqual(['missing-fruit']);
  expect(odd(3, { year: 2020 })).toEqual(['year-before']);
  expect(odd(4, {})).toEqual(['fruit-twice']);
  const other = garden.plant('squash-maxima', 'Other', 1).plants[0] as PlantId;
  const stray = garden.shut('2026-07-20', other, 'female');
  expect(odd(5, { fruits: [fruits[0] as FlowerId, stray] })).toContain('two-varieties');
});
