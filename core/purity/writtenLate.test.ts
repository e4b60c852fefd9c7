import type { FlowerId, LotId, PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { gradeProof, offShare, proofOf } from '.';

const DAWN = '2026-07-14';
const ON_THE_SPOT = { beeIn: false, clean: true };

/** A squash shut, looked at, worked, marked, seen whole next day and its mark read: a proof with every link. */
function worked(said: object = ON_THE_SPOT, added: object | null = null) {
  const garden = new TestGarden();
  const [mother, father, other] = garden.plant('squash-maxima', 'Slate Dome', 3).plants as [
    PlantId,
    PlantId,
    PlantId,
  ];
  const female = garden.shut('2026-07-13', mother, 'female');
  const male = garden.shut('2026-07-13', father, 'male');
  garden.check(garden.time(DAWN, 5), male, 'whole');
  garden.check(garden.time(DAWN, 5, 5), female, 'whole');
  garden.work(garden.time(DAWN, 5, 10), female, [male], said as never);
  garden.write(garden.time(DAWN, 5, 11), { kind: 'marked', flower: female, mark: '1-A' });
  const made = { garden, mother, father, other, female, male };
  if (added) addLater(made, DAWN, { ...added });
  garden.check(garden.time('2026-07-15', 6), female, 'whole');
  garden.write(garden.time('2026-07-20', 8), {
    kind: 'lookedAt',
    flower: female,
    result: 'growing',
    sizeMm: null,
    markRead: true,
  });
  return made;
}
interface Made {
  readonly garden: TestGarden;
  readonly mother: PlantId;
  readonly father: PlantId;
  readonly other: PlantId;
  readonly female: FlowerId;
  readonly male: FlowerId;
}

const flowerOf = ({ garden, female }: Pick<Made, 'garden' | 'female'>) => {
  const flower = garden.state.flowers.get(female);
  if (!flower) throw new Error('no flower');
  return flower;
};
const proven = (made: Made) => {
  const chain = proofOf(flowerOf(made), made.garden.state, '2026-08-20', null);
  return { chain, proof: gradeProof(chain) };
};
const link = (made: Made, wanted: string) => proven(made).chain.links.find((each) => each.link === wanted);

/** Puts right, or adds to, what was written when it was worked. */
function addLater(made: Made, on: string, changes: Record<string, unknown>) {
  const visit = flowerOf(made).pollinations[0];
  if (!visit) throw new Error('not worked');
  return made.garden.write(made.garden.time(on, 9), {
    kind: 'corrected',
    subject: made.female,
    target: visit.event,
    changes,
  });
}

test('answers added on the same day count as if given on the spot; from the second day after the work they are good at best', () => {
  expect(proven(worked({})).proof.grade).toBe('good');
  expect(proven(worked({}, ON_THE_SPOT)).proof.grade).toBe('sound');

  const later = worked({});
  const before = proven(later).proof.foreignShare.likely;
  const added = addLater(later, '2026-08-03', ON_THE_SPOT);
  expect(proven(later).proof.grade).toBe('good');
  // Who looks can see from when it is: the entry that added it is cited.
  for (const each of ['clean', 'no-insect'])
    expect(link(later, each)).toMatchObject({
      state: 'seen',
      late: true,
      events: [expect.anything(), added.id],
    });
  expect(link(later, 'whole')).not.toHaveProperty('late');
  // Better than nothing, and worse than on the spot.
  const { likely } = proven(later).proof.foreignShare;
  expect(likely).toBeLessThan(before);
  expect(likely).toBeGreaterThan(proven(worked()).proof.foreignShare.likely);
});

test('an entry with its own earlier time is from memory too where it was written days later, of a male as well', () => {
  const made = worked();
  expect(proven(made).proof.grade).toBe('sound');
  const { garden, mother, other } = made;
  const female = garden.shut('2026-07-21', mother, 'female');
  const male = garden.shut('2026-07-21', other, 'male');
  garden.work(garden.time('2026-07-22', 5, 10), female, [male], ON_THE_SPOT as never);
  garden.write(garden.time('2026-07-22', 5, 11), { kind: 'marked', flower: female, mark: '1-B' });
  garden.check(garden.time('2026-07-23', 6), female, 'whole');
  garden.write(garden.time('2026-07-30', 6), {
    kind: 'lookedAt',
    flower: female,
    result: 'growing',
    sizeMm: null,
    markRead: true,
  });
  const again = { ...made, female };
  expect(proven(again).proof.grade).toBe('good');
  const fromMemory = (flower: FlowerId) =>
    garden.write(
      garden.time('2026-07-22', 5, 5),
      { kind: 'closureChecked', flower, result: 'whole' },
      'Oda',
      garden.time('2026-07-30', 9),
    );
  fromMemory(female);
  expect(link(again, 'whole')).toMatchObject({ state: 'seen', late: true });
  fromMemory(male);
  expect(link(again, 'fathers')).toMatchObject({ state: 'seen', late: true });
  expect(proven(again).proof.grade).toBe('good');
});

test('anthers that were out of a cross can be said later as well', () => {
  const garden = new TestGarden();
  const [mother] = garden.plant('pepper', 'Copper Horn', 2, { reason: 'cross' }).plants as [PlantId];
  const female = garden.shut('2026-07-13', mother, 'perfect' as never);
  garden.work(garden.time(DAWN, 9), female, [], ON_THE_SPOT as never);
  const made = { ...worked(), garden, female };
  expect(link(made, 'fathers')?.state).toBe('not-recorded');
  garden.write(garden.time('2026-07-20', 9), { kind: 'noted', subject: female, text: 'out of the diary' });
  const out = garden.write(garden.time('2026-07-13', 18), { kind: 'emasculated', flower: female });
  expect(flowerOf(made).emasculated).toEqual({ event: out.id, at: out.at });
});

describe('which flower it is', () => {
  const sightingOf = (made: Made) => flowerOf(made).sightings[0]?.event ?? '';
  const move = (made: Made, on: string, hour: number, to: PlantId) =>
    made.garden.write(made.garden.time(on, hour), {
      kind: 'corrected',
      subject: made.female,
      target: sightingOf(made),
      changes: { plant: to },
    });

  test('moved to another plant once it was worked, it is fair: who did so and when is cited', () => {
    const made = worked();
    const moved = move(made, '2026-07-25', 9, made.other);
    expect(flowerOf(made)).toMatchObject({
      plant: made.other,
      putRight: [{ event: moved.id, from: made.mother }],
    });
    expect(link(made, 'mark-read')).toMatchObject({ says: 'moved', events: [moved.id], doubtful: true });
    expect(proven(made).proof.grade).toBe('fair');
    // Moved back, it is where it was said to be all along.
    move(made, '2026-07-26', 9, made.mother);
    expect(proven(made).proof.grade).toBe('sound');
  });

  test('a slip put right before anybody worked it leaves no doubt', () => {
    const garden = new TestGarden();
    const [mother, other] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId, PlantId];
    const female: FlowerId = garden.shut('2026-07-13', mother, 'female');
    const made = { ...worked(), garden, mother, other, female };
    move(made, '2026-07-13', 20, other);
    garden.work(garden.time(DAWN, 5, 10), female, [], ON_THE_SPOT as never);
    expect(link(made, 'mark-read')?.says).toBe('not-read');
  });
});

describe('not true to the variety', () => {
  test('said of a fruit whose mother or father was off, however it was worked: never by distance only', () => {
    for (const who of ['mother', 'father'] as const) {
      const made = worked();
      made.garden.write(made.garden.time('2026-08-01', 9), {
        kind: 'offTypeFound',
        plant: made[who],
        shownBy: 'fruit',
      });
      expect(proven(made).proof).toMatchObject({ grade: 'not-pure', untrue: true });
    }
    // One that stood open for the insects on such a plant.
    const made = worked();
    const open = made.garden.see(made.garden.time(DAWN, 6), made.mother, 'female', 'open');
    const left = { ...made, female: open };
    expect(proven(left).proof).toMatchObject({ grade: 'distance-only', untrue: false });
    made.garden.write(made.garden.time('2026-08-01', 9), {
      kind: 'offTypeFound',
      plant: made.mother,
      shownBy: 'fruit',
    });
    expect(proven(left).proof).toMatchObject({ grade: 'not-pure', untrue: true });
  });

  /** So many plants of its seed were grown, so many of them off. */
  function grownOut(grown: number, off: number) {
    const made = worked();
    const { garden, female } = made;
    const variety = [...garden.state.varieties.keys()][0] as string;
    const lot = `lot:${'0'.repeat(26)}` as LotId;
    garden.write(garden.time('2026-09-20', 9), {
      kind: 'lotBegun',
      lot,
      patch: garden.patchId,
      variety,
      from: 'fruits',
      fruits: [female],
      year: 2026,
      note: '',
    } as never);
    garden.write(garden.time('2027-06-20', 9), {
      kind: 'grownOut',
      lot,
      fruit: female,
      stage: 'leaf',
      grown,
      off: off === 0 ? [] : [{ count: off, reason: 'lobed leaf' }],
    } as never);
    return made;
  }

  // Exact one-sided 95 % limits of 1 among 300: 0.0171 % and 1.572 % (R: binom.test(1, 300, alternative = "less" and "greater")).
  test('one off among 300 is a share beside the grade of its evidence', () => {
    const { chain, proof } = proven(grownOut(300, 1));
    expect(proof.grade).toBe('sound');
    expect(chain.offspring).toMatchObject({ grown: 300, off: 1 });
    const { found, atLeast, atMost } = offShare({ grown: 300, off: 1 });
    expect(found).toBeCloseTo(0.00333, 5);
    expect(atMost).toBeCloseTo(0.01572, 4);
    expect(atLeast).toBeCloseTo(0.000171, 6);
    expect(proven(grownOut(300, 0)).chain.offspring).toBeNull();
  });

  test('more than its evidence leaves room for speaks against it', () => {
    const { chain, proof } = proven(grownOut(40, 20));
    expect(proof).toMatchObject({ grade: 'not-pure', untrue: true });
    expect(chain.links.find(({ says }) => says === 'offspring-off')?.events).toHaveLength(1);
  });
});
