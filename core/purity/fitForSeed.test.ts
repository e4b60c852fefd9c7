import fc from 'fast-check';
import { DEFAULT_SCHOOLS } from '../crops';
import type { FlowerId, PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { fitForSeed, type FitReason } from '.';

const EVENING = '2026-07-13';
const DAWN = '2026-07-14';
const PRACTICAL = { ...DEFAULT_SCHOOLS, proof: 'practical' };

/** A female shut and worked with one male of another plant; everything seen unless said otherwise. */
function worked(
  more: { check?: boolean; male?: 'whole' | 'torn' | null; pollinated?: object; shut?: boolean } = {},
) {
  const garden = new TestGarden();
  const dome = garden.plant('squash-maxima', 'Slate Dome', 2);
  const [mother, father] = dome.plants as [PlantId, PlantId];
  const female =
    more.shut === false
      ? garden.see(garden.time(DAWN, 5), mother, 'female', 'open')
      : garden.shut(EVENING, mother, 'female');
  const male = garden.shut(EVENING, father, 'male');
  if (more.check !== false) garden.check(garden.time(DAWN, 5, 10), female, 'whole');
  const state = more.male === undefined ? 'whole' : more.male;
  if (state) garden.check(garden.time(DAWN, 5, 5), male, state);
  garden.work(garden.time(DAWN, 5, 12), female, [male], { beeIn: false, ...more.pollinated } as never);
  return { garden, dome, female, male, fit: () => of(garden, female) };
}
const of = (garden: TestGarden, id: FlowerId, schools = DEFAULT_SCHOOLS) => {
  const flower = garden.state.flowers.get(id);
  if (!flower) throw new Error('no flower');
  return fitForSeed(flower, garden.state, schools);
};
const told = (reasons: readonly FitReason[], state: FitReason['state']) =>
  reasons.filter((each) => each.state === state).map(({ link, what }) => `${link}: ${what}`);

test('every link seen: fit, and each names the entries it rests on', () => {
  const { garden, fit } = worked();
  const { verdict, reasons } = fit();
  expect(verdict).toBe('fit');
  expect(told(reasons, 'seen')).toEqual([
    'shut-before: shut',
    'whole: whole',
    'no-insect: no-bee',
    'shut-again: shut',
    'fathers: pure-fathers',
  ]);
  const ids = new Set(garden.events.map(({ id }) => id));
  for (const { events } of reasons) {
    expect(events.length).toBeGreaterThan(0);
    for (const id of events) expect(ids.has(id)).toBe(true);
  }
});

test.each([
  ['nobody looked at the closure', { check: false }, 'whole: not-looked-at'],
  ['nobody looked at the male', { male: null }, 'fathers: father-not-recorded'],
  ['nobody said whether a bee got in', { pollinated: { beeIn: undefined } }, 'no-insect: nobody-said'],
  ['nobody said how it was left', { pollinated: { shutAgain: undefined } }, 'shut-again: nobody-said'],
  ['no father was written down', { pollinated: { fathers: [] } }, 'fathers: no-father'],
])('%s: not recorded, neither proof nor fault', (_what, how, reason) => {
  const { verdict, reasons } = worked(how).fit();
  expect(verdict).toBe('not-recorded');
  expect(told(reasons, 'not-recorded')).toEqual([reason]);
});

test.each([
  ['a torn male', { male: 'torn' as const }, 'fathers: father-unfit'],
  ['a bee got in', { pollinated: { beeIn: true } }, 'no-insect: bee-in'],
  ['left open', { pollinated: { shutAgain: null } }, 'shut-again: left-open'],
  ['never shut', { shut: false }, 'shut-before: never-shut'],
])('%s: not for seed, whatever it was meant for', (_what, how, reason) => {
  const { verdict, reasons } = worked(how).fit();
  expect(verdict).toBe('unfit');
  expect(told(reasons, 'broken')).toEqual([reason]);
});

test('a flower that stood open when it was shut is told apart from one never shut', () => {
  const garden = new TestGarden();
  const [plant] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
  const female = garden.see(garden.time(DAWN, 6), plant, 'female', 'open');
  garden.write(garden.time(DAWN, 6, 5), { kind: 'flowerShut', flower: female, closure: 'tape' });
  expect(told(of(garden, female).reasons, 'broken')).toEqual(['shut-before: stood-open']);
});

test('the practical school takes a flower worked as it opened and tied shut; it moves the verdict, never the facts', () => {
  const { garden, female } = worked({ shut: false });
  const strict = of(garden, female);
  const practical = of(garden, female, PRACTICAL);
  expect([strict.verdict, practical.verdict]).toEqual(['unfit', 'fit']);
  expect(told(practical.reasons, 'seen')).toContain('shut-before: worked-as-it-opened');
  const open = worked({ shut: false, pollinated: { shutAgain: null } });
  expect(of(open.garden, open.female, PRACTICAL).verdict).toBe('unfit');
});

test('pollen of another variety is a cross, and so is the wrong father in a cross', () => {
  const { garden, female } = worked();
  const other = garden.plant('squash-maxima', 'Other Dome', 1);
  const strange = garden.shut(EVENING, other.plants[0] as PlantId, 'male');
  garden.check(garden.time(DAWN, 5, 20), strange, 'whole');
  garden.work(garden.time(DAWN, 5, 30), female, [strange], { beeIn: false } as never);
  expect(told(of(garden, female).reasons, 'broken')).toEqual(['father-variety: other-variety']);
});

test('a male found not open yet is shut, not spoiled; picked for the kitchen it gives no pollen', () => {
  const { garden, male } = worked({ male: null });
  garden.check(garden.time(DAWN, 5, 1), male, 'not-open');
  expect(of(garden, male).verdict).toBe('not-recorded');
  garden.check(garden.time('2026-07-15', 5), male, 'whole');
  expect(of(garden, male).verdict).toBe('fit');
  garden.write(garden.time('2026-07-15', 6), {
    kind: 'harvested',
    flower: male,
    harvestFor: 'kitchen',
    weightG: null,
  });
  expect(of(garden, male).verdict).toBe('unfit');
});

test('a tassel is bagged while it sheds: that is no fault of corn', () => {
  const garden = new TestGarden();
  const [plant] = garden.plant('corn', 'Weir Copper', 1).plants as [PlantId];
  const tassel = garden.see(garden.time(EVENING, 16), plant, 'male', 'open');
  garden.write(garden.time(EVENING, 17), { kind: 'flowerShut', flower: tassel, closure: 'tassel-bag' });
  garden.check(garden.time(DAWN, 9), tassel, 'whole');
  expect(of(garden, tassel).verdict).toBe('fit');
  const ear = garden.see(garden.time(EVENING, 16), plant, 'female', 'open');
  garden.write(garden.time(EVENING, 17), { kind: 'flowerShut', flower: ear, closure: 'shoot-bag' });
  expect(of(garden, ear).verdict).toBe('unfit');
});

test('a further entry can break a proof or fill a gap, never mend what was broken', () => {
  const facts = fc.array(fc.constantFrom('whole', 'torn', 'holed', 'insect', 'not-open'), { maxLength: 5 });
  fc.assert(
    fc.property(facts, (results) => {
      const garden = new TestGarden();
      const [plant] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
      const female = garden.shut(EVENING, plant, 'female');
      let broken = false;
      for (const [i, result] of results.entries()) {
        garden.check(garden.time(DAWN, 5, i), female, result as never);
        broken ||= of(garden, female).verdict === 'unfit';
        expect(of(garden, female).verdict === 'unfit').toBe(broken);
      }
      expect(broken).toBe(results.some((result) => ['torn', 'holed', 'insect'].includes(result)));
    }),
    { numRuns: 40 },
  );
});

describe('under cover', () => {
  const house = (garden: TestGarden, plant: PlantId, insects: 'out' | 'in' = 'out') =>
    garden.write(garden.time('2026-06-01', 12), {
      kind: 'shelterSet',
      bed: garden.growing(plant).bed.id,
      shelter: 'closed-house',
      insects,
      lampHours: null,
      from: '2026-06-01',
      to: null,
    });

  /** An open female, never shut, worked with males of another plant that nobody noted one by one, and left open. */
  function open(insects: 'out' | 'in' = 'out') {
    const garden = new TestGarden();
    const { plants } = garden.plant('squash-maxima', 'Slate Dome', 2);
    const [mother, father] = plants as [PlantId, PlantId];
    const shelter = house(garden, mother, insects);
    const female = garden.see(garden.time(DAWN, 6), mother, 'female', 'open');
    garden.work(garden.time(DAWN, 6, 5), female, [], {
      fathers: [{ plant: father, males: 2, flowers: [] }],
      shutAgain: null,
    } as never);
    return { garden, mother, female, shelter };
  }

  test('alone of its kind where no insect gets in, a flower that was never shut is fit, and the shelter is cited', () => {
    const { garden, female, shelter } = open();
    const { verdict, reasons } = of(garden, female);
    expect(verdict).toBe('fit');
    expect(reasons.find(({ link }) => link === 'shut-before')).toMatchObject({
      what: 'no-insects-here',
      events: [shelter.id],
    });
  });

  test('where insects can get in it is not, nor once a second variety stands there', () => {
    expect(of(open('in').garden, open('in').female).verdict).toBe('unfit');
    const { garden, female } = open();
    const [rival] = garden.plant('squash-maxima', 'Green Rival', 1).plants as [PlantId];
    house(garden, rival);
    expect(of(garden, female).verdict).toBe('unfit');
  });

  test('an insect seen in the flower counts, whatever stands over it', () => {
    const { garden, female } = open();
    garden.check(garden.time(DAWN, 6, 10), female, 'insect');
    expect(of(garden, female).verdict).toBe('unfit');
  });
});

test('worked as it opened it had no closure to be looked at: nobody is asked how that one was', () => {
  const garden = new TestGarden();
  const [plant] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
  const female = garden.see(garden.time(DAWN, 5), plant, 'female', 'open');
  garden.work(garden.time(DAWN, 5, 5), female, []);
  const links = () => of(garden, female, PRACTICAL).reasons.map(({ link }) => link);
  expect(links()).not.toContain('whole');
  // What somebody saw of a closure counts all the same.
  garden.check(garden.time(DAWN, 5, 2), female, 'torn');
  expect(links()).toContain('whole');
});
