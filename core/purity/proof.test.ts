import type { FlowerId, PlantId } from '../ids';
import type { Draft } from '../ledger';
import { TestGarden } from '../testGarden';
import { closuresDue, gradeProof, PROOF_LINKS, proofOf, yearPurity, type Share } from '.';

const ABOUT: Share = { low: 0.02, likely: 0.1, high: 0.3 };

describe('the chain of a fruit', () => {
  const DAWN = '2026-07-14';
  const at = (garden: TestGarden, day: number, hour: number) =>
    garden.time(`2026-07-${String(day).padStart(2, '0')}`, hour);

  function worked(said: Partial<Extract<Draft, { kind: 'pollinated' }>> = {}) {
    const garden = new TestGarden();
    const [mother, father] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId, PlantId];
    const female = garden.shut('2026-07-13', mother, 'female');
    const male = garden.shut('2026-07-13', father, 'male');
    garden.check(garden.time(DAWN, 5), male, 'whole');
    garden.check(garden.time(DAWN, 5, 5), female, 'whole');
    garden.work(garden.time(DAWN, 5, 10), female, [male], { beeIn: false, clean: true, ...said } as never);
    return { garden, female, father };
  }
  const chain = ({ garden, female }: { garden: TestGarden; female: FlowerId }, today = '2026-07-20') => {
    const flower = garden.state.flowers.get(female);
    if (!flower) throw new Error('no flower');
    return proofOf(flower, garden.state, today, ABOUT);
  };
  const told = (found: ReturnType<typeof chain>) =>
    Object.fromEntries(found.links.map(({ link, says }) => [link, says]));

  function seen() {
    const made = worked();
    const { garden, female } = made;
    garden.write(garden.time(DAWN, 5, 11), { kind: 'marked', flower: female, mark: '1-A' });
    garden.check(at(garden, 15, 6), female, 'whole');
    garden.write(at(garden, 20, 8), {
      kind: 'lookedAt',
      flower: female,
      result: 'growing',
      sizeMm: null,
      markRead: true,
    });
    return made;
  }

  test('with every link seen it is sound, and each link cites its entries', () => {
    const made = seen();
    const found = chain(made);
    expect(gradeProof(found).grade).toBe('sound');
    expect(found.links.map(({ link }) => link)).toEqual(PROOF_LINKS);
    const ids = new Set(made.garden.events.map(({ id }) => id));
    for (const { events } of found.links) {
      expect(events.length).toBeGreaterThan(0);
      for (const id of events) expect(ids.has(id)).toBe(true);
    }
  });

  test('what nobody answered is not recorded, and says until when it can be made good', () => {
    const found = chain(worked({ clean: undefined, beeIn: undefined }), DAWN);
    expect(gradeProof(found).grade).toBe('fair');
    expect(told(found)).toMatchObject({
      clean: 'nobody-said',
      'no-insect': 'nobody-said',
      marked: 'no-mark',
    });
    expect(found.links.find(({ link }) => link === 'kept-shut')).toMatchObject({ until: '2026-07-16' });
    // Three days on nobody can see any more whether it was whole.
    expect(chain(worked(), '2026-07-20').links.find(({ link }) => link === 'kept-shut')).toMatchObject({
      state: 'not-recorded',
      until: null,
    });
  });

  test('torn the next day: broken there, and not at that dawn', () => {
    const made = worked();
    made.garden.check(at(made.garden, 15, 6), made.female, 'torn');
    const found = chain(made);
    expect(told(found)).toMatchObject({ whole: 'whole', 'kept-shut': 'torn' });
    expect(gradeProof(found)).toMatchObject({ grade: 'distance-only', weakest: 'kept-shut' });
  });

  test('whole the next day says nothing of a dawn at which nobody looked', () => {
    const garden = new TestGarden();
    const [mother] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId];
    const female = garden.shut('2026-07-13', mother, 'female');
    garden.work(garden.time(DAWN, 5, 10), female, [], { beeIn: false } as never);
    garden.check(at(garden, 15, 6), female, 'whole');
    expect(told(chain({ garden, female }))).toMatchObject({
      whole: 'not-looked-at',
      'kept-shut': 'stayed-shut',
    });
  });

  test('a mark put on a week later shows so; one lost and put on again leaves it in doubt', () => {
    const made = worked();
    const { garden, female } = made;
    garden.write(at(garden, 20, 8), { kind: 'marked', flower: female, mark: '1-A' });
    expect(told(chain(made))).toMatchObject({ marked: 'late' });
    garden.write(at(garden, 21, 8), { kind: 'markLost', flower: female });
    expect(garden.state.flowers.get(female)?.mark).toBeNull();
    garden.write(at(garden, 22, 8), { kind: 'marked', flower: female, mark: '1-B' });
    const found = chain(made);
    expect(told(found)).toMatchObject({ 'mark-read': 'marked-again' });
    expect(gradeProof(found).grade).toBe('fair');
  });

  test('lost and put on again in one breath is in doubt all the same; of two marks one may go', () => {
    const made = seen();
    const { garden, female } = made;
    garden.write(at(garden, 22, 8), { kind: 'marked', flower: female, mark: '1-B' });
    garden.write(at(garden, 22, 8), { kind: 'markLost', flower: female, mark: '1-B' });
    expect(garden.state.flowers.get(female)).toMatchObject({ mark: '1-A', markLost: null });
    expect(told(chain(made))['mark-read']).not.toBe('marked-again');
    garden.write(at(garden, 23, 8), { kind: 'markLost', flower: female });
    garden.write(at(garden, 23, 8), { kind: 'marked', flower: female, mark: '1-C' });
    expect(told(chain(made))).toMatchObject({ 'mark-read': 'marked-again' });
  });

  test('never marked, or its mark not read when it was picked, it is fair at best', () => {
    for (const markRead of [true, false, undefined]) {
      const made = seen();
      made.garden.write(at(made.garden, 30, 8), {
        kind: 'harvested',
        flower: made.female,
        harvestFor: 'seed',
        weightG: null,
        ...(markRead === undefined ? {} : { markRead }),
      });
      expect(gradeProof(chain(made)).grade).toBe(markRead ? 'sound' : 'fair');
    }
  });

  test('a father found off-type later flags every fruit that he served', () => {
    const made = seen();
    const { garden, father } = made;
    expect(gradeProof(chain(made)).grade).toBe('sound');
    garden.write(at(garden, 30, 8), { kind: 'offTypeFound', plant: father, shownBy: 'fruit' });
    expect(told(chain(made))).toMatchObject({ fathers: 'father-off-type' });
    expect(gradeProof(chain(made))).toMatchObject({ grade: 'not-pure', weakest: 'fathers' });
  });

  test('shut and bearing seed, and no work written down: its father is not recorded', () => {
    const garden = new TestGarden();
    const [mother] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
    const female = garden.shut('2026-07-13', mother, 'female');
    expect(told(chain({ garden, female }))).toMatchObject({ fathers: 'no-father' });
    expect(gradeProof(chain({ garden, female })).grade).toBe('fair');
  });

  test('corn is asked until its silk is brown: whole next day is too soon to tell', () => {
    const garden = new TestGarden();
    const [mother] = garden.plant('corn', 'Weir Copper', 2).plants as [PlantId];
    const female = garden.shut('2026-07-08', mother, 'female');
    garden.work(garden.time(DAWN, 9), female, [], { beeIn: false } as never);
    garden.check(at(garden, 15, 9), female, 'whole');
    const link = () =>
      chain({ garden, female }, '2026-07-21').links.find((each) => each.link === 'kept-shut');
    expect(link()).toMatchObject({ state: 'not-recorded', until: '2026-07-22' });
    garden.check(at(garden, 21, 9), female, 'whole');
    expect(link()).toMatchObject({ state: 'seen', says: 'stayed-shut' });
  });

  test('only vines worked yesterday or the day before and not looked at since are asked about', () => {
    const made = worked();
    const due = (day: string) => closuresDue(made.garden.state, 'Europe/Ljubljana', day).length;
    expect(['2026-07-14', '2026-07-15', '2026-07-16', '2026-07-17'].map(due)).toEqual([0, 1, 1, 0]);
    made.garden.check(at(made.garden, 15, 6), made.female, 'whole');
    expect(due('2026-07-16')).toBe(0);
    const left = worked({ shutAgain: null });
    expect(closuresDue(left.garden.state, 'Europe/Ljubljana', '2026-07-15')).toEqual([]);
  });

  test('a year of a variety: its weakest fruit first and for its grade, its plants counted', () => {
    const made = seen();
    const other = made.garden.shut('2026-07-15', made.father, 'female');
    made.garden.work(made.garden.time('2026-07-16', 5), other, [], { beeIn: true } as never);
    const { year, years, varieties } = yearPurity(made.garden.state, '2026-07-20', null);
    expect([year, years]).toEqual(['2026', ['2026']]);
    expect(varieties).toMatchObject([
      { name: 'Slate Dome', grade: 'distance-only', mothers: 2, fathers: 1, fruits: [{ flower: other }, {}] },
    ]);
    expect(varieties[0]?.fruits[1]).toMatchObject({ grade: 'sound', weakest: null });
    expect(yearPurity(made.garden.state, '2026-07-20', '2025').varieties).toEqual([]);
  });

  test('never shut and never worked: by distance only', () => {
    const garden = new TestGarden();
    const [mother] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
    const female = garden.see(garden.time(DAWN, 6), mother, 'female', 'open');
    expect(gradeProof(chain({ garden, female })).grade).toBe('distance-only');
  });

  test('the school moves the threshold and never the facts: worked as it opened is fair, or no better than open', () => {
    const garden = new TestGarden();
    const [mother, father] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId, PlantId];
    const male = garden.shut('2026-07-13', father, 'male');
    garden.check(garden.time(DAWN, 5), male, 'whole');
    const female = garden.see(garden.time(DAWN, 5), mother, 'female', 'open');
    garden.work(garden.time(DAWN, 5, 10), female, [male], { beeIn: false, clean: true } as never);
    expect(gradeProof(chain({ garden, female })).grade).toBe('distance-only');
    garden.school('proof', 'practical');
    expect(gradeProof(chain({ garden, female })).grade).toBe('fair');
  });
});
